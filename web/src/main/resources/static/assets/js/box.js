/** A box's page: rows grow, weights follow what is counted. */

import { growing, recompute } from './recompute.js';

const form = document.getElementById('box');
document.querySelectorAll('table[data-rows]').forEach(growing);
recompute(form);
