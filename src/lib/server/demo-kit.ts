import type { Kit } from '$core/kit/schema';
import { readKit } from '$core/reader/kit';

/** What the Rope Works own, written as one says it. Too few boxes for the evening, as always. */
const ROPE_WORKS = `3 active DIs, 3 active DI 10m, 2 passive DIs, 1 economy passive DI #4, 2 media DIs, 1 isolator #5,
  1 preamp DI #6,
  1 small mixer, 2 XLR to RCA adapters pin 3 grounded, 2 jack to XLR adapters, 4 couplers, 6 batteries,
  8 x 3 m TS, 5 x 6 m TS, 2 x 3 m RCA, 1 x 5 m RCA, 2 x 3 m stereo leads, 6 x 3 m XLR, 8 x 10 m XLR, 6 x 20 m XLR,
  1 x 1 m RCA, 4 x 1 m XLR, 2 x 3 m RCA to TS`;

export function demoKit(): Kit {
  const { items, faults } = readKit(ROPE_WORKS);
  if (faults.length > 0) throw new Error(`demo kit: ${JSON.stringify(faults)}`);
  return Object.fromEntries(
    items.map((item, k) => [
      `rope-${String(k + 1).padStart(2, '0')}`,
      item.kind === 'device' && item.model === 'passive-di-economy'
        ? {
            ...item,
            ...{ condition: 'suspect', note: 'Crackles when the plug is turned.', place: 'Odds and ends' },
            ...(item.unit ? { unit: { ...item.unit, failed: 2 } } : {})
          }
        : {
            ...item,
            place: item.kind === 'lead' ? 'Cable trunk' : item.kind === 'battery' ? 'Desk drawer' : 'Box case'
          }
    ])
  );
}
