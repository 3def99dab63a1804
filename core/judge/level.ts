import type { Point } from '../rig/solve';
import { fromDbu, toDbu } from '../units/quantity';
import { finding, type End, type JoinContext } from './context';
import { HEADROOM, MUCH_GAIN_DB, onLadder, TOO_HOT } from './limits';
import { fact, type Finding } from './types';

/** Peak against clip at both ends of the cable, and at the input the gain it takes. */
export function checkLevel(c: JoinContext): Finding[] {
  const out: Finding[] = [headroom(c)];
  if (c.far.model.family === 'input' && c.far.read.has('gainMax')) out.push(gain(c));
  return out;
}

function headroom(c: JoinContext): Finding {
  // A source's own rails bound its peaks already; what can be overdriven comes after it.
  const candidates: [Point, End][] = [
    ...(c.near.model.family === 'source' ? [] : [[c.span.near, c.near] satisfies [Point, End]]),
    [c.span.far, c.far]
  ];
  const room = ([p]: [Point, End]): number => p.clipDbu - p.peakDbu;
  const [point, end] = candidates.reduce((a, b) => (room(b) < room(a) ? b : a));
  const value = point.clipDbu - point.peakDbu;
  const { severity, limit } = onLadder(HEADROOM, value);
  const core = end.model.isolated === true && !end.model.buffers;
  return finding(
    severity === 'clean' ? 'headroom' : value >= 0 ? 'headroom' : core ? 'core-saturates' : 'clips',
    c.at,
    { severity, value, unit: 'dB', limit },
    [
      fact('peak', 'dBu', point.peakDbu),
      fact('clip', 'dBu', point.clipDbu),
      fact('model', 'id', end.model.id),
      ...(core ? [fact('lowest', 'frequency', c.source.notes.low)] : [])
    ]
  );
}

/** Gain from what arrives to the working level, against what the channel has. */
function gain(c: JoinContext): Finding {
  const { read } = c.far;
  const pad = read.choice('pad') === '20' ? 20 : 0;
  const arrives = c.span.far.nominalDbu;
  const needed = toDbu(read.value('working')) - arrives + pad;
  const most = read.value('gainMax');
  const least = read.value('gainMin');
  const facts = [
    fact('arrives', 'level', fromDbu(arrives)),
    fact('working', 'level', read.value('working')),
    fact('pad', 'gain', pad),
    fact('gainMin', 'gain', least),
    fact('gainMax', 'gain', most),
    fact('model', 'id', c.far.model.id)
  ];
  const make = (code: 'gain' | 'too-quiet' | 'much-gain' | 'too-hot', severity: Finding['severity'], limit: number) =>
    finding(code, c.at, { severity, value: Number.isFinite(needed) ? needed : 200, unit: 'dB', limit }, facts);
  if (!(needed <= most)) return make('too-quiet', 'stop', most);
  if (needed > MUCH_GAIN_DB) return make('much-gain', 'care', MUCH_GAIN_DB);
  if (needed < least) return make('too-hot', onLadder(TOO_HOT, needed - least).severity, least);
  return make('gain', 'clean', most);
}
