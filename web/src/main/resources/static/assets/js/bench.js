/** The bench page: sends what hands write, follows what anyone writes. */

import { showAlarm, tell } from './alarm.js';
import { drawCharts } from './chart.js';
import { photographs } from './photo.js';
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

/** What a form writes down: its entry and what it says of itself. */
const purpose = (form) =>
  [form.dataset.entry, form.dataset.component, ...[...form.querySelectorAll('[type=hidden]')].map((f) => f.value)].join();

/** Puts another work area in place; a form that both have stays, with what is typed and asked in it. */
function exchange(old, work) {
  const focused = document.activeElement;
  const kept = new Map([...old.querySelectorAll('form[data-entry]')].map((form) => [purpose(form), form]));
  work.querySelectorAll('form[data-entry]').forEach((form) => kept.get(purpose(form)) && form.replaceWith(kept.get(purpose(form))));
  old.replaceWith(work);
  if (work.contains(focused)) {
    focused.focus();
  }
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
    exchange(old, work.cloneNode(true));
    showAlarm();
  }
  replaceLive(fresh);
  showStep();
  tell();
  await drawCharts();
});

/** Where the list of steps scrolls by itself, the step that is looked at stands in it. */
function showStep() {
  const steps = document.querySelector('.steps');
  if (steps && getComputedStyle(steps).overflowY === 'auto') {
    steps.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  }
}

function showFaults(form, answer, status) {
  form.querySelectorAll('[data-fault]').forEach((f) => (f.textContent = ''));
  const faults = answer.faults?.length ? answer.faults : status >= 400 ? [{ field: '', message: answer.message }] : [];
  for (const fault of faults) {
    const place = form.querySelector(`[data-fault="${fault.field}"]`) ?? form.querySelector('[data-fault]');
    if (place) {
      place.textContent = fault.message;
      if (answer.outcome === 'question') {
        place.append(' ', keep());
      }
    }
  }
  return faults.length > 0;
}

/** The button that stands by what was typed. */
function keep() {
  const button = document.createElement('button');
  button.type = 'button';
  button.dataset.keep = '';
  button.textContent = 'It is so: write it down';
  return button;
}

/** What was asked about, by the form it was typed in; sent again with a yes when the person stands by it. */
const asked = new WeakMap();

const typedIn = (form) => [...form.querySelectorAll('input:not(.keep):not([type=hidden]), textarea')];

/** Empties what was typed for one entry at once, so that the next may be typed while this one is on its way. */
function take(form) {
  const taken = typedIn(form).map((field) => [field, field.type === 'checkbox' ? field.checked : field.value]);
  taken.forEach(([field]) => (field.type === 'checkbox' ? (field.checked = false) : (field.value = '')));
  taken[0]?.[0].focus();
  return taken;
}

/** Gives back what was not accepted, unless something else stands there by now. */
function giveBack(taken) {
  for (const [field, value] of taken) {
    if (field.type === 'checkbox') {
      field.checked ||= value;
    } else {
      field.value ||= value;
    }
  }
}

/** A photograph belongs to the one entry that it was sent with. */
function forgetPhotographs(form) {
  form.querySelectorAll('[data-photo]').forEach((place) => {
    form.elements[place.dataset.field].value = '';
    place.querySelector('img')?.remove();
  });
}

async function deliver(form, body) {
  const taken = take(form);
  const { status, answer } = await send(body.key ?? body.readings[0].key, form.dataset.url, body);
  if (showFaults(form, answer, status)) {
    giveBack(taken);
  } else {
    forgetPhotographs(form);
  }
  asked.set(form, body);
  refresh();
}

/** The same entry, stood by; one typed anew in between is left alone. */
function stand(form) {
  const body = asked.get(form);
  deliver(form, body.readings ? { ...body, sure: true } : { ...body, fields: { ...body.fields, sure: 'yes' } });
}

function sendEntry(form) {
  const fields = Object.fromEntries(new FormData(form).entries());
  const { entry: kind, component = '' } = form.dataset;
  deliver(form, { key: newKey(), kind, fields, component, device: navigator.platform, at: now() });
}

function sendReading(form) {
  const celsius = form.elements.celsius.value;
  const confirmed = form.elements.confirmed?.checked ?? false;
  deliver(form, { readings: [{ key: newKey(), celsius, at: now(), confirmed }] });
}

document.addEventListener('submit', (event) => {
  const form = event.target;
  if (form.dataset.entry) {
    event.preventDefault();
    sendEntry(form);
  } else if ('reading' in form.dataset) {
    event.preventDefault();
    sendReading(form);
  } else if ('logger' in form.dataset) {
    event.preventDefault();
    sendLog(form);
  }
});

/** Starts a series; a simulated pot has the fault and the speed that stand beside its button. */
function startSeries(button) {
  const { component, kind, simulation } = button.dataset;
  const beside = simulation === 'POT' ? button.parentElement : null;
  return postJson(button.dataset.url, {
    key: newKey(),
    component,
    kind,
    simulation: beside?.querySelector('[data-fault-choice]')?.value ?? simulation ?? null,
    speed: beside ? Number(beside.querySelector('[data-speed-choice]').value) : null,
  });
}

/** Begins with a dip and writes the minutes when it is set. */
function timeProof(button) {
  const since = Number(button.dataset.since ?? 0);
  if (!since) {
    button.dataset.since = Date.now();
    button.textContent = 'It is set';
    return;
  }
  button.closest('form').elements.proofMinutes.value = ((Date.now() - since) / 60000).toFixed(1);
  delete button.dataset.since;
  button.textContent = 'Start the timer at the dip';
}

/** Takes in what was pasted, or the file that was chosen. */
async function sendLog(form) {
  const [file] = form.querySelector('[type=file]').files;
  const text = file ? await file.text() : form.elements.text.value;
  const response = await postJson(form.dataset.url, { text });
  const answer = await response.json();
  if (!showFaults(form, answer, response.status)) {
    form.reset();
    form.querySelector('[data-fault]').textContent = answer.message;
  }
  refresh();
}

document.addEventListener('click', async (event) => {
  const button = event.target.closest('button');
  if (!button) {
    return;
  }
  if ('timer' in button.dataset) {
    timeProof(button);
  } else if ('series' in button.dataset) {
    await startSeries(button);
    refresh();
  } else if ('keep' in button.dataset) {
    stand(button.closest('form'));
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

/** Something from before this page was opened was not accepted: it is shown, not dropped. */
document.addEventListener('zest-refused', ({ detail }) => {
  const told = document.querySelector('[data-refused]');
  told.hidden = false;
  told.textContent = `Not accepted: ${JSON.stringify(detail.body.fields ?? detail.body.readings)}. ${detail.message}`;
});

const events = new EventSource(`${main.dataset.events}?seen=${main.dataset.seen}`);
events.addEventListener('change', refresh);

/** A clock that runs goes on without anything being written down. */
setInterval(() => document.querySelector('[data-ticks="true"]') && refresh(), 10000);

photographs(main, () => {});
showAlarm();
setClock().catch(() => {});
flush();
showStep();
drawCharts();
