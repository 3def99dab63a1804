import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allWellFormed, cutText, isWellFormed, wellFormed } from './well-formed';

describe('text that can be stored', () => {
  it('half an emoji and a NUL are no text; a whole emoji, tab and line feed are', () => {
    for (const bad of ['a\u0000', '\ud83d', 'x\ude00y', 'a\u001bb']) expect(isWellFormed(bad)).toBe(false);
    for (const good of ['😀', 'a\tb\nc', 'Ωµ’', '']) expect(isWellFormed(good)).toBe(true);
  });
  it('whatever comes in, what is left is well-formed, and what was is left as it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.integer({ min: 0, max: 0xffff }), (text, unit) => {
        const typed = `${text}${String.fromCharCode(unit)}${text}`;
        expect(isWellFormed(wellFormed(typed))).toBe(true);
        // Postgres speaks UTF-8: what survives a round trip through it is what can be stored.
        expect(wellFormed(typed)).toBe(new TextDecoder().decode(new TextEncoder().encode(wellFormed(typed))));
        if (isWellFormed(typed)) expect(wellFormed(typed)).toBe(typed);
      })
    );
  });
  it('is found at any depth, and nothing is copied where nothing is wrong', () => {
    const fine = { a: [1, 'x', { b: null }] };
    expect(allWellFormed(fine)).toBe(fine);
    expect(allWellFormed({ a: [1, 'x\u0000', { b: '\ud83d!' }] })).toEqual({ a: [1, 'x', { b: '!' }] });
  });
  it('is cut between characters: a family is one, a flag is one', () => {
    expect(cutText(`${'a'.repeat(69)}😀`, 70)).toBe('a'.repeat(69));
    expect(cutText(`${'a'.repeat(68)}😀`, 70)).toBe(`${'a'.repeat(68)}😀`);
    expect(cutText('👩‍👩‍👧x', 8)).toBe('👩‍👩‍👧');
    expect(cutText('👩‍👩‍👧x', 7)).toBe('');
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.nat(30), (text, most) => {
        const cut = cutText(text, most);
        expect(cut.length).toBeLessThanOrEqual(most);
        expect(text.startsWith(cut) && isWellFormed(cut)).toBe(true);
      })
    );
  });
});
