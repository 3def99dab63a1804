import { CABLES } from '../gear/cables';
import { modelOf } from '../gear/catalogue';

/** What can be measured, each with the values of its class that a measurement tells, and its network from them. */

export const MEASURED = ['coil', 'piezo', 'output', 'input', 'cable', 'di', 'interface'] as const;
export type MeasuredKind = (typeof MEASURED)[number];

/** A value that is looked for: of the device's model, or what a metre of cable has. */
export interface Sought {
  readonly param: string;
  readonly typ: number;
}

/** Values of a class that its impedance, or of a DI its response, tells. */
const TOLD: Readonly<Record<Exclude<MeasuredKind, 'cable' | 'interface'>, readonly string[]>> = {
  coil: ['R', 'L', 'C', 'loss'],
  piezo: ['C'],
  output: ['R'],
  input: ['zin', 'Cin'],
  di: ['ratio', 'Lp', 'leakage']
};

export function soughtOf(kind: MeasuredKind, model: string): readonly Sought[] {
  if (kind === 'cable') return [{ param: 'cShield', typ: CABLES.instrument.params.cShield.typ }];
  // An interface is no device of a plan.
  if (kind === 'interface') return [];
  const { params } = modelOf(model);
  return TOLD[kind].filter((param) => param in params).map((param) => ({ param, typ: params[param].typ }));
}

/** Whether a class has a core that can be filled. */
export const hasCore = (kind: MeasuredKind, model: string): boolean =>
  kind === 'di' && 'saturation' in modelOf(model).params;

/** Loudspeaker level kills an interface, and a sweep a ribbon; other microphones want phantom, which is off. */
const NEVER: ReadonlySet<string> = new Set(['speaker', 'microphone']);

/** Which kind a model of the catalogue is measured as; null for what is not measured, or must not be. */
export function kindOf(model: string): MeasuredKind | null {
  const { family, params, signal, ports } = modelOf(model);
  if (family === 'source' && ports.some((p) => NEVER.has(p.level))) return null;
  if (family === 'input' && ports.some((p) => p.level === 'speaker')) return null;
  if (family === 'source') {
    if ('L' in params && 'loss' in params) return 'coil';
    if (signal?.nature === 'capacitor') return 'piezo';
    return 'R' in params ? 'output' : null;
  }
  if (family === 'input') return 'zin' in params ? 'input' : null;
  return family === 'box' && 'ratio' in params && 'Lp' in params ? 'di' : null;
}
