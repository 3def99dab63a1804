import { modelOf, hasTrait, portOf, wantsPhantom } from '../gear/catalogue';
import { modelAt, settingsAt } from '../plan/devices';
import type { GroundEdge } from '../rig/builder';
import { type Hum } from '../rig/hum';
import { HUM_KINDS } from '../rig/hum-domain';
import { earthed, ringThrough, type Tie } from '../rig/rings';
import type { LineSolution } from '../rig/solve';
import { toDbu } from '../units/quantity';
import { finding, type JoinContext } from './context';
import { exposureOf, type Heard, heardFacts, heardSeverity, humMargin } from './heard';
import { BATTERY_HOURS, HARM_AMPERE, LEAST_RAIL } from './limits';
import { type Fact, fact, type Finding } from './types';

/**
 * Loops through this cable's shield, hum, lift, and whether phantom goes where it should.
 * @param rest hum of the whole rig at this line's input, null when its earths cannot be solved; hosts and supplies that the rest of
 *   the rig joins; what all lines draw from the phantom supply of this one's host, amperes
 */
export function checkGround(
  c: JoinContext,
  { hum, ties, drawn }: { hum: Hum | null; ties: readonly Tie[]; drawn: number }
): Finding[] {
  return [
    ...loops(c, hum, ties),
    ...humOf(c, hum),
    ...phantom(c),
    ...budget(c, drawn),
    ...battery(c),
    ...lifted(c, hum),
    ...earths(c)
  ];
}

/** Hum under the playing, dB, from one kind of cause or all. */
const below = (c: JoinContext, volts: number): number => {
  const { spans } = c.solution;
  const value = spans[spans.length - 1].far.nominalDbu - toDbu(volts);
  return Number.isFinite(value) ? value : volts > 0 ? -200 : 200;
};

/** Hum of one kind, or of the worst of several: how far below the signal, how far under what is heard, and what that is worth. */
function heard(c: JoinContext, hum: Hum, volts: number, ...kinds: readonly (keyof Hum['loudest'])[]): Heard {
  const { spans, line } = c.solution;
  const nominal = spans[spans.length - 1].far.nominalDbu;
  const loudest = Math.max(...kinds.map((k) => hum.loudest[k]));
  return heardSeverity(humMargin(c.plan.policy, exposureOf(line), nominal, loudest), below(c, volts));
}

function loops(c: JoinContext, hum: Hum | null, ties: readonly Tie[]): Finding[] {
  const ring = ringThrough(c.solution.rig, c.span.cable, ties);
  if (!ring) return [finding('no-loop', c.at, { severity: 'clean', value: 0, unit: 'count', limit: null })];
  const earths = hum?.byKind.earths ?? 0;
  const value = below(c, earths);
  const judged: Heard = hum
    ? heard(c, hum, earths, 'earths')
    : { margin: 200, rule: false, severity: 'clean', limit: value };
  const { severity, limit } = judged;
  // The drop along an unbalanced shield is what becomes signal; a balanced stretch of the same ring only carries it.
  const told = c.span.balanced && ringHasUnbalanced(c.solution, ring) ? 'clean' : severity;
  // Of a circuit of which nobody knows anything the loop is sure, how loud it is a guess.
  const guess = ring.some((e) => 'supply' in e.what && (c.plan.supplies[e.what.supply].spread ?? 0) >= UNKNOWN_SPREAD);
  const guilty = guess && told === 'stop' ? 'care' : told;
  const supplies = [...new Set(ring.flatMap((e) => ('supply' in e.what ? [e.what.supply] : [])))];
  const code = guilty !== 'clean' && throughThru(c) ? 'thru-joins' : 'loop';
  return [
    finding(code, c.at, { severity: guilty, value, unit: 'dB', limit }, [
      fact('hum', 'dBu', toDbu(earths)),
      fact('arrives', 'dBu', c.solution.spans[c.solution.spans.length - 1].far.nominalDbu),
      fact('supplies', 'count', supplies.length),
      fact(
        'emf',
        'voltage',
        supplies.reduce((sum, id) => sum + c.plan.supplies[id].emf, 0)
      ),
      fact('mains', 'frequency', c.plan.policy.mainsHz),
      fact('names', 'id', supplies.map((id) => c.plan.supplies[id].name).join(' and ')),
      ...heardFacts(c.plan.policy, judged),
      ...(code === 'thru-joins' ? [fact('model', 'id', c.near.model.id)] : [])
    ])
  ];
}

/** An EMF that is known no better than within this factor is not known. */
const UNKNOWN_SPREAD = 10;

/** The cable leaves a lifted box by its thru, which goes round the lift. */
const throughThru = (c: JoinContext): boolean => c.near.port.id === 'thru' && c.near.read.choice('lift') === 'lifted';

const ringHasUnbalanced = (solution: LineSolution, ring: readonly GroundEdge[]): boolean =>
  solution.spans.some((s) => !s.balanced && ring.some((e) => 'cable' in e.what && e.what.cable === s.cable));

/** All hum at the input, with what makes most of it; loops have findings of their own. */
function humOf(c: JoinContext, hum: Hum | null): Finding[] {
  if (!c.last || !hum) return [];
  const { earths, leak, electric, winding, cable } = hum.byKind;
  const make = (
    code: 'hum-low' | 'hums' | 'lift-no-help' | 'lift-leaks',
    volts: number,
    f: Heard,
    extra: Fact[] = []
  ) =>
    finding(code, c.at, { severity: f.severity, value: below(c, volts), unit: 'dB', limit: f.limit }, [
      fact('hum', 'dBu', toDbu(volts)),
      fact('arrives', 'dBu', c.span.far.nominalDbu),
      fact(
        'cause',
        'id',
        HUM_KINDS.filter((k) => k !== 'earths' || volts === hum.volts).reduce((a, b) =>
          hum.byKind[b] > hum.byKind[a] ? b : a
        )
      ),
      fact('mains', 'frequency', c.plan.policy.mainsHz),
      ...heardFacts(c.plan.policy, f),
      ...extra
    ]);
  const fields = Math.hypot(electric, winding, cable);
  const induced = heard(c, hum, fields, 'electric', 'winding', 'cable');
  const leaked = heard(c, hum, leak, 'leak');
  const looped = heard(c, hum, earths, 'earths');
  const out: Finding[] = [];
  if (induced.severity !== 'clean') out.push(make('hums', fields, induced));
  else if (leaked.severity !== 'clean') out.push(make('hums', leak, leaked));
  const lift = c.solution.line.devices.find((id) => settingsAt(c.plan, id).choice('lift') === 'lifted');
  if (lift !== undefined) {
    const model = modelOf(c.plan.devices[lift].model);
    const own = [fact('model', 'id', model.id)];
    if (out.length > 0 && fields > earths)
      out.push(make('lift-no-help', fields, { ...induced, severity: 'note' }, own));
    if (looped.severity !== 'clean' && !model.isolated) out.push(make('lift-leaks', earths, looped, own));
  }
  // Where a loop is what hums, the loop has said so.
  const all = heard(c, hum, hum.volts, 'all');
  return out.length > 0 || all.severity !== 'clean' ? out : [make('hum-low', hum.volts, all)];
}

function phantom(c: JoinContext): Finding[] {
  if (!c.last) return [];
  const bare = { severity: 'clean' as const, value: 0, unit: 'none' as const, limit: null };
  const facts = [fact('model', 'id', c.near.model.id), fact('input', 'id', c.far.model.id)];
  const fed = c.solution.phantom;
  const out: Finding[] = [...plugIn(c), ...blocked(c), ...ribbon(c)];
  if (c.near.read.feed === 'phantom' && !livesElsewhere(c, c.near.id, c.at)) {
    if (!c.far.model.options.phantom)
      return [...out, finding('phantom-none', c.at, { ...bare, severity: 'stop' }, facts)];
    if (!fed) return [...out, finding('phantom-off', c.at, { ...bare, severity: 'stop' }, facts)];
    const measured = [...facts, fact('left', 'voltage', fed.volts), fact('drawn', 'current', fed.ampere)];
    const weak = fed.noReturn || fed.volts < LEAST_RAIL;
    if (weak || fed.starved)
      return [
        ...out,
        finding(
          'phantom-weak',
          c.at,
          { severity: weak ? 'stop' : 'care', value: fed.volts, unit: 'V', limit: LEAST_RAIL },
          measured
        )
      ];
    return [...out, finding('phantom-reaches', c.at, { ...bare, value: fed.volts, unit: 'V' }, measured)];
  }
  if (fed && fed.harm > HARM_AMPERE) {
    const model = modelOf(c.plan.devices[fed.device].model);
    return [
      ...out,
      finding(
        'phantom-into-source',
        c.at,
        {
          severity: hasTrait(model.id, 'harmed-by-phantom') ? 'danger' : meetsPhantom(c, fed.device) ? 'care' : 'stop',
          value: fed.harm * 1000,
          unit: 'mA',
          limit: HARM_AMPERE * 1000
        },
        [fact('model', 'id', model.id), fact('input', 'id', c.far.model.id), fact('drawn', 'current', fed.harm)]
      )
    ];
  }
  return out;
}

/** Whether it leaves by an XLR that is made for a microphone input: its own jack is not. */
function meetsPhantom(c: JoinContext, id: string): boolean {
  const { model } = c.plan.devices[id];
  const port = c.solution.line.cables.map((k) => c.plan.cables[k].from).find(({ device }) => device === id)?.port;
  return hasTrait(model, 'meets-phantom') && port !== undefined && portOf(modelOf(model), port)?.socket === 'xlr';
}

/** Whether what a line takes from a device needs no feed by this line: a thru that is wired straight through, or another line that leaves it as well. */
function livesElsewhere(c: JoinContext, id: string, k: number): boolean {
  const { cables } = c.solution.line;
  const thru = c.plan.cables[cables[k]].from.port === 'thru';
  if (thru && settingsAt(c.plan, id).choice('thru') !== 'buffered') return true;
  return Object.entries(c.plan.cables).some(
    ([other, { from }]) => from.device === id && from.port !== 'thru' && !cables.includes(other)
  );
}

/** Who lives on phantom farther up the line gets none through a box that has no way for it. */
function blocked(c: JoinContext): Finding[] {
  const { devices } = c.solution.line;
  // What the feed meets first is told by itself.
  const meets = devices.findLastIndex((id, k) => k < devices.length - 1 && modelAt(c.plan, id).family !== 'joint');
  return devices
    .slice(0, Math.max(meets, 0))
    .flatMap((id, k) =>
      wantsPhantom(c.plan.devices[id]) && !livesElsewhere(c, id, k)
        ? [
            finding('phantom-blocked', c.at, { severity: 'stop', value: 0, unit: 'none', limit: null }, [
              fact('model', 'id', c.plan.devices[id].model),
              fact('box', 'id', c.plan.devices[devices[meets]].model)
            ])
          ]
        : []
    );
}

/** A ribbon under phantom: two equal legs carry nothing through it, but a plug that bridges them on its way in does. */
function ribbon(c: JoinContext): Finding[] {
  const { line, phantom: fed } = c.solution;
  if (!fed || fed.device !== line.devices[0] || fed.harm > HARM_AMPERE) return [];
  if (!hasTrait(c.source.model.id, 'harmed-by-phantom')) return [];
  const jack =
    line.cables.some((id) => c.plan.cables[id].plugs.some((plug) => plug === 'trs' || plug === 'ts')) ||
    line.devices.some((id) => c.plan.devices[id].model === 'patch-bay');
  return [
    finding('phantom-on-ribbon', c.at, { severity: jack ? 'stop' : 'care', value: 0, unit: 'none', limit: null }, [
      fact('model', 'id', c.source.model.id),
      fact('jack', 'id', jack ? 'yes' : 'no')
    ])
  ];
}

/** The phantom supply of a desk feeds all its inputs: what they draw together against what it gives. */
function budget(c: JoinContext, drawn: number): Finding[] {
  const { host } = c.plan.devices[c.far.id];
  const own = c.solution.phantom?.ampere ?? 0;
  if (!c.last || host === undefined || own <= 0) return [];
  const { name, phantomMost } = c.plan.hosts[host];
  if (phantomMost === undefined) return [];
  const over = drawn > phantomMost;
  return [
    finding(
      over ? 'phantom-spent' : 'phantom-enough',
      c.at,
      { severity: over ? 'stop' : 'clean', value: drawn * 1000, unit: 'mA', limit: phantomMost * 1000 },
      [fact('names', 'id', name), fact('drawn', 'current', own), fact('most', 'current', phantomMost)]
    )
  ];
}

/** A capsule that wants a few volts up the wire, and an input that gives none. */
function plugIn(c: JoinContext): Finding[] {
  if (c.source.feed !== 'plug-in') return [];
  if (c.far.read.choice('plugIn') === 'on' && c.solution.spans.length === 1) return [];
  return [
    finding('plug-in-missing', c.at, { severity: 'stop', value: 0, unit: 'none', limit: null }, [
      fact('model', 'id', c.source.model.id),
      fact('input', 'id', c.far.model.id)
    ])
  ];
}

/** How long a box on its battery plays: what the battery holds over what the box draws. */
function battery(c: JoinContext): Finding[] {
  const { read } = c.near;
  const low =
    read.settings.cell === 'low' || (read.has('battery') && read.value('battery') < read.model.params.battery.min);
  if (read.feed === 'battery' && low)
    return [
      finding('battery-low', c.at, { severity: 'care', value: 0, unit: 'none', limit: null }, [
        fact('model', 'id', c.near.model.id)
      ])
    ];
  if (read.feed !== 'battery' || !read.has('capacity')) return [];
  const hours = read.value('capacity') / read.value('draw');
  const short = hours < BATTERY_HOURS;
  return [
    finding(
      short ? 'battery-short' : 'battery-lasts',
      c.at,
      { severity: short ? 'care' : 'clean', value: hours, unit: 'h', limit: BATTERY_HOURS },
      [
        fact('model', 'id', c.near.model.id),
        fact('capacity', 'charge', read.value('capacity')),
        fact('drawn', 'current', read.value('draw'))
      ]
    )
  ];
}

/** A lift that leaves the source's shield hanging: nothing else ties it to earth. */
function lifted(c: JoinContext, hum: Hum | null): Finding[] {
  if (c.near.model.options.lift === undefined || c.near.read.choice('lift') !== 'lifted') return [];
  const { rig, line } = c.solution;
  const before = line.devices[c.at - 1];
  if (c.at < 1 || earthed(rig)(rig.chassis.get(before)!)) return [];
  // What floats may hum, and then the network says so. Of open strings it knows little: there the rule is told, as no more than that.
  const quiet = hum !== null && ['clean', 'note'].includes(heard(c, hum, hum.volts, 'all').severity);
  if (quiet && c.source.model.ports[0].level !== 'instrument') return [];
  return [
    finding('floats-lifted', c.at, { severity: quiet ? 'note' : 'care', value: 0, unit: 'none', limit: null }, [
      fact('model', 'id', c.near.model.id),
      fact('source', 'id', c.source.model.id)
    ])
  ];
}

/** A protective earth that somebody has taken away. */
function earths(c: JoinContext): Finding[] {
  const gone = [c.near, ...(c.last ? [c.far] : [])].filter((end) => end.read.unearthed);
  return gone.map((end) =>
    finding('earth-removed', c.at, { severity: 'danger', value: end.read.shocks ? 1 : 0, unit: 'none', limit: null }, [
      fact('model', 'id', end.model.id)
    ])
  );
}
