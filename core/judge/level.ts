import { hasTrait } from '../gear/catalogue';
import { interpolate } from '../rig/grid';
import type { Point } from '../rig/bench';
import { fromDbu, toDbu } from '../units/quantity';
import { exposureOf, heardFacts, heardSeverity, hissMargin } from './heard';
import { finding, type End, type JoinContext, levelHere } from './context';
import {
  DOUBLE_STOP_DB,
  HEADROOM,
  MISSING,
  MUCH_GAIN_DB,
  NO_TRIM_DB,
  onLadder,
  PEAK_OVER_WORKING_DB,
  STEP_DB,
  TOO_HOT
} from './limits';
import { fact, type Finding } from './types';

/** Peak against clip at both ends of the cable, and at the input the gain it takes and the noise it meets. */
export function checkLevel(c: JoinContext): Finding[] {
  const out: Finding[] = [...headroom(c), ...wrongClass(c), ...steps(c)];
  if (c.at === 0) out.push(...rails(c));
  if (!c.last) return out;
  if (c.far.read.has('gainMax')) out.push(gain(c));
  out.push(...noise(c));
  return out;
}

/** How far the lowest octave of a programme stands below its peaks at least, dB. */
const DEEP_DB = 6;
/** Room at a box's two ends that differs by less than this is one, dB. */
const SAME_ROOM_DB = 1;

function headroom(c: JoinContext): Finding[] {
  // A source's own rails bound its peaks already, and a speaker that passes on is judged at its own line.
  const passes = (end: End): boolean => end.model.family === 'input' && !(c.last && end === c.far);
  const both: [Point, End][] = [
    [c.span.near, c.near],
    [c.span.far, c.far]
  ];
  const candidates = both.filter(([, end]) => end.model.family !== 'source' && !passes(end));
  if (candidates.length === 0) return [];
  const room = ([p]: [Point, End]): number => p.clipDbu - p.peakDbu;
  const [point, end] = candidates.reduce((a, b) => (room(b) < room(a) ? b : a));
  const value = point.clipDbu - point.peakDbu;
  // What a box has told where the signal goes in, it does not tell again where it comes out.
  const before = end === c.near && c.at > 0 ? c.solution.spans[c.at - 1].far : null;
  const told = before !== null && before.clipDbu - before.peakDbu < value + SAME_ROOM_DB;
  // Inputs of a class differ: what clips the usual one by less than that may pass the next.
  const most = end.read.settings.clip === undefined ? end.model.params.clip?.max : undefined;
  const spread = most && end.read.value('clip') < most ? toDbu(most) - toDbu(end.read.value('clip')) : 0;
  const some = value < 0 && value > -spread;
  const core = end.model.isolated === true && !end.model.buffers;
  // The lowest octave of a programme stands below its peaks: a core that is a little short of them there distorts, and no more than that.
  const deep = core && c.source.instrument === 'programme' && value < 0 && value > -DEEP_DB;
  const { severity, limit } = some
    ? { severity: 'care' as const, limit: -spread }
    : deep
      ? { severity: 'care' as const, limit: 0 }
      : onLadder(HEADROOM, value);
  if (told && severity !== 'clean') return [];
  const facts = [
    fact('peak', 'dBu', point.peakDbu),
    fact('clip', 'dBu', point.clipDbu),
    fact('model', 'id', end.model.id),
    ...(core
      ? [fact('lowest', 'frequency', c.source.notes.low), fact('third', 'percent', thirdHarmonic(value) * 100)]
      : [])
  ];
  // Two strings at once stand twice as high as one: room for one is not room for both.
  const strings = c.source.model.signal?.nature !== 'resistive' && c.source.instrument !== 'programme';
  if (strings && value >= 0 && value < DOUBLE_STOP_DB)
    return [finding('double-stops', c.at, { severity, value, unit: 'dB', limit: DOUBLE_STOP_DB }, facts)];
  return [
    finding(
      severity === 'clean' ? 'headroom' : value >= 0 ? 'headroom' : core ? 'core-saturates' : 'clips',
      c.at,
      { severity, value, unit: 'dB', limit },
      facts
    )
  ];
}

/**
 * Third harmonic of a core that saturates as a cubic, y = x − x³ ÷ 3c², over the fundamental: r² ÷ 12 ÷ (1 − r² ÷ 4) with
 * r = peak ÷ saturation. An estimate, good below saturation and meaningless above it.
 */
function thirdHarmonic(roomDb: number): number {
  const r = Math.min(10 ** (-roomDb / 20), 1);
  return (r * r) / 12 / (1 - (r * r) / 4);
}

/** An average level that its own rails cannot give: volts of rail taken for volts RMS. */
function rails(c: JoinContext): Finding[] {
  if (!c.source.has('rail')) return [];
  const most = toDbu(c.source.model.clip!(c.source, c.source.notes.low).out!);
  const over = toDbu(c.source.value('nominal')) - most;
  if (over <= 0) return [];
  return [
    finding('over-rail', c.at, { severity: 'care', value: over, unit: 'dB', limit: 0 }, [
      fact('rail', 'voltage', c.source.value('rail')),
      fact('clip', 'dBu', most),
      fact('model', 'id', c.source.model.id)
    ])
  ];
}

/** Levels that an input was not made for, whatever the plug. */
function wrongClass(c: JoinContext): Finding[] {
  const { far } = c;
  const here = levelHere(c);
  const source = c.source.model.ports[0].level;
  const facts = [fact('source', 'id', c.source.model.id), fact('model', 'id', far.model.id)];
  const peak = { value: c.span.far.peakDbu, unit: 'dB' as const, limit: null };
  if (here === 'speaker' && far.port.level !== 'speaker' && far.model.family !== 'joint')
    return [
      finding('speaker-level', c.at, { severity: 'danger', ...peak }, [
        ...facts,
        fact('peak', 'dBu', c.span.far.peakDbu)
      ])
    ];
  if (far.port.level === 'phono' && source !== 'phono')
    return [
      finding('line-into-phono', c.at, { severity: 'stop', ...peak, value: c.span.far.peakDbu - c.span.far.clipDbu }, [
        ...facts,
        fact('peak', 'dBu', c.span.far.peakDbu),
        fact('clip', 'dBu', c.span.far.clipDbu)
      ])
    ];
  const staged = (): boolean => c.solution.line.devices.some((id) => hasTrait(c.plan.devices[id].model, 'phono-stage'));
  if (source === 'phono' && far.model.family === 'input' && far.port.level !== 'phono' && !staged()) {
    const { hz, soundDb } = c.solution;
    const tilt = interpolate(hz, soundDb, 10000) - interpolate(hz, soundDb, 100);
    return [
      finding('phono-into-line', c.at, { severity: 'stop', value: tilt, unit: 'dB', limit: 0 }, [
        ...facts,
        fact('arrives', 'dBu', c.span.far.nominalDbu)
      ])
    ];
  }
  return [];
}

/** What the box before this cable has done to the level, and whether another did the opposite before. */
function steps(c: JoinContext): Finding[] {
  const step = (at: number): number => {
    const { spans, hz } = c.solution;
    if (at < 1) return 0;
    return interpolate(hz, spans[at].near.gainDb, 1000) - interpolate(hz, spans[at - 1].far.gainDb, 1000);
  };
  const here = step(c.at);
  if (Math.abs(here) < STEP_DB || c.near.model.family !== 'box') return [];
  const facts = [fact('model', 'id', c.near.model.id), fact('step', 'gain', here)];
  if (here > 0 && !c.near.model.buffers && c.solution.spans.slice(0, c.at).every((_, k) => step(k) > -STEP_DB))
    return [finding('steps-up', c.at, { severity: 'care', value: here, unit: 'dB', limit: 0 }, facts)];
  for (let k = 1; k < c.at; k++) {
    const before = step(k);
    if (before * here < 0 && Math.abs(before) >= STEP_DB)
      return [
        finding('converted-twice', c.at, { severity: 'note', value: here, unit: 'dB', limit: null }, [
          ...facts,
          fact('before', 'gain', before)
        ])
      ];
  }
  return [];
}

/**
 * Gain that brings the average to the working level, or the peaks of what is livelier to where they have room, against what the channel has. Whether
 * it is too hot is asked of the average: what the peaks do, headroom says.
 */
function gain(c: JoinContext): Finding {
  const { read } = c.far;
  const pad = read.choice('pad') === '20' ? 20 : 0;
  const arrives = c.span.far.nominalDbu;
  const average = toDbu(read.value('working')) - arrives + pad;
  const most = read.value('gainMax');
  const least = read.value('gainMin');
  const crest = c.span.far.peakDbu - arrives;
  const lively = Number.isFinite(crest) ? Math.max(crest - PEAK_OVER_WORKING_DB, 0) : 0;
  const fixed = most === least;
  const needed = fixed || average < least ? average : Math.max(average - lively, least);
  const facts = [
    fact('arrives', 'level', fromDbu(arrives)),
    fact('working', 'level', read.value('working')),
    fact('pad', 'gain', pad),
    fact('lively', 'gain', average - needed),
    fact('gainMin', 'gain', least),
    fact('gainMax', 'gain', most),
    fact('model', 'id', c.far.model.id)
  ];
  const make = (
    code: 'gain' | 'too-quiet' | 'much-gain' | 'too-hot' | 'no-trim',
    severity: Finding['severity'],
    limit: number
  ) => finding(code, c.at, { severity, value: Number.isFinite(needed) ? needed : 200, unit: 'dB', limit }, facts);
  if (fixed) return make('no-trim', Math.abs(needed) > NO_TRIM_DB ? 'care' : 'note', NO_TRIM_DB);
  if (!(needed <= most)) return make('too-quiet', onLadder(MISSING, needed - most).severity, most);
  if (needed > MUCH_GAIN_DB) return make('much-gain', 'note', MUCH_GAIN_DB);
  if (average < least) return make('too-hot', onLadder(TOO_HOT, average - least).severity, least);
  return make('gain', 'clean', most);
}

/** Average level over the noise at the input, and what makes most of that noise. */
function noise(c: JoinContext): Finding[] {
  const { noise: n } = c.solution;
  if (!n) return [];
  const snr = c.span.far.nominalDbu - n.flatDbu;
  const { policy } = c.plan;
  const heard = heardSeverity(
    hissMargin(policy, exposureOf(c.solution.line), c.span.far.nominalDbu, n.weightedDbu),
    snr
  );
  const { severity, limit } = heard;
  const [most] = n.shares;
  return [
    finding(
      severity === 'clean' ? 'quiet' : 'hissy',
      c.at,
      { severity, value: Number.isFinite(snr) ? snr : -200, unit: 'dB', limit },
      [
        fact('arrives', 'dBu', c.span.far.nominalDbu),
        fact('noise', 'dBu', n.flatDbu),
        fact('weighted', 'dBu', n.weightedDbu),
        fact('most', 'id', c.plan.devices[most.of]?.model ?? c.plan.cables[most.of]?.kind ?? most.of),
        fact('share', 'percent', most.share * 100),
        ...heardFacts(policy, heard)
      ]
    )
  ];
}
