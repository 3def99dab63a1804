import { magnitude, System } from '../solver/system';
import type { Node } from '../solver/network';
import { modelOf } from '../gear/catalogue';
import type { Device, Plan } from '../plan/schema';
import { toDb } from '../units/quantity';
import { compileRig, signalNodes } from './compile';
import { ownResponse } from './own';
import { alwaysOf, sweepAdaptive } from './sweep';

/** What a source is compared with: next to no load, ohms. */
const IDEAL_OHM = 10e6;

interface Ideal {
  readonly system: System;
  readonly nodes: readonly [Node, Node];
  /** Curves on the grids that were asked for, by their number of points. */
  readonly grids: Map<number, Float64Array>;
}
/** A source's own response depends on nothing but itself, and most shows have few kinds of sources. */
const known = new Map<string, Ideal>();
const MOST = 100;

/**
 * Response of a source alone into 10 MΩ, or the load it was made for, dB re its EMF.
 * @param grid the logarithmic grid that `hz` is made from
 * @param hz points of the grid and others between them
 */
export function idealResponse(plan: Plan, sourceId: string, grid: Float64Array, hz: Float64Array): Float64Array {
  const device = plan.devices[sourceId];
  const key = JSON.stringify([device.model, device.settings]);
  let ideal = known.get(key);
  if (!ideal) {
    ideal = alone(plan, device);
    if (known.size >= MOST) known.delete(known.keys().next().value!);
    known.set(key, ideal);
  }
  const { system, nodes, grids } = ideal;
  const scratch = system.blank();
  const at = (f: number): number =>
    toDb(
      magnitude(
        system
          .at(f)
          .solveSources(scratch)
          .voltage(...nodes)
      )
    );
  let curve = grids.get(grid.length);
  if (!curve) {
    [curve] = sweepAdaptive(grid.length, 1, (k, row) => (row[0] = at(grid[k])), alwaysOf(grid));
    grids.set(grid.length, curve);
  }
  const own = ownResponse(plan, sourceId);
  const out = new Float64Array(hz.length);
  for (let k = 0, g = 0; k < hz.length; k++) {
    const onGrid = g < grid.length && hz[k] === grid[g];
    out[k] = (onGrid ? curve[g++] : at(hz[k])) + (own?.(hz[k]) ?? 0);
  }
  return out;
}

function alone(plan: Plan, { model: id, settings }: Device): Ideal {
  const model = modelOf(id);
  const devices = { alone: { model: id, settings } };
  const rig = compileRig({ ...plan, devices }, { devices: ['alone'], cables: [] }, 'held');
  const nodes = signalNodes(model, 'out', rig.ports.get('alone.out')!);
  rig.net.resistor('ideal-load', ...nodes, model.signal?.load?.ohm ?? IDEAL_OHM);
  rig.net.capacitor('ideal-lead', ...nodes, model.signal?.load?.farad ?? 0);
  return { system: new System(rig.net), nodes, grids: new Map() };
}
