import { describe, expect, it } from 'vitest';
import { readKit } from '../reader/kit';
import type { Kit } from '../kit/schema';
import { show } from '../tests/plans';
import { inUse, withoutOne } from './failing';
import { Stock } from './stock';

const kitOf = (text: string): Kit => Object.fromEntries(readKit(text).items.map((item, k) => [`k${k}`, item]));
const KIT = kitOf('2 passive DI\n1 active DI\n3 10 m XLR\n1 20 m XLR');

describe('a unit that fails', () => {
  it('is one of its kind less, and nothing else', () => {
    const passive = { what: 'passive-di', metres: 0 };
    const once = withoutOne(KIT, passive);
    const twice = withoutOne(once, passive);
    expect([KIT, once, twice, withoutOne(twice, passive)].map((kit) => new Stock(kit).count(passive))).toEqual([
      2, 1, 0, 0
    ]);
    expect(new Stock(twice).count({ what: 'active-di', metres: 0 })).toBe(1);
    const lead = { what: 'lead:mic:xlr-xlr', metres: 10 };
    expect(new Stock(withoutOne(KIT, lead)).lengths(lead.what)).toEqual([20, 10, 10]);
    expect(withoutOne(KIT, { what: 'isolator', metres: 0 })).toBe(KIT);
  });
  it('is of what works: what is in repair was not planned with', () => {
    const broken: Kit = Object.fromEntries(
      Object.entries(KIT).map(([id, item]) => [id, { ...item, condition: 'repair' as const }])
    );
    expect(withoutOne(broken, { what: 'passive-di', metres: 0 })).toBe(broken);
  });
  it('can be whatever a line takes of the kit, and nothing that lies in its case', () => {
    const plan = show(['Keys: keyboard, 3 m, passive DI, 10 m, mic 1']);
    expect(inUse(plan, KIT).map((p) => p.what)).toEqual(['passive-di', 'lead:mic:xlr-xlr']);
  });
});
