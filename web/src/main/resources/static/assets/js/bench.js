/** The bench page: sends what hands write, follows what anyone writes. */

import { drawCharts } from './chart.js';
import { flush, newKey, send, waiting } from './queue.js';
import { fragment, latest, postJson, replaceLive } from './talk.js';

const main = document.getElementById('main');
let clockAhead = 0;

/** The server's time, whatever this device's clock says. */
const now = () => new Date(Date.now() + clockAhead).toISOString();

async function setClock() {
  const before = Date.now();
  const response = await fetch('/bench/clock', { headers: { 'X-Requested-With': 'fetch' } });
  const { millis } = await response.json();
  clockAhead = millis - (before + Date.now()) / 2;
}

/** Draws the panel again; the work area is only exchanged when it is another one, so nothing typed is lost. */
const refresh = latest(async () => {
  const fresh = await fragment(main.dataset.panel);
  const work = fresh.querySelector('[data-swap="work"]');
  const old = document.querySelector('[data-swap="work"]');
  if (!work) {
    location.reload();
    return;
  }
  if (work.dataset.key !== old.dataset.key) {
    old.replaceWith(work.cloneNode(true));
  }
  replaceLive(fresh);
  await drawCharts();
});

function showFaults(form, answer, status) {
  form.querySelectorAll('[data-fault]').forEach((f) => (f.textContent = ''));
  const faults = answer.faults?.length ? answer.faults : status >= 400 ? [{ field: '', message: answer.message }] : [];
  for (const fault of faults) {
    const place = form.querySelector(`[data-fault="${fault.field}"]`) ?? form.querySelector('[data-fault]');
    if (place) {
      place.textContent = fault.message;
    }
  }
  return faults.length > 0;
}

/** Empties what was typed for one entry and leaves what stays the same for the next. */
function clear(form) {
  form.querySelectorAll('input:not(.keep):not([type=hidden]), textarea').forEach((i) => {
    i.type === 'checkbox' ? (i.checked = false) : (i.value = '');
  });
  form.querySelector('input:not([type=hidden]):not(.keep), textarea')?.focus();
}

async function sendEntry(form) {
  const fields = Object.fromEntries(new FormData(form).entries());
  const key = newKey();
  const entry = { key, kind: form.dataset.entry, fields, component: form.dataset.component ?? '', device: navigator.platform, at: now() };
  const { status, answer } = await send(key, form.dataset.url, entry);
  if (!showFaults(form, answer, status)) {
    clear(form);
  }
  refresh();
}

async function sendReading(form) {
  const key = newKey();
  const celsius = form.elements.celsius.value;
  const confirmed = form.elements.confirmed?.checked ?? false;
  const { status, answer } = await send(key, form.dataset.url, { readings: [{ key, celsius, at: now(), confirmed }] });
  if (!showFaults(form, answer, status)) {
    clear(form);
  }
  refresh();
}

document.addEventListener('submit', (event) => {
  const form = event.target;
  if (form.dataset.entry) {
    event.preventDefault();
    sendEntry(form);
  } else if ('reading' in form.dataset) {
    event.preventDefault();
    sendReading(form);
  }
});

document.addEventListener('click', async (event) => {
  const button = event.target.closest('button');
  if (!button) {
    return;
  }
  if ('series' in button.dataset) {
    const { component, kind, simulation } = button.dataset;
    await postJson(button.dataset.url, { key: newKey(), component, kind, simulation: simulation ?? null });
    refresh();
  } else if ('end' in button.dataset) {
    await postJson(button.dataset.url, {});
    refresh();
  } else if ('undo' in button.dataset) {
    const key = newKey();
    await send(key, button.dataset.url, { key, kind: 'UNDO', fields: {}, at: now(), corrects: button.dataset.corrects });
    refresh();
  }
});

function showWaiting() {
  const told = document.querySelector('[data-waiting]');
  told.hidden = waiting() === 0;
  told.textContent = `Waiting for the workshop: ${waiting()} written down here and not sent yet.`;
}

document.addEventListener('zest-queue', showWaiting);

const events = new EventSource(`${main.dataset.events}?seen=${main.dataset.seen}`);
events.addEventListener('change', refresh);

setClock().catch(() => {});
flush();
drawCharts();
