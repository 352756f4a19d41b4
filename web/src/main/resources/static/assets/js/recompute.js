/** A form whose numbers follow while it is typed in: posts the fields, shows what came back beside them. */

import { fragment, latest, replaceLive } from './talk.js';

/** After how many milliseconds a server that did not answer is asked again. */
const AGAIN = 4000;

let drawings = 0;

/** Says that the numbers on the page are from before, or takes that back. */
function away(gone) {
  const told = document.querySelector('.away');
  if (gone && !told) {
    const words = document.createElement('p');
    words.className = 'away';
    words.setAttribute('role', 'status');
    words.textContent = 'The server does not answer: these numbers are from before. What you type stays here.';
    document.body.append(words);
  } else if (!gone) {
    told?.remove();
  }
}

/** Notes that the whole page was drawn again: answers still on their way are out of date. */
export function drawnAgain() {
  drawings += 1;
}

/**
 * @param {HTMLFormElement} form with data-compute
 * @param {(answer: DocumentFragment) => void} [done]
 * @returns {() => void} asks for a recomputation
 */
export function recompute(form, done) {
  const ask = latest(async () => {
    const before = drawings;
    let answer;
    try {
      answer = await fragment(form.dataset.compute, new FormData(form));
    } catch (gone) {
      away(!gone.signedOut);
      setTimeout(ask, AGAIN);
      throw gone;
    }
    away(false);
    if (before !== drawings) {
      // The page was drawn again meanwhile: this answer is about what stood there before.
      ask();
      return;
    }
    showFaults(form, answer);
    done?.(answer);
    replaceLive(answer);
  });
  form.addEventListener('input', ask);
  return ask;
}

/** Tells each fault beside its field; the list keeps those whose field is not on the page. */
function showFaults(form, answer) {
  for (const told of form.querySelectorAll('.fault[id]')) {
    told.textContent = '';
    told.closest('.field')?.classList.remove('faulty');
  }
  for (const fault of answer.querySelectorAll('[data-fault-field]')) {
    const told = document.getElementById(`fault-${fault.dataset.faultField}`);
    if (told) {
      told.textContent = fault.textContent;
      told.closest('.field')?.classList.add('faulty');
      fault.remove();
    }
  }
}

/**
 * Adds an empty row below the last one of a table with data-rows as soon as that is written in.
 * @param {HTMLTableElement} table
 */
export function growing(table) {
  const grow = () => {
    const rows = table.querySelectorAll('tbody > tr');
    const last = rows[rows.length - 1];
    const written = [...last.querySelectorAll('input:not([type=hidden]):not([type=checkbox]), textarea')].some((i) => i.value);
    if (!written) {
      return;
    }
    const next = last.cloneNode(true);
    const from = last.dataset.row;
    next.dataset.row = String(Number(from) + 1);
    const renumber = (text) => text.replace(new RegExp(`(^|[.:-])${from}(?=$|[.:])`), `$1${next.dataset.row}`);
    for (const field of next.querySelectorAll('[name]')) {
      if (field.name === 'act') {
        field.value = renumber(field.value);
        continue;
      }
      field.name = renumber(field.name);
      if (field.type === 'checkbox') {
        field.checked = false;
      } else if (field.tagName === 'SELECT') {
        field.selectedIndex = 0;
      } else {
        field.value = '';
      }
    }
    for (const told of next.querySelectorAll('.fault[id]')) {
      told.id = renumber(told.id);
      told.textContent = '';
    }
    for (const live of next.querySelectorAll('[data-live]')) {
      live.dataset.live = renumber(live.dataset.live);
      live.textContent = '';
    }
    last.after(next);
  };
  table.addEventListener('input', grow);
  // Somebody may have begun to write before this script was here.
  grow();
}
