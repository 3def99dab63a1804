import { modelAt } from '../plan/devices';
import { modelOf } from '../gear/catalogue';
import { judgePlan, type LineReport } from '../judge/judge';
import { type Finding, rank, type Severity } from '../judge/types';
import type { Line } from '../plan/lines';
import type { Plan, Policy } from '../plan/schema';
import type { Route } from './route';

/** The habits people are taught, each as a setting; what it would do with a show is computed, not taken on trust. */

export const QUESTIONS = {
  box: ['computed', 'opposite', 'active', 'passive-media'],
  bass: ['direct', 'mic', 'both'],
  stereo: ['pair', 'mono'],
  lift: ['predicted', 'joined', 'lifted'],
  unbalanced: ['computed', 'strict', 'relaxed'],
  bridging: [10, 5, 20]
} as const;
export type Question = keyof typeof QUESTIONS;
export type Option = (typeof QUESTIONS)[Question][number];

/** What a school makes of one line, where that is not what the computation would do. */
interface Differs {
  readonly lineId: string;
  /** The way it would take; null where the way is the same and only the verdict is another. */
  readonly route: Route | null;
  readonly computed: Route | null;
  readonly severity: Severity;
  readonly against: Severity;
  /** Least over most over the notes played, hiss, hum: how many decibels more or less than the computed way. */
  readonly decibels: { readonly deviation: number; readonly snr: number; readonly hum: number };
  /** What it loses by, where it loses. */
  readonly because: Finding | null;
}

export interface School {
  readonly question: Question;
  readonly option: Option;
  /** The show is set to this one. */
  readonly chosen: boolean;
  readonly differs: readonly Differs[];
}

/** The value of a show's policy for a question; the first option where nothing is said. */
export const chosenOf = (policy: Policy, question: Question): Option => policy[question] ?? QUESTIONS[question][0];

const passive = (plan: Plan, line: Line): boolean => {
  const { signal } = modelAt(plan, line.devices[0]);
  return signal !== undefined && signal.nature !== 'resistive';
};
const media = (plan: Plan, line: Line): boolean =>
  ['consumer', 'line'].includes(modelAt(plan, line.devices[0]).ports[0].level);
const instrumentOf = (plan: Plan, line: Line): string => {
  const { model, settings } = plan.devices[line.devices[0]];
  return typeof settings.instrument === 'string' ? settings.instrument : (modelOf(model).signal?.instrument ?? '');
};

/** The boxes a school reaches for, first choice first; null where it has no opinion on the line. */
function taught(plan: Plan, line: Line, question: Question, option: Option): readonly string[] | null {
  const { ports } = modelAt(plan, line.devices[0]);
  const needsBox = ports[0].carries !== 'balanced' && ports[0].level !== 'speaker';
  switch (option) {
    case 'opposite':
      return needsBox ? (passive(plan, line) ? ['active', 'active-10m'] : ['passive', 'media', 'economy']) : null;
    case 'active':
      return needsBox ? ['active', 'active-10m', 'up'] : null;
    case 'passive-media':
      return needsBox && media(plan, line) ? ['passive', 'media', 'balun'] : null;
    case 'both':
      return question === 'bass' && instrumentOf(plan, line).includes('bass') ? ['direct-and-mic'] : null;
    case 'mic':
      return question === 'bass' && instrumentOf(plan, line).includes('bass') ? ['microphone'] : null;
    case 'mono':
      return ports[0].carries === 'stereo' ? ['merge', 'media'] : null;
    default:
      return null;
  }
}

/** What a school picks from the ways of a line: by its rule, not by what comes of it. */
export function pickOf(
  plan: Plan,
  line: Line,
  routes: readonly Route[],
  question: Question,
  option: Option
): Route | null {
  const wanted = taught(plan, line, question, option);
  if (!wanted) return null;
  for (const id of wanted) {
    const found = routes.find((r) => r.way.id === id || (r.present && wayLike(r, id)));
    if (found) return found;
  }
  return null;
}

/** The way that the show's own schools of box, bass and stereo ask for on a line; null where they have no say. */
export function schoolPick(plan: Plan, line: Line, routes: readonly Route[]): Route | null {
  for (const question of ['bass', 'stereo', 'box'] as const) {
    const pick = pickOf(plan, line, routes, question, chosenOf(plan.policy, question));
    if (pick) return pick;
  }
  return null;
}

/** The present way goes by no rule's name, but may be what the rule asks for. */
const BOX_OF_WAY: Readonly<Record<string, string>> = {
  active: 'active-di',
  'active-10m': 'active-di-10m',
  passive: 'passive-di',
  economy: 'passive-di-economy',
  media: 'media-di'
};
const wayLike = ({ way }: Route, id: string): boolean => way.boxes.length === 1 && way.boxes[0] === BOX_OF_WAY[id];

/** The whole show under another setting that changes switches or limits, not boxes. */
function under(plan: Plan, question: Question, option: Option): Plan {
  if (question === 'unbalanced' || question === 'bridging')
    return { ...plan, policy: { ...plan.policy, [question]: option } };
  const devices = Object.fromEntries(
    Object.entries(plan.devices).map(([id, device]) => {
      const { options, family } = modelOf(device.model);
      if (family !== 'box' || !options.lift) return [id, device];
      const lift = option === 'joined' || !earthedFeed(plan, id) ? 'joined' : 'lifted';
      return [id, { ...device, settings: { ...device.settings, lift } }];
    })
  );
  return { ...plan, devices };
}

/** Whether what feeds a box is earthed itself: the case in which that school lifts. */
function earthedFeed(plan: Plan, box: string): boolean {
  const cable = Object.values(plan.cables).find((c) => c.to.device === box);
  if (!cable) return false;
  const { model, settings } = plan.devices[cable.from.device];
  return (settings.feed ?? modelOf(model).feeds[0]) === 'mains-1';
}

/**
 * What each school would do with a show.
 * @param routes ways of each line, best first, as the computation found them
 */
export function schoolsOf(plan: Plan, lines: readonly Line[], routes: ReadonlyMap<string, readonly Route[]>): School[] {
  const before = judgePlan(plan);
  const schools: School[] = [];
  for (const question of Object.keys(QUESTIONS) as Question[]) {
    for (const option of QUESTIONS[question]) {
      const chosen = chosenOf(plan.policy, question) === option;
      const byBox = question === 'box' || question === 'bass' || question === 'stereo';
      const differs = byBox
        ? lines.flatMap((line) => byRoute(plan, line, routes.get(line.id) ?? [], question, option))
        : option === 'predicted' || chosen
          ? []
          : byJudging(before, judgePlan(under(plan, question, option)));
      schools.push({ question, option, chosen, differs });
    }
  }
  return schools;
}

function byRoute(plan: Plan, line: Line, routes: readonly Route[], question: Question, option: Option): Differs[] {
  const pick = pickOf(plan, line, routes, question, option);
  const [best] = routes;
  if (!pick || !best || pick === best) return [];
  return [
    {
      lineId: line.id,
      route: pick,
      computed: best,
      severity: pick.report.severity,
      against: best.report.severity,
      decibels: {
        deviation: pick.counts.deviation - best.counts.deviation,
        snr: best.counts.snr - pick.counts.snr,
        hum: best.counts.hum - pick.counts.hum
      },
      because: pick.lostBy
    }
  ];
}

/** Hum that moves less than this is not worth a word, dB. */
const HEARD_DB = 3;

function byJudging(before: readonly LineReport[], after: readonly LineReport[]): Differs[] {
  return before.flatMap((was, k) => {
    const is = after[k];
    const hum = (is.hum?.below ?? 0) - (was.hum?.below ?? 0);
    const [worse] = newIn(is, was);
    if (!worse && newIn(was, is).length === 0 && Math.abs(hum) < HEARD_DB) return [];
    return [
      {
        lineId: was.id,
        route: null,
        computed: null,
        severity: is.severity,
        against: was.severity,
        decibels: { deviation: 0, snr: 0, hum },
        because: worse ?? null
      }
    ];
  });
}

/** Problems of one judgement that another has not, or less badly; worst first. */
const newIn = (a: LineReport, b: LineReport): Finding[] =>
  a.findings
    .filter(
      (f) =>
        f.severity !== 'clean' && !b.findings.some((g) => g.code === f.code && rank(g.severity) >= rank(f.severity))
    )
    .sort((x, y) => rank(y.severity) - rank(x.severity));
