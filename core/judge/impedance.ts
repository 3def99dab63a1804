import { interpolate } from '../rig/grid';
import type { LineSolution } from '../rig/solve';
import { finding, type JoinContext, sourceDrives } from './context';
import { BASS, bridgingLadder, EQUAL, onLadder, TREBLE, UNLOADED } from './limits';
import { fact, type Finding } from './types';

/** A resistive output is judged by the bridging ratio, a coil or a capacitor by what the load does to its response. */
export function checkImpedance(c: JoinContext): Finding[] {
  const { zin, zout } = c.span;
  if (!zin || !zout) return [];
  return [...unloaded(c, zin), ...lowCut(c), ...loading(c, zin, zout)];
}

function loading(c: JoinContext, zin: Float64Array, zout: Float64Array): Finding[] {
  // A loudspeaker is a load in its own right; damping is no matter of bridging.
  if (c.near.port.level === 'speaker') return [];
  const nature = c.source.model.signal?.nature ?? 'resistive';
  if (sourceDrives(c) && nature !== 'resistive') return c.at === 0 ? response(c, zin, nature) : [];
  return [
    bridging(c, zin, zout),
    ...(c.at === 0 ? response(c, zin, nature).filter((f) => f.severity !== 'clean') : [])
  ];
}

/** A valve amplifier whose output sees nothing to speak of. */
function unloaded(c: JoinContext, zin: Float64Array): Finding[] {
  if (c.near.model.id !== 'valve-amp' || c.near.read.choice('cabinet') === 'connected') return [];
  const load = interpolate(c.solution.hz, zin, 1000);
  const rated = c.near.read.value('load');
  if (load <= rated * UNLOADED) return [];
  return [
    finding('no-load', c.at, { severity: 'danger', value: load, unit: 'Ω', limit: rated }, [
      fact('model', 'id', c.near.model.id),
      fact('zin', 'resistance', load),
      fact('rated', 'resistance', rated)
    ])
  ];
}

/** A low cut above the lowest note: what it takes from that note, on this network. */
function lowCut(c: JoinContext): Finding[] {
  const set = Number(c.near.read.choice('cut'));
  const { low } = c.source.notes;
  if (c.at === 0 || !(set > low)) return [];
  const { hz, spans } = c.solution;
  const gain = (f: number): number =>
    interpolate(hz, c.span.near.gainDb, f) - interpolate(hz, spans[c.at - 1].far.gainDb, f);
  const loss = gain(set * 8) - gain(low);
  return [
    finding('cut-too-high', c.at, { severity: onLadder(BASS, loss).severity, value: -loss, unit: 'dB', limit: -1 }, [
      fact('cut', 'frequency', set),
      fact('low', 'frequency', low),
      fact('model', 'id', c.near.model.id)
    ])
  ];
}

function bridging(c: JoinContext, zin: Float64Array, zout: Float64Array): Finding {
  const { hz } = c.solution;
  const { low, reach } = c.source.notes;
  let ratio = Infinity;
  let at = 1000;
  for (let k = 0; k < hz.length; k++) {
    if (hz[k] < low || hz[k] > reach || !(zin[k] / zout[k] < ratio)) continue;
    ratio = zin[k] / zout[k];
    at = hz[k];
  }
  // At 1 kHz; where the ratio falls elsewhere because of a cable's capacitance, the response says what that costs.
  const value = interpolate(hz, zin, 1000) / interpolate(hz, zout, 1000);
  const level = c.near.port.level;
  const { severity: usual, limit } = onLadder(bridgingLadder(c.plan.policy, level), value * ROUNDING);
  // An electret on two wires works into whatever feeds it: that is level and nothing else.
  const severity = c.at === 0 && c.source.feed === 'plug-in' && usual === 'care' ? 'note' : usual;
  const equal = value > EQUAL[0] && value < EQUAL[1];
  return finding(
    severity === 'clean' ? 'bridges' : equal ? 'equal-impedances' : 'loads',
    c.at,
    { severity, value, unit: '×', limit, school: 'bridging' },
    [
      fact('zin', 'resistance', interpolate(hz, zin, 1000)),
      fact('zout', 'resistance', interpolate(hz, zout, 1000)),
      fact('least', 'ratio', ratio),
      fact('leastAt', 'frequency', at),
      fact('loss', 'gain', 20 * Math.log10(value / (1 + value)))
    ]
  );
}

/** Ten to one as built must not fail for the hundredth that a cable or a contact costs. */
const ROUNDING = 1.03;

/**
 * What loading costs the low notes and the overtones. The reference is where the source is at its own: a capacitor at
 * the top of its range, where only the flat division by the lead is left; a coil or a resistance in the middle of its
 * low notes, below any resonance. Flat loss is a matter of level and not counted here.
 */
function response(c: JoinContext, zin: Float64Array, nature: 'coil' | 'capacitor' | 'resistive'): Finding[] {
  const { hz } = c.solution;
  const { low, high, reach } = c.source.notes;
  const error = responseError(c.solution);
  const at = (f: number): number => interpolate(hz, error, f);
  const middle = Math.sqrt(low * high);
  const reference = nature === 'capacitor' ? at(reach) : Math.max(at(low), at(middle));
  const worst = (from: number, to: number): { loss: number; at: number } => {
    let found = { loss: reference - at(from), at: from };
    for (const f of [...hz.filter((x) => x > from && x < to), to])
      if (reference - at(f) > found.loss) found = { loss: reference - at(f), at: f };
    return found;
  };
  const make = (code: 'bass-loss' | 'treble-loss', { loss, at: f }: { loss: number; at: number }): Finding => {
    const { severity, limit } = onLadder(code === 'bass-loss' ? BASS : TREBLE, loss);
    return finding(
      severity === 'clean' ? 'keeps-response' : code,
      c.at,
      { severity, value: -Math.max(loss, 0) || 0, unit: 'dB', limit: -limit },
      [
        fact('at', 'frequency', f),
        fact('zin', 'resistance', interpolate(hz, zin, f)),
        fact('zinOneK', 'resistance', interpolate(hz, zin, 1000)),
        fact('lead', 'capacitance', leadFarad(c)),
        fact('source', 'id', c.source.model.id),
        fact('low', 'frequency', low),
        fact('reach', 'frequency', reach)
      ]
    );
  };
  const found = [make('bass-loss', worst(low, middle)), make('treble-loss', worst(middle, reach))];
  const bad = found.filter((f) => f.severity !== 'clean');
  // A falling curve through the middle is one loss, not two.
  if (bad.length === 2) return [bad[0].value <= bad[1].value ? bad[0] : bad[1]];
  return bad.length > 0 ? bad : [found.reduce((a, b) => (b.value < a.value ? b : a))];
}

/** Response over the ideal one, dB on the solution's grid, at the terminals of the source: what loading does, and only that. */
function responseError(solution: LineSolution): Float64Array {
  return solution.spans[0].near.gainDb.map((db, k) => db - solution.idealDb[k]);
}

function leadFarad(c: JoinContext): number {
  const { net } = c.solution.rig;
  const prefix = `${c.span.cable}/`;
  return net.parts.reduce(
    (sum, part) => (part.kind === 'C' && part.name.startsWith(prefix) ? sum + part.farad : sum),
    0
  );
}
