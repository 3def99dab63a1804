import { magnitude, System } from '../circuit/system';
import type { Node } from '../circuit/network';
import { modelOf } from '../gear/catalogue';
import type { Plan } from '../plan/schema';
import { toDb } from '../units/quantity';
import { compileRig, signalNodes } from './compile';
import { ownResponse } from './own';

/** What a source is compared with: next to no load, ohms. */
const IDEAL_OHM = 10e6;

interface Ideal {
  readonly system: System;
  readonly nodes: readonly [Node, Node];
  readonly at: Map<number, number>;
}
/** A source's own response depends on nothing but itself, and most shows have few kinds of sources. */
const known = new Map<string, Ideal>();
const MOST = 100;

/** Response of a source alone into 10 MΩ, or the load it was made for, dB re its EMF. */
export function idealResponse(plan: Plan, sourceId: string, hz: Float64Array): Float64Array {
  const device = plan.devices[sourceId];
  const key = JSON.stringify([device.model, device.settings]);
  let ideal = known.get(key);
  if (!ideal) {
    const model = modelOf(device.model);
    const alone = { model: device.model, settings: device.settings };
    const rig = compileRig({ ...plan, devices: { alone } }, { devices: ['alone'], cables: [] }, 'held');
    const nodes = signalNodes(model, 'out', rig.ports.get('alone.out')!);
    rig.net.resistor('ideal-load', ...nodes, model.signal?.load?.ohm ?? IDEAL_OHM);
    rig.net.capacitor('ideal-lead', ...nodes, model.signal?.load?.farad ?? 0);
    ideal = { system: new System(rig.net), nodes, at: new Map() };
    if (known.size >= MOST) known.delete(known.keys().next().value!);
    known.set(key, ideal);
  }
  const { system, nodes, at } = ideal;
  const scratch = system.blank();
  const own = ownResponse(plan, sourceId);
  return hz.map((f) => {
    let db = at.get(f);
    if (db === undefined) {
      db = toDb(
        magnitude(
          system
            .at(f)
            .solveSources(scratch)
            .voltage(...nodes)
        )
      );
      // Extra points round resonances come and go with the leads; the grid itself stays.
      if (at.size < 2000) at.set(f, db);
    }
    return db + (own?.(f) ?? 0);
  });
}
