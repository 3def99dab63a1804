import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { onTwoSupplies, show } from '../tests/plans';
import { learn, meet } from './meet';
import { toDbu } from '../units/quantity';
import { heardOfPlaceText } from '../words/venue';
import { socketsOf } from './line-sockets';
import { mergeVenues, withMine } from './merge';
import { hearOf, socketIn } from './sockets';
import { distance, hearOfPlace } from './typed';
import { blankVenue, type Venue, VenueSchema } from './schema';

describe('what is typed of a place', () => {
  const heard = (text: string) => {
    const got = hearOfPlace(blankVenue('Loft'), text);
    return got ? heardOfPlaceText(got) : null;
  };
  it.each([
    ['stage box A: 32 sockets, 40 m to the desk', 'Stage box A: 32 sockets, 40 m to the desk'],
    [
      'box B, 16 ch, 25m, stage right, no phantom',
      'Stage box B: 16 sockets, 25 m to the desk, no phantom, stage right'
    ],
    ['snake 24 channels 30 m', 'Stage box: 24 sockets, 30 m to the desk'],
    ['wall box 2: 8 sockets, balcony', 'Wall box 2: 8 sockets, balcony'],
    ['tie line 2 from stage to studio, 25 m, 8 ways', 'Tie line 2, stage to studio: 25 m, 8 ways'],
    ['ties: hall to van 30m 12 lines', 'Tie line, hall to van: 30 m, 12 ways'],
    ['riser to desk about 12 m', 'riser to desk: 12 m'],
    ['stage left to box A is about 8 m', 'stage left to box A: 8 m'],
    ['stage right to FOH 60 ft', 'stage right to FOH: 18.3 m'],
    ['desk: 48 inputs', 'desk: 48 inputs'],
    ['the electrician is Ola, bar phone', 'electrician: Ola, bar phone'],
    [
      'stage box C: 16 sockets, 30 m, max +18 dBu, 20 dB pads',
      'Stage box C: 16 sockets, 30 m to the desk, +18 dBu at most, pads of 20 dB'
    ],
    ['box D 8 ins takes +4 dBu no pads drum riser', 'Stage box D: 8 sockets, +4 dBu at most, no pads, drum riser'],
    ['red curtains', null],
    ['box is red', null],
    ['from here to there', null]
  ])('%s', (text, is) => expect(heard(text)?.replaceAll('\u202F', ' ') ?? null).toBe(is));

  it('said again it is there once; a distance holds both ways', () => {
    const say = (venue: Venue, text: string): Venue => hearOfPlace(venue, text)!.venue;
    const once = say(blankVenue('Loft'), 'box A: 16 sockets, 40 m');
    const twice = say(once, 'box a: 24 sockets, 42 m');
    expect(twice.boxes).toMatchObject([{ name: 'A', sockets: 24, metres: 42 }]);
    const way = say(say(twice, 'riser to desk 12 m'), 'Desk to riser: 13 m');
    expect(way.runs).toHaveLength(1);
    expect([distance(way, 'riser', 'desk'), distance(way, 'DESK', 'Riser'), distance(way, 'riser', 'bar')]).toEqual([
      13,
      13,
      null
    ]);
    expect(VenueSchema.parse(way)).toEqual(way);
  });
});

describe('lines at a place', () => {
  const plan = show(
    ['Cello: cello piezo, 3 m, active DI, 20 m multicore, mic 7'],
    ['Keys: keyboard, 3 m, passive DI, 6 m multicore, mic 2']
  );
  const at = (...said: string[]): Venue => said.reduce((v, text) => hearOfPlace(v, text)!.venue, blankVenue('Loft'));
  const wrong = (venue: Venue) =>
    socketsOf(plan, venue)
      .map((s) => [s.socket, s.wrong] as const)
      .sort(([a], [b]) => b - a);

  it('know their sockets, what is wrong with them, and how long the run is', () => {
    const venue = at('box A: 16 sockets, 40 m');
    expect(wrong(venue)).toEqual([
      [7, null],
      [2, null]
    ]);
    expect(wrong(at('box A: 16 sockets', 'socket 7 of box A is dead'))[0]).toEqual([7, 'dead']);
    expect(wrong(at('box A: 16 sockets', 'socket 7 of box B is dead'))[0]).toEqual([7, null]);
    // Phantom counts for the line that needs it, from the box and from the socket.
    expect(wrong(at('box A: 16 sockets, no phantom'))).toEqual([
      [7, 'no-phantom'],
      [2, null]
    ]);
    expect(wrong(at('box A: 16 sockets', 'socket 2 of box A no phantom'))[1]).toEqual([2, null]);
    // A box of six has no seventh socket.
    expect(wrong(at('box A: 6 sockets'))).toEqual([[2, null]]);
    expect(wrong(at('box A: 7 sockets'))).toEqual([
      [7, null],
      [2, null]
    ]);
    // Of two boxes nobody knows which, unless the line says where it stands.
    expect(wrong(at('box A: 16 sockets', 'box B: 16 sockets'))).toEqual([]);
    const met = meet(plan, venue, () => 's-x');
    expect(met.runs.map((r) => [r.line.info?.name, r.planned, r.known]).sort()).toEqual([
      ['Cello', 20, 40],
      ['Keys', 6, 40]
    ]);
    const done = applyEdit(plan, { ops: [...met.ops!] });
    if (!done.ok) throw new Error('does not fit');
    expect(meet(done.plan, venue, () => 's-x').runs).toEqual([]);
  });

  it('inputs take what the box takes; a pad that is not there is told', () => {
    const venue = at('box A: 16 sockets, max +18 dBu, no pads');
    const met = meet(plan, venue, () => 's-x');
    expect(met.levels.map((l) => [l.line.info?.name, Math.round(l.planned), l.known]).sort()).toEqual([
      ['Cello', 6, 18],
      ['Keys', 6, 18]
    ]);
    const done = applyEdit(plan, { ops: [...met.ops!] });
    if (!done.ok) throw new Error('does not fit');
    expect(meet(done.plan, venue, () => 's-x').levels).toEqual([]);
    for (const { line } of met.levels)
      expect(toDbu(done.plan.devices[line.id].settings.clip as number)).toBeCloseTo(18, 9);
    const cello = socketsOf(plan, venue).find((s) => s.socket === 7)!.line.id;
    const padded = structuredClone(plan);
    padded.devices[cello].settings = { ...padded.devices[cello].settings, pad: '20' };
    const wrongOf = (place: Venue) => socketsOf(padded, place).find((s) => s.socket === 7)!.wrong;
    expect([wrongOf(venue), wrongOf(at('box A: 16 sockets, 20 dB pad')), wrongOf(at('box A: 16 sockets'))]).toEqual([
      'no-pad',
      null,
      null
    ]);
  });

  it('another day’s measurement is believed less than today’s, and more than a guess', () => {
    const [id] = Object.keys(plan.supplies);
    const measured = structuredClone(plan);
    measured.supplies[id] = { ...measured.supplies[id], emf: 0.2, spread: 1.1, planned: { emf: 1 } };
    const venue = learn(blankVenue('Loft'), measured);
    const done = applyEdit(plan, { ops: [...meet(plan, venue, () => 's-x').ops!] });
    if (!done.ok) throw new Error('does not fit');
    expect(done.plan.supplies[id]).toMatchObject({ emf: 0.2, spread: 1.5 });
    const wide = { ...venue, supplies: [{ ...venue.supplies[0], spread: 1.6 }] };
    const asWide = applyEdit(plan, { ops: [...meet(plan, wide, () => 's-x').ops!] });
    expect(asWide.ok && asWide.plan.supplies[id].spread).toBe(1.6);
    // What was measured here today stays.
    expect(meet(measured, { ...venue, supplies: [{ ...venue.supplies[0], emf: 0.4 }] }, () => 's-x').otherwise).toEqual(
      []
    );
  });
});

describe('two people change a place at once', () => {
  const said = (v: Venue, ...texts: string[]): Venue => texts.reduce((at, t) => hearOfPlace(at, t)!.venue, v);
  const from = said(blankVenue('Loft'), 'box A: 16 sockets, 40 m', 'riser to desk 12 m', 'socket 3 of box A is dead');
  it('different fields and different entries of one list both hold, in either order', () => {
    const mine = said(from, 'socket 7 of box A is dead', 'socket 3 of box A works again', 'electrician: Ola');
    const theirs = said(from, 'socket 9 of box A noisy', 'box B: 8 sockets', 'desk: 48 inputs');
    const [ab, ba] = [mergeVenues(from, mine, theirs), mergeVenues(from, theirs, mine)];
    expect([ab.both, ba.both]).toEqual([[], []]);
    expect(ab.venue.sockets.map((s) => s.socket).sort()).toEqual([7, 9]);
    expect(ab.venue).toMatchObject({ electrician: 'Ola', desk: '48 inputs' });
    expect(ab.venue.boxes).toHaveLength(2);
    const sorted = (v: Venue) => ({ ...v, sockets: [...v.sockets].sort((a, b) => a.socket - b.socket) });
    expect(sorted(ab.venue)).toEqual(sorted(ba.venue));
    expect(mergeVenues(from, mine, from).venue).toEqual(mine);
    expect(mergeVenues(from, from, theirs).venue).toEqual(theirs);
  });
  it('the same thing said twice waits for a decision, and one’s own can be made to hold', () => {
    const [mine, theirs] = [said(from, 'riser to desk 14 m'), said(from, 'riser to desk 15 m', 'box B: 8 sockets')];
    const merged = mergeVenues(from, mine, theirs);
    expect(merged).toEqual({ venue: theirs, both: ['runs'] });
    expect(withMine(from, mine, theirs)).toMatchObject({
      runs: [{ metres: 14 }],
      boxes: [{ name: 'A' }, { name: 'B' }]
    });
    const names = mergeVenues(from, { ...from, note: 'a' }, { ...from, note: 'b' });
    expect(names).toMatchObject({ both: ['note'], venue: { note: 'b' } });
    expect(mergeVenues(from, { ...from, note: 'a' }, { ...from, note: 'a' }).both).toEqual([]);
  });
});

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
