import { modelAt } from '../plan/devices';
import { portOf } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { hasSecond, type Plug, type Socket, socketHasSecond } from '../gear/sockets';
import type { Carries, PortSpec } from '../gear/types';
import type { Plan } from '../plan/schema';
import { contactsOf } from './wire';

/** What a contact of a socket carries. */
type Carried = 'signal' | 'hot' | 'cold' | 'left' | 'right' | 'ground';
export type Conductor = 'a' | 'b' | 's';
type Place = 'first' | 'second' | 'shield';

/** One contact of a plug in its socket. */
export interface Pin {
  readonly place: Place;
  /** Contact of the plug, e.g. `tip` or `pin 2`; null where the plug has none. */
  readonly contact: string | null;
  /** What the socket has there; null where it has nothing. */
  readonly carries: Carried | null;
  /** Conductor of the cable that is soldered to it; null when open. */
  readonly conductor: Conductor | null;
  /** The socket touches this contact with its sleeve. */
  readonly toSleeve: boolean;
}

/** A cable drawn contact by contact. */
export interface PinChart {
  readonly conductors: readonly Conductor[];
  readonly near: readonly Pin[];
  readonly far: readonly Pin[];
  /** Ends at which the second core is soldered to the shield. */
  readonly joined: readonly [boolean, boolean];
}

const CONTACTS: Readonly<Record<Plug, readonly [first: string, second: string | null, shield: string | null]>> = {
  ts: ['tip', null, 'sleeve'],
  trs: ['tip', 'ring', 'sleeve'],
  mini: ['tip', 'ring', 'sleeve'],
  xlr: ['pin 2', 'pin 3', 'pin 1'],
  rca: ['centre', null, 'rim'],
  speaker: ['plus', 'minus', null]
};

const carried = (carries: Carries, place: Place): Carried => {
  if (place === 'shield') return 'ground';
  if (carries === 'balanced') return place === 'first' ? 'hot' : 'cold';
  if (carries === 'stereo') return place === 'first' ? 'left' : 'right';
  return place === 'first' ? 'signal' : 'ground';
};

/** What each contact of a cable's two plugs is soldered to, and what its socket does with it. */
export function pinChart(plan: Plan, id: string): PinChart {
  const cable = plan.cables[id];
  const kind = CABLES[cable.kind];
  const ends = ([cable.from, cable.to] as const).map((end, side) => {
    const port = portOf(modelAt(plan, end.device), end.port)!;
    const contacts = contactsOf(cable.plugs[side], kind.cores, cable.wiring?.[side]);
    return { pins: pins(cable.plugs[side], port, contacts, kind.bare === true), joined: contacts.joined };
  });
  return {
    conductors: kind.cores === 1 ? ['a', 's'] : kind.bare ? ['a', 'b'] : ['a', 'b', 's'],
    near: ends[0].pins,
    far: ends[1].pins,
    joined: [ends[0].joined, ends[1].joined]
  };
}

function pins(plug: Plug, port: PortSpec, contacts: ReturnType<typeof contactsOf>, bare: boolean): Pin[] {
  const [first, second, shield] = CONTACTS[plug];
  const two = socketHasSecond(port.socket as Socket);
  const out: Pin[] = [
    {
      place: 'first',
      contact: first,
      carries: carried(port.carries, 'first'),
      conductor: contacts.first,
      toSleeve: false
    }
  ];
  if (two || second !== null)
    out.push({
      place: 'second',
      contact: second,
      carries: two ? carried(port.carries, 'second') : null,
      conductor: hasSecond(plug) ? contacts.second : null,
      // A socket's second contact meets the sleeve of a plug that has none; and the other way round.
      toSleeve: two ? second === null : true
    });
  if (shield !== null)
    out.push({
      place: 'shield',
      contact: shield,
      carries: 'ground',
      conductor: bare ? 'b' : contacts.shield,
      toSleeve: false
    });
  return out;
}
