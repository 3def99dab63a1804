import type { Kit, KitItem } from '$core/kit/schema';
import { unitOf } from '$core/kit/schema';
import { inCondition } from '$core/kit/units';
import { instrumentNamed, type KnownInstrument } from '$core/players/named';
import { readInstrumentLine } from '$core/players/read-line';
import type { Instrument, Player } from '$core/players/schema';
import type { Plan } from '$core/plan/schema';
import { randomUUID } from 'node:crypto';

/** Who plays what in the made-up piece, and what became of one DI of its crew. */

const PLAYERS: readonly Player[] = [
  {
    name: 'Sanna',
    position: 'left, on the riser',
    wants: '',
    note: 'dulcimer and theremin; changes over in the Tide song'
  },
  { name: 'Jory', position: 'right of the mast', wants: 'no pad', note: '' },
  { name: 'Ebbe', position: 'behind the ropes', wants: 'ground connected', note: 'brings his own 3 m lead' }
];

const INSTRUMENTS: readonly Omit<Instrument, 'model' | 'settings' | 'own'>[] = [
  {
    ...{
      name: 'Hammered dulcimer',
      player: 'Sanna',
      wants: 'active DI 10 MΩ',
      note: 'tuned to the hall an hour before'
    },
    line: 'dulcimer piezo, 6 m, active DI 10m, 25 m, mic, exposed'
  },
  {
    ...{ name: 'Theremin', player: 'Sanna', wants: 'passive DI, no low cut' },
    note: 'wanted the low cut on night one, took it back on night two',
    line: 'theremin keyboard wall-wart, 3 m, passive DI lifted, 25 m, mic, exposed'
  },
  {
    ...{ name: 'Electric bouzouki', player: 'Jory', wants: '', note: '6 m lead was the fault on night one' },
    line: 'bouzouki single coil, 9 m, active DI, 25 m, mic, exposed'
  },
  {
    ...{ name: 'Upright bass', player: 'Ebbe', wants: 'no low cut', note: '' },
    line: 'upright bass piezo, 3 m, active DI 10m, 25 m, mic'
  }
];

export function demoPlayers(): { players: { id: string; player: Player }[]; instruments: KnownInstrument[] } {
  return {
    players: PLAYERS.map((player) => ({ id: randomUUID(), player })),
    instruments: INSTRUMENTS.map((known) => {
      const read = readInstrumentLine(known.line);
      if (!read) throw new Error(`demo instrument: ${known.line}`);
      return { id: randomUUID(), instrument: { ...known, ...read, own: null } };
    })
  };
}

/** A show whose lines are of the instruments that they are called after. */
export const playedBy = (plan: Plan, known: readonly KnownInstrument[]): Plan => ({
  ...plan,
  lines: Object.fromEntries(
    Object.entries(plan.lines).map(([id, info]) => {
      const found = instrumentNamed(known, info.name);
      return [id, found ? { ...info, instrument: found.id } : info];
    })
  )
});

const DAY = 86_400_000;

/** What became of the DI that fails: twice at a show, mended once. @param shows of the earlier nights, oldest first */
export function demoLife(kit: Kit, now: number, shows: readonly string[]) {
  const [itemId, last] = Object.entries(kit).find(([, i]) => (unitOf(i)?.failed ?? 0) > 0)!;
  const fresh = { ...last, condition: 'works', note: '', unit: { ...unitOf(last)!, failed: 0 } } as KitItem;
  const once = inCondition(fresh, 'repair');
  const mended = inCondition(once, 'works');
  return [
    { before: fresh, after: once, said: 'dead on the bouzouki, nothing comes out', showId: shows[0], days: 16 },
    { before: once, after: mended, said: 'new jack, works', showId: null, days: 13 },
    { before: mended, after: last, said: 'crackles when the plug is turned', showId: shows[1], days: 9 }
  ].map(({ days, ...change }) => ({ itemId, madeAt: new Date(now - days * DAY), ...change }));
}
