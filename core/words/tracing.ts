import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Hypothesis, Sound } from '../trace/hypotheses';
import type { Answer, Ask, Word } from '../trace/infer';
import type { Change } from '../trace/ear';
import type { Notice, Since, Spread } from '../trace/first-answers';
import type { Question, Suspect } from '../trace/view';
import { formatNumber } from '../units/format';
import { CABLE_NAMES, modelName } from './names';

/** Finding a noise, in words: causes, tests, what an answer would mean. */

export const SOUND_TEXTS: Readonly<Record<Sound, string>> = {
  hum: 'a deep hum',
  buzz: 'a buzz',
  whine: 'a whine',
  hiss: 'hiss',
  crackle: 'crackling',
  radio: 'radio'
};
const SPREAD_TEXTS: Readonly<Record<Spread, string>> = {
  'only-this': 'only this one',
  some: 'some others too',
  all: 'all of them'
};
const SINCE_TEXTS: Readonly<Record<Since, string>> = {
  always: 'from the beginning',
  lights: 'since the lights came on',
  plugged: 'since something was plugged in',
  'comes-and-goes': 'it comes and goes'
};
const NOTICE_TEXTS: Readonly<Record<Notice, string>> = {
  nothing: 'nothing anyone noticed',
  touching: 'touching strings or metal',
  turning: 'where the player stands or turns',
  lighting: 'the lights',
  'volume-knob': 'the volume at the instrument',
  'moving-plugs': 'moving a plug or a cable'
};
const CHANGE_TEXTS: Readonly<Record<Change, string>> = {
  gone: 'gone',
  'much-less': 'much less',
  'a-little': 'a little less',
  same: 'the same',
  worse: 'worse'
};

/** A cause as one says it. */
export function causeText(plan: Plan, line: Line, h: Pick<Hypothesis, 'code' | 'of'>): string {
  const device = h.of !== null && plan.devices[h.of] ? modelName(plan.devices[h.of].model) : '';
  const cable =
    h.of !== null && plan.cables[h.of]
      ? `the ${CABLE_NAMES[plan.cables[h.of].kind]}${line.cables.indexOf(h.of) === 0 ? ' at the source' : ''}`
      : '';
  switch (h.code) {
    case 'loop':
      return 'A ground loop: shields and mains earths carry current.';
    case 'touch':
      return `The ${device} touches metal that is earthed somewhere else.`;
    case 'dimmers':
      return `Dimmers on ${plan.supplies[h.of ?? '']?.name ?? 'the supply'} drive current round a ground loop.`;
    case 'pickup':
      return `A magnetic field gets into the ${device}.`;
    case 'transformer':
      return `A magnetic field gets into the transformer of the ${device}.`;
    case 'electric':
      return `Mains wiring couples into the ${device}, which is not shielded or not earthed.`;
    case 'own-supply':
      return `The ${device} makes it itself: its power supply or something inside is bad.`;
    case 'field':
      return `A magnetic field of mains cables or a transformer gets into ${cable}.`;
    case 'faulty-box':
      return `The ${device} is faulty.`;
    case 'none':
      return 'None of these: something not on this list.';
    case 'supply':
      return `The two-pin supply of the ${device} leaks into the signal.`;
    case 'shield':
      return `The shield of ${cable} is broken.`;
    case 'leg':
      return `One leg of ${cable} is broken.`;
    case 'contact':
      return `A contact of ${cable} is corroded or loose.`;
    case 'pin-1':
      return `Pin 1 problem in the ${device}: shield current gets into the signal.`;
    case 'radio':
      return `Radio gets into the ${device}.`;
    case 'low-level':
      return 'The level is too low, and the gain brings up hiss.';
    case 'starved':
      return `The ${device} gets too little phantom.`;
    case 'wrong-input':
      return 'It is in the wrong input, or that input is bad.';
    case 'several':
      return (h.of ?? '')
        .split('+')
        .map((id) => {
          const [code, ...of] = id.split(':');
          return causeText(plan, line, { code: code as Hypothesis['code'], of: of.join(':') || null });
        })
        .join(' And: ');
  }
}

/** What is to be done, in one breath. */
export function askText(ask: Ask): string {
  switch (ask) {
    case 'sound':
      return 'What does it sound like?';
    case 'lines':
      return 'Which lines do it?';
    case 'since':
      return 'Since when?';
    case 'noticed':
      return 'What changes it?';
    case 'volume':
      return 'Turn the volume at the instrument right down.';
    case 'mute-source':
      return 'Turn the output of the source right down, or mute it there.';
    case 'unplug-box':
      return 'Mute. Pull the lead out of the DI. Unmute.';
    case 'clear-metal':
      return 'Lift the DI, the source and all plugs off anything metal.';
    case 'touch':
      return 'Touch the strings or the metal of the instrument.';
    case 'turn':
      return 'Have the player or the instrument turn 90 degrees.';
    case 'short-box':
      return 'Mute. Pull the lead from the DI and put in a shorting plug. Unmute.';
    case 'short-source':
      return 'Mute, phantom off. Unplug the microphone and put a plug with 150 ohms on the end of its cable. Unmute.';
    case 'short-input':
      return 'Mute, phantom off. Pull the plug at the input and put in a shorting plug. Unmute.';
    case 'swap-source':
      return 'Mute. Swap the source for another of the same kind. Unmute.';
    case 'move-lead':
      return 'Move the leads and the long cable a metre away from mains cables and transformers.';
    case 'move-box':
      return 'Move the DI to another spot, a metre from amplifiers and power supplies.';
    case 'phantom-supply':
      return 'Mute, phantom off. Power it from a separate phantom supply in the line. Unmute.';
    case 'closer':
      return 'Go closer or play louder, and turn the gain down to match.';
    case 'swap-lead':
      return 'Mute. Swap the lead at the source. Unmute.';
    case 'swap-run':
      return 'Mute, phantom off. Use another multicore pair or another long cable. Phantom on, unmute.';
    case 'swap-box':
      return 'Mute, phantom off. Swap the DI for another of the same kind. Phantom on, unmute.';
    case 'wiggle':
      return 'Wiggle the plugs in their sockets, one after the other.';
    case 'lift':
      return 'Mute. Flip the ground lift at the DI. Unmute.';
    case 'box-battery':
      return 'Mute, phantom off. Run the DI on its battery. Unmute.';
    case 'phantom-off':
      return 'Mute. Phantom off, wait a few seconds. Unmute.';
    case 'source-battery':
      return 'Mute. Run the source on battery with its power supply unplugged. Unmute.';
    case 'other-supply':
      return 'Mute. Power the source from the desk’s supply. Unmute.';
    case 'dimmers-off':
      return 'Have the dimmers taken right down.';
    case 'known-line':
      return 'Mute, phantom off. Plug a quiet line into this input. Unmute.';
    case 'other-input':
      return 'Mute, phantom off. Move the line to another input. Phantom on, unmute.';
  }
}

/** What is done about a cause, where a test is its cure. */
export function cureOfAsk(ask: Ask): string {
  return askText(ask)
    .replace(/^Mute(, phantom off)?\. /, '')
    .replace(/ (Phantom on, unmute|Unmute)\.$/, '');
}

const minutesText = (minutes: number): string =>
  minutes < 1 ? 'less than a minute' : `${formatNumber(minutes, minutes % 1 ? 1 : 0)} minutes`;

/** Why this test now: what it does under the causes that are likeliest. @param name a cause in words */
export function whyAsk(q: Pick<Question, 'ask' | 'minutes' | 'foreseen'>, name: (s: Suspect) => string): string {
  if (!q.foreseen) return 'It takes no time.';
  const does = (db: number): string =>
    db < -3
      ? `this takes ${formatNumber(-db)}\u202FdB off`
      : db > 3
        ? `this makes it ${formatNumber(db)}\u202FdB louder`
        : 'this changes nothing';
  const told = q.foreseen.map(({ suspect, db }) => `If ${lower(name(suspect))}, ${does(Math.max(db, -60))}.`);
  return `${told.join(' ')} It takes ${minutesText(q.minutes)}.`;
}
const lower = (sentence: string): string => (sentence[0].toLowerCase() + sentence.slice(1)).replace(/\.$/, '');

/** What an answer to a question is called. */
/** An answer as it was given; of a recording, what is in it. */
export function answerText(answer: Answer): string {
  if (answer.ask !== 'sound' || !answer.heard) return wordText(answer.ask, answer.is);
  const parts = (Object.entries(answer.heard) as [Sound, number][])
    .sort(([, a], [, b]) => b - a)
    .map(([sound, share]) => `${SOUND_TEXTS[sound]} ${formatNumber(share * 100)}\u202F%`);
  return parts.length > 1 ? `${parts.join(', ')} of the recording` : wordText(answer.ask, answer.is);
}
export const wordText = (ask: Ask, is: Word): string =>
  ask === 'sound'
    ? SOUND_TEXTS[is as Sound]
    : ask === 'lines'
      ? SPREAD_TEXTS[is as Spread]
      : ask === 'since'
        ? SINCE_TEXTS[is as Since]
        : ask === 'noticed'
          ? NOTICE_TEXTS[is as Notice]
          : (CHANGE_TEXTS[is as Change] ?? is);
