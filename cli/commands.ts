import { readFileSync } from 'node:fs';
import { judgePlan, problems } from '../core/judge/judge';
import { blankPlan } from '../core/plan/blank';
import { type LoadFault, loadPlan } from '../core/plan/load';
import type { Plan } from '../core/plan/schema';
import { putLine } from '../core/plan/spec';
import { traceLines } from '../core/plan/lines';
import { solveLine } from '../core/rig/solve';
import { readLine } from '../core/say/read';
import { formatNumber, formatQuantity } from '../core/units/format';
import { parseQuantity } from '../core/units/parse';
import { type Kind, KINDS } from '../core/units/quantity';
import { loadFaultText, sayFaultText, unitFaultText } from '../core/words/faults';
import { sentence, verdict } from '../core/words/findings';

const USAGE = `guanxi COMMAND [--json]
  line "TEXT"          reads a line in words and judges it
  judge PLAN.json      every line of a plan file with its findings
  solve "TEXT"         response and levels of a line in words
  units KIND "TEXT"    reads a quantity; KIND is one of ${Object.keys(KINDS).join(', ')}`;

export class Wrong extends Error {}

function planFromWords(text: string): Plan {
  const { spec, faults, missing } = readLine(text);
  if (faults.length > 0) throw new Wrong(faults.map(sayFaultText).join('\n'));
  if (!spec) throw new Wrong(`Still to be said: ${missing.join(' and ')}.`);
  const plan = blankPlan();
  putLine(plan, spec, (role) => role);
  return plan;
}

function planFromFile(path: string): Plan {
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

function judged(plan: Plan): { data: unknown; text: string } {
  const reports = judgePlan(plan);
  const name = (id: string): string => plan.lines[id]?.name ?? id;
  return {
    data: reports.map(({ id, severity, findings, arrives, gain, room }) => ({
      line: name(id),
      severity,
      arrives,
      gain,
      room,
      findings
    })),
    text: reports
      .map((r) =>
        [
          `${name(r.id)}: ${verdict(r)}${r.arrives === null ? '' : `, arrives at ${formatNumber(r.arrives, 1)} dBu`}`,
          ...problems(r).map((f) => `  ${f.severity}: ${sentence(f)}`)
        ].join('\n')
      )
      .join('\n')
  };
}

function solved(plan: Plan): { data: unknown; text: string } {
  const { hz, spans } = solveLine(plan, traceLines(plan)[0]);
  const { far } = spans[spans.length - 1];
  const data = {
    hz: [...hz],
    gainDb: [...far.gainDb],
    zinOhm: [...spans[0].zin!],
    zoutOhm: [...spans[0].zout!],
    nominalDbu: far.nominalDbu,
    peakDbu: far.peakDbu,
    clipDbu: Number.isFinite(far.clipDbu) ? far.clipDbu : null
  };
  const rows = [20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000].map((f) => {
    const k = hz.reduce((best, x, i) => (Math.abs(Math.log(x / f)) < Math.abs(Math.log(hz[best] / f)) ? i : best), 0);
    return `${formatQuantity('frequency', hz[k], 3).padStart(9)}  ${formatNumber(far.gainDb[k], 2).padStart(8)} dB`;
  });
  return { data, text: rows.join('\n') };
}

function unit(kind: string, text: string): { data: unknown; text: string } {
  if (!(kind in KINDS)) throw new Wrong(`${kind} is not a kind of quantity: ${Object.keys(KINDS).join(', ')}`);
  const parsed = parseQuantity(kind as Kind, text);
  if (!parsed.ok) throw new Wrong(unitFaultText(parsed.error));
  return { data: { kind, value: parsed.value }, text: formatQuantity(kind as Kind, parsed.value, 6) };
}

/** Runs one command; throws `Wrong` with its message when it cannot. */
export function run([command, ...args]: string[]): { data: unknown; text: string } {
  const need = (k: number): string => {
    if (args[k] === undefined) throw new Wrong(USAGE);
    return args[k];
  };
  switch (command) {
    case 'line':
      return judged(planFromWords(need(0)));
    case 'judge':
      return judged(planFromFile(need(0)));
    case 'solve':
      return solved(planFromWords(need(0)));
    case 'units':
      return unit(need(0), need(1));
    default:
      throw new Wrong(USAGE);
  }
}
