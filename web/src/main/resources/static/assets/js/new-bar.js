/** A new bar: what it can be made in follows its build. */

import { suggest } from './suggest.js';

const form = document.getElementById('new-bar');

function fitting() {
  const bodies = form.querySelector('[name=build]:checked').dataset.bodies.split(' ');
  for (const label of form.querySelectorAll('[data-for]')) {
    label.hidden = !label.dataset.for.split(' ').some((body) => bodies.includes(body));
    const input = label.querySelector('input');
    if (label.hidden && input) {
      input.checked = false;
    }
  }
  const shown = [...form.querySelectorAll('[data-for]:not([hidden]) input')];
  if (shown.length && !shown.some((input) => input.checked)) {
    shown[0].checked = true;
  }
}

form.addEventListener('change', (event) => event.target.name === 'build' && fitting());
suggest(form, () => {});
fitting();
