/** Buttons that act on a form without leaving its page; nothing is saved by them, and every change can be undone. */

import { keeping } from './keeping.js';
import { drawnAgain } from './recompute.js';
import { fragment, replaceLive } from './talk.js';

const MOST_STEPS = 100;

/**
 * @param {HTMLFormElement} form with data-act
 * @param {{ drawn?: (answer: DocumentFragment) => void, leaveOut?: string[] }} [how] drawn: called when the page was drawn again
 */
export function acting(form, how = {}) {
  const undoButton = document.getElementById('undo');
  const redoButton = document.getElementById('redo');
  const out = ['_csrf', 'once', 'act', ...(how.leaveOut ?? [])];
  /** What stood in the form, as fields in order; the last one is what stands there now. */
  const past = [fields()];
  const future = [];
  const unsaved = keeping(form, fields);
  /** The act under way: the next one is of the page that it leaves, and waits for it. */
  let under = Promise.resolve();

  function fields(of = form) {
    return [...new FormData(of)].filter(([name]) => !out.includes(name));
  }

  /** Remembers the form as it stands, if it changed. */
  function remember() {
    const now = fields();
    if (JSON.stringify(now) !== JSON.stringify(past[past.length - 1])) {
      past.push(now);
      past.splice(0, Math.max(0, past.length - MOST_STEPS));
      future.length = 0;
    }
    show();
  }

  function show() {
    if (undoButton) {
      undoButton.parentElement.hidden = false;
      undoButton.disabled = past.length < 2;
      redoButton.disabled = future.length === 0;
    }
  }

  /** Posts an act and gives the page that comes back. */
  function posted(name, what) {
    const body = new FormData();
    what.forEach(([field, value]) => body.append(field, value));
    body.set('act', name);
    return fragment(form.dataset.act, body);
  }

  /**
   * Posts fields with an act and puts the page that comes back in the place of this one, field by field.
   * @param {string} name
   * @param {[string, string][]} [what] the form's own fields where absent
   */
  function act(name, what) {
    const done = under.then(() => acted(name, what));
    under = done.catch(() => {});
    return done;
  }

  async function acted(name, what) {
    const focused = document.activeElement?.name;
    const sent = what ?? fields();
    const before = new Map(fields());
    const answer = await posted(name, sent);
    // What was typed while the answer was on its way is put back afterwards.
    const typed = what ? [] : fields().filter(([field, value]) => before.get(field) !== value);
    drawnAgain();
    replaceLive(answer);
    for (const fresh of answer.querySelectorAll(`#${form.id} [name]`)) {
      const here = [...form.elements].find((e) => e.name === fresh.name && (fresh.type !== 'radio' || e.value === fresh.value));
      if (!here || here.type === 'file' || fresh.name === 'act' || fresh.name === 'lock' || fresh.name === 'once' || fresh.name === '_csrf') {
        continue;
      }
      if (fresh.type === 'checkbox' || fresh.type === 'radio') {
        here.checked = fresh.checked;
      } else {
        here.value = fresh.value;
      }
    }
    for (const [field, value] of typed) {
      const here = [...form.elements].find((e) => e.name === field && e.type !== 'checkbox' && e.type !== 'radio');
      here && (here.value = value);
    }
    for (const told of answer.querySelectorAll('.fault[id]')) {
      const here = document.getElementById(told.id);
      here && (here.textContent = told.textContent);
    }
    const again = focused && focused !== 'act' && [...form.elements].find((e) => e.name === focused && e.type !== 'hidden');
    again && again.focus();
    how.drawn?.(answer);
    unsaved.note();
  }

  async function undo() {
    remember();
    if (past.length > 1) {
      future.push(past.pop());
      await act('redraw', past[past.length - 1]);
      show();
    }
  }

  async function redo() {
    if (future.length) {
      past.push(future.pop());
      await act('redraw', past[past.length - 1]);
      show();
    }
  }

  /** Presses the button of the row that the hand is in. */
  const press = (event, act) => {
    const button = event.target.closest?.('tr[data-row]')?.querySelector(`button[value^="${act}:"]`);
    if (button) {
      event.preventDefault();
      button.click();
    }
  };

  form.addEventListener('keydown', async (event) => {
    const command = event.ctrlKey || event.metaKey;
    if (event.altKey && event.key === 'ArrowUp') {
      press(event, 'up');
    } else if (event.altKey && event.key === 'Delete') {
      press(event, 'drop');
    } else if (command && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      await (event.shiftKey ? redo() : undo());
    } else if (command && event.key.toLowerCase() === 'y') {
      event.preventDefault();
      await redo();
    }
  });
  undoButton?.addEventListener('click', undo);
  redoButton?.addEventListener('click', redo);
  show();
  unsaved.comeBack((typed) => act('redraw', typed).then(remember)).catch(console.warn);
  return { act, posted, fields, remember, press };
}
