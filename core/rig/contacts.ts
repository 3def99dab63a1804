import { portOf } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { socketHasSecond } from '../gear/sockets';
import { modelAt, settingsAt } from '../plan/devices';
import type { Plan } from '../plan/schema';
import type { Rig } from './builder';
import { contactsOf } from './wire';

/** What has become of the second contact of an output (cold leg, or right channel) on its way to the next socket. */
export interface Legs {
  /** Both of the output's contacts reach the cable's two cores, and both of those the input's: no leg is on the shield. */
  readonly balanced: boolean;
  /** Two contacts at the output, of which the second has been put on its shield on the way. */
  readonly coldOnShield: boolean;
  /** Two contacts at the output, of which the second is led nowhere. */
  readonly coldOpen: boolean;
  /** The shield of the cable reaches both ends. */
  readonly shielded: boolean;
  readonly swapped: boolean;
}

/** Which contacts the plugs have joined, read off the network's wires and the contact map. */
export function legsOf(plan: Plan, rig: Rig, id: string): Legs {
  const cable = plan.cables[id];
  const { cores, bare } = CABLES[cable.kind];
  const ends = ([cable.from, cable.to] as const).map((end, side) => {
    const nodes = rig.ports.get(`${end.device}.${end.port}`)!;
    const read = settingsAt(plan, end.device);
    const spec = portOf(modelAt(plan, end.device), end.port)!;
    const contacts = contactsOf(cable.plugs[side], cores, cable.wiring?.[side]);
    const driven = read.choice('topology') !== 'unbalanced' && read.choice('bridged') !== 'no';
    return {
      apart: rig.net.root(nodes.cold) !== rig.net.root(nodes.shield),
      two: spec.carries !== 'unbalanced' && (side === 1 || driven),
      balanced: spec.carries === 'balanced' && (side === 1 || driven),
      open: contacts.second === null && !contacts.joined && socketHasSecond(spec.socket) && cores === 2,
      contacts
    };
  });
  const [near, far] = ends;
  const joined = far.contacts.joined || near.contacts.joined || (far.contacts.second === 's' && cores === 2);
  return {
    balanced: ends.every((end) => end.balanced && end.apart && !end.open) && !joined,
    coldOnShield: near.two && (!near.apart || joined),
    coldOpen: near.two && near.apart && !joined && (near.open || far.open || cores === 1),
    shielded: bare !== true && ends.every((end) => end.contacts.shield !== null),
    swapped: ends.filter((end) => end.contacts.first === 'b').length === 1
  };
}
