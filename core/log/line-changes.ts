// Log: what was done to a show, as facts that can be told: by line, with what it did to the figures. Words are elsewhere.
import type { LineReport } from '../judge/judge';
import type { Severity } from '../judge/types';
import { differing, type Row, same } from '../plan/json';
import type { Line } from '../plan/lines';
import { resolve } from '../plan/resolved';
import type { Cable, Json, LineInfo, Plan } from '../plan/schema';

/** One thing that is otherwise about a line. */
export type LineChange =
  | { readonly code: 'device'; readonly from: string | null; readonly to: string | null }
  | {
      readonly code: 'setting';
      readonly model: string;
      readonly setting: string;
      readonly from: Json;
      readonly to: Json;
    }
  | { readonly code: 'powered'; readonly model: string; readonly from: string | null; readonly to: string | null }
  | { readonly code: 'cable'; readonly from: CableSeen | null; readonly to: CableSeen | null }
  | { readonly code: 'info'; readonly field: keyof LineInfo; readonly from: Json; readonly to: Json };
export type CableSeen = Pick<Cable, 'kind' | 'metres' | 'plugs' | 'couplers' | 'wiring'>;

/** Figures of a line that a change moves, before and after; dB, for the verdict its severity. */
export interface Effect {
  readonly figure: 'bass' | 'treble' | 'hum' | 'snr' | 'gain' | 'headroom';
  readonly from: number;
  readonly to: number;
}
export interface ToldLine {
  readonly id: string;
  readonly name: string;
  /** It is new, or gone; else what is otherwise. */
  readonly is: 'new' | 'gone' | 'changed';
  readonly changes: readonly LineChange[];
  /** What stands in its chain now, or stood before it was gone: models from source to input. */
  readonly models: readonly string[];
  readonly effects: readonly Effect[];
  readonly verdict: { readonly from: Severity | null; readonly to: Severity | null };
}

/** Less than this is no change that anybody would note, dB. */
const WORTH = 1;
/** Where the worse of before and after is better than this, dB, nobody would note a change: hum and hiss nobody hears, headroom that nobody needs. */
const ENOUGH: Partial<Record<Effect['figure'], number>> = { hum: 85, snr: 80, headroom: 12 };
/** Of the figures that moved, so many are told. */
const MOST_EFFECTS = 2;

/**
 * Lines that are otherwise in one plan than in another, in the order of the second.
 * @param reports of each plan, by line; a line without one is told without figures
 */
export function changedLines(
  before: Plan,
  after: Plan,
  reports: { readonly before: ReadonlyMap<string, LineReport>; readonly after: ReadonlyMap<string, LineReport> }
): ToldLine[] {
  const [was, is] = [resolve(before), resolve(after)];
  const gone = was.lines.filter((l) => !is.line(l.id));
  return [...is.lines, ...gone].flatMap((line): ToldLine[] => {
    const [old, now] = [was.line(line.id), is.line(line.id)];
    const plan = now ? after : before;
    const told = {
      id: line.id,
      name: line.info?.name ?? line.id,
      models: line.devices.map((d) => plan.devices[d].model),
      verdict: {
        from: reports.before.get(line.id)?.severity ?? null,
        to: reports.after.get(line.id)?.severity ?? null
      }
    };
    if (!old || !now) return [{ ...told, is: old ? 'gone' : 'new', changes: [], effects: [] }];
    const changes = changesOf(before, old, after, now);
    if (changes.length === 0) return [];
    const effects = effectsOf(reports.before.get(line.id), reports.after.get(line.id));
    return [{ ...told, is: 'changed', changes, effects }];
  });
}

function changesOf(before: Plan, old: Line, after: Plan, now: Line): LineChange[] {
  return [
    ...deviceChanges(before, old, after, now),
    ...cableChanges(before, old, after, now),
    ...infoChanges(old, now)
  ];
}

/** Devices that are gone and devices that came, exchanged in the order of the signal; of those that stayed, how they are set. */
function deviceChanges(before: Plan, old: Line, after: Plan, now: Line): LineChange[] {
  const stayed = now.devices.filter((id) => old.devices.includes(id));
  const out: LineChange[] = exchanged(
    old.devices.filter((id) => !stayed.includes(id)).map((id) => before.devices[id].model),
    now.devices.filter((id) => !stayed.includes(id)).map((id) => after.devices[id].model)
  ).map(([from, to]) => ({ code: 'device', from, to }));
  for (const id of stayed) {
    const [a, b] = [before.devices[id], after.devices[id]];
    if (a === b) continue;
    if (a.model !== b.model) {
      out.push({ code: 'device', from: a.model, to: b.model });
      continue;
    }
    for (const { field: setting, from, to } of differing(a.settings, b.settings))
      out.push({ code: 'setting', model: b.model, setting, from, to });
    const [from, to] = [supplyName(before, a.supply), supplyName(after, b.supply)];
    if (from !== to) out.push({ code: 'powered', model: b.model, from, to });
  }
  return out;
}

const supplyName = (plan: Plan, id: string | undefined): string | null =>
  id === undefined ? null : (plan.supplies[id]?.name ?? null);

function cableChanges(before: Plan, old: Line, after: Plan, now: Line): LineChange[] {
  const seen = ({ kind, metres, plugs, couplers, wiring }: Cable): CableSeen => ({
    kind,
    metres,
    plugs,
    couplers,
    wiring
  });
  const stayed = now.cables.filter((id) => old.cables.includes(id));
  const pairs: [CableSeen | null, CableSeen | null][] = [
    ...stayed.map((id): [CableSeen, CableSeen] => [seen(before.cables[id]), seen(after.cables[id])]),
    ...exchanged(
      old.cables.filter((id) => !stayed.includes(id)).map((id) => seen(before.cables[id])),
      now.cables.filter((id) => !stayed.includes(id)).map((id) => seen(after.cables[id]))
    )
  ];
  return pairs.flatMap(([from, to]): LineChange[] =>
    same(from as unknown as Json, to as unknown as Json) ? [] : [{ code: 'cable', from, to }]
  );
}

/** What went and what came, the first for the first. */
const exchanged = <T>(went: readonly T[], came: readonly T[]): [T | null, T | null][] =>
  Array.from({ length: Math.max(went.length, came.length) }, (_, k) => [went[k] ?? null, came[k] ?? null]);

function infoChanges(old: Line, now: Line): LineChange[] {
  const [a, b] = [old.info, now.info] as unknown as (Row | undefined)[];
  return differing(a, b).map((d) => ({ ...d, code: 'info', field: d.field as keyof LineInfo }));
}

/** Figures that have moved by what one notes; what one hears first, then what one has to set. */
function effectsOf(before: LineReport | undefined, after: LineReport | undefined): Effect[] {
  if (!before || !after) return [];
  const [a, b] = [figuresOf(before), figuresOf(after)];
  return (Object.keys(a) as Effect['figure'][])
    .flatMap((figure): Effect[] => {
      const [from, to] = [a[figure], b[figure]];
      if (from === null || to === null || Math.abs(to - from) < WORTH) return [];
      return Math.min(from, to) > (ENOUGH[figure] ?? Infinity) ? [] : [{ figure, from, to }];
    })
    .slice(0, MOST_EFFECTS);
}

function figuresOf(r: LineReport): Record<Effect['figure'], number | null> {
  // As the finding has it, so that the log and the board say the same; a source that keeps its response has lost nothing.
  const lost = (code: 'bass-loss' | 'treble-loss'): number | null =>
    r.findings.find((f) => f.code === code)?.value ?? (r.findings.some((f) => f.code === 'keeps-response') ? 0 : null);
  return {
    bass: lost('bass-loss'),
    treble: lost('treble-loss'),
    hum: r.hum && r.hum.below,
    snr: r.snr,
    gain: r.gain,
    headroom: r.room
  };
}
