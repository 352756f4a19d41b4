/** Curves of readings. */

import uPlot from '/webjars/uplot/dist/uPlot.esm.js';

const charts = new WeakMap();

const css = (name) => getComputedStyle(document.body).getPropertyValue(name).trim();

/** Draws level lines: the stop of a cook, the working window of a bowl. */
function levels(element) {
  const at = (name) => (element.dataset[name] ? Number(element.dataset[name]) : null);
  return (plot) => {
    const { ctx, bbox } = plot;
    ctx.save();
    ctx.setLineDash([6, 4]);
    ctx.strokeStyle = css('--ink');
    for (const level of [at('stop'), at('low'), at('high')]) {
      const y = level === null ? -1 : plot.valToPos(level, 'y', true);
      if (y >= bbox.top && y <= bbox.top + bbox.height) {
        ctx.beginPath();
        ctx.moveTo(bbox.left, y);
        ctx.lineTo(bbox.left + bbox.width, y);
        ctx.stroke();
      }
    }
    ctx.restore();
  };
}

function make(element, data) {
  const levelValues = ['stop', 'low', 'high'].map((n) => Number(element.dataset[n])).filter((n) => n > 0);
  const axis = { stroke: css('--soft'), grid: { stroke: css('--hair'), width: 1 }, ticks: { show: false }, font: '12px "Hyperlegible Next"' };
  return new uPlot(
    {
      width: element.clientWidth,
      height: element.clientHeight,
      legend: { show: false },
      cursor: { show: false },
      scales: {
        x: { time: false },
        y: { range: (u, low, high) => [Math.min(low ?? 20, ...levelValues) - 2, Math.max(high ?? 100, ...levelValues) + 3] },
      },
      axes: [{ ...axis, values: (u, all) => all.map((m) => `${m} min`) }, { ...axis, size: 44, values: (u, all) => all.map((c) => `${c}°`) }],
      series: [
        {},
        { stroke: css('--ink'), width: 2, spanGaps: true, points: { show: false } },
        { stroke: css('--soft'), width: 0, points: { show: true, size: 6 } },
      ],
      hooks: { draw: [levels(element)] },
    },
    data,
    element,
  );
}

/** What a chart has been sent so far: of a pot only what is new comes again. */
function join(known, curve) {
  if (!known || curve.from === 0) {
    return { edition: curve.edition, minutes: curve.minutes, celsius: curve.celsius, wild: curve.wild };
  }
  return {
    edition: curve.edition,
    minutes: known.minutes.slice(0, curve.from).concat(curve.minutes),
    celsius: known.celsius.slice(0, curve.from).concat(curve.celsius),
    wild: known.wild.filter((i) => i < curve.from).concat(curve.wild),
  };
}

const sent = new WeakMap();

/** A line without wild readings, and these alone. */
function lines({ minutes, celsius, wild }) {
  const marked = new Set(wild);
  return [minutes, celsius.map((c, i) => (marked.has(i) ? null : c)), celsius.map((c, i) => (marked.has(i) ? c : null))];
}

/** Draws or brings up to date every chart on the page. */
export async function drawCharts() {
  for (const element of document.querySelectorAll('[data-chart]')) {
    const before = sent.get(element);
    const query = before ? `?edition=${before.edition}&from=${before.minutes.length}` : '';
    const response = await fetch(element.dataset.url + query, { headers: { 'X-Requested-With': 'fetch' } });
    if (!response.ok) {
      continue;
    }
    const curve = join(before, await response.json());
    sent.set(element, curve);
    const known = charts.get(element);
    if (known) {
      known.setData(lines(curve));
    } else if (element.isConnected && curve.minutes.length > 0) {
      charts.set(element, make(element, lines(curve)));
    }
  }
}
