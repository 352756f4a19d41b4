/** The cross-section as the control: boundaries are dragged, nudged or typed; the server answers with grams and shapes. */

import { acting } from './acts.js';
import { photographs } from './photo.js';
import { growing, recompute } from './recompute.js';
import { suggest } from './suggest.js';

const STEP = 0.1;
const BIG_STEP = 1;
const ZOOMS = [1, 1.4, 2, 2.8];

const form = document.getElementById('bar');
const place = document.getElementById('figure');
let zoom = 0;

const number = (text) => Number(text.replace(',', '.'));
const amount = (handle) => number(form.elements[handle.dataset.field].value);

/** Sets a field to the nearest tenth inside its range and asks for the numbers. */
function set(handle, value) {
  const least = Number(handle.getAttribute('aria-valuemin'));
  const greatest = Number(handle.getAttribute('aria-valuemax'));
  const within = Math.min(greatest, Math.max(least, value));
  form.elements[handle.dataset.field].value = (Math.round(within * 10) / 10).toFixed(1);
  form.elements.moved.value = handle.dataset.field;
  ask();
}

/**
 * Follows an answer. While boundaries and view stay the same the handles stay too, so a drag is never broken; they only take over
 * places and spoken values. Otherwise the whole drawing is exchanged.
 */
function follow(answer) {
  const fresh = answer.querySelector('[data-figure]');
  const old = place.querySelector('[data-figure]');
  if (!fresh) {
    return;
  }
  snapped(answer);
  if (old?.dataset.figure !== fresh.dataset.figure) {
    place.replaceChildren(fresh.cloneNode(true));
    wire();
    zoomed();
    return;
  }
  old.dataset.scale = fresh.dataset.scale;
  old.querySelector('#section').setAttribute('viewBox', fresh.querySelector('#section').getAttribute('viewBox'));
  old.querySelector('.along').setAttribute('viewBox', fresh.querySelector('.along').getAttribute('viewBox'));
  const wall = fresh.querySelector('[data-keep=wall]').getAttribute('d');
  wall && old.querySelector('[data-keep=wall]').setAttribute('d', wall);
  for (const now of fresh.querySelectorAll('.handle')) {
    const handle = old.querySelector(`.handle[data-field="${now.dataset.field}"]`);
    for (const name of ['aria-valuenow', 'aria-valuemin', 'aria-valuemax', 'aria-valuetext', 'data-per-mm', 'data-unit']) {
      handle.setAttribute(name, now.getAttribute(name));
    }
    [...now.children].forEach((part, i) => {
      const here = handle.children[i];
      for (const { name, value } of part.attributes) {
        here.setAttribute(name, value);
      }
      part.tagName === 'text' && (here.textContent = part.textContent);
    });
  }
}

/** Takes over what snapping to whole grams made of a field. */
function snapped(answer) {
  const changed = answer.querySelector('[data-set]')?.dataset.set;
  for (const pair of changed ? changed.split('|') : []) {
    const [field, value] = pair.split('=');
    form.elements[field] !== document.activeElement && (form.elements[field].value = value);
  }
}

function drag(handle, down) {
  const section = handle.ownerSVGElement;
  const figure = section.closest('[data-figure]');
  const box = section.getBoundingClientRect();
  const { width, height } = section.viewBox.baseVal;
  const mmPerPixel = Math.max(width / box.width, height / box.height) / Number(figure.dataset.scale);
  const start = amount(handle);
  const perMm = Number(handle.dataset.perMm);
  handle.setPointerCapture(down.pointerId);
  const move = (event) => set(handle, start + (event.clientY - down.clientY) * mmPerPixel * perMm);
  const stop = new AbortController();
  const until = { signal: stop.signal };
  const end = () => {
    stop.abort();
    remember();
  };
  handle.addEventListener('pointermove', move, until);
  handle.addEventListener('pointerup', end, until);
  handle.addEventListener('pointercancel', end, until);
}

function nudge(handle, event) {
  const towards = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (towards && !event.altKey) {
    event.preventDefault();
    const grams = handle.dataset.unit === 'g';
    const sign = Math.sign(Number(handle.dataset.perMm));
    const step = (event.shiftKey ? BIG_STEP : STEP) * (grams ? 1 : Math.abs(Number(handle.dataset.perMm)));
    set(handle, amount(handle) + step * towards * sign);
    remember();
  }
}

function wire() {
  for (const handle of place.querySelectorAll('.handles:not([data-readonly=true]) .handle')) {
    handle.addEventListener('pointerdown', (down) => {
      down.preventDefault();
      handle.focus();
      drag(handle, down);
    });
    handle.addEventListener('keydown', (event) => nudge(handle, event));
  }
}

function zoomed() {
  const section = place.querySelector('#section');
  if (section) {
    section.classList.toggle('larger', zoom > 0);
    section.style.width = `${100 * ZOOMS[zoom]}%`;
  }
}

/** Shows the fields that the chosen body has. */
function bodyFields() {
  form.dataset.build = form.elements.build.value;
  const kind = document.getElementById('body.kind').value;
  const shape = form.elements['body.form'].value;
  form.dataset.in = kind;
  form.dataset.halves = kind === 'MOULD' && form.elements['body.halves'].checked ? 'yes' : '';
  for (const part of form.querySelectorAll('[data-body]')) {
    const ofForm = kind !== 'SHAPED' || !part.dataset.form || part.dataset.form.split(' ').includes(shape);
    const ofTool = !part.dataset.tool || part.dataset.tool === form.elements['body.tool'].value;
    part.hidden = !part.dataset.body.split(' ').includes(kind) || !ofForm || !ofTool;
  }
}

/** Takes the usual body of a build where the one chosen does not go with it. */
function fitting() {
  const bodies = document.getElementById('build').selectedOptions[0].dataset.bodies.split(' ');
  const kind = document.getElementById('body.kind');
  if (!bodies.includes(kind.value)) {
    kind.value = bodies[0];
  }
}

const ask = recompute(form, follow);
const { act, remember } = acting(form, {
  drawn: (answer) => {
    follow(answer);
    bodyFields();
  },
  leaveOut: ['moved'],
});

document.querySelectorAll('table[data-rows]').forEach(growing);
suggest(form, () => {
  ask();
  remember();
});
photographs(form, () => remember());
wire();
bodyFields();

form.addEventListener('input', () => (form.elements.moved.value = ''), true);
form.addEventListener('change', async (event) => {
  const row = event.target.closest('.layer-row');
  const name = event.target.name ?? '';
  if (row && name.endsWith('.by')) {
    row.dataset.by = event.target.value;
  }
  if (row && name.endsWith('.shape')) {
    row.dataset.shape = event.target.value;
  }
  if (event.target.matches('[data-vessel]') && event.target.value) {
    [form.elements['body.lengthMm'].value, form.elements['body.widthMm'].value] = event.target.value.split(' ');
    event.target.value = '';
    ask();
  }
  if (['body.form', 'body.tool', 'body.halves'].includes(name)) {
    bodyFields();
  }
  if (name === 'build') {
    fitting();
  }
  if (name === 'build' || name === 'body.kind' || (row && name.endsWith('.kind'))) {
    bodyFields();
    await act('redraw');
  }
  remember();
});
form.addEventListener('click', async (event) => {
  const button = event.target.closest('button[name=act]');
  if (button) {
    event.preventDefault();
    await act(button.value);
    remember();
  }
  const by = event.target.closest('[data-zoom-by]');
  if (by) {
    zoom = Math.min(ZOOMS.length - 1, Math.max(0, zoom + Number(by.dataset.zoomBy)));
    zoomed();
  }
});
form.addEventListener('keydown', (event) => {
  if (event.key === 'Enter' && event.target.matches('input:not([type=checkbox])') && event.target.name !== 'why') {
    // Enter takes what was typed; it never saves by accident.
    event.preventDefault();
    remember();
  }
});
