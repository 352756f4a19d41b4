/** Tells hands that are not at the pot how long it has, in the ways that this device was asked to. */

const KEPT = 'zest-alarm';
const USUAL = { one: true, off: true, sound: true, flash: true };
/** Minutes before the stop at which each choice speaks up. */
const LEADS = { three: 3, one: 1, off: 0 };

const told = new Map();

function chosen() {
  try {
    return JSON.parse(localStorage.getItem(KEPT)) ?? USUAL;
  } catch {
    return USUAL;
  }
}

/** Shows what is chosen, and keeps what is chosen anew. */
export function showAlarm() {
  const boxes = document.querySelector('[data-alarm]');
  if (!boxes) {
    return;
  }
  const now = chosen();
  boxes.querySelectorAll('input').forEach((box) => (box.checked = Boolean(now[box.name])));
  boxes.onchange = () => {
    const choice = Object.fromEntries([...boxes.querySelectorAll('input')].map((box) => [box.name, box.checked]));
    localStorage.setItem(KEPT, JSON.stringify(choice));
  };
}

function beep(times) {
  const context = new AudioContext();
  for (let i = 0; i < times; i += 1) {
    const tone = context.createOscillator();
    const loud = context.createGain();
    tone.frequency.value = 880;
    loud.gain.value = 0.2;
    tone.connect(loud).connect(context.destination);
    tone.start(context.currentTime + 0.35 * i);
    tone.stop(context.currentTime + 0.35 * i + 0.2);
  }
}

function flash() {
  document.body.classList.add('flash');
  setTimeout(() => document.body.classList.remove('flash'), 2400);
}

/** The lead that is reached: the last one, so that a pot that races past one is not told of it late. */
function reached(pot) {
  if (pot.dataset.past === 'true') {
    return 'off';
  }
  const minutes = Number(pot.dataset.minutes ?? Infinity);
  return Object.keys(LEADS).filter((lead) => lead !== 'off' && minutes <= LEADS[lead]).pop();
}

const words = (lead, name, pours) =>
  lead === 'off' ? (pours ? `${name}: pour in ${pours} now` : `Take ${name} off the heat now`) : `${name}: ${LEADS[lead]} ${LEADS[lead] === 1 ? 'minute' : 'minutes'} left`;

/** Speaks up once for each lead of each cook, and of each pour into it. */
export function tell() {
  const pot = document.querySelector('.instrument.pot');
  if (pot?.dataset.running !== 'true') {
    return;
  }
  const lead = reached(pot);
  const choice = chosen();
  const due = `${pot.dataset.series} ${pot.dataset.pours ?? ''}`;
  const before = told.get(due);
  if (!lead || (before !== undefined && LEADS[before] <= LEADS[lead])) {
    return;
  }
  told.set(due, lead);
  if (!choice[lead]) {
    return;
  }
  if (choice.sound) {
    beep(lead === 'off' ? 5 : 2);
  }
  if (choice.flash) {
    flash();
  }
  if (choice.shake) {
    navigator.vibrate?.(lead === 'off' ? [400, 200, 400, 200, 400] : [300]);
  }
  if (choice.speak && 'speechSynthesis' in window) {
    speechSynthesis.speak(new SpeechSynthesisUtterance(words(lead, pot.dataset.name, pot.dataset.pours)));
  }
}
