import { resolve } from '$core/plan/resolved';
import { measure as says } from '$core/words/screen/measure';
import type { Show } from '$lib/show/session/context';
import { lineName, setMeasuredValues } from '$lib/show/session/edits';
import { toast } from 'svelte-sonner';
import type { Target } from './measure-desk.svelte';

/** Plans what is measured with these values, as one edit, and says so. @param values by the names of its model's, or a cable's */
export function useValues(
  { session }: Pick<Show, 'session'>,
  target: Target,
  values: Readonly<Record<string, number>>
): void {
  const line = resolve(session.plan).line(target.line);
  const { device, cable } = target;
  const edit = setMeasuredValues(session.plan, { device, cable }, line ? lineName(line) : target.line, values);
  if (edit && session.do(edit)) toast(says.used);
}
