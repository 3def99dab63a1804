import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { blankPlan } from '../plan/blank';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/spec';
import { readLine } from '../say/read';
import { addThru, device, onTwoSupplies } from '../tests/plans';
import { parseQuantity } from '../units/parse';
import { sentence } from '../words/findings';
import { judgePlan, type LineReport } from './judge';
import { type Code, rank, type Severity } from './types';

const SUPPLIES = [
  { id: 'stage', name: 'Stage' },
  { id: 'annex', name: 'Annex' }
];
function judged(text: string, change?: (plan: Plan) => void, id = 'in'): LineReport {
  const plan = onTwoSupplies(blankPlan());
  const { spec, faults } = readLine(text, SUPPLIES);
  if (!spec) throw new Error(`${text}: ${JSON.stringify(faults)}`);
  putLine(plan, spec, (role) => role);
  change?.(plan);
  return judgePlan(plan).find((r) => r.id === id)!;
}
const throughY = (plan: Plan): void => {
  plan.devices.mid = { model: 'plain-y', settings: {} };
};

/** What people get wrong, how it is said, what must be found, and the like that is right. */
const MISTAKES: readonly [string, string, Code, Severity, string, ((plan: Plan) => void)?, string?][] = [
  [
    'a box used as a plug adapter',
    'balanced line on Stage, 3 m, passive box, 20 m, mic',
    'box-as-adapter',
    'care',
    'keyboard wall-wart, 3 m, passive box, 20 m, mic'
  ],
  [
    'a guitar into a line jack because it fits',
    'guitar single coil, 3 m, line',
    'treble-loss',
    'stop',
    'guitar single coil, 3 m, instrument input'
  ],
  [
    'matching taken as equal impedances',
    'rca player wall-wart, 2 m, 10 m, mic',
    'equal-impedances',
    'stop',
    'rca player wall-wart, 2 m, rca input'
  ],
  [
    'a long unbalanced run of coupled leads',
    'guitar single coil, 30 m 4 couplers, instrument input',
    'long-unbalanced',
    'stop',
    'guitar single coil, 3 m, instrument input'
  ],
  [
    'the couplers of that run',
    'guitar single coil, 30 m 4 couplers, instrument input',
    'coupled',
    'care',
    'guitar single coil, 30 m, instrument input'
  ],
  [
    'a passive box into a line input',
    'guitar single coil, 3 m, passive box, 20 m, line',
    'too-quiet',
    'stop',
    'guitar single coil, 3 m, passive box, 20 m, mic'
  ],
  [
    'loudspeaker level into an unrated input',
    'valve amp, 3 m, line',
    'speaker-level',
    'danger',
    'valve amp, 3 m, cabinet'
  ],
  [
    'line level into a microphone input',
    'modular rack wall-wart, 3 m, mic',
    'clips',
    'stop',
    'modular rack wall-wart, 3 m, line'
  ],
  [
    'line into phono',
    'rca player wall-wart, 2 m, phono input',
    'line-into-phono',
    'stop',
    'turntable, 1 m, phono input'
  ],
  ['phono into line', 'turntable, 2 m, rca input', 'phono-into-line', 'stop', 'turntable, 1 m, phono input'],
  [
    'a stereo plug in a balanced mono input',
    'laptop, 3 m, mic',
    'stereo-cancels',
    'stop',
    'laptop, 3 m, media box, 9 m, mic'
  ],
  [
    'a plain Y joining left and right',
    'laptop, 1 m, 2 m jack lead, line',
    'outputs-joined',
    'stop',
    'laptop, 1 m, merge box, 2 m jack lead, line',
    throughY
  ],
  ['an aux input with no trim', 'keyboard wall-wart, 3 m, aux', 'no-trim', 'care', 'keyboard wall-wart, 3 m, line'],
  [
    'phantom missing',
    'piezo, 2 m, active box 10m, 20 m, mic, phantom off',
    'phantom-off',
    'stop',
    'piezo, 2 m, active box 10m, 20 m, mic'
  ],
  [
    'phantom insufficient',
    'piezo, 2 m, active box 10m (draw 10 mA), 20 m, mic (phantomMost 4 mA)',
    'phantom-weak',
    'care',
    'piezo, 2 m, active box 10m, 20 m, mic'
  ],
  [
    'phantom with no way home',
    'piezo, 2 m, active box 10m, 20 m mic cable shield open, mic',
    'phantom-weak',
    'stop',
    'piezo, 2 m, active box 10m, 20 m mic cable, mic'
  ],
  [
    'phantom where it harms',
    'keyboard wall-wart, 2 m, 10 m, mic, phantom on',
    'phantom-into-source',
    'stop',
    'dynamic mic, 10 m, mic, phantom on'
  ],
  [
    'phantom on a mis-wired ribbon',
    'ribbon mic, 10 m pin 3 grounded, mic, phantom on',
    'phantom-into-source',
    'danger',
    'ribbon mic, 10 m, mic, phantom on'
  ],
  ['no plug-in power for a capsule', 'clip-on mic, 2 m, line', 'plug-in-missing', 'stop', 'clip-on mic, 2 m, camera'],
  [
    'lift on an un-earthed source',
    'guitar humbucker, 3 m, passive box lifted, 20 m, mic',
    'floats-lifted',
    'care',
    'guitar humbucker, 3 m, passive box, 20 m, mic'
  ],
  [
    'lift expected to cure induced hum',
    'guitar single coil (area 40 m²), 3 m, passive box lifted, 20 m, mic',
    'lift-no-help',
    'note',
    'guitar humbucker, 3 m, passive box lifted, 20 m, mic'
  ],
  [
    'lift on a box that is not isolated',
    'keyboard earthed on Stage, 3 m, active box lifted pad 20, 40 m, mic',
    'lift-leaks',
    'stop',
    'keyboard earthed on Stage, 3 m, passive box lifted pad 20, 40 m, mic'
  ],
  [
    'a thru that joins what the lift parts',
    'keyboard earthed on Stage, 2 m, passive box lifted, 20 m, mic',
    'thru-joins',
    'stop',
    'keyboard earthed on Stage, 2 m, passive box lifted, 20 m, mic',
    ampOnThru,
    'amp'
  ],
  [
    'mains earth removed',
    'keyboard earthed earth removed on Stage, 3 m, line',
    'earth-removed',
    'danger',
    'keyboard earthed on Stage, 3 m, line'
  ],
  [
    'a valve amplifier without its load',
    'valve amp, 1 m, speaker box, 20 m, mic',
    'no-load',
    'danger',
    'valve amp, 1 m, cabinet'
  ],
  [
    'a bridged output into something grounded',
    'power amp bridged, 2 m, speaker box, 20 m, mic',
    'bridged-output',
    'danger',
    'power amp, 2 m, speaker box, 20 m, mic'
  ],
  [
    'an instrument lead at loudspeaker level',
    'valve amp, 3 m jack lead, cabinet',
    'wrong-cable',
    'care',
    'valve amp, 3 m, cabinet'
  ],
  [
    'a low cut above a bass’s fundamental',
    'upright bass piezo, 3 m, active box 10m low cut 120, 20 m, mic',
    'cut-too-high',
    'stop',
    'upright bass piezo, 3 m, active box 10m, 20 m, mic'
  ],
  [
    'a reversed box used to lower a level',
    'balanced line on Stage, 3 m, reversed box, 2 m, line',
    'steps-up',
    'care',
    'balanced line on Stage, 3 m, isolator, 2 m, line'
  ],
  [
    'a preamp’s output sent through a box',
    'interface output, 2 m, active box, 20 m, mic',
    'box-as-adapter',
    'care',
    'interface output, 2 m, line'
  ],
  [
    'half a balanced signal',
    'balanced line (topology transformer) on Stage, 20 m pin 3 open, line',
    'half-balanced',
    'care',
    'balanced line (topology transformer) on Stage, 20 m, line'
  ],
  [
    'hot and cold swapped',
    'balanced line on Stage, 20 m swapped, line',
    'contacts-swapped',
    'note',
    'balanced line on Stage, 20 m, line'
  ],
  [
    '3 V of rail taken for 3 V RMS',
    'laptop (rail 3 V, nominal 3 V), 2 m, media box, 9 m, mic',
    'over-rail',
    'care',
    'laptop (rail 3 V, nominal 0.3 V), 2 m, media box, 9 m, mic'
  ],
  [
    'two strings at once',
    'upright bass piezo (nominal -14 dBu), 2 m, active box 10m, 20 m, mic',
    'double-stops',
    'note',
    'upright bass piezo, 2 m, active box 10m pad 15, 20 m, mic'
  ],
  [
    'a ground loop on an unbalanced joint',
    'rca player earthed on Stage, 12 m, rca input',
    'loop',
    'stop',
    'rca player wall-wart, 2 m, rca input'
  ]
];

/** A mains-fed amp on the box's thru, earthed elsewhere. */
function ampOnThru(plan: Plan): void {
  addThru(plan, device('amp-in'));
  plan.devices.amp.supply = 'annex';
}

describe('what people get wrong', () => {
  it.each(MISTAKES)('%s: “%s” → %s', (_, text, code, severity, right, change, id) => {
    const found = judged(text, change, id).findings.filter((f) => f.code === code);
    const worst = found.sort((a, b) => rank(b.severity) - rank(a.severity))[0];
    expect(
      worst?.severity,
      JSON.stringify(judged(text, change, id).findings.map((f) => `${f.severity} ${f.code}`))
    ).toBe(severity);
    expect(sentence(worst)).not.toMatch(/NaN|undefined/);
    const fine = judged(right).findings.filter((f) => f.code === code && f.severity !== 'clean');
    expect(fine.map(sentence)).toEqual([]);
  });

  it('3 V of rail is read as the largest sine that fits in it', () => {
    const parsed = parseQuantity('level', '3 V rail');
    expect(parsed.ok && parsed.value).toBeCloseTo(3 / (2 * Math.SQRT2), 9);
  });

  it('the table in the documents lists every one of them', () => {
    const table = readFileSync(new URL('../../docs/mistakes.md', import.meta.url), 'utf8').replace(/ +/g, ' ');
    for (const [what, text, code, severity] of MISTAKES)
      expect(table).toContain(`| ${what} | ${text} | \`${code}\` | ${severity} |`);
  });
});
