import { judgePlan } from '$core/judge/judge';
import type { Reading } from '$core/linecheck/reading';
import { readTypedEntry } from '$core/log/typed';
import { blankPlan } from '$core/plan/blank';
import { resolve } from '$core/plan/resolved';
import type { Plan } from '$core/plan/schema';
import { randomUUID } from 'node:crypto';
import { learn } from '$core/venue/meet';
import { blankVenue, type Venue } from '$core/venue/schema';
import { planOf } from './demo-shows';

/**
 * Two earlier nights of the same piece, for there to be something to remember: what worked and how it was set, a lead that failed, a
 * hum and its cure, a player who changed their mind.
 */

const DAY = 86_400_000;
const MINUTE = 60_000;

interface Night {
  readonly name: string;
  readonly venue: string;
  readonly knows: Partial<Venue>;
  /** So many days before the third. */
  readonly daysAgo: number;
  readonly plan: () => Plan;
  /** Lines as they were left, by name: how far the gain was from the computed one, dB; or what was wrong. */
  readonly left: Readonly<
    Record<
      string,
      { readonly off: number; readonly note?: string } | { readonly faulty: number; readonly note: string }
    >
  >;
  /** What was typed, with minutes after the check. */
  readonly typed: readonly (readonly [minutes: number, text: string])[];
  readonly trace?: {
    readonly line: string;
    readonly cause: string;
    readonly share: number;
    readonly note: string;
    readonly after: number;
  };
}

const loft = (): Plan =>
  planOf(
    {
      ...blankPlan(),
      supplies: {
        stage: { name: 'Loft sockets', place: 'net loft', emf: 0.06, ohm: 0.25, dimmers: true },
        yard: { name: 'Yard', place: 'desk', emf: 0.01, ohm: 0.2, dimmers: false }
      },
      hosts: { desk: { name: 'Desk', supply: 'yard', feed: 'mains-1' } }
    },
    [
      'Hammered dulcimer: dulcimer piezo, 6 m, active DI 10m, 25 m, mic 1, exposed',
      'Electric bouzouki: bouzouki single coil, 6 m, active DI, 25 m, mic 2, exposed',
      'Upright bass: upright bass piezo, 3 m, active DI 10m lifted, 25 m, mic 3',
      'Theremin: theremin keyboard wall-wart on Loft sockets, 3 m, active DI lifted, 25 m, mic 5, exposed',
      'Narrator: dynamic mic (nominal -48 dBu), 30 m multicore, mic 11, exposed'
    ]
  );
const store = (): Plan =>
  planOf(
    {
      ...blankPlan(),
      supplies: { wall: { name: 'Corn store wall', place: 'stage', emf: 0.02, ohm: 0.2, dimmers: false } },
      hosts: { desk: { name: 'Desk', supply: 'wall', feed: 'mains-1' } }
    },
    [
      'Hammered dulcimer: dulcimer piezo, 6 m, active DI 10m, 40 m, mic 1, exposed',
      'Electric bouzouki: bouzouki single coil, 9 m, active DI, 40 m, mic 2, exposed',
      'Upright bass: upright bass piezo, 3 m, active DI 10m, 40 m, mic 3',
      'Theremin: theremin keyboard wall-wart on Corn store wall, 5 m, passive DI lifted, 40 m, mic 5, exposed',
      'Narrator: dynamic mic (nominal -48 dBu), 45 m multicore, mic 11, exposed'
    ]
  );

const NIGHTS: readonly Night[] = [
  {
    name: 'Night one, net loft',
    venue: 'Net loft',
    knows: {
      room: 'theatre',
      note: 'Load in by the yard door, the stair is narrow. The yard socket is the quiet one.'
    },
    daysAgo: 16,
    plan: loft,
    left: {
      'Hammered dulcimer': { off: -2 },
      'Electric bouzouki': { faulty: 0, note: 'crackles when it is moved, 6 m lead swapped for the other one' },
      'Upright bass': { off: 1, note: 'second half +4 dB' },
      Theremin: { off: -3, note: 'lift open, else it buzzes with the dimmers' },
      Narrator: { off: 2 }
    },
    typed: [
      [4, 'bouzouki lead cut up and thrown away, buy another 6 m'],
      [31, 'Tide song take 1 false start'],
      [36, 'Tide song take 2 good, click at 1:20 on the narrator'],
      [95, 'theremin player wants the low cut, thinks it is cleaner #preference']
    ],
    trace: {
      line: 'Theremin',
      cause: 'ground loop through the shield to the desk',
      share: 0.97,
      note: 'gone with the lift, the loft and the yard are on different supplies',
      after: 22
    }
  },
  {
    name: 'Night two, corn store',
    venue: 'Corn store',
    knows: {
      electrician: 'ask at the bar',
      sockets: [{ box: 'A', socket: 7, is: 'dead', note: '' }],
      boxes: [{ name: 'A', sockets: 16, metres: 40, phantom: true, place: 'left of the door' }],
      runs: [{ from: 'bar', to: 'desk', metres: 22, tie: '', ways: null }],
      desk: '16 inputs, in the gallery'
    },
    daysAgo: 9,
    plan: store,
    left: {
      'Hammered dulcimer': { off: -1 },
      'Electric bouzouki': { off: 0, note: 'new 9 m lead' },
      'Upright bass': { off: 0 },
      Theremin: { off: -1, note: 'passive DI tonight, player likes it better' },
      Narrator: { off: 3, note: 'sits further back, +3' }
    },
    typed: [
      [12, 'sockets left of the door are dead, used the ones behind the bar'],
      [80, 'theremin: no low cut after all #preference'],
      [118, 'dulcimer battery low at the end, changed #battery']
    ]
  }
];

/** A night's rows, as they are kept. @param now when the third night is */
export function demoNights(now: number) {
  return NIGHTS.map((night) => {
    const plan = night.plan();
    const begun = now - night.daysAgo * DAY;
    const reports = new Map(judgePlan(plan).map((r) => [r.id, r]));
    const lines = resolve(plan).lines.map(({ id, info, cables }) => ({
      id,
      name: info!.name,
      channel: info!.channel,
      cables
    }));
    const lineOf = (name: string) => lines.find((l) => l.name === name)!;
    const readings = Object.entries(night.left).map(([name, left], k) => {
      const line = lineOf(name);
      const at = new Date(begun + k * 3 * MINUTE);
      const usual = reports.get(line.id)?.gain ?? 30;
      const reading: Reading = {
        ...{ id: randomUUID(), lineId: line.id, at: at.toISOString(), practice: false, done: true },
        ...('off' in left
          ? { gainDb: Math.round(usual + left.off), hum: 'none', content: 'right', outcome: { is: 'works' } }
          : { content: 'distorted', outcome: { is: 'faulty', part: line.cables[left.faulty] } }),
        ...(left.note ? { note: left.note } : {})
      };
      return { id: reading.id, reading, madeAt: at };
    });
    const typed = night.typed.map(([minutes, text]) => {
      const { kind, tags, facts } = readTypedEntry(text, lines);
      const id = randomUUID();
      return {
        ...{ id, kind, ref: id, text, tags: [...tags], place: night.name },
        facts: { ...facts, revision: 0 },
        at: new Date(begun + minutes * MINUTE)
      };
    });
    const traces = night.trace
      ? [
          {
            madeAt: new Date(begun + night.trace.after * MINUTE),
            record: {
              ...{ id: randomUUID(), lineId: lineOf(night.trace.line).id, answers: [], cause: night.trace.cause },
              ...{ at: new Date(begun + night.trace.after * MINUTE).toISOString(), share: night.trace.share },
              ...{ note: night.trace.note, cured: 'lift' as const }
            }
          }
        ]
      : [];
    const place = {
      id: randomUUID(),
      venue: { ...learn(blankVenue(night.venue), plan), ...night.knows },
      madeAt: new Date(begun),
      changedAt: new Date(begun)
    };
    return {
      place,
      name: night.name,
      plan,
      madeAt: new Date(begun - 60 * MINUTE),
      changedAt: new Date(begun),
      readings,
      typed,
      traces
    };
  });
}
