// Advise: edits that would make a line better, each computed on the network before it is offered.
import { choicesOf, defaultKind, givesPhantom, modelOf, portOf, wantsPhantom } from '../gear/catalogue';
import { CABLES, plugFor } from '../gear/cables';
import { mates } from '../gear/sockets';
import type { LevelClass, PortSpec, Settings } from '../gear/types';
import { judgeLine, type JudgeOptions, type LineReport, problems } from '../judge/judge';
import { Whole } from '../judge/whole';
import { type Code, type Finding, rank, type Severity } from '../judge/types';
import { gainPoints, penalty } from './score';
import { unbalancedLimit } from '../judge/limits';
import { diffPlans } from '../plan/diff';
import { planFaults } from '../plan/integrity';
import { copyOf } from '../plan/json';
import { type Line, traceLines } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import { putLine, rolesOf, specOf } from '../plan/spec';

/** What a remedy does, for wording. */
export type RemedyWhat =
  | { code: 'box'; model: string; instead: string | null }
  | { code: 'setting'; model: string; setting: string; value: string }
  | { code: 'no-couplers' }
  | { code: 'plugs'; plug: string; model: string }
  | { code: 'lead'; kind: string }
  | { code: 'input'; model: string }
  | { code: 'move-box'; metres: number };

export interface Remedy {
  readonly what: readonly RemedyWhat[];
  readonly ops: readonly Op[];
  /** The worst problem before, and the reading of the same thing after. */
  readonly before: Finding;
  readonly after: Finding | null;
  readonly severityAfter: Severity;
  readonly leftAfter: number;
  /** Higher is better. */
  readonly score: number;
}

type Change = { what: RemedyWhat; apply: (draft: Plan) => void };

/** Order in which the parts of one remedy are named: what is carried to the stage first, switches last. */
const WEIGHTY: readonly RemedyWhat['code'][] = ['box', 'input', 'move-box', 'lead', 'plugs', 'no-couplers', 'setting'];

/** The grid of a candidate: coarse is enough to rank. */
const RANK_PER_OCTAVE = 6;
const MOST = 5;
/** Single changes that second ones are tried on top of. */
const SEEDS = 3;

/**
 * Remedies for a line, best first. Single changes first; where none clears the line, the best two together, and at most three.
 * Every candidate is applied to the plan and judged again, so what is shown as "after" is what applying gives.
 */
export function remediesFor(plan: Plan, line: Line): Remedy[] {
  const around = new Whole(plan).around(line);
  const at = { perOctave: RANK_PER_OCTAVE, around };
  const before = judgeLine(plan, line, at);
  const [first] = problems(before);
  if (!first) return [];
  const singles = candidates(plan, line).flatMap((change) => tryChange(plan, line, before, [change], at));
  const promising = singles.filter((r) => r.remedy.score > 0.05).sort(byScore);
  const better = promising.filter((r) => helps(r.remedy, before));
  // What alone is not enough may be half of what is: a box lets the ground be lifted. A third change only where
  // two still leave something to be careful about.
  const onTop = (seeds: readonly Tried[]): Tried[] =>
    seeds.flatMap((seed) =>
      candidates(seed.plan, seed.line)
        .flatMap((change) => tryChange(plan, line, before, [...seed.changes, change], at))
        .filter((r) => r.remedy.score > seed.remedy.score + PAIR_MUST_GAIN && helps(r.remedy, before))
    );
  let all = better;
  if (better[0]?.remedy.severityAfter !== 'clean') {
    const pairs = onTop(promising.slice(0, SEEDS)).sort(byScore);
    all = [...better, ...pairs].sort(byScore);
    const best = all[0]?.remedy.severityAfter;
    if (pairs.length > 0 && best !== undefined && rank(best) >= rank('care'))
      all = [...all, ...onTop(distinct(pairs).slice(0, SEEDS - 1))].sort(byScore);
  }
  const top = distinct(all).slice(0, MOST);
  const fine = judgeLine(plan, line, { around });
  return top.flatMap((r) => tryChange(plan, line, fine, r.changes, { around })).map((r) => r.remedy);
}

/** It makes the worst problem itself less bad, or the line as a whole. */
const helps = ({ before, after, severityAfter }: Remedy, line: LineReport): boolean =>
  !after || rank(after.severity) < rank(before.severity) || rank(severityAfter) < rank(line.severity);

/** A second change must be worth its trouble: one problem fewer, be it a note. */
const PAIR_MUST_GAIN = 6;

interface Tried {
  remedy: Remedy;
  plan: Plan;
  line: Line;
  changes: Change[];
}
const byScore = (a: Tried, b: Tried): number =>
  b.remedy.score - a.remedy.score || a.remedy.ops.length - b.remedy.ops.length;

function tryChange(plan: Plan, line: Line, before: LineReport, changes: Change[], at: JudgeOptions): Tried[] {
  const draft = copyOf(plan);
  for (const change of changes) change.apply(draft);
  const ops = diffPlans(plan, draft);
  if (ops.length === 0) return [];
  if (planFaults(draft).length > 0) return [];
  const next = traceLines(draft).find((l) => l.id === line.id);
  if (!next) return [];
  const report = judgeLine(draft, next, at);
  const [first] = problems(before);
  const left = problems(report);
  return [
    {
      remedy: {
        what: changes.map((c) => c.what).sort((a, b) => WEIGHTY.indexOf(a.code) - WEIGHTY.indexOf(b.code)),
        ops,
        before: first,
        after: matching(first, report),
        severityAfter: report.severity,
        leftAfter: left.length,
        // Two changes cost more time on a stage than one, and a battery has to be watched.
        score:
          penalty(before.findings) -
          penalty(report.findings) -
          changes.length * 0.5 -
          batteries(changes) -
          quieter(before, report)
      },
      plan: draft,
      line: next,
      changes
    }
  ];
}

const batteries = (changes: readonly Change[]): number =>
  changes.filter(({ what }) => what.code === 'setting' && what.value === 'battery').length;

/** What the change costs in gain. */
const quieter = (before: LineReport, after: LineReport): number =>
  before.gain === null ? 0 : gainPoints(after, before.gain);

/** Codes that measure the same thing, so that "after" can be compared with "before". */
const SAME_THING: readonly (readonly Code[])[] = [
  ['bass-loss', 'treble-loss', 'keeps-response'],
  ['bridges', 'loads'],
  ['headroom', 'clips', 'core-saturates'],
  ['gain', 'too-quiet', 'much-gain', 'too-hot'],
  ['short-unbalanced', 'long-unbalanced', 'balanced'],
  ['no-loop', 'loop'],
  ['phantom-reaches', 'phantom-off', 'phantom-none'],
  ['plug-fits', 'plug-does-not-fit', 'stereo-cancels', 'right-shorted', 'leg-on-shield']
];

function matching(before: Finding, report: LineReport): Finding | null {
  const group = SAME_THING.find((codes) => codes.includes(before.code)) ?? [before.code];
  const same = report.findings.filter((f) => group.includes(f.code));
  const here = same.filter((f) => f.at === before.at);
  return (here.length > 0 ? here : same).sort((a, b) => rank(b.severity) - rank(a.severity))[0] ?? null;
}

function distinct(list: readonly Tried[]): Tried[] {
  const seen = new Set<string>();
  return list.filter((r) => {
    const key = JSON.stringify(r.plan);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

const BOX_CHOICES = ['active-box-10m', 'active-box', 'passive-box', 'media-box', 'isolator', 'speaker-box'] as const;
/** Inputs worth trying: what a cartridge or a loudspeaker output needs, there is only one of. */
const inputChoices = (level: LevelClass): readonly string[] =>
  level === 'phono'
    ? ['phono-in']
    : level === 'speaker'
      ? ['cabinet', 'mic-in', 'line-in']
      : ['mic-in', 'line-in', 'instrument-in', 'consumer-in'];

/** Every single change worth trying on this line. None touches protective earth. */
function candidates(plan: Plan, line: Line): Change[] {
  return [
    ...boxChanges(plan, line),
    ...settingChanges(plan, line),
    ...cableChanges(plan, line),
    ...inputChanges(plan, line)
  ];
}

function boxChanges(plan: Plan, line: Line): Change[] {
  const spec = specOf(plan, line);
  if (!spec) return [];
  const phantomOn = {
    ...spec.input.settings,
    ...(givesPhantom(spec.input.model) ? { phantom: 'on' } : {})
  };
  const lift: Settings = spec.box && typeof spec.box.settings.lift === 'string' ? { lift: spec.box.settings.lift } : {};
  const source = modelOf(spec.source.model);
  return BOX_CHOICES.filter((id) => id !== spec.box?.model && boxTakes(id, source.ports[0])).map((id) => ({
    what: { code: 'box', model: id, instead: spec.box?.model ?? null },
    apply: (draft) => {
      const total = (spec.lead?.metres ?? 0) + (spec.run?.metres ?? 0);
      // With a box, the lead is short and the run balanced; what there was in one piece is divided.
      const fresh = !spec.box;
      const leadMetres = fresh ? Math.min(3, spec.lead?.metres ?? 3) : (spec.lead?.metres ?? 3);
      const kind = spec.lead?.kind ?? defaultKind('lead', source.id, leadMetres);
      const toMic = fresh && !INPUT_BALANCED.has(spec.input.model);
      putLine(
        draft,
        {
          ...spec,
          lead: { ...(spec.lead ?? { kind }), kind, metres: leadMetres, plugs: undefined },
          box: { model: id, settings: lift },
          run: spec.run ? { ...spec.run, plugs: undefined } : { kind: 'mic', metres: Math.max(total - leadMetres, 1) },
          input: toMic
            ? { model: 'mic-in', settings: { phantom: needsPhantom(id) ? 'on' : 'off' } }
            : { ...spec.input, settings: needsPhantom(id) ? phantomOn : spec.input.settings }
        },
        (role) => freshId(draft, line.id, role),
        line
      );
    }
  }));
}

const INPUT_BALANCED = new Set(['mic-in', 'line-in', 'combo-in', 'speaker-in']);
const needsPhantom = (box: string): boolean => wantsPhantom({ model: box, settings: {} });
/** Whether a box has an input for what the source gives: stereo, balanced, unbalanced, loudspeaker level. */
const boxTakes = (box: string, out: PortSpec): boolean =>
  // A box made for stereo has a mono socket as well, but is nobody's first choice for it.
  (modelOf(box).ports[0].carries !== 'stereo' || out.carries === 'stereo' || out.socket === 'rca') &&
  modelOf(box).ports.some(
    (port) =>
      port.way === 'in' &&
      (port.level === 'speaker') === (out.level === 'speaker') &&
      (out.level === 'speaker' || port.carries === out.carries)
  );
const freshId = (draft: Plan, line: string, role: string): string => {
  for (let k = 1; ; k++) {
    const id = `${line}-${role}${k}`.slice(-40);
    if (!(id in draft.devices) && !(id in draft.cables)) return id;
  }
};

/** Switches that are there to mend something; polarity, voicing and what a device stands in for are the player's. */
const SWITCHES = new Set(['lift', 'pad', 'power', 'phantom', 'plugIn', 'mode', 'tap']);

/** Switches of the devices on the line: every other position. */
function settingChanges(plan: Plan, line: Line): Change[] {
  return line.devices.flatMap((id): Change[] => {
    const device = plan.devices[id];
    const model = modelOf(device.model);
    const names = Object.keys(model.options).filter((name) => SWITCHES.has(name));
    return names.flatMap((setting) =>
      choicesOf(model, setting)
        .filter((value) => value !== (device.settings[setting] ?? model.options[setting].default))
        .map((value) => ({
          what: { code: 'setting' as const, model: device.model, setting, value },
          apply: (draft: Plan) => {
            draft.devices[id].settings[setting] = value;
          }
        }))
    );
  });
}

function cableChanges(plan: Plan, line: Line): Change[] {
  return line.cables.flatMap((id, k): Change[] => {
    const cable = plan.cables[id];
    const out: Change[] = [];
    const near = portOf(modelOf(plan.devices[cable.from.device].model), cable.from.port)!;
    const far = portOf(modelOf(plan.devices[cable.to.device].model), cable.to.port)!;
    const limit = unbalancedLimit(plan.policy, near.level);
    if (near.carries === 'unbalanced' && cable.metres > limit) {
      const next = line.cables[k + 1];
      const joinsBox = modelOf(plan.devices[cable.to.device].model).family === 'box';
      if (next && joinsBox)
        // The box moves to the player: what the lead loses, the balanced run gains.
        out.push({
          what: { code: 'move-box', metres: limit },
          apply: (draft) => {
            const cut = draft.cables[id].metres - limit;
            draft.cables[id].metres = limit;
            delete draft.cables[id].couplers;
            draft.cables[next].metres += cut;
          }
        });
    }
    if (cable.couplers)
      out.push({ what: { code: 'no-couplers' }, apply: (draft) => void delete draft.cables[id].couplers });
    const plugs = [plugFor(cable.kind, near.socket), plugFor(cable.kind, far.socket)] as const;
    if (
      plugs.some((plug, side) => plug !== cable.plugs[side]) &&
      mates(plugs[0], near.socket) &&
      mates(plugs[1], far.socket)
    )
      out.push({
        what: { code: 'plugs', plug: plugs[1], model: plan.devices[cable.to.device].model },
        apply: (draft) => {
          draft.cables[id].plugs = [...plugs];
        }
      });
    if (near.carries === 'balanced' && far.carries === 'balanced' && CABLES[cable.kind].cores === 1)
      out.push({
        what: { code: 'lead', kind: 'mic' },
        apply: (draft) => {
          draft.cables[id].kind = 'mic';
          draft.cables[id].plugs = [plugFor('mic', near.socket), plugFor('mic', far.socket)];
          delete draft.cables[id].settings;
        }
      });
    return out;
  });
}

/** Another input of the same desk, with the run's plug to fit it. */
function inputChanges(plan: Plan, line: Line): Change[] {
  if (!rolesOf(plan, line)) return [];
  const device = plan.devices[line.id];
  const cable = line.cables[line.cables.length - 1];
  const phantom = line.devices.some((id) => wantsPhantom(plan.devices[id]));
  const { level } = modelOf(plan.devices[line.devices[0]].model).ports[0];
  return inputChoices(level)
    .filter((id) => id !== device.model)
    .map((id) => ({
      what: { code: 'input', model: id },
      apply: (draft) => {
        draft.devices[line.id].model = id;
        draft.devices[line.id].settings = id === 'mic-in' && phantom ? { phantom: 'on' } : {};
        draft.cables[cable].plugs[1] = plugFor(draft.cables[cable].kind, modelOf(id).ports[0].socket);
      }
    }));
}
