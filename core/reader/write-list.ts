import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { specOf } from '../plan/spec';
import { namesOf } from './names';
import { partsOfLine } from './write-line';

/** The heading of an input list; each word is one by which a pasted list's columns are known. */
export const LIST_HEADING = ['Ch', 'Name', 'Mic / DI', 'Input', 'Notes', 'Act'] as const;

/**
 * The lines of a show as rows of an input list, in channel order, that read back as the same lines.
 * @returns the heading and one row a line; lines that are more than words can say have only their name
 */
export function listRows(plan: Plan): string[][] {
  const known = namesOf(plan);
  return [
    [...LIST_HEADING],
    ...resolve(plan).lines.map((line) => {
      const spec = specOf(plan, line);
      const { name = line.id, channel, note = '', act = '' } = line.info ?? {};
      const parts = spec ? partsOfLine(spec, known) : [];
      return [
        channel === undefined ? '' : String(channel),
        name,
        parts.slice(0, -1).join(', '),
        parts[parts.length - 1] ?? '',
        note.replace(/\s+/g, ' '),
        act
      ];
    })
  ];
}
