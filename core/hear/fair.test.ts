import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { abxText, countText, groupText, guessText, preferenceText } from '../words/hear';
import { chanceOf, HEARD, onceIn, trialsFor, wanted } from './chance';
import {
  type Abx,
  favourite,
  groupFavourite,
  isOver,
  letterOf,
  orderOf,
  type Preference,
  rightOf,
  shuffled,
  votes,
  xOf
} from './fair';

describe('chance', () => {
  it('12 of 16 is once in 26; all and none are what they are', () => {
    expect(chanceOf(12, 16)).toBeCloseTo(2517 / 65536, 12);
    expect(onceIn(12, 16)).toBe(26);
    expect(chanceOf(0, 16)).toBe(1);
    expect(chanceOf(16, 16)).toBe(2 ** -16);
    expect(onceIn(8, 8)).toBe(256);
    expect(() => chanceOf(17, 16)).toThrow(RangeError);
    expect(() => chanceOf(-1, 16)).toThrow(RangeError);
  });
  it('is the sum of the binomial’s terms, counted out', () => {
    for (let n = 1; n <= 12; n++)
      for (let k = 0; k <= n; k++) {
        let hits = 0;
        for (let bits = 0; bits < 2 ** n; bits++) if (bits.toString(2).replaceAll('0', '').length >= k) hits++;
        expect(chanceOf(k, n)).toBeCloseTo(hits / 2 ** n, 12);
      }
  });
  it('so many right are wanted, and one fewer does not do', () => {
    for (const n of [5, 8, 12, 16, 20]) {
      const k = wanted(n)!;
      expect(chanceOf(k, n)).toBeLessThanOrEqual(HEARD);
      expect(chanceOf(k - 1, n)).toBeGreaterThan(HEARD);
    }
    expect([wanted(4), wanted(5), wanted(16)]).toEqual([null, 5, 12]);
    expect(trialsFor(1)).toBe(5);
    expect(trialsFor(0.9)!).toBeLessThan(trialsFor(0.7)!);
    expect(trialsFor(0.51)).toBeNull();
  });
});

describe('a fair test', () => {
  it('orders are by lot: every thing once, every letter as often, no round like the next', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 6 }), fc.nat(), (count, seed) => {
        expect([...shuffled(count, seed)].sort()).toEqual(Array.from({ length: count }, (_, k) => k));
      })
    );
    const first = [0, 0, 0];
    for (let seed = 0; seed < 900; seed++) first[shuffled(3, seed)[0]]++;
    for (const n of first) expect(Math.abs(n - 300)).toBeLessThan(60);
    const test: Preference = { count: 4, rounds: 5, seed: 9, liked: [] };
    expect(new Set([0, 1, 2, 3, 4].map((r) => orderOf(test, r).join())).size).toBeGreaterThan(2);
    expect([letterOf(0), letterOf(5)]).toEqual(['A', 'F']);
  });
  it('X is one as often as the other, and no answer tells of it', () => {
    let ones = 0;
    for (let seed = 0; seed < 60; seed++) for (let k = 0; k < 16; k++) ones += xOf({ trials: 16, seed, said: [] }, k);
    expect(Math.abs(ones - 480)).toBeLessThan(70);
    const test: Abx = { trials: 8, seed: 4, said: [] };
    const right = Array.from({ length: 8 }, (_, k) => xOf(test, k));
    expect(rightOf({ ...test, said: right })).toBe(8);
    expect(rightOf({ ...test, said: right.map((x) => (1 - x) as 0 | 1) })).toBe(0);
    expect([isOver({ ...test, said: right }), isOver({ ...test, said: right.slice(1) })]).toEqual([true, false]);
  });
  it('is told in plain words, broken off as that', () => {
    expect(guessText(12, 16)).toBe('12 of 16 right: by guessing once in 26.');
    expect(guessText(8, 16)).toBe('8 of 16 right: no better than guessing.');
    expect(guessText(3, 16)).toContain('no better than guessing');
    const test: Abx = { trials: 8, seed: 4, said: [] };
    const right = Array.from({ length: 8 }, (_, k) => xOf(test, k));
    expect(abxText({ ...test, said: right }, ['active DI', 'passive DI'])).toBe(
      'active DI against passive DI: 8 of 8 right: by guessing once in 256. A difference was heard.'
    );
    const seven = right.map((x, k) => (k === 0 ? ((1 - x) as 0 | 1) : x));
    expect(abxText({ ...test, said: seven }, ['a', 'b'])).toContain('A difference was heard.');
    const six = seven.map((x, k) => (k === 1 ? ((1 - x) as 0 | 1) : x));
    expect(abxText({ ...test, said: six }, ['a', 'b'])).toContain(
      'Not shown that a difference was heard; 7 right would have shown it.'
    );
    expect(abxText({ ...test, said: right.slice(0, 5) }, ['a', 'b'])).toContain(
      'broken off after 5 of 8, 5 right. That says nothing yet.'
    );
    expect(countText(16)).toBe('12 of 16 right would show it: by guessing less than once in 20.');
    expect(countText(4)).toContain('too few');
    const liked: Preference = { count: 3, rounds: 3, seed: 1, liked: [2, 0, 2] };
    expect([votes(liked), favourite(liked)]).toEqual([[1, 0, 2], 2]);
    expect(preferenceText(liked, ['no DI', 'passive DI', 'active DI'])).toBe(
      'Liked best, blind: active DI (2 of 3), over no DI and passive DI.'
    );
    expect(preferenceText({ ...liked, liked: [0, 2] }, ['a', 'b', 'c'])).toBe(
      'No favourite, blind: a 1 and c 1, broken off after 2 of 3.'
    );
  });
});

describe('several people', () => {
  const names = ['passive DI', 'active DI', 'no DI'];
  it.each([
    [[], 'Nobody has answered yet.'],
    [[[1, 1, 0]], 'Blind: 1 of 1 likes active DI best.'],
    [
      [[1, 1, 0], [1], [0, 0, 0], [0, 1]],
      'Blind: 2 of 4 like active DI best; 1 of 4 likes passive DI best; 1 of 4 has no favourite.'
    ],
    [[[], [0, 1, 2]], 'Blind: 2 of 2 have no favourite.']
  ])('%j', (liked, said) =>
    expect(
      groupText(
        names,
        liked.map((l) => ({ liked: l }))
      )
    ).toBe(said)
  );
  it('have a favourite where most have the same', () => {
    const of = (...all: number[][]) =>
      groupFavourite(
        3,
        all.map((liked) => ({ liked }))
      );
    expect([of(), of([0]), of([1, 1], [1, 0, 1], [0]), of([0], [1]), of([], [2])]).toEqual([null, 0, 1, null, 2]);
  });
});
