import { GRID, type Heard, ratioAt } from './sweep';

/** What one way of plugging brings over another, dB by frequency: rejection of what both legs carry, or what comes over from the channel beside. */
export const apart = (a: Heard, b: Heard): { readonly hz: readonly number[]; readonly db: readonly number[] } => ({
  hz: GRID,
  db: ratioAt(a, b, GRID).map((c) => 20 * Math.log10(Math.hypot(...c)))
});
