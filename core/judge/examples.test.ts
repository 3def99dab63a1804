import { expect, it } from 'vitest';
import { planOf } from '../casebook/cases';
import { MISTAKES } from '../casebook/mistakes';
import { SCENARIOS } from '../casebook/scenarios';
import { blankPlan } from '../plan/blank';
import { putLines } from '../plan/put';
import type { Plan } from '../plan/schema';
import { readTyped } from '../reader/read';
import { readTrade } from '../reader/trade/read';
import { judgePlan } from './judge';
import { CODES, type Finding } from './types';

/** Everything that the judge can find, figure for figure, in the casebook and in the lines below: what changes in the file is read before it is taken. */

/** Of what the casebook has none or too few of. */
const MORE: readonly string[] = [
  'laptop stereo out, 3 m jack lead, passive DI, 20 m XLR, mic input 1\nkeyboard, passive DI, 20 m XLR, mic input 1',
  'ribbon mic, 20 m XLR, mic input, phantom on',
  'condenser mic, 20 m XLR, line input',
  'acoustic guitar with preamp, 3 m, active DI, passive isolator, 20 m XLR, mic input phantom on',
  'acoustic guitar with preamp, 3 m, active DI on battery, its battery low, 20 m XLR, mic input',
  'balanced line output, 20 m XLR with pin 3 open, line input',
  'keyboard, 3 m, passive DI, 20 m XLR pin 3 open, mic input',
  'wired lavalier, 10 m XLR, mic input, phantom off',
  'wired lavalier, 10 m XLR, mic input, phantom on',
  'piezo with no preamp, 6 m jack lead, line input',
  'single-coil guitar, 15 m jack lead, passive DI, 50 m XLR, mic input',
  'interface line out, 5 m, reamp box, 5 m, guitar amp',
  'turntable, 2 m, line input',
  'CD player, 5 m RCA, phono input',
  'valve head speaker out, DI, 20 m XLR, mic input',
  'dynamic mic, 20 m XLR, line input',
  'dynamic mic, 300 m XLR, mic input',
  'bass, 10 m, active DI, 100 m XLR, line input',
  'mixer out, 30 m jack lead, powered speaker',
  'piezo, 2 m, active DI 10m (draw 10 mA, capacity 50 mAh) on battery, 20 m, mic',
  'balanced line output, 5 m XLR, down converter, 5 m RCA, up converter, 5 m XLR, line input',
  'balanced line output, 5 m XLR, passive DI, 10 m XLR, reversed DI, 5 m jack, line input',
  'laptop headphone out, 3.5 mm to 2 RCA 3 m, stereo DI, 30 m XLR, mic input'
];

function planOfTrade(text: string): Plan {
  const plan = blankPlan();
  text.split('\n').forEach((said, n) => {
    const { specs } = readTyped(said, {}, readTrade);
    putLines(plan, specs, (k) => (role) => `${role}-${n}-${k}`);
  });
  return plan;
}

/** As many examples of one code at one severity as are told. */
const ENOUGH = 3;
const exact = (value: number | string): string =>
  typeof value === 'number' ? String(Number(value.toPrecision(4))) : value;
const told = (f: Finding): string =>
  [
    `  ${f.code} at ${f.at}, ${f.check}: ${f.severity}, ${exact(f.value)} ${f.unit}`,
    ...(f.limit === null ? [] : [`limit ${exact(f.limit)}`]),
    ...(f.school ? [f.school] : []),
    ...f.because.map((fact) => `${fact.name} ${exact(fact.value)} ${fact.kind}`)
  ].join(' | ');

/** Judged within each test, so that whoever plants faults sees which test looks at what. */
const judged = () => plans.map(([says, plan]) => [says, judgePlan(plan).flatMap((r) => r.findings)] as const);
const plans = [
  ...[...MISTAKES, ...SCENARIOS].map((c) => [[c.says, ...(c.also ?? [])].join(' + '), planOf(c)] as const),
  ...MISTAKES.map(({ right }) => [right, planOf({ says: right, phantomMost: 0.04 })] as const),
  ...MORE.map((says) => [says.replace('\n', ' + '), planOfTrade(says)] as const)
];

it('is what was read and taken last', () => {
  const seen = new Map<string, number>();
  const isNew = ({ code, severity }: Finding): boolean => {
    const count = seen.get(`${code} ${severity}`) ?? 0;
    seen.set(`${code} ${severity}`, count + 1);
    return count < ENOUGH;
  };
  const text = judged().map(([says, findings]) => [says, ...findings.filter(isNew).map(told)]);
  return expect(
    `${text
      .filter((part) => part.length > 1)
      .map((part) => part.join('\n'))
      .join('\n\n')}\n`
  ).toMatchFileSnapshot('examples.txt');
});

it('has an example of everything that can be found but of what only a broken plan has', () => {
  const all = judged();
  expect(
    Object.keys(CODES).filter((code) => !all.some(([, findings]) => findings.some((f) => f.code === code)))
  ).toEqual(['hum-unknown', 'unfinished', 'unsolvable']);
});
