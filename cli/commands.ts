import { resolve } from '../core/plan/resolved';
import { type LineReport, judgePlan, problems } from '../core/judge/judge';
import { mixOf } from '../core/judge/mix';
import { SolvedRig } from '../core/judge/solved-rig';
import { CircuitError } from '../core/solver/network';
import type { Plan } from '../core/plan/schema';
import { isComplete, type Line } from '../core/plan/lines';
import { lineDeck, rigDeck } from '../core/rig/netlist';
import { solveLine } from '../core/rig/solve';
import { formatNumber, formatQuantity } from '../core/units/format';
import { toDbu } from '../core/units/quantity';
import { sentence, verdict } from '../core/words/findings';
import { remediesFor } from '../core/advise/remedies';
import { remedyText } from '../core/words/remedies';
import { jsonFrom, planFromFile, planFromWords, Wrong } from './inputs';
import { loops } from './loops';
import { modelsTable } from './models';
import { readFile, readListFile, readText } from './read';
import { traceAfter, traceTests } from './trace';
import { unit } from './units';

const USAGE = `guanxi COMMAND [--json]
  line "TEXT"                    reads a line in words and judges it
  judge PLAN.json                every line of a plan file with its findings
  solve PLAN.json --line NAME    response, impedances, levels, noise and hum of one line
  solve --say "TEXT"             the same of a line in words
  netlist PLAN.json [--line NAME]  a deck for a circuit simulator: the whole rig's hum, or one line
  netlist --say "TEXT"           the same of a line in words
  loops PLAN.json                every ground loop, its current, and what opening it brings
  trace PLAN.json --line NAME --tests  what may be asked and tried on a line that makes a noise, with all answers
  trace PLAN.json --line NAME [--answers FILE]  causes and how likely each is after answers, [{"test": id, "answer": id}], and the next test
  units "TEXT"                   reads a quantity, e.g. 4k7, 20 ft, −10 dBV, 3 V rail
  read "TEXT" | --file FILE | --list FILE  what is understood of a phrase, of one a line, of a pasted list
  models                         every model with its values, as a table`;

interface Answer {
  data: unknown;
  text: string;
}

const nameOf = (plan: Plan, id: string): string => plan.lines[id]?.name ?? id;

/** What would help, best first, in words. */
function fixesOf(plan: Plan, id: string): string[] {
  const line = resolve(plan).line(id);
  return line && isComplete(plan, line) ? remediesFor(plan, line).map((r) => remedyText(r.what)) : [];
}

function judged(plan: Plan): Answer {
  const reports = judgePlan(plan);
  const { hiss, hum } = mixOf(reports);
  const told = (r: LineReport): string =>
    [
      verdict(r),
      ...(r.arrives === null ? [] : [`level at the input ${formatNumber(r.arrives, 1)} dBu`]),
      ...(r.snr === null ? [] : [`noise ${formatNumber(-r.snr)} dB`]),
      ...(r.hum === null ? [] : [`hum ${formatNumber(-r.hum.below)} dB`])
    ].join(', ');
  return {
    data: reports.map(({ id, severity, findings, arrives, gain, room, snr, hum: h }) => ({
      line: nameOf(plan, id),
      severity,
      arrives,
      gain,
      room,
      snrDb: snr,
      humDbu: h?.dbu ?? null,
      findings: findings.map((f) => ({ ...f, says: sentence(f) })),
      // Sought only where they are read: as text nobody asks for them.
      get fixes() {
        return fixesOf(plan, id);
      }
    })),
    text: [
      ...reports.map((r) =>
        [`${nameOf(plan, r.id)}: ${told(r)}`, ...problems(r).map((f) => `  ${f.severity}: ${sentence(f)}`)].join('\n')
      ),
      ...(reports.length > 1 && hiss !== null && hum !== null
        ? [`All summed at the mix: noise ${formatNumber(-hiss)} dB, hum ${formatNumber(-hum)} dB under one channel.`]
        : [])
    ].join('\n')
  };
}

/** The line of that name, channel or id; the first complete one when none is named. */
function lineOf(plan: Plan, wanted: string | undefined): Line {
  const lines = resolve(plan).lines.filter((l) => isComplete(plan, l));
  if (wanted === undefined) {
    if (lines.length === 1) return lines[0];
    throw new Wrong(`Which line? --line ${lines.map((l) => `"${nameOf(plan, l.id)}"`).join(' or ')}`);
  }
  const lower = wanted.toLowerCase();
  const found = lines.find((l) => [nameOf(plan, l.id).toLowerCase(), l.id, `${l.info?.channel}`].includes(lower));
  if (!found)
    throw new Wrong(`There is no line “${wanted}”; there is ${lines.map((l) => nameOf(plan, l.id)).join(', ')}.`);
  return found;
}

function solved(plan: Plan, line: Line): Answer {
  const solution = solveLine(plan, line, { exact: true });
  const { hz, spans, noise } = solution;
  const { far } = spans[spans.length - 1];
  const hum = new SolvedRig(plan).solved().get(line.id)?.hum ?? null;
  const data = {
    hz: [...hz],
    gainDb: [...far.gainDb],
    zinOhm: [...spans[0].zin!],
    zoutOhm: [...spans[0].zout!],
    nominalDbu: far.nominalDbu,
    peakDbu: far.peakDbu,
    clipDbu: Number.isFinite(far.clipDbu) ? far.clipDbu : null,
    noiseDbu: noise?.flatDbu ?? null,
    snrDb: noise ? far.nominalDbu - noise.flatDbu : null,
    humDbu: hum ? finite(toDbu(hum.volts)) : null,
    humSpectrum: hum ? Array.from(hum.spectrum, (volts) => finite(toDbu(volts))) : null
  };
  const rows = [20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000].map((f) => {
    const k = hz.reduce((best, x, i) => (Math.abs(Math.log(x / f)) < Math.abs(Math.log(hz[best] / f)) ? i : best), 0);
    return `${formatQuantity('frequency', hz[k], 3).padStart(9)}  ${formatNumber(far.gainDb[k], 2).padStart(8)} dB`;
  });
  const dbu = (x: number | null): string => (x === null ? 'none' : `${formatNumber(x, 1)} dBu`);
  return {
    data,
    text: [
      ...rows,
      `average ${dbu(data.nominalDbu)}, peak ${dbu(data.peakDbu)}, clips at ${dbu(data.clipDbu)}`,
      `noise ${dbu(data.noiseDbu)}, hum ${dbu(data.humDbu)}`
    ].join('\n')
  };
}

const finite = (x: number): number | null => (Number.isFinite(x) ? x : null);

/** Runs one command; throws `Wrong` with its message when it cannot. */
export function run([command, ...args]: string[]): Answer {
  const [rest, flags] = split(args);
  const need = (k: number): string => {
    if (rest[k] === undefined) throw new Wrong(USAGE);
    return rest[k];
  };
  const plan = (): Plan => (flags.say === undefined ? planFromFile(need(0)) : planFromWords(flags.say));
  try {
    switch (command) {
      case 'line':
        return judged(planFromWords(need(0)));
      case 'judge':
        return judged(planFromFile(need(0)));
      case 'solve': {
        const found = plan();
        return solved(found, lineOf(found, flags.line));
      }
      case 'netlist': {
        const found = plan();
        const whole = flags.line === undefined && flags.say === undefined;
        const text = whole ? rigDeck(found) : lineDeck(found, lineOf(found, flags.line));
        return { data: { deck: text }, text };
      }
      case 'loops':
        return loops(planFromFile(need(0)));
      case 'trace': {
        const found = plan();
        const line = lineOf(found, flags.line);
        if (flags.tests !== undefined) return traceTests(found, line);
        return traceAfter(found, line, flags.answers === undefined ? [] : jsonFrom(flags.answers));
      }
      case 'units':
        return rest.length > 1 ? unit(need(1), need(0)) : unit(need(0));
      case 'models':
        return modelsTable();
      case 'read': {
        if (flags.file !== undefined) return answered(readFile(flags.file));
        if (flags.list !== undefined) return answered(readListFile(flags.list));
        return answered(readText(need(0)));
      }
      default:
        throw new Wrong(USAGE);
    }
  } catch (error) {
    if (error instanceof CircuitError) throw new Wrong(`It cannot be computed: ${JSON.stringify(error.fault)}`);
    throw error;
  }
}

const answered = (data: unknown): Answer => ({ data, text: JSON.stringify(data, null, 2) });

/** Plain words and the values of the options. */
type Flag = 'line' | 'say' | 'file' | 'list' | 'answers' | 'tests';
function split(args: readonly string[]): [string[], Partial<Record<Flag, string>>] {
  const rest: string[] = [];
  const flags: Partial<Record<Flag, string>> = {};
  for (let k = 0; k < args.length; k++) {
    if (args[k] === '--tests') flags.tests = '';
    else if (['--line', '--say', '--file', '--list', '--answers'].includes(args[k])) {
      const value = args[k + 1];
      if (value === undefined) throw new Wrong(`${args[k]} needs a value.\n${USAGE}`);
      flags[args[k].slice(2) as Flag] = value;
      k++;
    } else if (args[k].startsWith('--')) throw new Wrong(`There is no option ${args[k]}.\n${USAGE}`);
    else rest.push(args[k]);
  }
  return [rest, flags];
}
