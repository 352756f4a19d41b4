/** Curves of readings. */

import uPlot from '/webjars/uplot/dist/uPlot.esm.js';

const charts = new WeakMap();

const css = (name) => getComputedStyle(document.body).getPropertyValue(name).trim();

const at = (element, name) => (element.dataset[name] ? Number(element.dataset[name]) : null);

/** Stage bands of a pot: name, from and to, as the thermometer shows them. */
const bands = (element) =>
  (element.dataset.bands ?? '')
    .split('|')
    .filter(Boolean)
    .map((band) => band.split(';'))
    .map(([name, from, to]) => ({ name, from: Number(from), to: Number(to) }));

/** Draws stage bands below the curve. */
function drawBands(element) {
  return (plot) => {
    const { ctx, bbox } = plot;
    ctx.save();
    ctx.beginPath();
    ctx.rect(bbox.left, bbox.top, bbox.width, bbox.height);
    ctx.clip();
    ctx.font = `${12 * devicePixelRatio}px "Hyperlegible Next"`;
    ctx.textBaseline = 'top';
    ctx.textAlign = 'left';
    bands(element).forEach(({ name, from, to }, i) => {
      const top = Math.max(bbox.top, plot.valToPos(to, 'y', true));
      const bottom = Math.min(bbox.top + bbox.height, plot.valToPos(from, 'y', true));
      if (bottom <= top) {
        return;
      }
      ctx.fillStyle = css('--hair');
      ctx.globalAlpha = i % 2 ? 0.25 : 0.5;
      ctx.fillRect(bbox.left, top, bbox.width, bottom - top);
      ctx.globalAlpha = 1;
      ctx.fillStyle = css('--soft');
      if (bottom - top > 14 * devicePixelRatio) {
        ctx.fillText(name, bbox.left + 6 * devicePixelRatio, top + 2 * devicePixelRatio);
      }
    });
    ctx.restore();
  };
}

/** Draws level lines: the stop of a cook, the working window of a bowl. */
function levels(element) {
  return (plot) => {
    const { ctx, bbox } = plot;
    ctx.save();
    ctx.setLineDash([6, 4]);
    ctx.strokeStyle = css('--ink');
    for (const level of ['stop', 'low', 'high'].map((name) => at(element, name))) {
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

/** A pot that boils is shown from its first boil to past its stop; one that warms, and a bowl, by all that was read. */
function heights(element, high) {
  const boils = at(element, 'boils');
  const last = [...high].reverse().find((c) => c !== null && c !== undefined) ?? 0;
  const stop = at(element, 'stop');
  return boils !== null && last > boils - 3 ? [boils - 2, Math.max(stop + 4, last + 2)] : null;
}

function range(element) {
  const values = ['stop', 'low', 'high'].map((n) => at(element, n)).filter((n) => n !== null);
  return (plot, low, high) =>
    heights(element, plot.data[1]) ?? [Math.min(low ?? 20, ...values) - 2, Math.max(high ?? 100, ...values) + 3];
}

/** From when on it is shown: a pot that boils from a minute before it came near its boil, and from its last pour. */
function widths(element) {
  return (plot, first, last) => {
    const boils = at(element, 'boils');
    const [minutes, celsius] = plot.data;
    const near = boils === null || heights(element, celsius) === null ? -1 : celsius.findIndex((c) => c !== null && c > boils - 3);
    const start = Math.max(first, at(element, 'from') ?? first, near > 0 ? minutes[near] - 1 : first);
    return [start, Math.max(last, start + 1)];
  };
}

function make(element, data) {
  const axis = { stroke: css('--soft'), grid: { stroke: css('--hair'), width: 1 }, ticks: { show: false }, font: '12px "Hyperlegible Next"' };
  return new uPlot(
    {
      width: element.clientWidth,
      height: element.clientHeight,
      legend: { show: false },
      cursor: { show: false },
      scales: { x: { time: false, range: widths(element) }, y: { range: range(element) } },
      axes: [{ ...axis, values: (u, all) => all.map((m) => `${m} min`) }, { ...axis, size: 44, values: (u, all) => all.map((c) => `${c}°`) }],
      series: [
        {},
        { stroke: css('--ink'), width: 2.5, spanGaps: true, points: { show: false } },
        { stroke: css('--fail'), width: 0, points: { show: true, size: 6, fill: css('--paper') } },
        { stroke: css('--ink'), width: 1.5, dash: [3, 4], spanGaps: true, points: { show: false } },
      ],
      hooks: { drawClear: [drawBands(element)], draw: [levels(element)] },
    },
    data,
    element,
  );
}

/** What a chart has been sent so far: of a pot only what is new comes again. */
function join(known, curve) {
  const from = known ? curve.from : 0;
  return {
    ...curve,
    minutes: from ? known.minutes.slice(0, from).concat(curve.minutes) : curve.minutes,
    celsius: from ? known.celsius.slice(0, from).concat(curve.celsius) : curve.celsius,
    wild: from ? known.wild.filter((i) => i < from).concat(curve.wild) : curve.wild,
  };
}

const sent = new WeakMap();

/** A line without wild readings, these alone, and the way ahead. */
function lines({ minutes, celsius, wild, aheadMinutes, aheadCelsius }) {
  const marked = new Set(wild);
  const later = aheadMinutes.filter((m) => m > minutes[minutes.length - 1]);
  const ahead = aheadCelsius.slice(aheadCelsius.length - later.length);
  const start = aheadCelsius[aheadCelsius.length - later.length - 1] ?? null;
  const none = later.map(() => null);
  return [
    minutes.concat(later),
    celsius.map((c, i) => (marked.has(i) ? null : c)).concat(none),
    celsius.map((c, i) => (marked.has(i) ? c : null)).concat(none),
    celsius.map((c, i) => (i === celsius.length - 1 ? start : null)).concat(ahead),
  ];
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
    } else if (element.isConnected) {
      element.hidden = curve.minutes.length === 0;
    }
    if (!known && element.isConnected && !element.hidden) {
      charts.set(element, make(element, lines(curve)));
    }
  }
}
