import type { Piece } from './pieces';

/** Whether "active" or "passive" is said of a DI, and what stands beside it. */

/** A pickup of which no kind was said. */
export const PICKUP = /^(?:pick ?ups?|pu|pup)$/i;

/** The piece beside one in its own part, passing over what only joins. */
export function beside(pieces: readonly Piece[], k: number, step: 1 | -1): Piece | null {
  for (let n = k + step; n >= 0 && n < pieces.length; n += step) {
    if (pieces[n].part !== pieces[k].part) return null;
    if (!['filler', 'ohm', 'ratio', 'times', 'count', 'number', 'lift', 'phantom', 'pad'].includes(pieces[n].read.is))
      return pieces[n];
  }
  return null;
}

/** Whether "active" or "passive" is said of a DI: the one right behind it, or else right before it. */
export function isOfDi(pieces: readonly Piece[], k: number): boolean {
  // "passive pickup, DI".
  if (PICKUP.test(pieces[k + 1]?.text ?? '') && pieces[k + 1].part === pieces[k].part) return false;
  const next = beside(pieces, k, 1);
  if (next?.read.is === 'di') return true;
  const before = beside(pieces, k, -1);
  if (before?.read.is === 'di' && (next?.read.is !== 'instrument' || /^(?:for|on|with)$/i.test(pieces[k + 1].text)))
    return true;
  // "DI (his own, active)": a part of its own behind the DI, in which nothing else is said.
  const own = pieces.filter((p) => p.part === pieces[k].part);
  if (!own.every((p) => p === pieces[k] || ['filler', 'note'].includes(p.read.is))) return false;
  let at = pieces.indexOf(own[0]) - 1;
  // "DI (own, active)".
  while (at > 0 && ['filler', 'note'].includes(pieces[at].read.is)) at--;
  // "DI (piezo, active)": a pickup that has nothing to be active stands between.
  const pickup = pieces[at]?.read;
  if (pickup?.is === 'source' && PASSIVE_PICKUP.has(pickup.model)) at--;
  return pieces[at]?.read.is === 'di' && own[0].part - pieces[at].part <= pieces.indexOf(own[0]) - at;
}
const PASSIVE_PICKUP: ReadonlySet<string> = new Set(['piezo', 'contact-disc']);
