/** The formula's page: lines grow, names are suggested, buttons act without leaving the page, everything can be undone. */

import { fragment, replaceLive } from './talk.js';
import { growing, recompute } from './recompute.js';
import { suggest } from './suggest.js';
import { photographs } from './photo.js';

const form = document.getElementById('formula');
const undoButton = document.getElementById('undo');
const redoButton = document.getElementById('redo');
const MOST_STEPS = 100;

/** What stood in the form, as fields in order; the last one is what stands there now. */
const past = [fields()];
const future = [];

function fields() {
  return [...new FormData(form)].filter(([name]) => !['_csrf', 'act', 'open'].includes(name));
}

function same(a, b) {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Remembers the form as it stands, if it changed. */
function remember() {
  const now = fields();
  if (!same(now, past[past.length - 1])) {
    past.push(now);
    past.splice(0, Math.max(0, past.length - MOST_STEPS));
    future.length = 0;
  }
  show();
}

function show() {
  if (undoButton) {
    undoButton.parentElement.hidden = false;
    undoButton.disabled = past.length < 2;
    redoButton.disabled = future.length === 0;
  }
}

/**
 * Posts fields with an act and puts the page that comes back in the place of this one, field by field; nothing is saved.
 * @param {string} act
 * @param {[string, string][]} [what] the form's own fields where absent
 */
async function act(name, what) {
  const focused = document.activeElement?.name;
  const sent = what ?? fields();
  const before = new Map(fields());
  const answer = await posted(name, sent);
  // What was typed while the answer was on its way is put back afterwards.
  const typed = what ? [] : fields().filter(([field, value]) => before.get(field) !== value);
  replaceLive(answer);
  for (const fresh of answer.querySelectorAll('#formula [name]')) {
    const here = [...form.elements].find((e) => e.name === fresh.name && (fresh.type !== 'radio' || e.value === fresh.value));
    if (!here || here.type === 'file' || fresh.name === 'act' || fresh.name === 'lock' || fresh.name === '_csrf') {
      continue;
    }
    if (fresh.type === 'checkbox' || fresh.type === 'radio') {
      here.checked = fresh.checked;
    } else {
      here.value = fresh.value;
    }
  }
  for (const [field, value] of typed) {
    const here = [...form.elements].find((e) => e.name === field && e.type !== 'checkbox' && e.type !== 'radio');
    here && (here.value = value);
  }
  for (const told of answer.querySelectorAll('.fault[id]')) {
    const here = document.getElementById(told.id);
    here && (here.textContent = told.textContent);
  }
  const again = focused && focused !== 'act' && [...form.elements].find((e) => e.name === focused && e.type !== 'hidden');
  again && again.focus();
  sized();
}

/** Posts an act and gives the page that comes back. */
function posted(name, what) {
  const body = new FormData();
  what.forEach(([field, value]) => body.append(field, value));
  body.set('act', name);
  return fragment(form.dataset.act, body);
}

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

async function undo() {
  remember();
  if (past.length > 1) {
    future.push(past.pop());
    await act('redraw', past[past.length - 1]);
    show();
  }
}

async function redo() {
  if (future.length) {
    past.push(future.pop());
    await act('redraw', past[past.length - 1]);
    show();
  }
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

// The measures that somebody's recipes are written in are remembered on this device.
const measures = document.getElementById('measures');
if (measures && localStorage.getItem('measures')) {
  measures.value = localStorage.getItem('measures');
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
show();
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
    if (button.value === 'paste') {
      button.closest('details').open = false;
    }
    remember();
  }
});
form.addEventListener('keydown', async (event) => {
  const row = event.target.closest?.('tr[data-row]');
  if (event.key === 'Enter' && event.target.matches('input:not([type=checkbox]):not([type=radio])') && !event.altKey) {
    // Enter never saves by accident: it adds the quick line, or only takes what was typed.
    event.preventDefault();
    if (event.target.id === 'quick' && event.target.value.trim()) {
      await act('add');
      document.getElementById('quick').focus();
    }
    remember();
  } else if (row && event.altKey && event.key === 'Enter') {
    event.preventDefault();
    row.querySelector('button[value^="accept:"]')?.click();
  } else if (row && event.altKey && event.key === 'ArrowDown') {
    event.preventDefault();
    row.querySelector('button[value^="take:"]')?.click();
  } else if (row && event.altKey && event.key === 'ArrowUp') {
    event.preventDefault();
    row.querySelector('button[value^="up:"]')?.click();
  } else if (row && event.altKey && event.key === 'Delete') {
    event.preventDefault();
    row.querySelector('button[value^="drop:"]')?.click();
  } else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    await (event.shiftKey ? redo() : undo());
  } else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'y') {
    event.preventDefault();
    await redo();
  }
});
undoButton?.addEventListener('click', undo);
redoButton?.addEventListener('click', redo);
