import type { Kit } from '$core/kit/schema';
import { readKit } from '$core/reader/kit';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adding, backwards, changesTo, withChanges } from './changes';

const kitOf = (counts: readonly number[]): Kit =>
  Object.fromEntries(
    counts.flatMap((count, k) =>
      count > 0 ? [[`k${k}`, { ...readKit('1 active DI').items[0], count, name: `n${k}` }]] : []
    )
  );
const counts = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 5, maxLength: 5 });

describe('changes of a kit', () => {
  it('lead from one kit to another, and back', () =>
    fc.assert(
      fc.property(counts, counts, (a, b) => {
        const [before, after] = [kitOf(a), kitOf(b)];
        const changes = changesTo(before, after);
        expect(withChanges(before, changes)).toEqual(after);
        expect(withChanges(after, backwards(changes))).toEqual(before);
        expect(changesTo(after, after)).toEqual([]);
      })
    ));
  it('adding what is there already changes its count alone', () => {
    const [changes] = [adding(kitOf([2]), [{ ...kitOf([2]).k0, count: 3 }])];
    expect(changes).toMatchObject([{ id: 'k0', from: { count: 2 }, to: { count: 5 } }]);
  });
});
