/** On a list: what this person typed into one of its designs on this device and did not save. */

import { unsaved } from './keeping.js';

for (const place of document.querySelectorAll('[data-not-saved]')) {
  const mine = unsaved().filter(({ action }) => action.startsWith(place.dataset.notSaved));
  for (const { page, name, when } of mine) {
    const line = document.createElement('p');
    line.className = 'unsaved';
    const link = document.createElement('a');
    link.href = page;
    link.textContent = name;
    line.append('Typed here and not saved: ', link, `, ${when}`);
    place.append(line);
  }
}
