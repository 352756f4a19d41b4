/** Pages that are read and printed. */

import { drawCharts } from './chart.js';

document.querySelector('[data-print]')?.addEventListener('click', () => window.print());
drawCharts();
