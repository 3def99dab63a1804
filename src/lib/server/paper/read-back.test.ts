import { judgePlan } from '$core/judge/judge';
import { cardsOf } from '$core/paper/patch';
import { labelsOf } from '$core/paper/cables';
import { sheetOf } from '$core/paper/sheets';
import { type PaperInput, SHEET_IDS, type Sheet } from '$core/paper/types';
import { blankPlan } from '$core/plan/blank';
import { putLine } from '$core/plan/put';
import type { Plan } from '$core/plan/schema';
import { readLine } from '$core/reader/read-line';
import fc from 'fast-check';
import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { printable } from './fonts';
import { cardsPart, labelsPart } from './cards';
import { type Part, renderPaper, sheetPart } from './pdf';

/** What a PDF says, without spaces: where lines were broken does not matter. */
async function textOf(parts: readonly Part[], show = 'Show'): Promise<string> {
  const pdf = await renderPaper(parts, { show, revision: 1, at: new Date(0), size: 'A4' });
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: true });
  return bare(text);
}
const bare = (text: string): string => text.normalize('NFKC').replace(/[\s\u202f\u00a0]+/g, '');
const input = (plan: Plan): PaperInput => ({
  plan,
  kit: null,
  reports: new Map(judgePlan(plan).map((r) => [r.id, r]))
});
/** Every cell that has something to read. */
const cellsOf = (sheet: Sheet): string[] =>
  sheet.groups.flatMap((g) => [g.name, ...g.rows.flatMap((r) => r.cells)]).filter((c) => c !== '' && c !== '☐');

const LINES = [
  'passive bass, 3 m, active DI, 30 m, mic',
  'keyboard, 5 m, passive DI, 40 m multicore, mic',
  'single coil, 4 m, instrument input',
  'dynamic mic, 25 m, mic',
  'piezo, 3 m, active DI 10m, 30 m, mic',
  'valve amp, 2 m, cabinet',
  'rca player, 2 m, media DI, 20 m, mic',
  // Dangerous: it must be on every sheet by which one plugs.
  'power amp, 2 m, line'
];
const WORDS = ['Lead', 'Left', 'Upright', 'The piano that stands behind the curtain', 'a', 'Voice of the ferryman'];
function plan(kinds: readonly number[], names: readonly string[]): Plan {
  const made = blankPlan();
  kinds.forEach((kind, k) =>
    putLine(
      made,
      { ...readLine(LINES[kind % LINES.length]).spec!, name: names[k % names.length], channel: k + 1 },
      (role) => `l${k}-${role}`
    )
  );
  return made;
}

/** A sheet of one group. @param wide of its columns, percent */
const made = (wide: readonly number[], rows: readonly string[][]): Sheet => ({
  ...{ id: 'patch', title: 'Patch', note: '' },
  columns: wide.map((w, k) => ({ head: `Column ${k}`, wide: w })),
  groups: [{ name: 'Desk', rows: rows.map((cells, k) => ({ key: String(k), cells })) }]
});

describe('paper, read back', () => {
  it('every cell of every sheet is on it, of shows of 1 to 128 lines with names short and long', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.nat(LINES.length - 1), { minLength: 1, maxLength: 128 }),
        fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 9 }),
        fc.constantFrom(...SHEET_IDS),
        async (kinds, names, id) => {
          const sheet = sheetOf(id, input(plan(kinds, names)));
          const told = await textOf([sheetPart(sheet, null)]);
          for (const cell of [...cellsOf(sheet), ...(sheet.dangers ?? [])]) expect(told).toContain(bare(cell));
        }
      ),
      { numRuns: 10 }
    );
  });

  it('groups of some twenty rows whose cells take several lines each: not one row is lost', async () => {
    for (const rows of [18, 24, 25, 37]) {
      const long = 'Jack to XLR, then the long way round by the wing, where the drum riser stands';
      const sheet = made(
        [5, 20, 20, 55],
        Array.from({ length: rows }, (_, k) => [`#${k}#`, `Line ${k}`, long, `${long}; ${long}; end${k}`])
      );
      const told = await textOf([sheetPart(sheet, null)]);
      for (let k = 0; k < rows; k++) {
        expect(told).toContain(`#${k}#`);
        expect(told).toContain(`end${k}`);
      }
    }
  });

  it('a row taller than a page flows over it', async () => {
    const note = Array.from({ length: 900 }, (_, k) => `word${k}`).join(' ');
    const sheet = made([60, 40], [['One', note]]);
    const told = await textOf([sheetPart(sheet, null)]);
    for (const k of [0, 400, 899]) expect(told).toContain(`word${k}`);
  });

  it('cards and labels have every box and every line', async () => {
    const at = input(plan([0, 1, 2, 3, 4, 5, 6, 0, 1], ['One', 'Two']));
    const told = await textOf([
      cardsPart(cardsOf(at), ''),
      await labelsPart(labelsOf(at), 'http://127.0.0.1/show/x?line=')
    ]);
    for (const card of cardsOf(at)) expect(told).toContain(bare(`${card.tag}${card.name}`));
    for (const label of labelsOf(at)) expect(told).toContain(bare(label.line));
  });

  it.each([
    ['Chinese', '夜市乐队'],
    ['Japanese', 'ひかり カルテット'],
    ['Korean', '밤의 노래'],
    ['Greek', 'Θάλασσα'],
    ['Cyrillic', 'Соляной путь'],
    ['accents', 'Łódź Ťava Příběh ő'],
    ['signs', '→ ☐ ♭ ♯ Ω −3 dB'],
    ['an emoji', 'Keys 🎹🎸']
  ])('a show named in %s prints legibly', async (_, name) => {
    const told = await textOf([{ landscape: false, content: [{ text: printable(name) }] }], name);
    expect(told).toContain(bare(name));
    // Twice: in the header, and on the sheet.
    expect(told.split(bare(name)).length).toBeGreaterThan(2);
  });

  it('scripts that run from the right: each word in one piece, the first one rightmost', () => {
    expect(printable('ليلة الملح')).toEqual([{ text: 'الملح ليلة', font: 'Wide' }]);
    expect(printable('Keys ליד הדלת 2')).toEqual([
      { text: 'Keys ' },
      { text: 'הדלת ליד ', font: 'Wide' },
      { text: '2' }
    ]);
    expect(printable('Plain, 3\u202fm')).toBe('Plain, 3\u00a0m');
  });
});
