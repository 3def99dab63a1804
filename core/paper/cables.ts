import { sheets as says } from '../words/sheets';
import { modelAt } from '../plan/devices';
import { leadKey, Stock } from '../advise/stock';

import { branchOf } from '../plan/branch';
import type { Line } from '../plan/lines';
import type { Cable, Plan } from '../plan/schema';
import { formatQuantity } from '../units/format';
import { CABLE_NAMES, modelShort } from '../words/names';
import { nameOf, plugsText } from '../words/paper';
import { linesOf } from './patch';
import { grouped, type PaperInput, type Sheet } from './types';

/** Every cable of a show, with a name of its own, and what it is taken from. */
export interface Pull {
  readonly cable: string;
  /** `7A`: the line's tag and a letter along the line. */
  readonly name: string;
  readonly line: Line;
  readonly spec: Cable;
  /** What is taken for each piece of it, metres: the shortest that reaches; null for a piece that there is none for. Empty where anything can be had. */
  readonly from: readonly (number | null)[];
}

const LETTERS = 'ABCDEFGH';
/** Shorter than this a cable is a device's own tail, metres. */
const TAIL = 0.5;

/** Cables of all lines, longest needs served first. The house's multicore is not taken from a kit. */
export function pullsOf({ plan, kit }: Pick<PaperInput, 'plan' | 'kit'>): Pull[] {
  const seen = new Set<string>();
  const list = linesOf(plan).flatMap(({ line, tag }) => {
    const from = branchOf(plan, line)?.at ?? 0;
    return line.cables.slice(from).flatMap((cable, k) => {
      if (seen.has(cable) || plan.cables[cable].metres < TAIL) return [];
      seen.add(cable);
      return [{ cable, name: `${tag}${LETTERS[k] ?? k}`, line, spec: plan.cables[cable] }];
    });
  });
  const stock = new Stock(kit);
  const left = new Map<string, number[]>();
  const taken = new Map<string, (number | null)[]>();
  const needs = list
    .filter(({ spec }) => kit && spec.kind !== 'multicore')
    .flatMap(({ cable, spec }) => {
      const pieces = (spec.couplers ?? 0) + 1;
      return Array.from({ length: pieces }, () => ({
        cable,
        what: leadKey(spec.kind, spec.plugs),
        metres: spec.metres / pieces
      }));
    })
    .sort((a, b) => b.metres - a.metres);
  for (const { cable, what, metres } of needs) {
    const there = left.get(what) ?? [...stock.lengths(what)].sort((a, b) => a - b);
    left.set(what, there);
    const at = there.findIndex((length) => length >= metres - 1e-9);
    taken.set(cable, [...(taken.get(cable) ?? []), at < 0 ? null : there.splice(at, 1)[0]]);
  }
  return list.map((pull) => ({ ...pull, from: taken.get(pull.cable) ?? [] }));
}

/** What a piece is taken from, in words. */
const fromText = (from: Pull['from'], kind: Cable['kind'], anything: boolean): string =>
  kind === 'multicore'
    ? says.theHouse
    : anything
      ? 'any'
      : from.map((m) => (m === null ? says.noneLeft : formatQuantity('length', m))).join(' + ');

const endText = (plan: Plan, { device }: Cable['from']): string => modelShort(plan.devices[device].model);

export function cablesSheet(input: PaperInput): Sheet {
  const { plan, kit } = input;
  const pulls = pullsOf(input);
  const kindOf = ({ spec }: Pull): string => `${CABLE_NAMES[spec.kind]}, ${plugsText(spec.plugs)}`;
  return {
    id: 'cables',
    title: says.cables,
    note: says.eachCableHasItsNameOn,
    columns: [
      { head: says.cable, wide: 9 },
      { head: says.line, wide: 25 },
      { head: says.between, wide: 34 },
      { head: says.needed, wide: 14, align: 'right' },
      { head: 'from', wide: 18, align: 'right' }
    ],
    groups: grouped(
      [...pulls].sort((a, b) =>
        kindOf(a) < kindOf(b) ? -1 : kindOf(a) > kindOf(b) ? 1 : b.spec.metres - a.spec.metres
      ),
      kindOf,
      ({ cable, name, line, spec, from }) => ({
        key: cable,
        cells: [
          name,
          nameOf(line),
          `${endText(plan, spec.from)} → ${endText(plan, spec.to)}`,
          formatQuantity('length', spec.metres),
          fromText(from, spec.kind, kit === null)
        ]
      })
    ).map((g) => {
      const total = pulls.filter((p) => kindOf(p) === g.name).reduce((sum, p) => sum + p.spec.metres, 0);
      const name = g.name[0].toUpperCase() + g.name.slice(1);
      return { ...g, name: says.inAll(name, g.rows.length, formatQuantity('length', total)) };
    })
  };
}

/** What is stuck on one end of a cable, or on a box. */
export interface Label {
  readonly key: string;
  /** Cable's name, or the box's line. */
  readonly tag: string;
  readonly line: string;
  readonly lineId: string;
  /** Where this end goes; what the box is. */
  readonly at: string;
}

/** Two labels for every cable, near end first, and one for every box. */
export function labelsOf(input: Pick<PaperInput, 'plan' | 'kit'>): Label[] {
  const { plan } = input;
  const cables = pullsOf(input).flatMap(({ cable, name, line, spec }) =>
    (['from', 'to'] as const).map((side): Label => ({
      key: `${cable}.${side}`,
      tag: name,
      line: nameOf(line),
      lineId: line.id,
      at: `${side === 'from' ? says.outOf : 'into'} ${endText(plan, spec[side])}`
    }))
  );
  const seen = new Set<string>();
  const boxes = linesOf(plan).flatMap(({ line, tag }) =>
    line.devices.flatMap((id): Label[] => {
      if (modelAt(plan, id).family !== 'box' || seen.has(id)) return [];
      seen.add(id);
      return [{ key: id, tag, line: nameOf(line), lineId: line.id, at: modelShort(plan.devices[id].model) }];
    })
  );
  return [...cables, ...boxes];
}
