import { modelOf, portOf, Readings } from '../gear/catalogue';
import type { Model, PortSpec } from '../gear/types';
import type { Cable, Plan } from '../plan/schema';
import type { LineSolution, Span } from '../rig/solve';
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
  readonly source: Readings;
}
export interface End {
  readonly id: string;
  readonly model: Model;
  readonly port: PortSpec;
  readonly read: Readings;
}

export function joinContext(plan: Plan, solution: LineSolution, at: number): JoinContext {
  const span = solution.spans[at];
  const cable = plan.cables[span.cable];
  const end = (device: string, port: string): End => {
    const model = modelOf(plan.devices[device].model);
    return { id: device, model, port: portOf(model, port)!, read: new Readings(model, plan.devices[device].settings) };
  };
  const first = solution.line.devices[0];
  return {
    plan,
    solution,
    at,
    span,
    cable,
    near: end(cable.from.device, cable.from.port),
    far: end(cable.to.device, cable.to.port),
    source: new Readings(modelOf(plan.devices[first].model), plan.devices[first].settings)
  };
}

/** Whether the source is still what drives this cable: no stage of its own stands between. */
export function sourceDrives(c: JoinContext): boolean {
  return c.solution.line.devices.slice(1, c.at + 1).every((id) => !modelOf(c.plan.devices[id].model).buffers);
}

type Rest = Pick<Finding, 'severity' | 'value' | 'unit' | 'limit'> & Partial<Pick<Finding, 'school'>>;

/** A finding of the check its code belongs to. */
export const finding = (code: Code, at: number, rest: Rest, because: readonly Fact[] = []): Finding => ({
  code,
  check: CODES[code],
  at,
  ...rest,
  because
});
