/** Names that begin with what is typed, below the field; arrows choose, Enter takes, Escape leaves. */

import { fragment, latest } from './talk.js';

const list = document.createElement('ul');
list.className = 'suggestions';
list.id = 'suggestions';
list.setAttribute('role', 'listbox');
list.hidden = true;
document.body.append(list);

let field = null;
let chosen = -1;
let taken = () => {};

/** @param {HTMLElement} root whose fields with data-suggest are served @param {(field: HTMLInputElement) => void} onTaken */
export function suggest(root, onTaken) {
  taken = onTaken;
  root.addEventListener('input', (event) => {
    if (event.target.matches('[data-suggest]')) {
      field = event.target;
      ask();
    }
  });
  root.addEventListener('keydown', (event) => event.target.matches('[data-suggest]') && key(event));
  root.addEventListener('focusout', () => setTimeout(() => document.activeElement !== field && close(), 120));
}

const ask = latest(async () => {
  const asked = field;
  if (!asked || asked.value.trim().length < 2) {
    close();
    return;
  }
  const answer = await fragment(`/store-room/search?q=${encodeURIComponent(asked.value.trim())}`);
  if (document.activeElement !== asked) {
    return;
  }
  const found = [...answer.querySelectorAll('li')].map((li) => li.dataset.slug).join();
  if (!list.hidden && found === list.dataset.found) {
    return;
  }
  list.dataset.found = found;
  list.replaceChildren(...answer.querySelectorAll('li'));
  chosen = -1;
  [...list.children].forEach((option, n) => {
    option.id = `suggestion-${n}`;
    option.addEventListener('pointerdown', (event) => {
      event.preventDefault();
      take(option);
    });
  });
  if (!list.children.length) {
    close();
    return;
  }
  const box = asked.getBoundingClientRect();
  list.style.left = `${box.left + window.scrollX}px`;
  list.style.top = `${box.bottom + window.scrollY}px`;
  list.style.minWidth = `${box.width}px`;
  list.hidden = false;
  asked.setAttribute('aria-expanded', 'true');
  asked.setAttribute('aria-controls', list.id);
});

function key(event) {
  if (list.hidden) {
    return;
  }
  const options = [...list.children];
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault();
    mark((chosen + (event.key === 'ArrowDown' ? 1 : -1) + options.length) % options.length);
  } else if ((event.key === 'Enter' || event.key === 'Tab') && chosen >= 0) {
    event.preventDefault();
    take(options[chosen]);
  } else if (event.key === 'Escape') {
    close();
  }
}

function mark(n) {
  chosen = n;
  [...list.children].forEach((option, i) => option.setAttribute('aria-selected', String(i === n)));
  field.setAttribute('aria-activedescendant', `suggestion-${n}`);
  list.children[n].scrollIntoView({ block: 'nearest' });
}

function take(option) {
  const into = field;
  into.value = option.dataset.name;
  const slug = document.getElementsByName(into.name.replace(/ingredient$/, 'slug'))[0];
  if (slug) {
    slug.value = option.dataset.slug;
  }
  close();
  taken(into);
}

function close() {
  list.hidden = true;
  chosen = -1;
  field?.setAttribute('aria-expanded', 'false');
  field?.removeAttribute('aria-activedescendant');
}
