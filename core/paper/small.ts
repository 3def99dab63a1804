import { sheets as says } from '../words/sheets';
import { modelOf } from '../gear/catalogue';
import { settingsAt } from '../plan/devices';
import type { Plan } from '../plan/schema';
import { modelName } from '../words/names';
import { linesOf } from './patch';
import type { Group, PaperInput, Row, Sheet } from './types';

/** The small things that stop a show when they are not there: adapters, couplers, batteries, each with the lines that want it. */

interface Small {
  readonly what: string;
  readonly count: number;
  /** Tags of the lines it is for. */
  readonly lines: string[];
}

/** Counts things by their names, in the order in which they first come; a device that two lines share counts once. */
class Tally {
  readonly #by = new Map<string, Small>();
  readonly #seen = new Set<string>();
  add(what: string, tag: string, of: string, count = 1): void {
    const known = this.#by.get(what) ?? { what, count: 0, lines: [] };
    const fresh = !this.#seen.has(of);
    this.#seen.add(of);
    this.#by.set(what, {
      ...known,
      count: known.count + (fresh ? count : 0),
      lines: known.lines.includes(tag) ? known.lines : [...known.lines, tag]
    });
  }
  rows(spare: (count: number) => number): Row[] {
    return [...this.#by.values()].map(({ what, count, lines }) => ({
      key: what,
      cells: ['☐', String(count + spare(count)), what, lines.join(', '), String(spare(count))]
    }));
  }
}

function tallies(plan: Plan): { adapters: Tally; batteries: Tally } {
  const [adapters, batteries] = [new Tally(), new Tally()];
  for (const { line, tag } of linesOf(plan)) {
    for (const id of line.devices) {
      const { model } = plan.devices[id];
      if (modelOf(model).family === 'joint') adapters.add(modelName(model), tag, id);
      const read = settingsAt(plan, id);
      if (read.feed === 'battery') batteries.add(says.batteryOfThe(modelName(model)), tag, id);
    }
    for (const id of line.cables) {
      const { couplers } = plan.cables[id];
      if (couplers) adapters.add(says.coupler, tag, id, couplers);
    }
  }
  return { adapters, batteries };
}

export function smallSheet({ plan }: PaperInput): Sheet {
  const { adapters, batteries } = tallies(plan);
  const groups: Group[] = [
    // One of each kind is lost on the way; a battery is changed before the show and once after.
    { name: says.adaptersAndCouplers, rows: adapters.rows(() => 1) },
    { name: says.batteriesAFreshOneBeforeThe, rows: batteries.rows((count) => count) }
  ];
  return {
    id: 'small',
    title: says.adaptersAndBatteries,
    note: says.sparesAreCountedInOneAdapter,
    columns: [
      { head: '', wide: 6 },
      { head: says.count, wide: 13, align: 'right' },
      { head: says.what, wide: 41 },
      { head: says.forLines, wide: 28 },
      { head: says.spare, wide: 12, align: 'right' }
    ],
    groups: groups.filter((g) => g.rows.length > 0)
  };
}
