import { modelOf, portOf, type DeviceSettings } from '../gear/catalogue';
import type { LevelClass, Model, PortSpec } from '../gear/types';
import type { Cable, Plan } from '../plan/schema';
import { settingsAt } from '../plan/devices';
import type { LineSolution } from '../rig/solve';
import type { Span } from '../rig/spans';
import type { FactName } from './facts';
import { type Code, CODES, type Fact, type Finding } from './types';

/** What a check may look at: the plan, the solved line and one cable of it. */
export interface JoinContext {
  readonly plan: Plan;
  readonly solution: LineSolution;
  readonly at: number;
  readonly span: Span;
  readonly cable: Cable;
  readonly near: End;
  readonly far: End;
  readonly source: DeviceSettings;
  /** Its far end is the line's. */
  readonly last: boolean;
}
export interface End {
  readonly id: string;
  readonly model: Model;
  readonly port: PortSpec;
  readonly read: DeviceSettings;
}

export function joinContext(plan: Plan, solution: LineSolution, at: number): JoinContext {
  const span = solution.spans[at];
  const cable = plan.cables[span.cable];
  const end = (device: string, port: string, through?: string): End => {
    const read = settingsAt(plan, device, through);
    return { id: device, model: read.model, port: portOf(read.model, port)!, read };
  };
  return {
    plan,
    solution,
    at,
    span,
    cable,
    near: end(cable.from.device, cable.from.port, solution.line.cables[at - 1]),
    far: end(cable.to.device, cable.to.port, span.cable),
    source: settingsAt(plan, solution.line.devices[0]),
    last: at === solution.spans.length - 1
  };
}

/** Whether the source is still what drives this cable: no stage of its own stands between. */
export function sourceDrives(c: JoinContext): boolean {
  return c.solution.line.devices.slice(1, c.at + 1).every((id) => !modelOf(c.plan.devices[id].model).buffers);
}

type Rest = Pick<Finding, 'severity' | 'value' | 'unit' | 'limit'> & Partial<Pick<Finding, 'school'>>;

/** Level class of what comes along this cable: of the last output that is more than a joint. */
export function levelHere(c: JoinContext): LevelClass {
  for (let k = c.at; k >= 0; k--) {
    const { from } = c.plan.cables[c.solution.spans[k].cable];
    const model = modelOf(c.plan.devices[from.device].model);
    if (model.family !== 'joint') return portOf(model, from.port)!.level;
  }
  return c.near.port.level;
}

/** A finding of the check its code belongs to. */
export const finding = <C extends Code>(
  code: C,
  at: number,
  rest: Rest,
  because: readonly Fact<FactName<C>>[] = []
): Finding<C> => ({
  code,
  check: CODES[code],
  at,
  ...rest,
  because
});
