/**
 * What hands wrote down and the server has not yet confirmed. Kept in this browser, sent in order, each with a key of its
 * own, so that sending twice counts once.
 */

import { postJson } from './talk.js';

const STORE = 'zest-bench-queue';
const RETRY_MILLIS = 2000;

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

const read = () => JSON.parse(localStorage.getItem(STORE) ?? '[]');
const write = (items) => localStorage.setItem(STORE, JSON.stringify(items));
const settled = new Map();

let sending = false;

/**
 * Adds a message and sends what waits.
 * @param {string} id unique
 * @param {string} url
 * @param {unknown} body
 * @returns {Promise<{status: number, answer: any}>} once the server has answered for good
 */
export function send(id, url, body) {
  write([...read(), { id, url, body }]);
  const answer = new Promise((resolve) => settled.set(id, resolve));
  flush();
  return answer;
}

/** Tells whoever waits for this answer; nobody does after a reload, and then a refusal is told to the page. */
function tell(item, status, answer) {
  const waiter = settled.get(item.id);
  settled.delete(item.id);
  if (waiter) {
    waiter({ status, answer });
  } else if (status >= 400) {
    const message = answer.faults?.map((f) => f.message).join(' ') || answer.message || `Answer ${status}.`;
    document.dispatchEvent(new CustomEvent('zest-refused', { detail: { body: item.body, message } }));
  }
}

/** How many messages wait. */
export const waiting = () => read().length;

/** Tries to send everything that waits. Signed out or without a network it waits on. */
export async function flush() {
  if (sending) {
    return;
  }
  sending = true;
  try {
    for (let first = read()[0]; first; first = read()[0]) {
      const response = await postJson(first.url, first.body);
      if (response.status === 401 || response.status === 403 || response.status >= 500) {
        break;
      }
      write(read().filter((i) => i.id !== first.id));
      const answer = await response.json().catch(() => ({}));
      tell(first, response.status, answer);
    }
  } catch {
    // The network is gone; the next try comes by itself.
  } finally {
    sending = false;
  }
  document.dispatchEvent(new CustomEvent('zest-queue', { detail: waiting() }));
  if (waiting() > 0) {
    setTimeout(flush, RETRY_MILLIS);
  }
}
