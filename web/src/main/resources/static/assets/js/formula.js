/** The formula's page: lines grow, names are suggested, buttons act without leaving the page, everything can be undone. */

import { acting } from './acts.js';
import { replaceLive } from './talk.js';
import { growing, recompute } from './recompute.js';
import { suggest } from './suggest.js';
import { photographs } from './photo.js';

const form = document.getElementById('formula');
const { act, posted, fields, remember, press } = acting(form, { drawn: () => sized(), leaveOut: ['open'] });

/** Puts the short texts beside the rows; the marks of guesses that are gone are taken away. */
function beside(answer) {
  const texts = JSON.parse(answer.querySelector('[data-texts]').dataset.texts);
  for (const [part, text] of Object.entries(texts)) {
    const here = form.querySelector(`[data-live="${part}"]`);
    here && (here.textContent = text);
  }
  const marked = new Set([...answer.querySelectorAll('.guess-note')].map((note) => note.dataset.live));
  form.querySelectorAll('.guess-note').forEach((note) => marked.has(note.dataset.live) || note.replaceChildren());
}

/** Draws the questions and the untouched method of the family anew; the lines are left alone. */
async function family() {
  const answer = await posted('family', fields());
  const part = document.createDocumentFragment();
  part.append(...answer.querySelectorAll('[data-live=schools], [data-live=step-rows]'));
  replaceLive(part);
  sized();
}

/** Shows the fields that the chosen way of scaling needs. */
function scaleFields() {
  const by = document.getElementById('scale-by').value;
  form.querySelectorAll('[data-for]').forEach((part) => (part.hidden = !part.dataset.for.split(' ').includes(by)));
}

/** Lets the text fields of the method be as high as their text. */
function sized() {
  form.querySelectorAll('.steps-table textarea').forEach((area) => {
    area.style.height = 'auto';
    area.style.height = `${area.scrollHeight}px`;
  });
}

// A formula keeps the measures it was written in; a new one starts with those last chosen on this device.
const measures = document.getElementById('measures');
if (measures && !measures.dataset.own && localStorage.getItem('measures')) {
  measures.value = localStorage.getItem('measures');
  form.elements.measuresChosen.value = 'yes';
  form.elements.measuresWas.value = measures.value;
}

document.querySelectorAll('table[data-rows]').forEach(growing);
const ask = recompute(form, beside);
suggest(form, (field) => {
  ask();
  remember();
  field.closest('tr')?.querySelector('.amount input')?.focus();
});
photographs(form, () => remember());
scaleFields();
sized();
if ([...form.elements].some((e) => e.type === 'text' && e.value !== e.defaultValue)) {
  // Somebody was quicker than this script.
  ask();
}

// What is folded away is not worked out while somebody types; unfolding asks for it.
form.addEventListener(
  'toggle',
  (event) => {
    const open = [...form.querySelectorAll('details[open][data-why]')].map((d) => d.dataset.why).join(' ');
    if (open !== document.getElementById('open').value) {
      document.getElementById('open').value = open;
      event.target.open && ask();
    }
  },
  true,
);
form.addEventListener('input', (event) => {
  if (event.target.matches('.steps-table textarea')) {
    sized();
  }
});
form.addEventListener('change', async (event) => {
  if (event.target.id === 'scale-by') {
    scaleFields();
  }
  if (event.target.id === 'measures') {
    localStorage.setItem('measures', measures.value);
    form.elements.measuresChosen.value = 'yes';
    await act(`measures:${measures.value}`);
  }
  if (event.target.id === 'family') {
    await family();
  }
  remember();
});
form.addEventListener('click', async (event) => {
  const button = event.target.closest('button[name=act]');
  if (button) {
    event.preventDefault();
    await act(button.value);
    if (button.value.startsWith('paste') && !form.elements.paste.value) {
      button.closest('details').open = false;
    }
    remember();
  }
});
/** What one piece weighs and the grams of the line follow each other while either is typed; the server does the same on its own. */
form.addEventListener(
  'input',
  (event) => {
    const [, row, field] = event.target.name?.match(/^(line\.\d+\.)(each|grams)$/) ?? [];
    const pieces = row && Number(form.elements[`${row}pieces`]?.value);
    const typed = Number(event.target.value);
    if (!pieces || !typed || !form.elements[`${row}each`]) {
      return;
    }
    const other = field === 'each' ? typed * pieces : typed / pieces;
    form.elements[row + (field === 'each' ? 'grams' : 'each')].value = Math.round(other * 100) / 100;
    form.elements[`${row}eachWas`].value = form.elements[`${row}each`].value;
  },
  true,
);
form.addEventListener('keydown', async (event) => {
  if (event.key === 'Enter' && event.target.matches('input:not([type=checkbox]):not([type=radio])') && !event.altKey) {
    // Enter never saves by accident: it adds the quick line, or only takes what was typed.
    event.preventDefault();
    if (event.target.id === 'quick' && event.target.value.trim()) {
      await act('add');
      document.getElementById('quick').focus();
    }
    remember();
  } else if (event.altKey && event.key === 'Enter') {
    press(event, 'accept');
  } else if (event.altKey && event.key === 'ArrowDown') {
    press(event, 'take');
  }
});
