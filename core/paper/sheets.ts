import { sheets as says } from '../words/sheets';
import { boxesSheet, patchSheet, phantomSheet, placesSheet } from './patch';
import { cablesSheet } from './cables';
import { changeoverSheet } from './changeover';
import { gainSheet } from './gain';
import { foldPairs } from './pairs';
import { packingSheet } from './packing';
import { smallSheet } from './small';
import { dangersOf, tonightSheet } from './tonight';
import type { PaperInput, Sheet, SheetId } from './types';

/** Every sheet with its name, which is its tab, and what makes it. */
const SHEETS: Readonly<Record<SheetId, readonly [name: string, make: (input: PaperInput) => Sheet]>> = {
  patch: [says.patch, patchSheet],
  tonight: [says.tonight, tonightSheet],
  places: [says.places, placesSheet],
  boxes: [says.settings, boxesSheet],
  phantom: [says.phantom, phantomSheet],
  gain: [says.gains, gainSheet],
  cables: [says.cables, cablesSheet],
  small: [says.smallThings, smallSheet],
  packing: [says.packing, packingSheet],
  changeover: [says.changeovers, changeoverSheet]
};

/** By these one plugs: what is dangerous stands before them. */
const LED_BY_DANGERS: readonly SheetId[] = ['patch', 'places', 'changeover'];

export const sheetName = (id: SheetId): string => SHEETS[id][0];

/** One sheet of a show. @param printed what was printed before: rows that differ from it are marked */
export function sheetOf(id: SheetId, input: PaperInput, printed?: PaperInput): Sheet {
  const [, make] = SHEETS[id];
  const made = (of: PaperInput): Sheet => foldPairs(of.plan, make(of));
  const sheet = printed ? marked(made(input), made(printed)) : made(input);
  const dangers = LED_BY_DANGERS.includes(id) ? dangersOf(input) : [];
  return dangers.length > 0 ? { ...sheet, dangers } : sheet;
}

/** Rows that are new or read otherwise than in an older sheet. */
function marked(sheet: Sheet, older: Sheet): Sheet {
  const before = new Map(older.groups.flatMap((g) => g.rows.map((r) => [r.key, r.cells.join('\n')])));
  const now = new Set(sheet.groups.flatMap((g) => g.rows.map((r) => r.key)));
  return {
    ...sheet,
    groups: sheet.groups.map((g) => ({
      ...g,
      rows: g.rows.map((r) => {
        const was = before.get(r.key);
        return was === undefined
          ? { ...r, mark: 'new' as const }
          : was === r.cells.join('\n')
            ? r
            : { ...r, mark: 'changed' as const };
      })
    })),
    gone: older.groups.flatMap((g) =>
      g.rows.filter((r) => !now.has(r.key)).map((r) => r.cells.filter((c) => c !== '' && c !== '☐').join(', '))
    )
  };
}

/** A sheet as rows of text: the group is a column of its own. */
export const rowsOfSheet = ({ columns, groups, dangers = [] }: Sheet): string[][] => [
  ...dangers.map((text) => [says.danger, text, ...columns.slice(1).map(() => '')]),
  ['', ...columns.map((c) => c.head)],
  ...groups.flatMap((g) => g.rows.map((r) => [g.name, ...r.cells]))
];
