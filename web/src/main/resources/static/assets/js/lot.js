/** A new lot: names are suggested. */

import { suggest } from './suggest.js';

suggest(document.getElementById('lot'), () => document.getElementById('grams').focus());
