import { sheets as says } from '../words/sheets';
import { resolve } from '../plan/resolved';
import { partOfItem, partsByLine, usedOf } from '../advise/stock';
import { type Kit, type KitItem, unitOf } from '../kit/schema';
import { failsOften } from '../kit/units';
import { beforePacking } from '../words/kit-life';
import { partName } from '../words/routes';
import { type Group, grouped, type PaperInput, type Row, type Sheet } from './types';

/** What goes into which case, with spares, to be ticked off. */

/** One spare for so many of a kind in use, or part of so many. */
const LEADS_A_SPARE = 8;

interface Packed {
  readonly key: string;
  readonly case: string;
  readonly what: string;
  readonly name: string;
  /** What is to be known before it is packed; empty where nothing is. */
  readonly mind: string;
  readonly use: number;
  readonly spare: number;
}

const calledOf = (item: KitItem): string => [unitOf(item)?.label, item.name].filter(Boolean).join(' ');

/** What to pack from a kit: what the plan takes while most is on, and spares of what is left. */
function packed(kit: Kit, used: ReadonlyMap<string, number>): Packed[] {
  const works = Object.entries(kit).filter(([, item]) => item.condition === 'works');
  const inUse = new Map<string, number>();
  /** Things in use that fail often: each wants another beside it. */
  const shaky = new Map<string, number>();
  for (const [id, item] of works) {
    const { what } = partOfItem(item);
    inUse.set(what, (inUse.get(what) ?? 0) + (used.get(id) ?? 0));
    if (failsOften(item) && (used.get(id) ?? 0) > 0) shaky.set(what, (shaky.get(what) ?? 0) + 1);
  }
  const wanted = new Map(
    [...inUse].map(([what, n]) => [
      what,
      n === 0
        ? 0
        : what === 'battery'
          ? n
          : Math.max(what.startsWith('lead:') ? Math.ceil(n / LEADS_A_SPARE) : 1, shaky.get(what) ?? 0)
    ])
  );
  // The longest of what is left serves in place of any.
  return works
    .sort(([, a], [, b]) => partOfItem(b).metres - partOfItem(a).metres)
    .map(([id, item]) => {
      const part = partOfItem(item);
      const use = used.get(id) ?? 0;
      const spare = Math.min(item.count - use, wanted.get(part.what) ?? 0);
      wanted.set(part.what, (wanted.get(part.what) ?? 0) - spare);
      return {
        key: id,
        case: item.place || says.noCaseGiven,
        what: partName(part),
        name: calledOf(item),
        mind: beforePacking(item) ?? '',
        use,
        spare
      };
    })
    .filter((p) => p.use + p.spare > 0);
}

const COLUMNS = [
  { head: '', wide: 6 },
  { head: says.count, wide: 13, align: 'right' },
  { head: says.what, wide: 45 },
  { head: says.called, wide: 22 },
  { head: says.spare, wide: 14, align: 'right' }
] as const;
const BOX = '☐';

export function packingSheet({ plan, kit }: PaperInput): Sheet {
  const base = { id: 'packing', title: says.packing, columns: COLUMNS } as const;
  if (!kit) return { ...base, note: says.noKitIsSetEverythingThe, groups: [anything(plan)] };
  const { used, short } = usedOf(plan, kit);
  const groups = grouped(
    packed(kit, used).sort((a, b) => (a.case < b.case ? -1 : a.case > b.case ? 1 : a.what < b.what ? -1 : 1)),
    (p) => p.case,
    ({ key, what, name, mind, use, spare }): Row => ({
      key,
      cells: [BOX, String(use + spare), what, [name, mind].filter(Boolean).join(', '), spare > 0 ? String(spare) : '']
    })
  );
  const missing: Group = {
    name: says.toBeHadFromElsewhere,
    rows: short.map(({ part, count }) => ({
      key: `${part.what} ${part.metres}`,
      cells: [BOX, String(count), partName(part), '', '']
    }))
  };
  return {
    ...base,
    note: says.sparesAreCountedInOneBox,
    groups: missing.rows.length > 0 ? [missing, ...groups] : groups
  };
}

/** All parts of a plan, counted. */
function anything(plan: PaperInput['plan']): Group {
  const counts = new Map<string, number>();
  for (const part of partsByLine(plan, resolve(plan).lines).flatMap((l) => l.parts)) {
    const name = partName(part);
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return {
    name: says.allOfIt,
    rows: [...counts]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([what, count]) => ({ key: what, cells: [BOX, String(count), what, '', ''] }))
  };
}
