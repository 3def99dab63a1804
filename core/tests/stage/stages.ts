import { mulberry32 } from '../../judge/tolerance';
import { type Line, traceLines } from '../../plan/lines';
import type { Plan } from '../../plan/schema';
import { blankPlan } from '../../plan/blank';
import { putLine } from '../../plan/put';
import { readTrade } from '../../reader/trade/read';

/** Stages as bands bring them, in words: a few lines on two or three supplies. */

const LINES: readonly string[] = [
  'Guitar: guitar single coil, 6 m, passive DI, 20 m, mic',
  'Cello: piezo, 4 m, active DI 10M, 30 m, mic 48 V',
  'Bass: active bass, 5 m, active DI, 25 m, mic 48 V',
  'Fretless: passive bass, 6 m, passive DI, 30 m, mic',
  'Keys: keyboard, 3 m, passive DI, 30 m, mic',
  'Organ: keyboard earthed, 4 m, passive DI, 40 m, mic',
  'Synth: keyboard earthed, 3 m, active DI, 20 m, mic 48 V',
  'Laptop: laptop, 2 m mini, media DI, 25 m, mic',
  'Acoustic: acoustic preamp, 5 m, active DI, 30 m, mic 48 V',
  'Voice: dynamic mic, 25 m, mic',
  'Singer: condenser mic, 20 m, mic 48 V',
  'Deck: CD player, 3 m rca, consumer in',
  'Console: desk, 30 m, line in'
];
const NAMES = ['stage', 'side', 'house'] as const;

export type Random = () => number;
export const randomOf = (seed: number): Random => mulberry32(seed * 48_271 + 11);
export const among = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)];
/** Evenly over the logarithm. */
export const spread = (low: number, high: number, random: Random): number => low * (high / low) ** random();

export interface Stage {
  readonly plan: Plan;
  readonly lines: readonly Line[];
  /** Each supply's EMF with the first's or against it. */
  readonly signs: Readonly<Record<string, number>>;
}

export function stageAt(random: Random): Stage {
  const said = [...LINES].sort(() => random() - 0.5).slice(0, 2 + Math.floor(random() * 3));
  const plan = blankPlan();
  said.forEach((text, k) => {
    const [spec] = readTrade(text).specs;
    if (!spec) throw new Error(`not read: ${text}`);
    putLine(plan, { ...spec, channel: k + 1 }, (role) => `l${k}-${role}`);
  });
  const names = NAMES.slice(0, random() < 0.6 ? 2 : 3);
  plan.supplies = Object.fromEntries(
    names.map((id) => [
      id,
      { name: id, emf: Number(spread(0.003, 0.06, random).toPrecision(2)), ohm: 0.15, dimmers: false }
    ])
  );
  const last = names[names.length - 1];
  for (const host of Object.values(plan.hosts)) host.supply = last;
  for (const device of Object.values(plan.devices)) if (device.host === undefined) device.supply = among(names, random);
  return { plan, lines: traceLines(plan), signs: Object.fromEntries(names.map((id) => [id, random() < 0.5 ? 1 : -1])) };
}
