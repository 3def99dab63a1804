import { boxesSheet, patchSheet, phantomSheet, placesSheet } from './patch';
import { cablesSheet } from './cables';
import { changeoverSheet } from './changeover';
import { gainSheet } from './gain';
import { packingSheet } from './packing';
import { smallSheet } from './small';
import type { PaperInput, Sheet, SheetId } from './types';

const MAKERS: Readonly<Record<SheetId, (input: PaperInput) => Sheet>> = {
  patch: patchSheet,
  places: placesSheet,
  boxes: boxesSheet,
  phantom: phantomSheet,
  gain: gainSheet,
  cables: cablesSheet,
  small: smallSheet,
  packing: packingSheet,
  changeover: changeoverSheet
};

/** One sheet of a show. @param printed what was printed before: rows that differ from it are marked */
export function sheetOf(id: SheetId, input: PaperInput, printed?: PaperInput): Sheet {
  const sheet = MAKERS[id](input);
  return printed ? marked(sheet, MAKERS[id](printed)) : sheet;
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
export const rowsOfSheet = ({ columns, groups }: Sheet): string[][] => [
  ['', ...columns.map((c) => c.head)],
  ...groups.flatMap((g) => g.rows.map((r) => [g.name, ...r.cells]))
];
