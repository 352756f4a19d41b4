/** Talking to the server: the CSRF token, and one request at a time where the last position wins. */

export let csrf = document.querySelector('meta[name="csrf"]')?.content ?? '';

/** Tells the page that its session has ended. */
export const signedOut = () => document.dispatchEvent(new CustomEvent('zest-signed-out'));

/**
 * Asks who is signed in now, takes over what requests must carry then, and puts it into every form of the page.
 * @returns {Promise<{ me: string, millis: number, took: number }>} the server's clock, and how long the answer took
 * @throws {Error & { signedOut: boolean }} where nobody is, or nothing answers
 */
export async function hello() {
  const before = performance.now();
  const response = await fetch('/hello', { headers: { 'X-Requested-With': 'fetch' } });
  if (!response.ok) {
    throw Object.assign(new Error(String(response.status)), { signedOut: response.status === 401 });
  }
  const said = await response.json();
  csrf = said.csrf;
  document.getElementsByName('_csrf').forEach((field) => (field.value = csrf));
  return { me: said.me, millis: said.millis, took: performance.now() - before };
}

/**
 * Posts JSON.
 * @param {string} url
 * @param {unknown} body
 * @returns {Promise<Response>}
 */
export function postJson(url, body) {
  return fetch(url, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-CSRF-TOKEN': csrf, 'X-Requested-With': 'fetch' },
    body: JSON.stringify(body),
  });
}

/** So long after it was let go, a press has become a click. */
const CLICK_MILLIS = 100;
/** Nobody presses longer; the page goes on even if letting go was not heard of. */
const PRESS_MILLIS = 5000;
let press = Promise.resolve();
let release = () => {};

document.addEventListener(
  'pointerdown',
  ({ target }) => {
    if (target.closest('button, a, summary, label, [type=checkbox], [type=radio]')) {
      // Whoever waited for another finger waits for this one.
      release();
      press = new Promise((free) => (release = free));
      setTimeout(release, PRESS_MILLIS);
    }
  },
  true,
);
['pointerup', 'pointercancel'].forEach((type) => document.addEventListener(type, () => setTimeout(release, CLICK_MILLIS), true));

/**
 * Waits while a hand presses something, and while it presses again. What moves or is drawn anew between press and release is
 * not pressed; whatever changes the page unasked waits for this first.
 */
export async function handsOff() {
  let last;
  do {
    last = press;
    await last;
  } while (last !== press);
}

/**
 * Fetches a page's fragment, and waits until it may be put in.
 * @param {string} url
 * @param {FormData} [form] posted if given
 * @returns {Promise<DocumentFragment>}
 */
export async function fragment(url, form) {
  const headers = { 'X-Requested-With': 'fetch', 'X-CSRF-TOKEN': csrf };
  const body = form && new URLSearchParams(/** @type {any} */ (form));
  const response = await fetch(url, { method: form ? 'POST' : 'GET', headers, body });
  if (response.status === 401) {
    signedOut();
  }
  if (!response.ok) {
    throw Object.assign(new Error(`${response.status} for ${url}`), { signedOut: response.status === 401 });
  }
  const template = document.createElement('template');
  template.innerHTML = await response.text();
  await handsOff();
  return template.content;
}

/**
 * Wraps an asynchronous task so that one runs at a time and, however often it is asked for meanwhile, once more after it.
 * @param {() => Promise<void>} task
 * @returns {() => void}
 */
export function latest(task) {
  let running = false;
  let again = false;
  return async function ask() {
    if (running) {
      again = true;
      return;
    }
    running = true;
    do {
      again = false;
      try {
        await task();
      } catch (error) {
        console.warn(error);
      }
    } while (again);
    running = false;
  };
}

/**
 * Puts the live parts of a fragment in the place of those of the page; what was unfolded stays unfolded, and what a hand is
 * on keeps its value.
 * @param {DocumentFragment} from
 */
export function replaceLive(from) {
  const open = new Set([...document.querySelectorAll('[data-live] details[open][data-why]')].map((d) => d.dataset.why));
  for (const fresh of from.querySelectorAll('[data-live]')) {
    for (const old of document.querySelectorAll(`[data-live="${fresh.dataset.live}"]`)) {
      if (old.isEqualNode(fresh) && !old.querySelector('input, textarea')) {
        // Nothing to draw anew or to empty; a button that is replaced while a hand is on it is not pressed.
        continue;
      }
      const copy = fresh.cloneNode(true);
      copy.querySelectorAll('details[data-why]').forEach((d) => (d.open ||= open.has(d.dataset.why)));
      const held = old.contains(document.activeElement) ? document.activeElement : null;
      old.replaceWith(copy);
      hold(held, copy);
    }
  }
}

/** What a hand is on keeps its value, the focus and what is selected when the part around it is drawn anew. */
function hold(held, copy) {
  const again = held?.name && [...copy.querySelectorAll('input, select, textarea')].find((e) => e.name === held.name);
  if (again) {
    again.value = held.value;
    again.focus({ preventScroll: true });
    if (held.selectionStart !== null && held.selectionStart !== undefined) {
      again.setSelectionRange(held.selectionStart, held.selectionEnd);
    }
  }
}
