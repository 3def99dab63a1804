import { judgePlan } from '$core/judge/judge';
import { labelsOf } from '$core/paper/cables';
import { cardsOf } from '$core/paper/patch';
import { sheetOf } from '$core/paper/sheets';
import { type PaperInput, SHEET_IDS } from '$core/paper/types';
import { blankPlan } from '$core/plan/blank';
import { putLine } from '$core/plan/put';
import type { Plan } from '$core/plan/schema';
import { readLine } from '$core/reader/read-line';
import { describe, expect, it } from 'vitest';
import { demoKit } from '../demo-kit';
import { saltRoad } from '../demo-shows';
import { cardsPart, labelsPart } from './cards';
import { type Part, renderPaper, sheetPart } from './pdf';

const input = (plan: Plan): PaperInput => ({
  plan,
  kit: demoKit(),
  reports: new Map(judgePlan(plan).map((r) => [r.id, r]))
});
const meta = (size: 'A4' | 'LETTER') => ({ show: 'Try → −Ω', revision: 7, at: new Date(0), size });
const text = (pdf: Buffer): string => pdf.toString('latin1');
/** Pages and their size in points. */
const pages = (pdf: Buffer): string[] =>
  [...text(pdf).matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => `${m[1]}×${m[2]}`);

/** A show of many lines. */
function many(count: number): Plan {
  const plan = blankPlan();
  for (let k = 0; k < count; k++)
    putLine(
      plan,
      readLine(`Line ${k}: keyboard, 3 m, passive DI, 20 m, mic ${k + 1}`).spec!,
      (role) => `l${k}-${role}`
    );
  return plan;
}

describe('paper as PDF', () => {
  it('every sheet in both sizes, wide ones on their side', async () => {
    const at = input(saltRoad());
    for (const id of SHEET_IDS)
      for (const [size, wide, narrow] of [
        ['A4', '841.89×595.28', '595.28×841.89'],
        ['LETTER', '792×612', '612×792']
      ] as const) {
        const sheet = sheetOf(id, at);
        const pdf = await renderPaper([sheetPart(sheet, null)], meta(size));
        expect([id, text(pdf).startsWith('%PDF-'), new Set(pages(pdf))]).toEqual([
          id,
          true,
          new Set([sheet.columns.length > 7 ? wide : narrow])
        ]);
      }
  });
  it('a long list takes as many pages as it needs, none of them empty', async () => {
    const [few, lots] = await Promise.all(
      [8, 120].map(
        async (n) => pages(await renderPaper([sheetPart(sheetOf('patch', input(many(n))), null)], meta('A4'))).length
      )
    );
    expect(few).toBe(1);
    expect(lots).toBeGreaterThanOrEqual(4);
    expect(lots).toBeLessThanOrEqual(9);
  });
  it('marks take a column of their own, and what is gone is told', async () => {
    const plan = saltRoad();
    const before = input(plan);
    const after = structuredClone(plan);
    delete after.lines['l-1-in'];
    for (const id of ['l-1-in', 'l-1-mid', 'l-1-src']) delete after.devices[id];
    for (const id of ['l-1-lead', 'l-1-run']) delete after.cables[id];
    const sheet = sheetOf('patch', input(after), before);
    expect(sheet.gone).toHaveLength(1);
    const marked = await renderPaper([sheetPart(sheet, 3)], meta('A4'));
    expect(pages(marked).length).toBeLessThanOrEqual(2);
    expect(marked.length).not.toBe(
      (await renderPaper([sheetPart(sheetOf('patch', input(after)), null)], meta('A4'))).length
    );
  });
  it('all of it in one, each part beginning a page, wide ones still on their side', async () => {
    const at = input(saltRoad());
    // Made anew each time: laying out marks what it has laid out.
    const parts = async (): Promise<Part[]> => [
      ...SHEET_IDS.map((id) => sheetPart(sheetOf(id, at), null)),
      cardsPart(cardsOf(at), 'note'),
      await labelsPart(labelsOf(at), 'http://127.0.0.1/show/x?line=')
    ];
    const each = await Promise.all((await parts()).map(async (part) => pages(await renderPaper([part], meta('A4')))));
    expect(pages(await renderPaper(await parts(), meta('A4')))).toEqual(each.flat());
  });
  it('cards and labels, also of a show that has none', async () => {
    const at = input(many(20));
    expect(pages(await renderPaper([cardsPart(cardsOf(at), 'note')], meta('A4'))).length).toBeGreaterThan(1);
    // Two cables and a box a line: five labels, three beside each other, some twelve rows a page.
    expect(
      pages(await renderPaper([await labelsPart(labelsOf(at), 'http://127.0.0.1/show/x?line=')], meta('A4'))).length
    ).toBe(3);
    const empty = input(blankPlan());
    expect(pages(await renderPaper([cardsPart(cardsOf(empty), 'note')], meta('LETTER')))).toHaveLength(1);
    expect(pages(await renderPaper([await labelsPart(labelsOf(empty), 'x')], meta('LETTER')))).toHaveLength(1);
  });
});
