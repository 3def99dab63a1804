import { readFileSync } from 'node:fs';
import { blankPlan } from '../core/plan/blank';
import { type LoadFault, loadPlan } from '../core/plan/load';
import type { Plan } from '../core/plan/schema';
import { putLine } from '../core/plan/put';
import { readLine } from '../core/reader/read-line';
import { loadFaultText, sayFaultText } from '../core/words/faults';

/** What went wrong, in words for the person at the shell. */
export class Wrong extends Error {}

/** A show of the one line that the text says. */
export function planFromWords(text: string): Plan {
  const { spec, faults, missing } = readLine(text);
  if (faults.length > 0) throw new Wrong(faults.map(sayFaultText).join('\n'));
  if (!spec) throw new Wrong(`Still to be said: ${missing.join(' and ')}.`);
  const plan = blankPlan();
  putLine(plan, spec, (role) => role);
  return plan;
}

export function planFromFile(path: string): Plan {
  let document: unknown;
  try {
    document = JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Wrong(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
  // An exported show holds the plan; a bare plan is taken as well.
  const inner = (document as { plan?: unknown } | null)?.plan ?? document;
  const loaded = loadPlan(inner);
  if (!loaded.ok) throw new Wrong(loaded.faults.map((f: LoadFault) => `${f.where}: ${loadFaultText(f)}`).join('\n'));
  return loaded.plan;
}
