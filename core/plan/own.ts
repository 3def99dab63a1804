import * as z from '../text/zod';
import { modelOf } from '../gear/catalogue';
import { type LoadFault, shapeFaults } from './load';
import { ownFaults } from './integrity';
import { withTodaysIds } from './upgrade';
import { LIMITS, type OwnModel, type Plan, ROWS } from './schema';

/** Own models: a class of gear with values of one's own, in a show and as a file to share. */

const FileSchema = z.strictObject({ kind: z.literal('guanxi-model'), version: z.literal(2), model: ROWS.models });

/** An own model as the contents of a file. */
export const writeOwn = (own: OwnModel): string =>
  `${JSON.stringify({ kind: 'guanxi-model', version: 2, model: own }, null, 2)}\n`;

/** A file of version 1 has the same form and older ids. */
const upgraded = (document: unknown): unknown => {
  const { kind, version } = (document ?? {}) as { kind?: unknown; version?: unknown };
  return kind === 'guanxi-model' && version === 1 ? { ...(withTodaysIds(document) as object), version: 2 } : document;
};

/** Reads a file's contents as an own model, or says which fields of it stand in the way. */
export function readOwn(text: string): { ok: true; own: OwnModel } | { ok: false; faults: LoadFault[] } {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    return { ok: false, faults: [{ kind: 'shape', where: 'file', message: 'this is no JSON file' }] };
  }
  const shape = FileSchema.safeParse(upgraded(document));
  if (!shape.success) return { ok: false, faults: shapeFaults(shape.error) };
  const meaning = ownFaults('model', shape.data.model);
  return meaning.length > 0
    ? { ok: false, faults: meaning.map((fault) => ({ kind: 'meaning', ...fault })) }
    : { ok: true, own: shape.data.model };
}

export type ResponseFault =
  | { code: 'no-numbers'; row: number; text: string }
  | { code: 'not-rising'; row: number }
  | { code: 'out-of-bounds'; row: number; text: string }
  | { code: 'too-many'; most: number }
  | { code: 'too-few' };

/**
 * A measured response from rows of a table: hertz and decibels in the first two columns, in rising frequency; one heading row may
 * stand above. Numbers may have a decimal comma.
 */
export function responseFromRows(
  rows: readonly (readonly string[])[]
): { ok: true; response: [number, number][] } | { ok: false; fault: ResponseFault } {
  const fail = (fault: ResponseFault): { ok: false; fault: ResponseFault } => ({ ok: false, fault });
  const number = (text: string | undefined): number =>
    text === undefined || text.trim() === '' ? NaN : Number(text.trim().replace('\u2212', '-').replace(',', '.'));
  const response: [number, number][] = [];
  for (const [k, cells] of rows.entries()) {
    if (cells.every((cell) => cell.trim() === '')) continue;
    const [hz, db] = [number(cells[0]), number(cells[1])];
    if (!Number.isFinite(hz) || !Number.isFinite(db)) {
      if (response.length === 0 && k === 0) continue;
      return fail({ code: 'no-numbers', row: k + 1, text: cells.join(' ') });
    }
    if (hz < 1 || hz > 100000 || Math.abs(db) > 120)
      return fail({ code: 'out-of-bounds', row: k + 1, text: cells.join(' ') });
    if (response.length > 0 && hz <= response[response.length - 1][0]) return fail({ code: 'not-rising', row: k + 1 });
    response.push([hz, db]);
  }
  if (response.length > LIMITS.response) return fail({ code: 'too-many', most: LIMITS.response });
  return response.length < 2 ? fail({ code: 'too-few' }) : { ok: true, response };
}

/** Makes a device of the draft one of an own model: its network, with the own model's usual values. */
export function useOwn(draft: Plan, device: string, own: string): void {
  const model = draft.models![own];
  const old = draft.devices[device];
  const kept = Object.entries(old.settings).filter(
    ([name]) => old.model === model.base && !(name in modelOf(model.base).params)
  );
  draft.devices[device] = {
    ...old,
    model: model.base,
    own,
    settings: {
      ...Object.fromEntries(kept),
      ...Object.fromEntries(Object.entries(model.values).map(([name, { typ }]) => [name, typ]))
    }
  };
}
