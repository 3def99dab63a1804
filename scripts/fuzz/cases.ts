import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { readSheet } from 'read-excel-file/universal';
import { judgePlan } from '../../core/judge/judge';
import { mulberry32 } from '../../core/judge/tolerance';
import { itemsOf, rowsOf } from '../../core/kit/csv';
import { modelOf } from '../../core/gear/catalogue';
import { loadPlan } from '../../core/plan/load';
import type { Plan } from '../../core/plan/schema';
import { readTyped } from '../../core/reader/read';
import { readList } from '../../core/reader/trade/list';
import { readTrade } from '../../core/reader/trade/read';
import { readWav, writeWav } from '../../core/sound/wav';
import { PHRASES } from '../../core/tests/phrases/phrases';
import { show } from '../../core/tests/plans';
import { PLAIN } from '../../core/kit/schema';
import { EVIL as SENT, placesOf } from '../attack/mutants.mjs';
import { unsealed } from '../lib/sealed.mjs';

/** Cases of a fuzz run: the same number is the same case. Each tells whether it was taken or refused, or what was wrong. */

export type Outcome = 'taken' | 'refused' | (string & {});
type Random = () => number;
const some = <T>(of: readonly T[], next: Random): T => of[Math.floor(next() * of.length)];

/** What breaks plans sent over the network, and numbers that are written otherwise or are none. */
const EVIL: readonly unknown[] = [...SENT, NaN, Infinity, '1e2', '１２'];
const PLAN = show(
  ...[
    'Cello: cello piezo, 3 m, active DI, 20 m multicore, mic 7',
    'Keys: keyboard, 3 m, passive DI, 6 m multicore, mic 2',
    'Voice: dynamic mic, 30 m, mic 3',
    'Bass: bass guitar single coil, 5 m, active DI 10m, 20 m, mic 4',
    'Tape: rca player, 4 m, rca input, ch 6'
  ].map((text): [string] => [text])
);

function mutant(document: unknown, next: Random): unknown {
  const copy = structuredClone(document);
  for (let n = 1 + Math.floor(next() * 3); n > 0; n--) {
    const places = placesOf(copy);
    const [holder, key] = some(places, next);
    const kind = next();
    if (kind < 0.2) delete holder[key];
    else if (kind < 0.4) {
      const [from, at] = some(places, next);
      holder[key] = structuredClone(from[at]);
    } else if (kind < 0.6 && typeof holder[key] === 'number')
      holder[key] = (holder[key] as number) * 10 ** (next() * 12 - 6);
    else holder[key] = some(EVIL, next);
  }
  return copy;
}
/** The same with some of its numbers, and numbers of its gear, far larger or smaller: what the schema lets through must be judged. */
function stretched(document: Plan, next: Random): unknown {
  const copy = structuredClone(document);
  for (const device of Object.values(copy.devices))
    for (const [param, spec] of Object.entries(modelOf(device.model).params))
      if (next() < 0.15)
        device.settings = { ...device.settings, [param]: spec.low + (spec.high - spec.low) * next() ** 6 };
  const numbers = placesOf(copy).filter(([holder, key]) => typeof holder[key] === 'number' && key !== 'version');
  for (let n = Math.floor(next() * 4); n > 0; n--) {
    const [holder, key] = some(numbers, next);
    holder[key] = (holder[key] as number) * 10 ** (next() * 4 - 2);
  }
  return copy;
}
/** Text with letters changed, doubled, left out, or something foreign in it. */
function garbled(text: string, next: Random, times = 1 + Math.floor(next() * 6)): string {
  let out = text;
  for (let n = 0; n < times; n++) {
    const at = Math.floor(next() * (out.length + 1));
    const kind = next();
    const put =
      kind < 0.2
        ? ''
        : kind < 0.5
          ? some(['\t', '\n', ',', '"', ';', '/', ':', '\u0000', '🎻', '٣', '(', '0', '-', 'Ω', '→'], next)
          : kind < 0.8
            ? String.fromCharCode(97 + Math.floor(next() * 26))
            : String(
                some(
                  EVIL.filter((e) => typeof e === 'string' || typeof e === 'number'),
                  next
                )
              ).slice(0, 300);
    out = out.slice(0, at) + put + out.slice(at + Math.floor(next() * 3));
  }
  return out.slice(0, 20_000);
}
function brokenBytes(bytes: Uint8Array, next: Random): Uint8Array<ArrayBuffer> {
  const out = Uint8Array.from(bytes);
  for (let n = 1 + Math.floor(next() * 8); n > 0; n--)
    out[Math.floor(next() * Math.min(out.length, next() < 0.5 ? 64 : out.length))] = Math.floor(next() * 256);
  return next() < 0.3 ? out.slice(0, Math.floor(next() * out.length)) : out;
}

const TONE = writeWav(
  Float32Array.from({ length: 4800 }, (_, n) => 0.3 * Math.sin(n / 9)),
  48_000
);
const phrases = (next: Random, count: number): string[] => Array.from({ length: count }, () => some(PHRASES, next)[0]);

/** What a case is made of. */
export function caseOf(kind: string, n: number): Random {
  const seed = [...kind].reduce((sum, c) => sum * 31 + c.charCodeAt(0), 7) + n * 7919;
  return mulberry32(seed);
}

/** Numbers that nobody could read are nonsense, wherever they stand; a level of nothing and what never clips are not. */
function nonsenseIn(node: unknown, path = ''): string | null {
  if (typeof node === 'number') return Number.isNaN(node) ? `NaN at ${path}` : null;
  if (!node || typeof node !== 'object' || ArrayBuffer.isView(node)) return null;
  for (const [key, value] of Object.entries(node)) {
    const found = nonsenseIn(value, `${path}.${key}`);
    if (found) return found;
  }
  return null;
}

export const CASES: Readonly<Record<string, (next: Random) => Outcome | Promise<Outcome>>> = {
  plan(next) {
    const loaded = loadPlan(next() < 0.5 ? mutant(PLAN, next) : stretched(PLAN, next));
    if (!loaded.ok) return loaded.faults.length > 0 ? 'refused' : 'refused without a reason';
    return nonsenseIn(judgePlan(loaded.plan)) ?? 'taken';
  },
  phrase(next) {
    const text = garbled(some(PHRASES, next)[0], next);
    const typed = readTyped(text, { supplies: [] }, readTrade);
    if (typed.specs.some((s) => s.name.trim() === '')) return `a line without a name of ${JSON.stringify(text)}`;
    const metres = typed.specs.flatMap((s) => [s.lead, s.run]).some((c) => c && !(c.metres >= 0 && c.metres < 1e5));
    if (metres) return `a length that is none of ${JSON.stringify(text)}`;
    return typed.specs.length > 0 ? 'taken' : 'refused';
  },
  list(next) {
    const rows = phrases(next, 3 + Math.floor(next() * 20)).map(
      (t, k) => `${k + 1}${some(['\t', '. ', ' ', ';'], next)}${t}`
    );
    const text = garbled(rows.join('\n'), next, 12);
    const { rows: read, unread } = readList(text);
    // Every row with a channel is there, read or not.
    const wanted = text.split(/\r\n?|\n/).filter((r) => /^\s*\d{1,3}[\t.;]\s*\p{L}{3}/u.test(r)).length;
    if (read.length + unread.length < wanted / 2) return `${wanted} rows came to ${read.length} and ${unread.length}`;
    return read.length > 0 ? 'taken' : 'refused';
  },
  table(next) {
    const item = { ...PLAIN, kind: 'device' as const, model: 'active-di', count: 2 };
    const csv = garbled(Papa.unparse(rowsOf([item as never, item as never])), next);
    const { items, faults } = itemsOf(Papa.parse<string[]>(csv, { skipEmptyLines: true }).data);
    const wrong = items.find((i) => !Number.isInteger(i.count) || i.count < 1 || i.count > 1e6);
    if (wrong) return `a count of ${wrong.count}`;
    return faults.length > 0 ? 'refused' : 'taken';
  },
  async workbook(next) {
    // A zip archive that is none, or is cut short.
    const bytes = brokenBytes(
      Uint8Array.from([0x50, 0x4b, 3, 4, ...Array.from({ length: 400 }, () => Math.floor(next() * 256))]),
      next
    );
    const rows = await readSheet(new Blob([bytes])).catch(() => null);
    return rows ? 'taken' : 'refused';
  },
  recording(next) {
    const bytes = brokenBytes(new Uint8Array(TONE), next);
    const read = readWav(bytes.buffer);
    if (!read.ok) return 'refused';
    const { samples, rate } = read.wav;
    if (!(rate >= 1000 && rate <= 1_000_000)) return `a rate of ${rate}`;
    return samples.every(Number.isFinite) ? 'taken' : 'samples that are no numbers';
  },
  async backup(next) {
    const folder = mkdtempSync(join(tmpdir(), 'fuzz-'));
    const file = join(folder, 'x');
    const inner = Buffer.from(Array.from({ length: 2000 }, () => Math.floor(next() * 256)));
    const whole = Buffer.concat([
      Buffer.from(`guanxi-backup 1 sha256 ${createHash('sha256').update(inner).digest('hex')}\n`),
      inner
    ]);
    const broken = brokenBytes(whole, next);
    writeFileSync(file, broken);
    try {
      await unsealed(file, () => Promise.resolve());
      // What was written over by the same byte is what it was.
      return Buffer.from(broken).equals(whole) ? 'taken' : 'a damaged backup was taken';
    } catch {
      return 'refused';
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
};
