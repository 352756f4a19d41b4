/** The cross-section as the control: boundaries are dragged or nudged, the server answers with grams and shapes. */

import { recompute } from './recompute.js';

const STEP_MM = 0.1;
const BIG_STEP_MM = 0.5;

const form = document.getElementById('bar');
const section = document.getElementById('section');
const ask = recompute(form, moveHandles);

/** Sets a field to the nearest tenth of a millimetre inside its range and asks for the numbers. */
function set(handle, mm) {
  const least = Number(handle.getAttribute('aria-valuemin'));
  const greatest = Number(handle.getAttribute('aria-valuemax'));
  const within = Math.min(greatest, Math.max(least, mm));
  form.elements[handle.dataset.field].value = (Math.round(within * 10) / 10).toFixed(1);
  ask();
}

/** Takes places and spoken values over from the answer; the handles themselves stay, so a drag is never broken. */
function moveHandles(answer) {
  if (!section) {
    if (answer.querySelector('[data-handle]')) {
      location.reload();
    }
    return;
  }
  const fresh = [...answer.querySelectorAll('[data-handle]')];
  for (const handle of section.querySelectorAll('.handle')) {
    const now = fresh.find((f) => f.dataset.field === handle.dataset.field);
    handle.classList.toggle('visually-hidden', !now && fresh.length > 0);
    if (now) {
      for (const name of ['aria-valuenow', 'aria-valuemin', 'aria-valuemax', 'aria-valuetext', 'data-y']) {
        handle.setAttribute(name, now.getAttribute(name));
      }
      handle.setAttribute('transform', `translate(0 ${now.dataset.y})`);
      handle.querySelector('text').textContent = now.dataset.label;
    }
  }
}

function drag(handle, down) {
  const mmPerPixel = section.viewBox.baseVal.height / section.getBoundingClientRect().height;
  const wide = section.viewBox.baseVal.width / section.getBoundingClientRect().width;
  const scale = Math.max(mmPerPixel, wide);
  const start = Number(form.elements[handle.dataset.field].value.replace(',', '.'));
  handle.setPointerCapture(down.pointerId);
  const move = (event) => set(handle, start + (event.clientY - down.clientY) * scale * Number(handle.dataset.direction));
  const up = () => {
    handle.removeEventListener('pointermove', move);
    handle.removeEventListener('pointerup', up);
    handle.removeEventListener('pointercancel', up);
  };
  handle.addEventListener('pointermove', move);
  handle.addEventListener('pointerup', up);
  handle.addEventListener('pointercancel', up);
}

if (section && section.querySelector('.handles')?.dataset.readonly !== 'true') {
  for (const handle of section.querySelectorAll('.handle')) {
    handle.addEventListener('pointerdown', (down) => {
      down.preventDefault();
      handle.focus();
      drag(handle, down);
    });
    handle.addEventListener('keydown', (event) => {
      const towards = { ArrowUp: -1, ArrowDown: 1 }[event.key];
      if (towards) {
        event.preventDefault();
        const by = (event.shiftKey ? BIG_STEP_MM : STEP_MM) * towards * Number(handle.dataset.direction);
        set(handle, Number(form.elements[handle.dataset.field].value.replace(',', '.')) + by);
      }
    });
  }
}

