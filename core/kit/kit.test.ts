import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MODELS } from '../gear/catalogue';
import { PLUGS } from '../gear/sockets';
import { itemsOf, rowsOf } from './csv';
import { CONDITIONS, type Kit, type KitItem, KIT_LIMITS, KitItemSchema, OWNED_CABLES } from './schema';
import { addItems } from './table';

const text = (most: number): fc.Arbitrary<string> => fc.string({ maxLength: Math.min(most, 12) }).map((s) => s.trim());
const common = {
  name: text(KIT_LIMITS.text),
  count: fc.integer({ min: 1, max: KIT_LIMITS.count }),
  condition: fc.constantFrom(...CONDITIONS),
  place: text(KIT_LIMITS.text),
  note: text(KIT_LIMITS.note)
};
const owned = MODELS.filter((m) => m.family === 'box' || m.family === 'joint').map((m) => m.id);
const item: fc.Arbitrary<KitItem> = fc.oneof(
  fc.record({ kind: fc.constant('device' as const), model: fc.constantFrom(...owned), ...common }),
  fc.record({
    kind: fc.constant('lead' as const),
    cable: fc.constantFrom(...OWNED_CABLES),
    metres: fc.integer({ min: 1, max: 400 }).map((n) => n / 4),
    plugs: fc.tuple(fc.constantFrom(...PLUGS), fc.constantFrom(...PLUGS)),
    ...common
  }) as fc.Arbitrary<KitItem>,
  fc.record({ kind: fc.constant('battery' as const), ...common })
);
const ids = (): (() => string) => {
  let n = 0;
  return () => `k${n++}`;
};
/** How many there are of each thing, whatever their order. */
const counted = (kit: Kit): Map<string, number> => {
  const out = new Map<string, number>();
  for (const { count, ...thing } of Object.values(kit)) {
    const key = JSON.stringify(Object.entries(thing).sort());
    out.set(key, (out.get(key) ?? 0) + count);
  }
  return out;
};

describe('a kit', () => {
  it('comes back from a spreadsheet as it went, whatever is in it and in whatever order its columns stand', () =>
    fc.assert(
      fc.property(fc.array(item, { maxLength: 12 }), fc.nat(), (items, turn) => {
        for (const one of items) expect(KitItemSchema.parse(one)).toEqual(one);
        const rows = rowsOf(items);
        expect(itemsOf(rows)).toEqual({ items, faults: [] });
        const by = turn % rows[0].length;
        const turned = rows.map((cells) => [...cells.slice(by), ...cells.slice(0, by)]);
        expect(itemsOf(turned)).toEqual({ items, faults: [] });
      })
    ));
  it('a bad row is told with its number and costs no other', () =>
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 8 }), fc.nat(), (items, at) => {
        const bad = at % items.length;
        const rows = rowsOf(items).map((cells) => [...cells]);
        rows[bad + 1][rows[0].indexOf('count')] = 'several';
        const read = itemsOf(rows);
        expect(read.items).toEqual(items.filter((_, k) => k !== bad));
        expect(read.faults).toEqual([{ row: bad + 2, column: 'count', code: 'not-a-number', text: 'several' }]);
      })
    ));
  it('adding the same in any order and in any portions gives the same kit', () =>
    fc.assert(
      fc.property(fc.array(item, { maxLength: 6 }), fc.nat(), (some, cut) => {
        const items = some.map((i) => ({ ...i, count: 1 + (i.count % 40) }));
        const once = addItems({}, items, ids());
        const at = items.length === 0 ? 0 : cut % items.length;
        const newId = ids();
        const twice = addItems(addItems({}, items.slice(at), newId), items.slice(0, at), newId);
        expect(counted(twice)).toEqual(counted(once));
        // No thing stands there twice.
        expect(counted(once).size).toBe(Object.keys(once).length);
      })
    ));
  it('is never changed in place, and never counts beyond what the schema takes', () => {
    const battery: KitItem = { kind: 'battery', name: '', count: 998, condition: 'works', place: '', note: '' };
    const kit: Kit = Object.freeze({ a: Object.freeze(battery) });
    const more = addItems(kit, [{ ...battery, count: 5 }], ids());
    expect(more.a.count).toBe(KIT_LIMITS.count);
    expect(kit.a.count).toBe(998);
    expect(KitItemSchema.safeParse(more.a).success).toBe(true);
  });
});
