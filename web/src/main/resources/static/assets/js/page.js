/**
 * On every page: before a form goes out the server is asked whether its person is still signed in, so that nothing typed is lost
 * when they are not, and whoever signed in elsewhere meanwhile goes on here.
 */

import { hello } from './talk.js';

const me = document.querySelector('meta[name="me"]')?.content;
const TYPED = `zest-typed:${me}:${location.pathname}`;

/** Forms that scripts send by themselves. */
const byScript = (form, submitter) =>
  ['entry', 'reading', 'logger', 'deed'].some((name) => name in form.dataset) || submitter?.hasAttribute('formaction');

const fieldsOf = (form) => [...form.elements].filter((e) => e.name && !['password', 'file', 'submit'].includes(e.type) && e.type !== 'hidden');

/** Says why nothing was sent; what was typed stands where it stood. */
function tell(words, link) {
  document.querySelector('p.signed-out')?.remove();
  const told = document.createElement('p');
  told.className = 'signed-out';
  told.setAttribute('role', 'alert');
  told.append(words);
  if (link) {
    const a = document.createElement('a');
    a.href = `/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`;
    a.textContent = 'Sign in';
    a.addEventListener('click', keepTyped);
    told.append(' ', a, '.');
  }
  document.body.append(told);
}

const out = () => tell('You are signed out. What you typed stays here, and comes back when you have signed in.', true);

/** What stands in the forms of this page, for when it is opened again. */
function keepTyped() {
  const forms = [...document.querySelectorAll('form[method=post]')].map((form) =>
    fieldsOf(form).map((e) => [e.name, e.type === 'checkbox' || e.type === 'radio' ? e.checked : e.value, e.value]));
  sessionStorage.setItem(TYPED, JSON.stringify(forms));
}

function bringBack() {
  const forms = JSON.parse(sessionStorage.getItem(TYPED) ?? 'null');
  sessionStorage.removeItem(TYPED);
  let back = false;
  document.querySelectorAll('form[method=post]').forEach((form, f) => {
    const free = fieldsOf(form);
    for (const [name, value, own] of forms?.[f] ?? []) {
      const at = free.findIndex((e) => e.name === name && (typeof value !== 'boolean' || e.value === own));
      const [field] = at < 0 ? [] : free.splice(at, 1);
      if (!field || field.disabled || field.readOnly) {
        continue;
      }
      const before = typeof value === 'boolean' ? field.checked : field.value;
      if (before !== value) {
        typeof value === 'boolean' ? (field.checked = value) : (field.value = value);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        back = true;
      }
    }
  });
  back && tell('What you typed before you signed in is back.');
}

/** Forms that were asked for and may go. */
const free = new WeakSet();

async function ask(form, submitter) {
  try {
    const { me: now } = await hello();
    if (now !== me) {
      tell('Somebody else is signed in here now. Nothing was sent.', true);
      return;
    }
  } catch (gone) {
    gone.signedOut ? out() : tell('The workshop does not answer. Nothing was sent, and what you typed stays here: try again.');
    return;
  } finally {
    delete form.dataset.asking;
  }
  document.querySelector('p.signed-out')?.remove();
  free.add(form);
  form.requestSubmit(submitter);
}

if (me) {
  document.addEventListener('zest-signed-out', out);
  document.addEventListener(
    'submit',
    (event) => {
      const { target: form, submitter } = event;
      if (form.method !== 'post' || byScript(form, submitter) || free.delete(form)) {
        return;
      }
      event.preventDefault();
      event.stopImmediatePropagation();
      if (!('asking' in form.dataset)) {
        form.dataset.asking = '';
        ask(form, submitter);
      }
    },
    true,
  );
  sessionStorage.getItem(TYPED) && bringBack();
}
