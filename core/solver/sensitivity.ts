import type { Network } from './network';
import { type Complex, type Solution } from './system';

const times = ([ar, ai]: Complex, [br, bi]: Complex): Complex => [ar * br - ai * bi, ar * bi + ai * br];
const scale = ([r, i]: Complex, k: number): Complex => [r * k, i * k];
const add = ([ar, ai]: Complex, [br, bi]: Complex): Complex => [ar + br, ai + bi];

/**
 * How an output moves with each part's value: dV(out)/d ln(value), volts, by one forward and one adjoint solve
 * (Director, Rohrer 1969). Sources are left out.
 * @param forward the network with its sources on
 * @param adjoint the adjoint for the output, at the same frequency
 */
export function sensitivities(
  network: Network,
  forward: Solution,
  adjoint: Solution,
  hz: number
): Map<string, Complex> {
  const omega = 2 * Math.PI * hz;
  const out = new Map<string, Complex>();
  for (const part of network.parts) {
    const across = (): Complex => times(adjoint.voltage(part.a, part.b), forward.voltage(part.a, part.b));
    switch (part.kind) {
      case 'R':
        out.set(part.name, scale(across(), 1 / part.ohm));
        break;
      case 'C':
        out.set(part.name, times([0, -omega * part.farad], across()));
        break;
      case 'L':
        out.set(
          part.name,
          times([0, omega * part.henry], times(adjoint.current(part.name), forward.current(part.name)))
        );
        break;
      case 'VCVS':
        out.set(part.name, scale(times(adjoint.current(part.name), forward.voltage(part.ca, part.cb)), part.gain));
        break;
      case 'VCCS':
        out.set(
          part.name,
          scale(times(adjoint.voltage(part.a, part.b), forward.voltage(part.ca, part.cb)), -part.siemens)
        );
        break;
      case 'T':
        out.set(
          part.name,
          scale(
            add(
              times(adjoint.voltage(part.c, part.d), forward.current(part.name)),
              times(adjoint.current(part.name), forward.voltage(part.c, part.d))
            ),
            part.ratio
          )
        );
        break;
      default:
        break;
    }
  }
  return out;
}
