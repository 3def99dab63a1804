import { saidText } from '$core/text/schema';
import type { Severity } from '$core/judge/types';
import type { Kit } from '$core/kit/schema';
import type { Plan } from '$core/plan/schema';
import * as z from '$core/text/zod';

/** A show as a whole: its name, its file, what of it was printed or ticked off. */

export const SHOW_NAME = saidText(80).check(z.trim(), z.minLength(1, 'a show needs a name'));

/** A plan as a file. */
export const PlanFileSchema = z.strictObject({
  kind: z.literal('guanxi-show'),
  name: SHOW_NAME,
  plan: z.unknown()
});

export const TickSchema = z.strictObject({ key: saidText(200).check(z.minLength(1)), on: z.boolean() });
export type Tick = z.infer<typeof TickSchema>;

/** A show at a glance: how many lines stand at each severity. */
export interface Counted {
  readonly lines: number;
  readonly counts: Readonly<Record<Severity, number>>;
}

/** A show as it was printed. */
export interface Printed {
  readonly id: string;
  readonly revision: number;
  readonly at: string;
  readonly plan: Plan;
  readonly kit: Kit | null;
}
