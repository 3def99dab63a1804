import { readFileSync } from 'node:fs';
import { blankPlan } from '../core/plan/blank';
import { type LoadFault, loadPlan } from '../core/plan/load';
import type { Plan } from '../core/plan/schema';
import { putLines } from '../core/plan/put';
import { readTyped } from '../core/reader/read';
import { readTrade } from '../core/reader/trade/read';
import { loadFaultText, sayFaultText } from '../core/words/faults';

/** What went wrong, in words for the person at the shell. */
export class Wrong extends Error {}

/** A show of the line that the text says, or of both sides of it, read as the field on the screen reads it. */
export function planFromWords(text: string): Plan {
  const { specs, strict } = readTyped(text, {}, readTrade);
  if (specs.length === 0) {
    if (strict.faults.length > 0) throw new Wrong(strict.faults.map(sayFaultText).join('\n'));
    throw new Wrong(`Still to be said: ${strict.missing.join(' and ')}.`);
  }
  const plan = blankPlan();
  putLines(plan, specs, (k) => (role) => (k === 0 ? role : `${role}${k + 1}`));
  return plan;
}

/** What stands in a file of JSON. @throws Wrong */
export function jsonFrom(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Wrong(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
}

export function planFromFile(path: string): Plan {
  const document = jsonFrom(path);
  // An exported show holds the plan; a bare plan is taken as well.
  const inner = (document as { plan?: unknown } | null)?.plan ?? document;
  const loaded = loadPlan(inner);
  if (!loaded.ok) throw new Wrong(loaded.faults.map((f: LoadFault) => `${f.where}: ${loadFaultText(f)}`).join('\n'));
  return loaded.plan;
}
