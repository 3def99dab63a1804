import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { itemsOf, rowsOf } from '../kit/csv';
import { KitItemSchema } from '../kit/schema';
import { addItems } from '../kit/table';
import { kitFaultText, rowFaultText } from '../words/faults';
import { readKit } from './kit';
import { earthAsked } from './refuse';
import { readLine } from './read-line';

const told = (text: string): string[] =>
  readKit(text).items.map((i) =>
    i.kind === 'device'
      ? `${i.count} ${i.model}`
      : i.kind === 'lead'
        ? `${i.count} ${i.metres} ${i.cable} ${i.plugs.join('-')}`
        : `${i.count} battery`
  );

describe('a kit in words', () => {
  it.each([
    ['4 active DIs, 10 × 3 m TS, 2 RCA to TS', ['4 active-di', '10 3 instrument ts-ts', '2 rca-to-jack']],
    ['3 active DI 10m and two splitters', ['3 active-di-10m', '2 splitter']],
    ['2 active DIs, 10 MΩ, 3 active DIs, 10 m XLR', ['2 active-di-10m', '3 active-di', '1 10 mic xlr-xlr']],
    ['active DI 10 megohm', ['1 active-di-10m']],
    ['2 jack Ys, 3 XLR Y leads, a Y lead, 1 plain y', ['2 y-jack', '3 y-xlr', '1 y-jack', '1 plain-y']],
    ['6 x 20 m XLR; 4 mic cables 10 m', ['6 20 mic xlr-xlr', '4 10 mic xlr-xlr']],
    ['3 m RCA to TS, 6 1,5 m TS', ['1 3 rca rca-ts', '6 1.5 instrument ts-ts']],
    ['an isolator, 8 couplers, 4 batteries', ['1 isolator', '8 coupler', '4 battery']],
    ['2 XLR to RCA adapters pin 3 open', ['2 xlr-to-rca-open']]
  ])('%s', (text, items) => {
    expect(told(text)).toEqual(items);
    expect(readKit(text).faults).toEqual([]);
  });
  it('names what it does not understand, with its place, and reads the rest', () => {
    const { items, faults } = readKit('2 flutes, 3 active DIs, 4 TS');
    expect(items).toHaveLength(1);
    expect(faults).toMatchObject([
      { code: 'not-understood', text: '2 flutes', at: 0 },
      { code: 'no-length', text: '4 TS', at: 24 }
    ]);
    expect(faults.map(kitFaultText).join(' ')).toContain('“4 TS”');
  });
  it('reads anything without falling over, and loses nothing of it', () => {
    const words = fc.constantFrom(
      '2',
      'x',
      'leads',
      'to',
      'TS',
      'RCA',
      '3 m',
      'box',
      'active',
      'adapter',
      ',',
      '-',
      'and',
      'pin 3'
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(words, fc.string({ maxLength: 6 })), { maxLength: 12 }), (parts) => {
        const { items, faults } = readKit(parts.join(' '));
        for (const item of items) expect(KitItemSchema.safeParse(item).success).toBe(true);
        for (const { text, at } of faults) expect(parts.join(' ').slice(at, at + text.length)).toBe(text);
      }),
      { numRuns: 2000 }
    );
  });
  it('more of the same raises the count', () => {
    let n = 0;
    const add = (kit: Parameters<typeof addItems>[0], text: string) =>
      addItems(kit, readKit(text).items, () => `k${n++}`);
    const kit = add(add({}, '4 active DIs, 2 batteries'), '3 active DIs');
    expect(Object.values(kit).map((i) => i.count)).toEqual([7, 2]);
  });
});

describe('a kit as rows', () => {
  const { items } = readKit('4 active DIs, 10 × 3 m TS, 6 batteries, 2 RCA to TS');
  it('comes back as it went', () => expect(itemsOf(rowsOf(items))).toEqual({ items, faults: [] }));
  it('every bad row says which, where and what; the good ones are read', () => {
    const { items: read, faults } = itemsOf([
      ['count', 'kind', 'class', 'metres', 'plugs'],
      ['2', 'device', 'active-di'],
      ['2', 'device', 'flute'],
      ['many', 'device', 'active-di'],
      ['1', 'lead', 'instrument', 'long', 'ts-ts'],
      ['1', 'lead', 'multicore', '40', 'xlr-xlr'],
      ['1', 'lead', 'instrument', '3', 'ts-teapot'],
      ['1', 'horse']
    ]);
    expect(read).toHaveLength(1);
    expect(faults.map((f) => [f.row, f.column])).toEqual([
      [3, 'class'],
      [4, 'count'],
      [5, 'metres'],
      [6, 'class'],
      [7, 'plugs'],
      [8, 'kind']
    ]);
    expect(rowFaultText(faults[0])).toBe('Row 3: class “flute” is not known.');
  });
  it('a file without the columns says so once', () =>
    expect(
      itemsOf([
        ['a', 'b'],
        ['1', '2']
      ]).faults.map((f) => f.code)
    ).toEqual(['no-column', 'no-column']));
});

describe('protective earth', () => {
  it.each([
    'lift the mains earth at the tape machine',
    'cut the earth pin off',
    'tape machine, remove the earth, 18 m, rca input',
    'use a ground lift adapter',
    'break the safety ground',
    'take off the ground pin',
    'earth pin cut'
  ])('%s: refused', (text) => expect(earthAsked(text)).not.toBeNull());
  it.each([
    'rca player earthed on Stage, 18 m, rca input',
    'keyboard, 3 m, passive DI lifted, 20 m, mic',
    'guitar, 3 m, active DI ground lifted, 20 m, mic',
    'pro line earth removed, 3 m, line',
    'lift the ground at the box'
  ])('%s: not what is meant', (text) => expect(earthAsked(text)).toBeNull());
  it('what was found may be written down', () =>
    expect(readLine('keyboard earth removed, 3 m, line').spec!.source.settings.earth).toBe('removed'));
});
