/**
 * What is typed into a design and not saved stays in this browser, each person's own: a closed tab, a page that was left or a server
 * that is gone loses nothing.
 */

const PAUSE = 400;

const me = document.querySelector('meta[name="me"]')?.content ?? '';
/** Where a design that was new is shown for the first time. */
const FIRST = '#first';
const PREFIX = `unsaved:${me}:`;

const moment = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/**
 * Everything this person typed here and did not save.
 * @returns {{ key: string, action: string, page: string, sent?: string, name: string, when: string }[]}
 */
export function unsaved() {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => ({ key, ...JSON.parse(localStorage.getItem(key)) }))
    .sort((a, b) => b.at - a.at)
    .map(({ key, action, page, sent, fields, at }) => ({ key, action, page, sent, name: new Map(fields).get('name') || 'without a name', when: moment.format(at) }));
}

/**
 * @param {HTMLFormElement} form of a design, with its lock; data-unsaved where it shows what could not be saved
 * @param {(of?: HTMLFormElement) => [string, string][]} fields what stands in it
 */
export function keeping(form, fields) {
  const action = form.getAttribute('action');
  const fresh = action.endsWith('/0');
  const key = PREFIX + action + (fresh ? location.search : '');
  const page = fresh && location.pathname.endsWith('/import') ? action.replace(/0$/, 'new') : location.pathname + location.search;
  const lock = form.elements.lock.value;
  const may = [...form.elements].some((field) => field.name === 'name' && !field.matches(':disabled') && !field.readOnly);
  // As the server sent it: somebody may have begun to write before this script was here.
  const served = form.cloneNode(true);
  served.reset();
  const opened = form.dataset.unsaved ? null : JSON.stringify(fields(served));
  let timer = 0;
  let leaving = false;
  let sent = false;

  /** Keeps what stands in the form, or forgets it where that is what is saved. */
  function note() {
    clearTimeout(timer);
    timer = 0;
    if (!may || leaving || sent) {
      return;
    }
    const typed = fields();
    try {
      if (JSON.stringify(typed) === opened) {
        localStorage.removeItem(key);
      } else {
        localStorage.setItem(key, JSON.stringify({ action, page, lock, at: Date.now(), fields: typed }));
      }
    } catch (full) {
      tell('This browser has no room to keep what you type: save the draft before you leave.', []);
    }
  }

  function forget() {
    leaving = true;
    localStorage.removeItem(key);
    location.assign(fresh ? action.replace(/\/0$/, '/new') : action);
  }

  function tell(words, buttons) {
    const told = document.createElement('p');
    told.className = 'unsaved';
    told.setAttribute('role', 'status');
    told.append(`${words} `);
    for (const [label, press] of buttons) {
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'quiet';
      button.textContent = label;
      button.addEventListener('click', press);
      told.append(button, ' ');
    }
    document.querySelector('p.unsaved')?.remove();
    form.before(told);
  }

  /**
   * Puts back what was typed here before and not saved; where somebody saved meanwhile, the person decides.
   * @param {(typed: [string, string][]) => Promise<void>} put
   */
  async function comeBack(put) {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null');
    if (!may) {
      return;
    }
    if (!kept || form.dataset.unsaved) {
      note();
      return;
    }
    if (kept.sent === kept.lock && Number(lock) > Number(kept.lock)) {
      // It was sent, and the page shows a newer one without a fault: it is saved.
      localStorage.removeItem(key);
      return;
    }
    const when = moment.format(kept.at);
    const leave = [fresh ? 'Begin afresh' : 'Take what is saved', forget];
    if (kept.lock === lock) {
      // Nothing is typed into fields that are about to change.
      form.inert = true;
      await put(kept.fields).finally(() => (form.inert = false));
      tell(`What you typed here until ${when} and did not save is back.`, [leave]);
    } else {
      const back = async () => {
        await put(kept.fields);
        tell(`What you typed until ${when} stands in the fields again.`, [leave]);
      };
      tell(`It was saved since you typed here until ${when}.`, [['Bring back what I typed', back], leave]);
    }
  }

  if (location.hash === FIRST) {
    // What was new a moment ago is saved under its own address now.
    unsaved()
      .filter((one) => one.sent && one.action === action.replace(/[0-9]+$/, '0'))
      .forEach((one) => localStorage.removeItem(one.key));
    history.replaceState(null, '', location.pathname);
  }
  const soon = () => {
    clearTimeout(timer);
    timer = setTimeout(note, PAUSE);
  };
  form.addEventListener('input', soon);
  form.addEventListener('change', soon);
  form.addEventListener('submit', (event) => {
    if (event.submitter?.hasAttribute('formaction')) {
      return;
    }
    note();
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null');
    kept && localStorage.setItem(key, JSON.stringify({ ...kept, sent: kept.lock }));
    // What is still on its way into the fields must not overwrite that it was sent.
    sent = true;
    setTimeout(() => (sent = !event.defaultPrevented));
  });
  addEventListener('pageshow', (event) => event.persisted && (sent = false));
  addEventListener('pagehide', () => timer && note());
  return { note, comeBack };
}
