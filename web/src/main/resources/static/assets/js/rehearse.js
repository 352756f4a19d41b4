/** A rehearsal: what hands do goes to its pots at once, and what its pots show comes every second. */

import { fragment, latest, replaceLive } from './talk.js';

const main = document.getElementById('main');

const refresh = latest(async () => replaceLive(await fragment(main.dataset.rehearsal)));

document.addEventListener('submit', async (event) => {
  if (!('deed' in event.target.dataset)) {
    return;
  }
  event.preventDefault();
  const form = new FormData(event.target, event.submitter);
  await fragment(event.target.action, form);
  refresh();
});

setInterval(() => document.querySelector('[data-over="true"]') || refresh(), 1000);
