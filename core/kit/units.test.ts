import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { failOne, fitting, fittingUnits } from '../advise/fail-one';
import { usedOf } from '../advise/stock';
import { packingSheet } from '../paper/packing';
import { readKit } from '../reader/kit';
import { show } from '../tests/plans';
import { kitChangeText, kitEntry } from '../words/kit-life';
import { itemsOf, rowsOf } from './csv';
import { livedOn, readLife } from './life';
import { measuredOn } from './measured';
import { type Kit, type KitItem, KitItemSchema, unitOf } from './schema';
import { addItems } from './table';
import { failsOften, freeOf, inCondition, labelTaken, numbered, OFTEN, unitsIn } from './units';

const ids = (): (() => string) => {
  let n = 0;
  return () => `n${n++}`;
};
const kitOf = (text: string): Kit => addItems({}, readKit(text).items, ids());
const labels = (kit: Kit): (string | undefined)[] => Object.values(kit).map((i) => unitOf(i)?.label);
const box = (change: Partial<KitItem> = {}): KitItem =>
  ({ ...readKit('1 active DI #7').items[0], ...change }) as KitItem;

describe('things with a number', () => {
  it('every one of a row gets a number of its own, going on from the highest; twice changes nothing', () => {
    const kit = kitOf('3 active DIs, 2 passive DIs, 6 batteries');
    const [a, b, battery] = Object.keys(kit);
    const newId = (() => {
      let n = 0;
      return () => `x${n++}`;
    })();
    const once = numbered(kit, a, 'DI', newId)!;
    const twice = numbered(once, b, 'DI', newId)!;
    expect(labels(twice).filter(Boolean).sort()).toEqual(['DI 1', 'DI 2', 'DI 3', 'DI 4', 'DI 5']);
    for (const item of Object.values(twice)) expect(KitItemSchema.parse(item)).toEqual(item);
    expect(Object.values(twice).reduce((n, i) => n + i.count, 0)).toBe(11);
    expect(numbered(twice, a, 'DI', newId)).toBeNull();
    expect(numbered(twice, battery, 'DI', newId)).toBeNull();
    expect(labelTaken(twice, 'di-3', null)).toBe(true);
    expect(labelTaken(twice, 'DI 6', null)).toBe(false);
    expect(labelTaken(twice, 'DI 1', a)).toBe(false);
  });

  it.each([
    ['1 active DI #12', ['12']],
    ['2 active DIs no. 3', ['3', '4']],
    ['10 m XLR units 1-4', ['1', '2', '3', '4']],
    ['6 batteries #2', [undefined]],
    ['3 active DIs', [undefined]]
  ])('%s', (text, numbers) => {
    const { items, faults } = readKit(text);
    expect(faults).toEqual([]);
    expect(items.map((i) => unitOf(i)?.label)).toEqual(numbers);
    for (const item of items) expect(KitItemSchema.parse(item)).toEqual(item);
  });

  it('comes in once: what is called like something that is there, or that comes with it, stays out', () => {
    const { items } = readKit('1 active DI #7, 1 isolator #8, 1 media DI #8, 2 passive DIs');
    const free = freeOf({ a: box() }, items);
    expect(free.taken).toEqual(['7', '8']);
    expect(free.items.map((i) => (i.kind === 'device' ? i.model : ''))).toEqual(['isolator', 'passive-di']);
    expect(freeOf({}, items).taken).toEqual(['8']);
  });

  it('is one thing: two of one number are refused, and adding another does not count it up', () => {
    expect(KitItemSchema.safeParse(box({ count: 2 })).success).toBe(false);
    expect(KitItemSchema.safeParse(box({ count: 1 })).success).toBe(true);
    expect(Object.values(addItems({ a: box() }, [box()], ids())).map((i) => i.count)).toEqual([1, 1]);
  });

  it('comes back from a spreadsheet with its life’s figures; a bad one is told with its row', () => {
    const item = fc
      .record({
        label: fc.constantFrom('1', 'DI 3', 'x-9'),
        serial: fc.constantFrom('', 'A-001'),
        failed: fc.integer({ min: 0, max: 30 }),
        battery: fc.option(
          fc.record({ changed: fc.constantFrom('2026-01-31', '2025-12-01'), hours: fc.integer({ min: 0, max: 400 }) })
        )
      })
      .map((unit) => ({ ...box(), unit }) as KitItem);
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 5 }), (items) => {
        expect(itemsOf(rowsOf(items))).toEqual({ items, faults: [] });
      })
    );
    const rows = rowsOf([box()]).map((r) => [...r]);
    rows[1][rows[0].indexOf('battery')] = 'yesterday';
    expect(itemsOf(rows).faults).toEqual([{ row: 2, column: 'battery', code: 'not-known', text: 'yesterday' }]);
    rows[1][rows[0].indexOf('failed')] = 'twice';
    expect(itemsOf(rows).faults).toMatchObject([{ row: 2, column: 'failed', code: 'not-a-number' }]);
  });

  it('is found by its number in what people write', () => {
    const kit: Kit = {
      a: box(),
      b: box({ unit: { ...unitOf(box())!, label: 'DI 12' } } as never),
      c: kitOf('1 isolator').n0
    };
    expect(unitsIn(kit, 'unit 7 crackles')).toEqual(['a']);
    expect(unitsIn(kit, 'box #7 dead')).toEqual(['a']);
    expect(unitsIn(kit, 'di12 and DI-12 are the same')).toEqual(['b']);
    expect(unitsIn(kit, 'unit 12 is dead')).toEqual(['b']);
    for (const none of ['channel 7 hums', 'take 7', 'DI 1 hums', 'unit 77', '12 lines', 'DI 123'])
      expect(unitsIn(kit, none), none).toEqual([]);
  });
});

describe('what becomes of a thing', () => {
  it.each([
    ['crackles when cold', 'suspect'],
    ['dead', 'repair'],
    ['nothing comes out', 'repair'],
    ['does not work any more', 'repair'],
    ['new jack, works', 'works'],
    ['was dead, works again', 'works'],
    ['worked for an hour, then broke', 'repair'],
    ['no hum any more', 'works'],
    ['no longer crackles', 'works'],
    ['stopped buzzing', 'works'],
    ['tested, fine', 'works'],
    ['sent to repair', 'repair'],
    ['painted red', null],
    ['with Tove until Friday', null]
  ])('%s', (text, condition) => expect(readLife(text).condition).toBe(condition));

  it.each([
    ['fresh battery', { battery: true, condition: null }],
    ['battery changed, works', { battery: true, condition: 'works' }],
    ['battery low', { battery: false }],
    ['6 h on battery', { hours: 6 }],
    ['unit DI 1 with Jun', { place: 'Jun' }],
    ['unit DI 1 hums with Keys', { condition: 'suspect', place: null }],
    ['ran 2,5 hours', { hours: 2.5 }],
    ['with Tove', { place: 'Tove' }],
    ['lent to the school', { place: 'school' }],
    ['back in case 3', { place: 'case 3' }],
    ['hums with the lift open', { place: null, condition: 'suspect' }],
    ['dead in the second half', { place: null, condition: 'repair' }]
  ])('%s', (text, heard) => expect(readLife(text)).toMatchObject(heard));

  it('a failure is counted when it fails, and not again before it was mended', () => {
    const failed = (item: KitItem): number => unitOf(item)!.failed;
    const once = inCondition(box(), 'suspect');
    expect(failed(once)).toBe(1);
    expect(failed(inCondition(once, 'repair'))).toBe(1);
    const again = inCondition(inCondition(once, 'works'), 'repair');
    expect(failed(again)).toBe(2);
    expect([failsOften(once), failsOften(again)]).toEqual([false, true]);
    expect(OFTEN).toBe(2);
    const lived = livedOn(box(), readLife('fresh battery, 3 h, with Tove'), '2026-12-01');
    expect(lived).toMatchObject({ place: 'Tove', unit: { battery: { changed: '2026-12-01', hours: 3 } } });
    expect(livedOn(lived, readLife('2 h'), '2026-12-02')).toMatchObject({ unit: { battery: { hours: 5 } } });
    for (const item of [once, again, lived]) expect(KitItemSchema.parse(item)).toEqual(item);
  });

  it('is told in words', () => {
    expect(kitEntry(box(), inCondition(box(), 'repair'), 'Failed on Cello')).toBe(
      'Unit 7, active DI, 1 MΩ: in repair from now on, “Failed on Cello”'
    );
    expect(kitChangeText(null, { ...kitOf('4 active DIs').n0 })).toBe('written down, 4 of them');
    expect(kitChangeText(box(), null)).toBe('taken out of the kit');
    expect(kitChangeText(box(), livedOn(box(), readLife('back in case 3'), '2026-12-01'))).toBe('now at: case 3');
  });
});

describe('what fails often', () => {
  const plan = show(['Cello: piezo, 3 m, active DI, 10 m, mic 1']);
  const DI = Object.values(plan.devices).find((d) => d.model === 'active-di')!;
  const shaky = (failed: number): KitItem => box({ unit: { ...unitOf(box())!, failed } } as never);

  it('is taken last, said before it is packed, and another goes along', () => {
    const kit: Kit = { a: shaky(2), b: box({ unit: { ...unitOf(box())!, label: '8' } } as never) };
    expect(usedOf(plan, kit).used.get('b')).toBe(1);
    expect(usedOf(plan, kit).used.get('a')).toBeUndefined();
    const cells = (of: Kit): string[] =>
      packingSheet({ plan, kit: of, reports: new Map() }).groups.flatMap((g) => g.rows.map((r) => r.cells.join(' | ')));
    expect(cells({ a: shaky(2) }).join()).toContain('7, has failed twice');
    expect(cells({ a: shaky(1) }).join()).not.toContain('has failed');
    // One spare of a kind; two in use that fail often want two.
    const two = show(['A: piezo, 3 m, active DI, 10 m, mic 1'], ['B: piezo, 3 m, active DI, 10 m, mic 2']);
    const spares = (failed: number): number => {
      const of: Kit = {
        a: shaky(failed),
        b: box({ unit: { ...unitOf(box())!, label: '8', failed } } as never),
        c: box({ unit: { ...unitOf(box())!, label: '9', failed: 9 } } as never),
        d: box({ unit: { ...unitOf(box())!, label: '10', failed: 9 } } as never)
      };
      return packingSheet({ plan: two, kit: of, reports: new Map() })
        .groups.flatMap((g) => g.rows)
        .reduce((n, r) => n + Number(r.cells[4] || 0), 0);
    };
    expect(spares(1)).toBe(1);
    expect(spares(2)).toBe(2);
  });

  it('which one failed is asked, never guessed: without an answer it is one without a number', () => {
    const kit: Kit = { a: box(), b: { ...kitOf('2 active DIs').n0 } };
    expect(fitting(kit, DI).map(([id]) => id)).toEqual(['a', 'b']);
    const unnamed = failOne(kit, DI, 'x', () => 'new')!;
    expect(unnamed.kit.a).toEqual(kit.a);
    expect([unnamed.id, unnamed.kit.b.count]).toEqual(['new', 1]);
    const named = failOne(kit, DI, 'x', () => 'new', 'a')!;
    expect(named).toMatchObject({ id: 'a', kit: { a: { condition: 'repair', unit: { failed: 1 } }, b: { count: 2 } } });
    expect(failOne({ a: box() }, DI, 'x', () => 'new')).toBeNull();
  });
});

describe('what was measured of a thing with a number', () => {
  const box = Object.values(kitOf('1 passive DI #7'))[0];
  const lead = Object.values(kitOf('5 m jack lead #3'))[0];
  const plain = Object.values(kitOf('2 passive DI'))[0];

  it('stays with it: what is measured anew takes the place of what was, the rest stays', () => {
    const once = measuredOn(box, { ratio: 11.6, Lp: 40 }, '2026-12-01');
    const twice = measuredOn(once, { ratio: 11.8 }, '2026-12-02');
    expect(unitOf(twice)?.measured).toEqual({ at: '2026-12-02', values: { ratio: 11.8, Lp: 40 } });
    expect(KitItemSchema.parse(twice)).toEqual(twice);
    // What has no number is many things, and keeps nothing; nothing measured is nothing kept.
    expect(measuredOn(plain, { ratio: 11.6 }, '2026-12-01')).toBe(plain);
    expect(measuredOn(box, {}, '2026-12-01')).toBe(box);
    expect(kitChangeText(box, once)).toContain('measured: ');
    expect(kitChangeText(once, once)).toBe('');
  });

  it('is one that its kind can have, on a real day', () => {
    const good = (item: KitItem): boolean => KitItemSchema.safeParse(item).success;
    expect(good(measuredOn(box, { ratio: 11.6 }, '2026-12-01'))).toBe(true);
    expect(good(measuredOn(box, { zin: 1e6 }, '2026-12-01'))).toBe(false);
    expect(good(measuredOn(box, { ratio: -1 }, '2026-12-01'))).toBe(false);
    expect(good(measuredOn(box, { ratio: 11.6 }, '2026-13-01'))).toBe(false);
    expect(good(measuredOn(lead, { cShield: 90e-12 }, '2026-12-01'))).toBe(true);
    expect(good(measuredOn(lead, { ratio: 11.6 }, '2026-12-01'))).toBe(false);
    expect(good(measuredOn(lead, { cShield: -1e-12 }, '2026-12-01'))).toBe(false);
  });

  it('is found by what a plan uses there: its class, or a lead that reaches; only what works and has a number', () => {
    const kit = kitOf('1 passive DI #7\n2 passive DI\n1 active DI #8\n5 m jack lead #3');
    const plan = show(['Keys: keyboard, 4 m, passive DI, 20 m, mic 1']);
    const [device] = Object.values(plan.devices).filter((d) => d.model === 'passive-di');
    expect(fittingUnits(kit, device).map(({ unit }) => unit.label)).toEqual(['7']);
    const [cable] = Object.values(plan.cables).filter((c) => c.kind === 'instrument');
    expect(fittingUnits(kit, cable).map(({ unit }) => unit.label)).toEqual(['3']);
    expect(fittingUnits(kit, { ...cable, metres: 6 })).toEqual([]);
    const broken = Object.fromEntries(Object.entries(kit).map(([id, item]) => [id, inCondition(item, 'repair')]));
    expect(fittingUnits(broken, device)).toEqual([]);
  });
});
