import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { onTwoSupplies, show } from '../tests/plans';
import { learn, meet } from './meet';
import { hearOf, socketIn } from './sockets';
import { blankVenue, VenueSchema } from './schema';

describe('a place that a crew knows', () => {
  it.each([
    ['socket 7 of stage box A is dead', { box: 'A', sockets: [7], is: 'dead' }],
    ['stage box b: socket 12 no phantom', { box: 'B', sockets: [12], is: 'no-phantom' }],
    ['sockets 3 and 4 of the snake crackle', { box: '', sockets: [3, 4], is: 'noisy' }],
    ['socket 5 broken', { box: '', sockets: [5], is: 'dead' }],
    ['socket 7 on box A works again', { box: 'A', sockets: [7], is: 'works' }],
    ['input 9 on stage box C doesn’t work', { box: 'C', sockets: [9], is: 'dead' }]
  ])('%s', (text, heard) => expect(socketIn(text)).toEqual(heard));

  it.each(['bass is dead quiet', 'channel 7 clips', 'socket 7 is behind the bar', 'take 4 of box A good'])(
    '%s tells of no socket',
    (text) => expect(socketIn(text)).toBeNull()
  );

  it('what was logged of a socket stands until it works again; said twice it is there once', () => {
    const first = hearOf(blankVenue('Loft'), 'socket 7 of stage box A is dead')!;
    expect(first.sockets).toEqual([{ box: 'A', socket: 7, is: 'dead', note: '' }]);
    expect(hearOf(first, 'socket 7 of box a dead')).toBeNull();
    const both = hearOf(first, 'socket 2 of box A noisy')!;
    expect(both.sockets.map((s) => s.socket)).toEqual([2, 7]);
    expect(hearOf(both, 'socket 7 of box A fixed')!.sockets.map((s) => s.socket)).toEqual([2]);
    expect(VenueSchema.safeParse(both).success).toBe(true);
  });

  it('its supplies go into a show as measured, by name; what it does not know is named; and back', () => {
    const plan = onTwoSupplies(show(['Keys: keyboard, 3 m, line 1']));
    const [id, other] = Object.keys(plan.supplies);
    for (const d of Object.values(plan.devices)) if (d.supply) d.supply = id;
    const measured = structuredClone(plan);
    measured.supplies[id] = { ...measured.supplies[id], emf: 0.123, spread: 1.1, planned: { emf: 1 } };
    measured.policy.room = 'theatre';
    delete measured.supplies[other];
    for (const d of Object.values(measured.devices)) if (d.supply === other) delete d.supply;
    for (const h of Object.values(measured.hosts)) if (h.supply === other) delete h.supply;
    const venue = learn(blankVenue('Loft'), measured);
    expect(venue).toMatchObject({ room: 'theatre', supplies: [{ emf: 0.123, spread: 1.1 }] });
    expect(venue.supplies[0]).not.toHaveProperty('planned');

    let n = 0;
    const met = meet(plan, venue, () => `s-${n++}`);
    expect(met.unknown).toEqual([plan.supplies[other].name]);
    expect(met.otherwise).toEqual([plan.supplies[id].name]);
    const applied = applyEdit(plan, { ops: [...met.ops!] });
    if (!applied.ok) throw new Error('does not fit');
    expect(applied.plan.supplies[id].emf).toBe(0.123);
    expect(applied.plan.supplies[other]).toEqual(plan.supplies[other]);
    expect(applied.plan.policy.room).toBe('theatre');
    expect(meet(applied.plan, venue, () => 's-x').ops).toEqual([]);
    // A show that has none of its supplies gets all of them.
    const bare = meet(
      show(['Keys: keyboard, 3 m, line 1']),
      { ...venue, supplies: [{ ...venue.supplies[0], name: 'Annex' }] },
      () => 's-y'
    );
    expect(bare.brings).toEqual(['Annex']);
    expect(bare.room).toBe(true);
    expect(bare.ops!.some((op) => op.op === 'add' && op.table === 'supplies')).toBe(true);
  });
});
