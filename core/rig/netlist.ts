import { resolve } from '../plan/resolved';
import { deck } from '../solver/deck';
import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { compileRig } from './compile';
import { senseOf, sourceOf, inputsOf } from './bench';

const PER_DECADE = 20;

/** One line as a deck: response and noise at its input, per volt of its source. */
export function lineDeck(plan: Plan, line: Line): string {
  const rig = compileRig(plan, lineScope(plan, line));
  let out = senseOf(plan, rig, line.cables[line.cables.length - 1]);
  const sense = rig.senses.get(line.id);
  if (sense) {
    // The input's own amplifier is no part of the network; for whoever reads the deck it stands ahead of the output.
    const gate = rig.net.node(`${line.id}/gate`);
    rig.net.voltage(`${line.id}/preamp-noise`, gate, sense.nodes[0], 0, sense.density);
    out = [gate, sense.nodes[1]];
  }
  return deck(rig.net, {
    title: `${plan.lines[line.id]?.name ?? line.id}: response and noise at the input, per volt of the source`,
    from: 20,
    to: 20000,
    perDecade: PER_DECADE,
    out: [out],
    noise: true,
    on: sourceOf(line)
  });
}

/** A whole rig as a deck: what the EMFs of the supplies' earths do at every input, at the mains frequency and up. */
export function rigDeck(plan: Plan): string {
  const lines = resolve(plan).lines.filter((line) => isComplete(plan, line));
  const rig = compileRig(plan, { devices: Object.keys(plan.devices), cables: Object.keys(plan.cables) });
  const supplies = Object.entries(plan.supplies).filter(([id]) => rig.net.has(`supply:${id}`));
  return deck(rig.net, {
    title: "whole rig: hum of the supplies' earth EMFs at every input",
    remarks: lines.map((line, k) => `output ${k + 1}: ${plan.lines[line.id]?.name ?? line.id}`),
    from: plan.policy.mainsHz,
    to: plan.policy.mainsHz * 20,
    perDecade: PER_DECADE,
    out: inputsOf(plan, rig, lines).map(([, nodes]) => nodes),
    noise: false,
    on: () => false,
    // An EMF behind the earth's resistance is the same as a current across it.
    drive: supplies.map(([id, { emf, ohm }]) => ({
      name: `${id}, ${emf} V`,
      a: 0,
      b: rig.net.node(`supply:${id}`),
      ampere: [emf / ohm, 0] as const
    }))
  });
}
