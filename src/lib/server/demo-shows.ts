import { blankPlan } from '$core/plan/blank';
import type { Plan } from '$core/plan/schema';
import { putLine } from '$core/plan/put';
import { namesOf } from '$core/reader/names';
import { readLine } from '$core/reader/read-line';

/** Our own made-up shows, written as one would say them. The mistakes in them are meant. */
const SALT_ROAD: readonly string[] = [
  'Hammered dulcimer: dulcimer piezo, 6 m 1 coupler, passive DI, 40 m, mic 1, exposed',
  'Electric bouzouki: bouzouki single coil, 9 m, active DI, 40 m, mic 2, exposed',
  'Upright bass: upright bass piezo, 3 m, active DI 10m, 40 m, mic 3',
  'Pump organ: organ piezo, 2 m, active DI 10m, 40 m, mic 4',
  'Theremin: theremin keyboard wall-wart on Stage left, 5 m, 40 m, line 5, exposed',
  'Tape loops: rca player earthed on Stage right, 18 m, rca input, ch 6',
  'Cue laptop: headphone jack on Desk platform, 3 m, mic 7',
  'Modular rack: modular rack earthed on Stage left, 3 m, active DI on battery, 40 m, mic 8',
  'Foley table: balanced line on Stage left, 40 m multicore, line 9',
  'Bouzouki amp: dynamic mic (nominal -42 dBu), 40 m multicore, mic 10',
  'Narrator: dynamic mic (nominal -48 dBu), 45 m multicore, mic 11, exposed',
  'Hearing assist: balanced line on Desk platform, 30 m, rca input, ch 12, buried'
];

const ROPE_ROOM: readonly string[] = [
  'Bouzouki dry track: bouzouki single coil, 3 m, active DI, 15 m, mic 1, exposed',
  'Pump organ overdub: organ piezo, 5 m, instrument input, ch 2',
  'Passive bass: passive bass, 12 m 2 couplers, line 3',
  'Drone synth: keyboard on Wall sockets, 3 m, line 4',
  'Room voice: dynamic mic, 10 m, mic 5',
  'Reference player: rca player on Wall sockets, 3 m, rca input, ch 6',
  'Amp next door: from Bouzouki dry track, 3 m, active DI on battery, 30 m multicore, reversed box, 2 m, guitar amp',
  'Re-amp: interface output on Wall sockets, 12 m, re-amp box, 3 m, guitar amp, buried',
  'Listening left: balanced line on Wall sockets, 6 m, powered speaker',
  'Listening right: balanced line on Wall sockets, 6 m, powered speaker'
];

/** A show with some lines, written as one would say them. */
export function planOf(base: Plan, lines: readonly string[]): Plan {
  lines.forEach((text, k) => {
    const { spec, faults } = readLine(text, namesOf(base));
    if (!spec) throw new Error(`demo line "${text}": ${JSON.stringify(faults)}`);
    putLine(base, spec, (role) => `l-${k + 1}-${role}`);
  });
  return base;
}

/** The travelling shadow-theatre piece in a converted rope works: three supplies, one of them with the dimmers. */
export function saltRoad(): Plan {
  const plan = planOf(
    {
      ...blankPlan(),
      supplies: {
        'stage-left': { name: 'Stage left', place: 'spinning floor', phase: 1, emf: 0.012, ohm: 0.2, dimmers: false },
        'stage-right': { name: 'Stage right', place: 'spinning floor', phase: 2, emf: 0.04, ohm: 0.2, dimmers: true },
        platform: { name: 'Desk platform', place: 'annex', phase: 3, emf: 0.3, ohm: 0.25, dimmers: false }
      },
      hosts: {
        desk: { name: 'Desk', supply: 'platform', feed: 'mains-1' },
        foyer: { name: 'Foyer amplifier', supply: 'stage-left', feed: 'mains-1' }
      }
    },
    SALT_ROAD
  );
  const foyer = Object.keys(plan.lines).find((id) => plan.lines[id].name === 'Hearing assist')!;
  plan.devices[foyer].host = 'foyer';
  plan.policy.kit = 'crew';
  return plan;
}

/** A studio day in the same building. */
export function ropeRoom(): Plan {
  const plan = planOf(
    {
      ...blankPlan(),
      supplies: { wall: { name: 'Wall sockets', emf: 0.004, ohm: 0.2, dimmers: false } },
      hosts: { desk: { name: 'Recorder', supply: 'wall', feed: 'mains-1' } }
    },
    ROPE_ROOM
  );
  for (const info of Object.values(plan.lines)) if (info.name.startsWith('Listening')) info.pair = 'Listening';
  return plan;
}
