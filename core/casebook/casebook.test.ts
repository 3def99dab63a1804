import { resolve } from '../plan/resolved';
import { readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { remediesFor } from '../advise/remedies';
import { judgeLine, judgePlan, type LineReport } from '../judge/judge';
import { type Check, CODES, type Finding, rank } from '../judge/types';
import { applyEdit } from '../plan/edit';
import { parseQuantity } from '../units/parse';
import { sentence } from '../words/findings';
import { remedyText } from '../words/remedies';
import { type Case, lineOf, planOf } from './cases';
import { MISTAKES } from './mistakes';
import { SCENARIOS } from './scenarios';

/** The check that is taken out for the time being. */
const mutation = vi.hoisted(() => ({ without: null as string | null }));
vi.mock('../judge/connector', async (original) => without(await original(), 'connector', 'checkConnector'));
vi.mock('../judge/balance', async (original) => without(await original(), 'balance', 'checkBalance'));
vi.mock('../judge/level', async (original) => without(await original(), 'level', 'checkLevel'));
vi.mock('../judge/impedance', async (original) => without(await original(), 'impedance', 'checkImpedance'));
vi.mock('../judge/ground', async (original) => without(await original(), 'ground', 'checkGround'));
function without(module: object, check: Check, name: string): object {
  const run = (module as Record<string, (...args: unknown[]) => Finding[]>)[name];
  return { ...module, [name]: (...args: unknown[]) => (mutation.without === check ? [] : run(...args)) };
}

const judged = (of: Case): LineReport => judgePlan(planOf(of)).find((r) => r.id === lineOf(of))!;
const worstOf = ({ findings }: LineReport, code: string): Finding | undefined =>
  findings.filter((f) => f.code === code).sort((a, b) => rank(b.severity) - rank(a.severity))[0];
/** Whether a case yields what it must. */
function holds(of: Case): boolean {
  const found = worstOf(judged(of), of.finds.code);
  if (found?.severity !== of.finds.severity) return false;
  return Math.abs(found.value - of.finds.value) <= Math.max(Math.abs(of.finds.value) * 0.005, 0.005);
}
const plain = (text: string): string => text.replaceAll('\u202F', ' ');
const ALL: readonly (readonly [string, Case])[] = [...MISTAKES, ...SCENARIOS].map((c) => [c.id, c]);

describe('the casebook', () => {
  it('has one id each', () => expect(new Set(ALL.map(([id]) => id)).size).toBe(ALL.length));

  it.each(ALL)('%s: found, at its number', (_, of) => {
    const report = judged(of);
    const found = worstOf(report, of.finds.code);
    expect(found?.severity, report.findings.map((f) => `${f.severity} ${f.code}`).join()).toBe(of.finds.severity);
    expect(holds(of), `${found!.value} for ${of.finds.value}`).toBe(true);
    expect(sentence(found!)).not.toMatch(/NaN|undefined/);
  });

  it.each(ALL)('%s: its best remedy', (_, of) => {
    const plan = planOf(of);
    const line = resolve(plan).line(lineOf(of))!;
    const [best] = remediesFor(plan, line);
    expect(best ? plain(remedyText(best.what)) : null).toBe(of.remedy);
    if (!best) return;
    const applied = applyEdit(plan, { ops: [...best.ops] });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    const after = judgeLine(applied.plan, resolve(applied.plan).line(line.id)!);
    expect(after.severity).toBe(best.severityAfter);
    expect(JSON.stringify(best.ops)).not.toContain('earth');
  });

  it.each(MISTAKES.map((m) => [m.id, m] as const))('%s: done right, it is not found', (_, { right, finds }) => {
    const report = judgePlan(planOf({ says: right })).find((r) => r.id === 'in')!;
    expect(report.findings.filter((f) => f.code === finds.code && f.severity !== 'clean').map(sentence)).toEqual([]);
  });

  it.each(ALL)('%s: fails when its check is taken out, and only then', (_, of) => {
    const check = CODES[of.finds.code];
    for (const taken of ['connector', 'balance', 'level', 'impedance', 'ground'] as const) {
      mutation.without = taken;
      try {
        expect([taken, holds(of)]).toEqual([taken, taken !== check]);
      } finally {
        mutation.without = null;
      }
    }
  });

  it('3 V of rail is read as the largest sine that fits in it', () => {
    const parsed = parseQuantity('level', '3 V rail');
    expect(parsed.ok && parsed.value).toBeCloseTo(3 / (2 * Math.SQRT2), 9);
  });

  it('the table in the documents lists every mistake', () => {
    const table = readFileSync(new URL('../../docs/mistakes.md', import.meta.url), 'utf8').replace(/ +/g, ' ');
    for (const { what, says, also = [], finds } of MISTAKES)
      expect(table).toContain(`| ${what} | ${[says, ...also].join('; ')} | \`${finds.code}\` | ${finds.severity} |`);
  });
});
