import { CircuitError } from '../solver/network';
import type { Complex } from '../solver/system';
import { type Domain, isComplete, type Line } from '../plan/lines';
import type { Plan, Wiring } from '../plan/schema';
import type { Rig } from './builder';
import { type RigHum } from './hum';
import { domainHum, type DomainHum } from './hum-domain';
import { ringThrough, type Tie } from './rings';
import { benchOf, inputsOf } from './bench';

/** A ring of ground conductors, told by the shield that closes it. */
export interface Loop {
  readonly cable: string;
  /** Supplies it runs through, by id. */
  readonly supplies: readonly string[];
  /** Every cable whose shield is part of it. */
  readonly cables: readonly string[];
  /** Through the shield at the mains frequency, amperes RMS. */
  readonly ampere: number;
  /** Hum at each input of the piece, volts RMS: as it is, and with this shield cut at its far end. */
  readonly inputs: readonly { line: string; volts: number; opened: number }[];
}

/**
 * All loops of a piece of the rig. Each is opened on a copy and the piece solved again: what opening brings is computed,
 * not estimated from its share.
 * @param beyond hosts and supplies that the rest of the rig joins
 * @param again the rig with this piece's answer exchanged
 */
export function loopsOf(
  plan: Plan,
  domain: Domain,
  rigHum: RigHum,
  hum: DomainHum,
  beyond: readonly Tie[],
  again: (hum: DomainHum) => RigHum
): Loop[] {
  const { rig, system } = benchOf(plan, domain);
  const complete = domain.lines.filter((line) => isComplete(plan, line));
  const solved = system.at(plan.policy.mainsHz);
  return domain.cables.flatMap((cable): Loop[] => {
    const ring = ringThrough(rig, cable, beyond);
    if (!ring) return [];
    const without = openedHum(plan, domain, complete, cable);
    const opened = without ? again(without) : null;
    return [
      {
        cable,
        supplies: [...new Set(ring.flatMap((e) => ('supply' in e.what ? [e.what.supply] : [])))],
        cables: [...new Set(ring.flatMap((e) => ('cable' in e.what ? [e.what.cable] : [])))],
        ampere: shieldAmpere(rig, solved, rigHum, cable),
        inputs: complete.map(({ id }) => {
          const volts = rigHum.at(hum, id).volts;
          return { line: id, volts, opened: opened && without ? opened.at(without, id).volts : volts };
        })
      }
    ];
  });
}

/** Current along a shield from what stands at the hosts and supplies: each cause by itself, together as power. */
export function shieldAmpere(
  rig: Rig,
  system: ReturnType<typeof benchOf>['system'],
  hum: RigHum,
  cable: string
): number {
  return ampereFrom(rig.bounds, shieldAnswers(rig, system, [cable])[0].perVolt, hum);
}

/** What one volt at each of a piece's boundaries drives through a shield, amperes. */
interface ShieldAnswer {
  readonly cable: string;
  readonly perVolt: readonly Complex[];
}

/** @param system solved at the frequency that is asked for, boundaries held */
function shieldAnswers(
  rig: Rig,
  system: ReturnType<typeof benchOf>['system'],
  cables: readonly string[]
): ShieldAnswer[] {
  const scratch = system.blank();
  const shields = cables.map((cable) => {
    const part = rig.net.has(`${cable}/s1`) ? rig.net.parts.find((p) => p.name === `${cable}/shield-0`) : undefined;
    return { cable, part: part?.kind === 'R' ? part : undefined, perVolt: [] as Complex[] };
  });
  for (const bound of rig.bounds) {
    const held = rig.bounds.map((b): [string, Complex] => [`bound:${b}`, [b === bound ? 1 : 0, 0]]);
    system.solveHeld(held, scratch);
    for (const { part, perVolt } of shields) {
      const [re, im] = part ? scratch.voltage(part.a, part.b) : [0, 0];
      perVolt.push(part ? [re / part.ohm, im / part.ohm] : [0, 0]);
    }
  }
  return shields.map(({ cable, perVolt }) => ({ cable, perVolt }));
}

function ampereFrom(bounds: readonly string[], perVolt: readonly Complex[], hum: RigHum): number {
  const causes = bounds.map((bound) => hum.earths(bound));
  let power = 0;
  for (let c = 0; c < (causes[0]?.length ?? 0); c++) {
    let [re, im] = [0, 0];
    perVolt.forEach(([yr, yi], k) => {
      const [vr, vi] = causes[k][c];
      re += yr * vr - yi * vi;
      im += yr * vi + yi * vr;
    });
    power += re * re + im * im;
  }
  return Math.sqrt(power);
}

/** A ring of ground conductors as it is drawn: every shield, chassis and supply in it, and the current that goes round. */
export interface Ring {
  /** The shield it was found by. */
  readonly cable: string;
  readonly cables: readonly string[];
  readonly devices: readonly string[];
  readonly hosts: readonly string[];
  readonly supplies: readonly string[];
  /** Contacts of metal with metal in it, by their ids in the plan. */
  readonly touches: readonly string[];
  readonly ampere: number;
}

/** A piece as rings are looked for in it: solved once at the mains frequency, and kept as long as the piece is as it was. */
export interface RingBench {
  readonly rig: Rig;
  readonly answers: readonly ShieldAnswer[];
}
export function ringBench(plan: Plan, domain: Domain): RingBench {
  const { rig, system } = benchOf(plan, domain);
  return { rig, answers: shieldAnswers(rig, system.at(plan.policy.mainsHz), domain.cables) };
}

/** All rings of a piece, without opening any of them. @param beyond hosts and supplies that the rest of the rig joins */
export function ringsOf({ rig, answers }: RingBench, hum: RigHum, beyond: readonly Tie[]): Ring[] {
  return answers.flatMap(({ cable, perVolt }): Ring[] => {
    const ring = ringThrough(rig, cable, beyond);
    if (!ring) return [];
    const of = (kind: 'cable' | 'device' | 'host' | 'supply' | 'touch'): string[] => [
      ...new Set(ring.flatMap(({ what }) => (kind in what ? [(what as Record<string, string>)[kind]] : [])))
    ];
    return [
      {
        cable,
        cables: of('cable'),
        devices: of('device'),
        hosts: of('host'),
        supplies: of('supply'),
        touches: of('touch'),
        ampere: ampereFrom(rig.bounds, perVolt, hum)
      }
    ];
  });
}

function openedHum(plan: Plan, domain: Domain, lines: readonly Line[], cable: string): DomainHum | null {
  const wiring: [Wiring, Wiring] = [plan.cables[cable].wiring?.[0] ?? 'plain', 'shield-open'];
  const cut: Plan = { ...plan, cables: { ...plan.cables, [cable]: { ...plan.cables[cable], wiring } } };
  try {
    const { rig, system } = benchOf(cut, domain);
    return domainHum(cut, rig, system, inputsOf(cut, rig, lines));
  } catch (error) {
    if (error instanceof CircuitError) return null;
    throw error;
  }
}
