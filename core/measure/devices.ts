import { modelOf } from '../gear/catalogue';
import { blankPlan } from '../plan/blank';
import { putLine } from '../plan/put';
import { resolve } from '../plan/resolved';
import type { LineSpec } from '../plan/spec';
import type { Plan } from '../plan/schema';
import type { Complex } from '../solver/system';
import type { MeasuredKind } from './kinds';
import { met } from './network';

/** The network of what is measured, from its values. */

/** No lead between: what is measured is the socket itself. */
const NO_LEAD = { kind: 'instrument', metres: 0 } as const;

/** A device alone, as far as a line needs more than that. @param settings of the device */
function alone(kind: MeasuredKind, model: string, settings: Readonly<Record<string, number>>): Plan {
  const plan = blankPlan();
  const cable = (to: string): LineSpec['lead'] => ({
    kind: modelOf(to).ports.find((p) => p.way === 'in')!.carries === 'balanced' ? 'mic' : 'instrument',
    metres: 0
  });
  const source = kind === 'input' || kind === 'di' ? { model: 'interface-out', settings: {} } : { model, settings };
  const input =
    kind === 'input' ? { model, settings } : { model: kind === 'di' ? 'mic-in' : 'instrument-in', settings: {} };
  const box = kind === 'di' ? { model, settings } : null;
  const spec: LineSpec = {
    ...{ name: model, source, lead: box ? NO_LEAD : cable(input.model), box },
    ...{ run: box ? cable(input.model) : null, input }
  };
  putLine(plan, spec, (role) => role);
  return plan;
}

/**
 * A device's own curve: the impedance of a source or of an input; of a cable its capacitance's; of a DI what comes out for what goes in.
 * @param values by the names of `soughtOf` @param metres of a cable
 */
export function curveOf(
  kind: MeasuredKind,
  model: string,
  values: Readonly<Record<string, number>>,
  hz: readonly number[],
  metres = 1
): readonly Complex[] {
  if (kind === 'cable') return hz.map((f) => [0, -1 / (2 * Math.PI * f * values.cShield * metres)] as const);
  // An interface alone is its own leads.
  if (kind === 'interface') return hz.map(() => [1, 0] as const);
  const plan = alone(kind, model, values);
  const [line] = resolve(plan).lines;
  const { out, zout, input } = met(plan, line, hz);
  return kind === 'di' ? out : kind === 'input' ? input : zout;
}
