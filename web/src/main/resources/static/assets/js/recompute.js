/** A form whose numbers follow while it is typed in: posts the fields, shows what came back beside them. */

import { fragment, latest, replaceLive } from './talk.js';

/**
 * @param {HTMLFormElement} form with data-compute
 * @param {(answer: DocumentFragment) => void} [done]
 * @returns {() => void} asks for a recomputation
 */
export function recompute(form, done) {
  const ask = latest(async () => {
    const answer = await fragment(form.dataset.compute, new FormData(form));
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

/** Adds an empty row below the last one as soon as that is written in. */
function growing(table) {
  table.addEventListener('input', () => {
    const rows = table.querySelectorAll('tbody tr');
    const last = rows[rows.length - 1];
    const written = [...last.querySelectorAll('input')].some((i) => i.value) || last.querySelector('select')?.value;
    if (!written) {
      return;
    }
    const next = last.cloneNode(true);
    const from = last.dataset.row;
    next.dataset.row = String(Number(from) + 1);
    const prefix = table.dataset.rows;
    for (const field of next.querySelectorAll('[name]')) {
      field.name = field.name.replace(`${prefix}.${from}.`, `${prefix}.${next.dataset.row}.`);
      field.tagName === 'SELECT' ? (field.selectedIndex = 0) : (field.value = '');
    }
    for (const told of next.querySelectorAll('.fault[id]')) {
      told.id = told.id.replace(`${prefix}.${from}.`, `${prefix}.${next.dataset.row}.`);
      told.textContent = '';
    }
    last.after(next);
  });
}

const formula = document.getElementById('formula');
if (formula) {
  document.querySelectorAll('table[data-rows]').forEach(growing);
  recompute(formula);
}
