import { mates, type Plug, type Socket } from './sockets';
import { type Carries, type Model, param, type PortSpec, type StampContext } from './types';

/** Things without electronics that join two cables: couplers and adapters, contact by contact. */

/** What becomes of the second contact (ring, pin 3, right) on its way through. */
type Second = 'kept' | 'grounded' | 'open' | 'joined';

export interface Adapter {
  readonly id: string;
  /** Socket that takes the cable coming from the source, and the plug it offers to the next. */
  readonly from: Socket;
  readonly to: Plug;
  readonly second: Second;
  /** Whether a second plug hangs on it, wired to the first. */
  readonly twice?: true;
}

const TABLE = [
  { id: 'coupler', from: 'ts', to: 'ts', second: 'grounded' },
  { id: 'jack-to-xlr', from: 'trs', to: 'xlr', second: 'kept' },
  { id: 'rca-to-jack', from: 'rca', to: 'ts', second: 'grounded' },
  { id: 'jack-to-rca', from: 'ts', to: 'rca', second: 'grounded' },
  { id: 'rca-to-xlr', from: 'rca', to: 'xlr', second: 'grounded' },
  { id: 'mini-to-jack', from: 'mini', to: 'trs', second: 'kept' },
  { id: 'jack-to-mini', from: 'trs', to: 'mini', second: 'kept' },
  { id: 'xlr-to-jack', from: 'xlr', to: 'trs', second: 'kept' },
  { id: 'xlr-to-jack-grounded', from: 'xlr', to: 'ts', second: 'grounded' },
  { id: 'xlr-to-jack-open', from: 'xlr', to: 'ts', second: 'open' },
  { id: 'xlr-to-rca-grounded', from: 'xlr', to: 'rca', second: 'grounded' },
  { id: 'xlr-to-rca-open', from: 'xlr', to: 'rca', second: 'open' },
  // Left and right twisted together: each output drives the other.
  { id: 'plain-y', from: 'mini', to: 'ts', second: 'joined' },
  // One output to two inputs, contact by contact.
  { id: 'y-jack', from: 'ts', to: 'ts', second: 'grounded', twice: true },
  { id: 'y-xlr', from: 'xlr', to: 'xlr', second: 'kept', twice: true },
  { id: 'y-rca', from: 'rca', to: 'rca', second: 'grounded', twice: true },
  { id: 'y-mini', from: 'mini', to: 'mini', second: 'kept', twice: true },
  { id: 'y-speaker', from: 'speaker', to: 'speaker', second: 'kept', twice: true }
] as const satisfies readonly Adapter[];
type AdapterId = (typeof TABLE)[number]['id'];
export const ADAPTERS: readonly (Adapter & { readonly id: AdapterId })[] = TABLE;

const contact = param('resistance', 5e-3, 20e-3, 200e-3, 1e-4, 1e3);
const two: Readonly<Record<string, boolean>> = { trs: true, mini: true, xlr: true, speaker: true };

function joint<const Id extends string>({ id, from, to, second, twice }: Adapter & { id: Id }): Model<Id> {
  const carries = (socket: Socket): Carries => (socket === 'mini' ? 'stereo' : two[socket] ? 'balanced' : 'unbalanced');
  const port = (name: string, way: 'in' | 'out', socket: Socket): PortSpec => ({
    id: name,
    way,
    socket,
    carries: carries(socket),
    level: socket === 'ts' ? 'instrument' : socket === 'speaker' ? 'speaker' : 'line',
    ownShield: true
  });
  return {
    id,
    family: 'joint',
    params: { contact },
    options: {},
    ports: [port('in', 'in', from), port('out', 'out', to), ...(twice ? [port('thru', 'out', to)] : [])],
    feeds: ['none'],
    ...(second === 'joined' ? { traits: ['joins-outputs'] as const } : {}),
    stamp: (s) => {
      stampThrough(s, second, 'out');
      if (twice) stampThrough(s, second, 'thru');
    }
  };
}

function stampThrough(s: StampContext, second: Second, out: 'out' | 'thru'): void {
  const a = s.port('in');
  const b = s.port(out);
  const ohm = s.value('contact');
  const name = (part: string): string => s.part(out === 'out' ? part : `${part}-${out}`);
  s.net.resistor(name('first'), a.hot, b.hot, ohm);
  if (second === 'kept' && a.cold !== a.shield) s.net.resistor(name('second'), a.cold, b.cold, ohm);
  if (second === 'grounded' && a.cold !== a.shield) s.net.wire(a.cold, a.shield);
  if (second === 'joined') s.net.wire(a.cold, a.hot);
  s.bond(out === 'out' ? 'shell' : `shell-${out}`, a.shield, b.shield, ohm);
}

/** A row of sockets in a rack: contacts, and nothing else; no adapter, for it is there or it is not. */
const PATCH_BAY = {
  ...joint({ id: 'patch-bay', from: 'trs', to: 'trs', second: 'kept' }),
  params: { contact: param('resistance', 10e-3, 25e-3, 50e-3, 1e-4, 1e3) }
};

export const JOINTS = [...ADAPTERS.map((adapter) => joint(adapter)), PATCH_BAY];

/**
 * The fewest adapters that bring a plug to a socket; empty when it goes in by itself, null when no chain of up to three does.
 * Chains that keep the second contact are preferred to those that ground it, those to open ones.
 */
export function adapterChain(
  fits: (socket: Socket) => boolean,
  target: (plug: Plug) => boolean
): readonly Adapter[] | null {
  const order: readonly Second[] = ['kept', 'grounded', 'open', 'joined'];
  const ranked = [...ADAPTERS]
    .filter((a) => a.second !== 'joined' && !a.twice)
    .sort((a, b) => order.indexOf(a.second) - order.indexOf(b.second));
  let chains: Adapter[][] = ranked.filter((a) => fits(a.from)).map((a) => [a]);
  for (let length = 1; length <= 3; length++) {
    const done = chains.find((chain) => target(chain[chain.length - 1].to));
    if (done) return done;
    chains = chains.flatMap((chain) =>
      ranked.filter((a) => mates(chain[chain.length - 1].to, a.from) && !chain.includes(a)).map((a) => [...chain, a])
    );
  }
  return null;
}
