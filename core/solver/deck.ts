import { FOUR_KT, NOISE_KELVIN } from './noise';
import type { Network, Node } from './network';

/** What the deck asks its simulator for. */
export interface DeckAsk {
  readonly title: string;
  /** Sweep of `.ac`, hertz and points a decade; equal ends ask for one point. */
  readonly from: number;
  readonly to: number;
  readonly perDecade: number;
  /** Outputs that are printed; noise is that of the first. */
  readonly out: readonly (readonly [Node, Node])[];
  /** Adds `.noise`; needs a voltage source that is on. */
  readonly noise: boolean;
  /** Sources of the network that are on; all unless told. */
  readonly on?: (part: string) => boolean;
  /** Currents driven besides the network's own sources: from a to b, ampere as [real, imaginary]. */
  readonly drive?: readonly { name: string; a: Node; b: Node; ampere: readonly [number, number] }[];
  /** Remarks at the top, a line each. */
  readonly remarks?: readonly string[];
}

/**
 * A network as a deck for any circuit simulator that reads the customary element lines (R, C, L, V, I, E, G, K, F).
 * Ideal transformers become a controlled pair; a source with noise of its own gets it from a resistor of the same 4kTR,
 * since element sources are silent. Temperature is set to that of the core's noise.
 */
export function deck(network: Network, ask: DeckAsk): string {
  const lines: string[] = [`* ${ask.title}`, ...(ask.remarks ?? []).map((r) => `* ${r}`)];
  const node = (n: Node): string => {
    const root = network.root(n);
    return root === 0 ? '0' : `n${root}`;
  };
  const num = (x: number): string => Number(x.toPrecision(12)).toString();
  let serial = 0;
  let noisy = 0;
  let input: string | null = null;
  for (const part of network.parts) {
    const id = `${++serial}`;
    const [a, b] = [node(part.a), node(part.b)];
    const said = ` ; ${part.name}`;
    switch (part.kind) {
      case 'R':
        lines.push(`R${id} ${a} ${b} ${num(part.ohm)}${said}`);
        break;
      case 'C':
        lines.push(`C${id} ${a} ${b} ${num(part.farad)}${said}`);
        break;
      case 'L':
        lines.push(`L${id} ${a} ${b} ${num(part.henry)}${said}`);
        break;
      case 'V': {
        let low = b;
        if (part.noise > 0) {
          // V = EMF + noise: the noise resistor stands alone and a controlled source carries its voltage over.
          low = `e${id}`;
          lines.push(`R${id}n w${id} 0 ${num((part.noise * part.noise) / FOUR_KT)}${said}, own noise`);
          lines.push(`E${id} ${low} ${b} w${id} 0 1`);
          noisy++;
        }
        {
          const volt = ask.on && !ask.on(part.name) ? 0 : part.volt;
          lines.push(`V${id} ${a} ${low} dc 0 ac ${num(volt)}${said}`);
          if (volt !== 0) input ??= `V${id}`;
        }
        break;
      }
      case 'I':
        if (part.noise > 0) {
          const ohm = (part.noise * part.noise) / FOUR_KT;
          lines.push(`R${id}n w${id} 0 ${num(ohm)}${said}, own noise`, `G${id} ${a} ${b} w${id} 0 1`);
          noisy++;
        }
        if (part.ampere !== 0) lines.push(`I${id} ${a} ${b} dc 0 ac ${num(part.ampere)}${said}`);
        break;
      case 'VCVS':
        lines.push(`E${id} ${a} ${b} ${node(part.ca)} ${node(part.cb)} ${num(part.gain)}${said}`);
        break;
      case 'VCCS':
        lines.push(`G${id} ${a} ${b} ${node(part.ca)} ${node(part.cb)} ${num(part.siemens)}${said}`);
        break;
      case 'T':
        // V(a,b) = n·V(c,d), and n times the current of the first winding leaves the second.
        lines.push(
          `E${id} ${a} t${id} ${node(part.c)} ${node(part.d)} ${num(part.ratio)}${said}`,
          `V${id}t t${id} ${b} dc 0`,
          `F${id} ${node(part.d)} ${node(part.c)} V${id}t ${num(part.ratio)}`
        );
        break;
      case 'K':
        lines.push(
          `L${id}a ${a} ${b} ${num(part.l1)}${said}`,
          `L${id}b ${node(part.c)} ${node(part.d)} ${num(part.l2)}`,
          `K${id} L${id}a L${id}b ${num(part.k)}`
        );
        break;
    }
  }
  for (const { name, a, b, ampere } of ask.drive ?? []) {
    const size = Math.hypot(...ampere);
    const phase = (Math.atan2(ampere[1], ampere[0]) * 180) / Math.PI;
    lines.push(`I${++serial} ${node(a)} ${node(b)} dc 0 ac ${num(size)} ${num(phase)} ; ${name}`);
  }
  lines.push(...asks(ask, node, input, noisy));
  return lines.join('\n') + '\n';
}

function asks(ask: DeckAsk, node: (n: Node) => string, input: string | null, noisy: number): string[] {
  const probes = ask.out.map(([a, b]) => (node(b) === '0' ? `v(${node(a)})` : `v(${node(a)},${node(b)})`));
  const sweep = `dec ${ask.perDecade} ${ask.from} ${ask.to}`;
  return [
    `.options temp=${(NOISE_KELVIN - 273.15).toFixed(2)}${noisy > 0 ? ` ; ${noisy} sources carry noise of their own` : ''}`,
    `.ac ${sweep}`,
    ...probes.map((probe) => `.print ac ${probe.replace('v(', 'vm(')}`),
    ...(ask.noise && input ? [`.noise ${probes[0]} ${input} ${sweep}`, '.print noise onoise_spectrum'] : []),
    '.end'
  ];
}
