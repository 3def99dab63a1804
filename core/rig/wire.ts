import type { Node } from '../solver/network';
import { portOf, modelOf } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { hasSecond, mates, type Plug, socketHasSecond } from '../gear/sockets';
import type { Cable, Wiring } from '../plan/schema';
import { type Builder, type Entry, INSULATION_OHM } from './builder';
import { CABLE_LOOP_METRES, type HumPart } from './stray';

/** Contact resistance that one coupler, with its two mated plugs, puts into each conductor of a used lead, ohms. */
const COUPLER_OHM = 0.04;
/** Above this length a cable is cut into several π-sections, metres. */
const SECTION_METRES = 50;
/** The least resistance of a cable's conductor, ohms: its soldered ends. */
const ENDS_OHM = 1e-3;

/** The π-sections of a cable and the contacts of its plugs. */
export function stampCable(b: Builder, id: string, cable: Cable): void {
  const { net } = b;
  const kind = CABLES[cable.kind];
  const per = (name: 'cShield' | 'cCores' | 'rShield' | 'rCore'): number =>
    cable.settings?.[name] ?? kind.params[name].typ;
  const sections = sectionsOf(cable);
  const step = cable.metres / sections;
  const contact = (ENDS_OHM + COUPLER_OHM * (cable.couplers ?? 0)) / sections;
  const at = (name: string, k: number): Node => net.node(`${id}/${name}${k}`);
  const two = kind.cores === 2;
  const along: HumPart[] = [];
  const across: HumPart[] = [];
  const conductor = (name: string, of: string, k: number, ohm: number): HumPart => {
    net.resistor(`${id}/${name}-${k}`, at(of, k), at(of, k + 1), ohm);
    const part = {
      a: at(of, k),
      b: at(of, k + 1),
      ohm,
      share: 1 / sections,
      ...(of === 's' ? {} : { core: true as const })
    };
    along.push(part);
    return part;
  };
  for (let k = 0; k < sections; k++) {
    const first = conductor('core-a', 'a', k, step * per('rCore') + contact);
    if (two) {
      conductor('core-b', 'b', k, step * per('rCore') + contact);
      across.push(first);
    }
    // Bare cores beside each other have no shield: the second is all the return there is.
    if (kind.bare) for (const end of [k, k + 1]) net.wire(at('s', end), at('b', end));
    else conductor('shield', 's', k, step * per('rShield') + contact);
    b.grounds.push({ a: at('s', k), b: at('s', k + 1), what: { cable: id } });
    for (const end of [k, k + 1]) {
      const half = (name: string): string => `${id}/${name}-${k}-${end}`;
      const shield = (step * per('cShield')) / 2;
      net.capacitor(half('c-a'), at('a', end), at('s', end), shield * (1 + kind.mismatch / 2));
      if (!two) continue;
      if (!kind.bare) net.capacitor(half('c-b'), at('b', end), at('s', end), shield * (1 - kind.mismatch / 2));
      net.capacitor(half('c-ab'), at('a', end), at('b', end), (step * per('cCores')) / 2);
    }
  }
  const m2 = cable.metres * CABLE_LOOP_METRES;
  b.hums.push({ kind: 'cable', of: id, m2, parts: along });
  if (two) b.hums.push({ kind: 'cable', of: id, m2: cable.metres * kind.coreArea, parts: across });
  b.entries.set(id, entriesOf(b, id, cable));
  b.mated.set(id, [plugIn(b, id, cable, 0, 0), plugIn(b, id, cable, 1, sections)]);
}

/** The far end of a cable's shield. */
export const farShield = (b: Builder, id: string): Node => b.net.node(`${id}/s${sectionsOf(b.plan.cables[id])}`);
const sectionsOf = (cable: Cable): number => Math.max(1, Math.ceil(cable.metres / SECTION_METRES));

/** What stands between the beginning of the core that the first contact is soldered to and everything else of its cable. */
function entriesOf(b: Builder, id: string, cable: Cable): Entry[] {
  const { first } = contactsOf(cable.plugs[0], CABLES[cable.kind].cores, cable.wiring?.[0]);
  const at = b.net.node(`${id}/${first}0`);
  const out: Entry[] = [];
  // The cable's parts are the last that were added.
  for (let k = b.net.parts.length - 1; k >= 0 && b.net.parts[k].name.startsWith(`${id}/`); k--) {
    const part = b.net.parts[k];
    if ((part.kind !== 'R' && part.kind !== 'C') || (part.a !== at && part.b !== at)) continue;
    const to = part.a === at ? part.b : part.a;
    out.push(part.kind === 'R' ? { to, ohm: part.ohm } : { to, farad: part.farad });
  }
  return out;
}

/** What each contact of a plug is soldered to: a conductor of its cable, or nothing. */
export interface Contacts {
  readonly first: 'a' | 'b';
  readonly second: 'a' | 'b' | 's' | null;
  readonly shield: 's' | null;
  /** The second core ends on the shield, because the plug has no contact for it or it was soldered there. */
  readonly joined: boolean;
}

/** Contacts of a plug on a cable of one or two cores, as wired. */
export function contactsOf(plug: Plug, cores: 1 | 2, wiring: Wiring = 'plain'): Contacts {
  const shield = wiring === 'shield-open' ? null : ('s' as const);
  if (cores === 1)
    return {
      first: 'a',
      second: hasSecond(plug) && wiring !== 'cold-open' ? 's' : null,
      shield,
      joined: false
    };
  const first = wiring === 'swapped' ? 'b' : 'a';
  const other = first === 'a' ? 'b' : 'a';
  if (!hasSecond(plug)) return { first, second: null, shield, joined: wiring !== 'cold-open' };
  if (wiring === 'cold-open') return { first, second: null, shield, joined: false };
  if (wiring === 'cold-grounded') return { first, second: other, shield, joined: true };
  return { first, second: other, shield, joined: false };
}

/**
 * Joins a cable's end to its socket by contact: what touches what follows from plug, wiring and socket alone.
 * Where the plug does not go in, an adapter wired contact to contact is assumed, so that the rest can still be judged.
 */
function plugIn(b: Builder, id: string, cable: Cable, side: 0 | 1, end: number): boolean {
  const { net } = b;
  const { device, port } = side === 0 ? cable.from : cable.to;
  const plug = cable.plugs[side];
  const socket = portOf(modelOf(b.plan.devices[device].model), port)!.socket;
  const nodes = b.ports.get(`${device}.${port}`)!;
  const { cores } = CABLES[cable.kind];
  const contacts = contactsOf(plug, cores, cable.wiring?.[side]);
  const core = (name: 'a' | 'b' | 's'): Node => net.node(`${id}/${name}${end}`);
  const shield = core('s');
  if (contacts.joined) net.wire(core(contacts.first === 'a' ? 'b' : 'a'), shield);
  const first = core(contacts.first);
  net.wire(nodes.hot, first);
  let sleeve = shield;
  if (contacts.shield === null) {
    sleeve = net.node(`${id}/sleeve${side}`);
    net.resistor(`${id}/cut${side}`, sleeve, shield, INSULATION_OHM);
  }
  net.wire(nodes.shield, sleeve);
  const own = hasSecond(plug);
  if (socketHasSecond(socket)) {
    // A plug without a second contact has its sleeve there.
    if (!own) net.wire(nodes.cold, sleeve);
    else if (contacts.second !== null) net.wire(nodes.cold, contacts.second === 's' ? sleeve : core(contacts.second));
  } else if (own && contacts.second !== null) {
    // A third plug contact in a two-contact socket meets the sleeve.
    net.wire(nodes.shield, contacts.second === 's' ? sleeve : core(contacts.second));
  }
  return mates(plug, socket);
}
