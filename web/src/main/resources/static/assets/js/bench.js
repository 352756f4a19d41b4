/** The bench page: sends what hands write, follows what anyone writes. */

import { showAlarm, tell } from './alarm.js';
import { drawCharts } from './chart.js';
import { photographs } from './photo.js';
import { dismiss, flush, newKey, refused, send, standBy, waiting, waitingOf } from './queue.js';
import { csrf, fragment, handsOff, latest, postJson, replaceLive } from './talk.js';

const main = document.getElementById('main');
const { bench: run } = main.dataset;
const REPORT_MILLIS = 10000;
/** Closing waits no longer for what is on its way. */
const CLOSING_MILLIS = 5000;

/** Fields that a form has for pages without scripts. */
const PLAIN = ['_csrf', 'once'];

const FORMS = 'form[data-entry], form[data-reading], form[data-logger]';

/** What a form writes down: its entry or series, and what it says of itself. */
const purpose = (form) =>
  [form.dataset.url, form.dataset.entry, form.dataset.component, ...hidden(form).map((f) => f.value)].join();

/** Hidden fields that say something of an entry; what only a page without scripts sends is none of them. */
const hidden = (form) => [...form.querySelectorAll('[type=hidden]')].filter((f) => !PLAIN.includes(f.name));

/** Puts another work area in place; a form that both have stays, with what is typed and asked in it. */
function exchange(old, work) {
  const focused = document.activeElement;
  const kept = new Map([...old.querySelectorAll(FORMS)].map((form) => [purpose(form), form]));
  for (const fresh of work.querySelectorAll(FORMS)) {
    const form = kept.get(purpose(fresh));
    if (form) {
      // Another one may be the next thing to do.
      const [button, now] = [form, fresh].map((f) => f.querySelector('[type=submit]'));
      button && now && (button.className = now.className);
      fresh.replaceWith(form);
    }
  }
  old.replaceWith(work);
  if (work.contains(focused)) {
    focused.focus({ preventScroll: true });
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

/** Where the list of steps scrolls by itself, the step that is looked at stands in it; the page stays where a hand left it. */
function showStep() {
  const steps = document.querySelector('.steps');
  const now = steps?.querySelector('[aria-current]');
  if (!now || getComputedStyle(steps).overflowY !== 'auto') {
    return;
  }
  const [list, step] = [steps, now].map((e) => e.getBoundingClientRect());
  steps.scrollTop += Math.max(0, step.bottom - list.bottom) - Math.max(0, list.top - step.top);
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

/** A field of a form, or the one that was drawn in its place meanwhile. */
const nowIn = (form, field) => (field.isConnected ? field : (form.elements[field.name] ?? field));

/** Gives back what was not accepted, unless something else stands there by now. */
function giveBack(form, taken) {
  for (const [was, value] of taken) {
    const field = nowIn(form, was);
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

/** Whether everything that was taken out stands in its fields again. */
const stands = (form, taken) =>
  taken
    .map(([was, value]) => [nowIn(form, was), value])
    .every(([field, value]) => field.isConnected && (field.type === 'checkbox' ? field.checked : field.value) === value);

/** What was written last in a form. */
const newest = new WeakMap();

async function deliver(form, body) {
  newest.set(form, body);
  const { kept, answer: coming } = send(body.key ?? body.readings[0].key, form.dataset.url, body, run);
  // What this browser has no room for stays in its fields until it is sent.
  const taken = kept ? take(form) : [];
  const { status, answer, take: has } = await coming;
  await handsOff();
  if (newest.get(form) !== body) {
    // The form is about what was written after it; what is wrong with this one stands with its reason among what was refused.
    refresh();
    return;
  }
  if (showFaults(form, answer, status)) {
    giveBack(form, taken);
    asked.set(form, body);
    stands(form, taken) && form.isConnected && has();
  } else {
    kept || take(form);
    forgetPhotographs(form);
  }
  refresh();
}

/** The same entry, stood by; one typed anew in between is left alone. */
function stand(form) {
  const body = asked.get(form);
  if ('text' in body) {
    deliverLog(form, { ...body, sure: true });
    return;
  }
  deliver(form, body.readings ? { ...body, sure: true } : { ...body, fields: { ...body.fields, sure: 'yes' } });
}

function sendEntry(form) {
  const fields = Object.fromEntries([...new FormData(form).entries()].filter(([name]) => !PLAIN.includes(name)));
  const { entry: kind, component = '', corrects } = form.dataset;
  deliver(form, { key: newKey(), kind, fields, component, device: navigator.platform, corrects });
}

function sendReading(form) {
  const celsius = form.elements.celsius.value;
  const confirmed = form.elements.confirmed?.checked ?? false;
  deliver(form, { readings: [{ key: newKey(), celsius, confirmed }] });
}

/** What sends a form that a script sends; the others go out as pages. */
const SENDERS = { entry: sendEntry, reading: sendReading, logger: sendLog, series: startSeries, end: endSeries, close: closeRun };

document.addEventListener('submit', (event) => {
  const form = event.target;
  const what = Object.keys(SENDERS).find((name) => name in form.dataset);
  if (what) {
    event.preventDefault();
    SENDERS[what](form);
  }
});

/** Starts a series; a simulated device has its fault and speed beside the button. */
async function startSeries(form) {
  const { component, kind, url } = form.dataset;
  const { simulation, speed } = form.elements;
  await postJson(url, { key: newKey(), component, kind, simulation: simulation?.value ?? null, speed: speed ? Number(speed.value) : null });
  refresh();
}

async function endSeries(form) {
  await postJson(form.dataset.url, {});
  refresh();
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
  await deliverLog(form, { text: file ? await file.text() : form.elements.text.value });
}

/** Sends the lines; a clock that may be off is asked about, with by how much. */
async function deliverLog(form, body) {
  const response = await postJson(form.dataset.url, body);
  const answer = await response.json();
  if (showFaults(form, answer, response.status)) {
    asked.set(form, { ...body, clockOffSeconds: answer.clockOffSeconds ?? body.clockOffSeconds });
  } else {
    form.reset();
    form.querySelector('[data-fault]').textContent = answer.message;
  }
  refresh();
}

document.addEventListener('click', (event) => {
  const button = event.target.closest('button');
  if (!button) {
    return;
  }
  if ('timer' in button.dataset) {
    timeProof(button);
  } else if ('keep' in button.dataset) {
    stand(button.closest('form'));
  } else if ('dismiss' in button.dataset) {
    dismiss(button.dataset.dismiss);
  } else if ('stands' in button.dataset) {
    standBy(button.dataset.stands);
  }
});

/** Why what is written down here is not sent yet, in words. */
function why({ count, others, unkept, state }) {
  const so = `${count} written down here and not sent yet`;
  const room = unkept ? ' This browser has no room to keep them: leave this page open until they are sent.' : '';
  if (state === 'signed-out') {
    return `You are signed out: ${so}. Sign in to send.${room}`;
  }
  if (state === 'another' || others.length > 0) {
    return `Waiting: ${so}. ${others.join(', ') || 'Who wrote it'} must sign in to send what is theirs.${room}`;
  }
  return `Waiting for the workshop: ${so}.${room}`;
}

async function showWaiting() {
  await handsOff();
  const told = document.querySelector('[data-waiting]');
  const now = waiting();
  told.hidden = now.count === 0;
  told.textContent = now.count === 0 ? '' : why(now);
  if (now.count > 0 && now.state === 'signed-out') {
    const link = document.createElement('a');
    link.href = `/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`;
    link.target = '_blank';
    link.rel = 'noopener';
    link.textContent = 'Sign in';
    told.append(' ', link);
  }
  showRefused();
  report();
}

/** In words what somebody typed. */
function inWords(body) {
  const typed = body.readings
    ? body.readings.map((r) => `${r.celsius} °C`)
    : Object.entries(body.fields)
        .filter(([, value]) => value !== '')
        .map(([name, value]) => (name === 'text' ? `\u201c${value}\u201d` : `${name} ${value}`));
  return [body.kind?.toLowerCase().replaceAll('_', ' ') ?? 'reading', ...typed].join(', ');
}

/** What was not accepted stands here with its reason until a hand dismisses it. */
function showRefused() {
  const place = document.querySelector('[data-refused]');
  const items = refused();
  place.hidden = items.length === 0;
  place.replaceChildren(
    ...items.map((item) => {
      const line = document.createElement('span');
      line.className = 'not-accepted';
      line.append(`Not written down: ${inWords(item.body)}. ${item.refused} `);
      for (const [name, words] of [...(item.asked ? [['stands', 'It is so: write it down']] : []), ['dismiss', 'Dismiss']]) {
        const button = document.createElement('button');
        button.type = 'button';
        button.className = 'quiet';
        button.dataset[name] = item.id;
        button.textContent = words;
        line.append(button, ' ');
      }
      return line;
    }),
  );
}

document.addEventListener('zest-queue', showWaiting);

/** This device among those of the workshop. */
function device() {
  try {
    localStorage['zest-device'] ??= newKey();
    return localStorage['zest-device'];
  } catch {
    return newKey();
  }
}

const thisDevice = device();
let reported = '';
let reporting = Promise.resolve();

/** How much waits here and whether the page is being left. */
const standing = (gone) => JSON.stringify({ device: thisDevice, name: navigator.platform, unsent: waitingOf(run), gone });

function sendStanding(body) {
  const headers = { 'Content-Type': 'application/json', 'X-CSRF-TOKEN': csrf, 'X-Requested-With': 'fetch' };
  return fetch(`/bench/${run}/device`, { method: 'POST', keepalive: true, headers, body });
}

/**
 * Tells how much waits here, so that whoever closes the run knows; at most what is new, and now and then that we are still here.
 * One is told after the other: what was told last is what stands.
 * @returns {Promise<void>} when it was told
 */
function report() {
  reporting = reporting
    .then(() => {
      const body = standing(false);
      if (main.dataset.writes && body !== reported) {
        reported = body;
        return sendStanding(body);
      }
    })
    .catch(() => (reported = ''));
  return reporting;
}

setInterval(() => {
  reported = '';
  report();
}, REPORT_MILLIS);
addEventListener('pagehide', () => main.dataset.writes && sendStanding(standing(true)).catch(() => {}));

/** What is on its way comes in, and is told of, before the run is closed; where the workshop does not answer, it says what waits. */
async function closeRun(form) {
  const sent = flush().then(report);
  await Promise.race([sent, new Promise((tired) => setTimeout(tired, CLOSING_MILLIS))]);
  form.submit();
}

/** Follows what anyone writes; a stream that ended with its session is opened again after signing in. */
let events;
function follow() {
  events = new EventSource(`${main.dataset.events}?seen=${main.dataset.seen}`);
  events.addEventListener('change', refresh);
}
follow();
setInterval(() => events.readyState === EventSource.CLOSED && follow(), 5000);

/** A clock that runs goes on without anything being written down. */
setInterval(() => document.querySelector('[data-ticks="true"]') && refresh(), 10000);

photographs(main, () => {});
showAlarm();
flush();
showWaiting();
showStep();
drawCharts();
