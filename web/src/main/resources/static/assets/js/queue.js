/**
 * What hands wrote down and the server has not yet confirmed. Kept in this browser, each under a key of its own, so that
 * several tabs share it safely and sending twice counts once. It belongs to who wrote it, and is sent while they are signed in.
 * What the server does not accept stays, with its reason, until a hand dismisses it.
 */

import { hello, postJson } from './talk.js';

const PREFIX = 'zest-written:';
const TAB_PREFIX = 'zest-tab:';
const RETRY_MILLIS = 2000;
/** A tab that was not heard of for so long is gone; what it had not sent another one sends. */
const TAB_GONE_MILLIS = 15000;
/** What is on its way for less time is not told to wait. */
const ON_ITS_WAY_MILLIS = 1000;
/** Answers that refuse nothing: too slow, too many at once, not to be reached now. What was sent stays and is sent again. */
const LATER = [408, 425, 429, 503];
/** Clocks that differ by less are the same clock. */
const SAME_CLOCK_MILLIS = 5000;

const me = document.querySelector('meta[name="me"]')?.content ?? '';
const tab = newKey();
const settled = new Map();
/** What this browser has no room for; gone with the page, which says so. */
const unkept = new Map();

/** What is being sent now. */
let sending = null;
let number = 0;
/** The server's clock at a moment of this page's own steady one; null until it was heard. */
let heard = null;
let state = '';

/** A random key; older or unencrypted pages lack the short way. */
export function newKey() {
  if (crypto.randomUUID) {
    return crypto.randomUUID();
  }
  const b = crypto.getRandomValues(new Uint8Array(16));
  b[6] = (b[6] & 0x0f) | 0x40;
  b[8] = (b[8] & 0x3f) | 0x80;
  const hex = [...b].map((x) => x.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** Everything that is written down here, oldest first; what cannot be read is left where it is. */
function all() {
  const kept = [];
  for (const name of Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))) {
    try {
      kept.push(JSON.parse(localStorage.getItem(name)));
    } catch {
      console.warn(`${name} cannot be read`);
    }
  }
  return [...kept, ...unkept.values()].sort((a, b) => a.wall - b.wall || a.number - b.number);
}

/** @returns {boolean} whether the browser has room for it; else it lasts as long as the page */
function keep(item) {
  try {
    localStorage.setItem(PREFIX + item.id, JSON.stringify(item));
    unkept.delete(item.id);
    return true;
  } catch {
    unkept.set(item.id, item);
    return false;
  }
}

function drop(id) {
  unkept.delete(id);
  localStorage.removeItem(PREFIX + id);
}

const waits = (item) => !item.refused;

/** Whether it is worth telling that something waits: not for what just set out. */
const isLate = (item) => state || unkept.has(item.id) || Math.abs(Date.now() - item.wall) >= ON_ITS_WAY_MILLIS;

/** How much waits to be sent: all, what others wrote, whether this browser had no room for some, and why it waits. */
export function waiting() {
  const items = all().filter((item) => waits(item) && isLate(item));
  return {
    count: items.length,
    others: [...new Set(items.filter((i) => i.by !== me).map((i) => i.by))],
    unkept: unkept.size,
    state,
  };
}

/** How much of a run waits on this device. */
export const waitingOf = (run) => all().filter((i) => i.run === run && waits(i)).length;

/** What the server did not accept and no hand has dismissed. */
export const refused = () => all().filter((item) => item.refused && item.by === me);

export function dismiss(id) {
  drop(id);
  changed();
}

/** Sends what was asked about once more, with the word that it is so. */
export function standBy(id) {
  const item = all().find((i) => i.id === id);
  const body = item.body.readings ? { ...item.body, sure: true } : { ...item.body, fields: { ...item.body.fields, sure: 'yes' } };
  keep({ ...item, body, refused: undefined });
  flush();
}

function changed() {
  document.dispatchEvent(new CustomEvent('zest-queue'));
}

/**
 * Adds a message and sends what waits.
 * @param {string} id unique
 * @param {string} url
 * @param {{ readings?: { at?: string }[], at?: string, fields?: object }} body without its time
 * @param {string} run
 * @returns {{ kept: boolean, answer: Promise<{ status: number, answer: any, take: () => void }> }} kept: whether it may be taken out of
 *     its form; take: the form has what was not accepted, so it need not stand here
 */
export function send(id, url, body, run) {
  number += 1;
  const steady = heard && heard.millis + performance.now() - heard.at;
  const item = { id, url, body, run, by: me, tab, number, wall: Date.now(), ahead: heard?.ahead, steady };
  const kept = keep(item);
  const answer = new Promise((resolve) => settled.set(id, resolve));
  changed();
  setTimeout(changed, ON_ITS_WAY_MILLIS);
  flush();
  return { kept, answer };
}

/** When it was written by the server's clock. A clock that was set in between is seen by what the page itself counted. */
function moment(item, ahead) {
  const jumped = item.steady && Math.abs(ahead - item.ahead) > SAME_CLOCK_MILLIS;
  return new Date(jumped ? item.steady : item.wall + ahead).toISOString();
}

/** The message with its time; it is kept with it, so that sent again it is the same. */
function timed(item, ahead) {
  if (item.body.at || item.body.readings?.[0].at) {
    return item;
  }
  const at = moment(item, ahead);
  const body = item.body.readings ? { ...item.body, readings: item.body.readings.map((r) => ({ ...r, at })) } : { ...item.body, at };
  const whole = { ...item, body: { ...body, by: item.by } };
  keep(whole);
  return whole;
}

const isMine = (item) => item.tab === tab || Date.now() - Number(localStorage.getItem(TAB_PREFIX + item.tab) ?? 0) > TAB_GONE_MILLIS;

/** What came of it: sent, refused for good, or to be tried again; one that fails does not hold the others back. */
function conclude(item, status, answer) {
  if (answer.outcome === 'anothers' || status >= 500) {
    return;
  }
  if (status < 400) {
    drop(item.id);
  } else {
    const message = answer.faults?.map((f) => f.message).join(' ') || answer.message || `The workshop answered ${status}.`;
    keep({ ...item, refused: message, asked: answer.outcome === 'question' });
  }
  const waiter = settled.get(item.id);
  settled.delete(item.id);
  waiter?.({ status, answer, take: () => dismiss(item.id) });
}

/**
 * Tries to send everything that waits. Signed out or without a network it waits on.
 * @returns {Promise<void>} when it was tried
 */
export function flush() {
  sending ??= sendAll().finally(afterwards);
  return sending;
}

function afterwards() {
  sending = null;
  changed();
  if (all().some(waits)) {
    setTimeout(flush, RETRY_MILLIS);
  }
}

async function sendAll() {
  try {
    const mine = () => all().filter((i) => waits(i) && i.by === me && isMine(i));
    if (mine().length > 0) {
      await greet();
      const tried = new Set();
      for (let next = mine()[0]; next; next = mine().find((i) => !tried.has(i.id))) {
        tried.add(next.id);
        const response = await postJson(next.url, timed(next, heard.ahead).body);
        if (response.status === 401) {
          state = 'signed-out';
          break;
        }
        if (LATER.includes(response.status)) {
          state = 'away';
          break;
        }
        conclude(all().find((i) => i.id === next.id) ?? next, response.status, await response.json().catch(() => ({})));
      }
    }
  } catch (gone) {
    state = gone.signedOut ? 'signed-out' : 'away';
  }
}

/** Asks who is signed in and what time it is there. */
async function greet() {
  const { me: now, millis, took } = await hello();
  const at = performance.now();
  heard = { millis: millis + took / 2, at, ahead: millis + took / 2 - Date.now() };
  state = now === me ? '' : 'another';
  if (state) {
    throw new Error('somebody else is signed in');
  }
}

const alive = () => {
  try {
    localStorage.setItem(TAB_PREFIX + tab, String(Date.now()));
    Object.keys(localStorage)
      .filter((key) => key.startsWith(TAB_PREFIX) && Date.now() - Number(localStorage.getItem(key)) > 4 * TAB_GONE_MILLIS)
      .forEach((key) => localStorage.removeItem(key));
  } catch {
    // No room: then another tab may send what this one keeps, which counts once all the same.
  }
};

alive();
setInterval(alive, RETRY_MILLIS);
addEventListener('pagehide', () => localStorage.removeItem(TAB_PREFIX + tab));
addEventListener('pageshow', (event) => event.persisted && alive());
addEventListener('storage', (event) => event.key?.startsWith(PREFIX) && changed());
greet().catch(() => {});
