import { type Branch, branchesOf } from './branch';
import { type Domain, domainsOf, type Line, traceLines } from './lines';
import type { Plan } from './schema';

/**
 * What follows from a plan as it stands, found once a revision: lines, what leaves what, which pieces are electrically one. A plan is never
 * changed in place once it is read, so what was found stays with the object. A draft that is being written is traced by `traceLines`.
 */
export class ResolvedPlan {
  readonly lines: readonly Line[];
  readonly #byId: ReadonlyMap<string, Line>;
  #branches: ReadonlyMap<string, Branch> | undefined;
  #domains: readonly Domain[] | undefined;
  #domainOf: ReadonlyMap<string, Domain> | undefined;

  constructor(readonly plan: Plan) {
    this.lines = traceLines(plan);
    this.#byId = new Map(this.lines.map((line) => [line.id, line]));
  }

  /** The line that ends at this device, as it is there now. */
  line(id: string): Line | undefined {
    return this.#byId.get(id);
  }
  /** Where lines leave other lines, by line. */
  get branches(): ReadonlyMap<string, Branch> {
    return (this.#branches ??= branchesOf(this.plan, this.lines));
  }
  /** The pieces of the rig, in the order of their first lines. */
  get domains(): readonly Domain[] {
    return (this.#domains ??= domainsOf(this.plan, this.lines));
  }
  /** The piece that a line runs in. */
  domain(line: string): Domain | undefined {
    this.#domainOf ??= new Map(this.domains.flatMap((d) => d.lines.map((l) => [l.id, d] as const)));
    return this.#domainOf.get(line);
  }
}

const known = new WeakMap<Plan, ResolvedPlan>();

/** A plan with what follows from it; the same object for the same plan. Not for a draft. */
export function resolve(plan: Plan): ResolvedPlan {
  let found = known.get(plan);
  if (!found) known.set(plan, (found = new ResolvedPlan(plan)));
  return found;
}

/** What was found of a plan holds no longer: whoever writes into a draft says so. */
export const forget = (draft: Plan): void => void known.delete(draft);
