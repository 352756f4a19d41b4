/** Every pot on a ring: drawn again when anything happens in any run. */

import { fragment, latest, replaceLive } from './talk.js';

const refresh = latest(async () => replaceLive(await fragment('/bench/pots/strips')));

new EventSource('/bench/events').addEventListener('change', refresh);
