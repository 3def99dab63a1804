import { plainCell } from '../text/cells';
import { todaysId } from '../gear/renamed';
import { shapeOf } from './table';
import { CONDITIONS, type KitItem, KitItemSchema, OWNED_CABLES, type Unit, unitOf } from './schema';

/** Kit as rows of text, as a spreadsheet has them, and back with what is wrong in which row. */

const COLUMNS = [
  ...(['kind', 'class', 'metres', 'plugs', 'count', 'name', 'condition', 'place', 'note'] as const),
  ...(['number', 'serial', 'failed', 'battery', 'hours'] as const)
] as const;
type Column = (typeof COLUMNS)[number];

export interface RowFault {
  /** Row as a spreadsheet numbers it: the heading is 1. */
  readonly row: number;
  readonly column: Column | 'row';
  readonly text: string;
  readonly code: 'missing' | 'not-known' | 'not-a-number' | 'too-long' | 'no-column';
}

/** One item as a row. */
const rowOf = (item: KitItem): string[] => {
  const { model, metres, plugs } = shapeOf(item);
  const { count, name, condition, place, note } = item;
  const unit = unitOf(item);
  const battery = unit?.battery;
  return [
    ...[item.kind, model, metres, plugs, String(count), name, condition, place, note],
    ...[unit?.label ?? '', unit?.serial ?? '', unit ? String(unit.failed) : ''],
    ...[battery?.changed ?? '', battery ? String(battery.hours) : '']
  ];
};

export const rowsOf = (items: readonly KitItem[]): string[][] => [[...COLUMNS], ...items.map(rowOf)];

/** Reads rows, the first of which names the columns in any order. Good rows are read whatever the others say. */
export function itemsOf(rows: readonly (readonly string[])[]): { items: KitItem[]; faults: RowFault[] } {
  const items: KitItem[] = [];
  const faults: RowFault[] = [];
  const [head = [], ...body] = rows;
  const names = head.map((h) => h.trim().toLowerCase());
  for (const needed of ['kind', 'count'] as const)
    if (!names.includes(needed)) faults.push({ row: 1, column: needed, text: head.join(', '), code: 'no-column' });
  if (faults.length > 0) return { items, faults };
  body.forEach((cells, k) => {
    if (cells.every((c) => c.trim() === '')) return;
    const cell = (name: Column): string => plainCell((cells[names.indexOf(name)] ?? '').trim());
    const read = readRow(cell, k + 2);
    if ('code' in read) faults.push(read);
    else items.push(read);
  });
  return { items, faults };
}

function readRow(cell: (name: Column) => string, row: number): KitItem | RowFault {
  const fault = (column: RowFault['column'], code: RowFault['code'], text: string): RowFault => ({
    row,
    column,
    code,
    text
  });
  const kind = cell('kind').toLowerCase();
  if (!['device', 'lead', 'battery'].includes(kind)) return fault('kind', kind ? 'not-known' : 'missing', cell('kind'));
  // Digits and nothing else: 1e2, 0x10 and 2.0 are no counts that anybody wrote down.
  const typed = cell('count') || '1';
  const count = Number(typed);
  if (!/^\d{1,4}$/.test(typed) || count < 1) return fault('count', 'not-a-number', cell('count'));
  const condition = cell('condition').toLowerCase() || 'works';
  if (!(CONDITIONS as readonly string[]).includes(condition)) return fault('condition', 'not-known', cell('condition'));
  const common = { count, condition, name: cell('name'), place: cell('place'), note: cell('note') };
  const unit = unitIn(cell);
  if (unit === null) return fault('failed', 'not-a-number', cell('failed') || cell('hours'));
  const own = unit === undefined ? {} : { unit };
  let raw: unknown = { kind, ...common };
  if (kind === 'device') raw = { kind, model: todaysId(cell('class')), ...common, ...own };
  if (kind === 'lead') {
    const length = cell('metres').replace(',', '.').replace(/\s*m$/, '');
    const metres = Number(length);
    if (!/^\d+(\.\d+)?$/.test(length) || !(metres > 0))
      return fault('metres', cell('metres') ? 'not-a-number' : 'missing', cell('metres'));
    if (!(OWNED_CABLES as readonly string[]).includes(cell('class'))) return fault('class', 'not-known', cell('class'));
    raw = { kind, cable: cell('class'), metres, plugs: cell('plugs').split(/\s*(?:-|–|to|\/)\s*/), ...common, ...own };
  }
  const checked = KitItemSchema.safeParse(raw);
  if (checked.success) return checked.data;
  const [issue] = checked.error.issues;
  const at = String(issue.path[0] ?? '');
  const column =
    at === 'unit'
      ? (UNIT_COLUMNS[String(issue.path[1] ?? '')] ?? 'number')
      : at === 'model' || at === 'cable'
        ? 'class'
        : (COLUMNS as readonly string[]).includes(at)
          ? (at as Column)
          : 'row';
  return fault(column, issue.code === 'too_big' ? 'too-long' : 'not-known', column === 'row' ? '' : cell(column));
}

const UNIT_COLUMNS: Readonly<Record<string, Column>> = { serial: 'serial', failed: 'failed', battery: 'battery' };

/** The number of a thing; undefined where it has none, null where a figure of it is no number. */
function unitIn(cell: (name: Column) => string): Unit | undefined | null {
  const label = cell('number');
  if (label === '') return undefined;
  const [failed, hours] = [Number(cell('failed') || '0'), Number((cell('hours') || '0').replace(',', '.'))];
  if (!Number.isInteger(failed) || !Number.isFinite(hours)) return null;
  const battery = cell('battery') === '' ? null : { changed: cell('battery'), hours };
  return { label, serial: cell('serial'), failed, battery };
}
