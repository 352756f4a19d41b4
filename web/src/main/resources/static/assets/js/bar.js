/** The cross-section as the control: boundaries are dragged or nudged, the server answers with grams and shapes. */

import { recompute } from './recompute.js';

const STEP_MM = 0.1;
const BIG_STEP_MM = 0.5;

const form = document.getElementById('bar');
const place = document.getElementById('figure');
const ask = recompute(form, follow);

const amount = (handle) => Number(form.elements[handle.dataset.field].value.replace(',', '.'));

/** Sets a field to the nearest tenth of a millimetre inside its range and asks for the numbers. */
function set(handle, mm) {
  const least = Number(handle.getAttribute('aria-valuemin'));
  const greatest = Number(handle.getAttribute('aria-valuemax'));
  const within = Math.min(greatest, Math.max(least, mm));
  form.elements[handle.dataset.field].value = (Math.round(within * 10) / 10).toFixed(1);
  ask();
}

/**
 * Follows an answer. While mould and number of layers stay the same the handles stay too, so a drag is never broken; they
 * only take over places and spoken values. Otherwise the whole drawing is exchanged.
 */
function follow(answer) {
  const fresh = answer.querySelector('[data-figure]');
  const old = place.querySelector('[data-figure]');
  if (!fresh) {
    return;
  }
  if (old?.dataset.figure !== fresh.dataset.figure) {
    place.replaceChildren(fresh.cloneNode(true));
    wire();
    return;
  }
  for (const now of fresh.querySelectorAll('.handle')) {
    const handle = old.querySelector(`.handle[data-field="${now.dataset.field}"]`);
    for (const name of ['aria-valuenow', 'aria-valuemin', 'aria-valuemax', 'aria-valuetext', 'data-y', 'transform']) {
      handle.setAttribute(name, now.getAttribute(name));
    }
    handle.querySelector('text').textContent = now.querySelector('text').textContent;
  }
}

function drag(handle, down) {
  const section = handle.ownerSVGElement;
  const box = section.getBoundingClientRect();
  const { width, height } = section.viewBox.baseVal;
  const mmPerPixel = Math.max(width / box.width, height / box.height);
  const start = amount(handle);
  const direction = Number(handle.dataset.direction);
  handle.setPointerCapture(down.pointerId);
  const move = (event) => set(handle, start + (event.clientY - down.clientY) * mmPerPixel * direction);
  const stop = new AbortController();
  const until = { signal: stop.signal };
  handle.addEventListener('pointermove', move, until);
  handle.addEventListener('pointerup', () => stop.abort(), until);
  handle.addEventListener('pointercancel', () => stop.abort(), until);
}

function nudge(handle, event) {
  const towards = { ArrowUp: -1, ArrowDown: 1 }[event.key];
  if (towards) {
    event.preventDefault();
    set(handle, amount(handle) + (event.shiftKey ? BIG_STEP_MM : STEP_MM) * towards * Number(handle.dataset.direction));
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

wire();
