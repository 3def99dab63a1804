import type { Line } from '../plan/lines';
import { finding } from './context';
import { fact, type Finding } from './types';

/** What concerns several lines at once: it can be seen at none of them alone. */

/** Lines of different acts are never on together; one without an act is always on. */
const together = (a: Line, b: Line): boolean => !a.info?.act || !b.info?.act || a.info.act === b.info.act;

/** Findings of each line that come of the others, by its id; none where there are none. */
export function checkAcross(lines: readonly Line[]): ReadonlyMap<string, readonly Finding[]> {
  const byChannel = new Map<number, Line[]>();
  for (const line of lines) {
    const channel = line.info?.channel;
    if (channel !== undefined) byChannel.set(channel, [...(byChannel.get(channel) ?? []), line]);
  }
  const out = new Map<string, Finding[]>();
  for (const [channel, sharing] of byChannel)
    for (const line of sharing) {
      const others = sharing.filter((other) => other !== line && together(line, other));
      if (others.length === 0) continue;
      out.set(line.id, [
        finding('channel-twice', -1, { severity: 'care', value: others.length + 1, unit: 'count', limit: 1 }, [
          fact('channel', 'count', channel),
          fact('names', 'id', others.map((o) => o.info?.name ?? o.id).join(' and '))
        ])
      ]);
    }
  return out;
}
