import { interpolate } from '../rig/grid';
import { finding, type JoinContext } from './context';
import { CANCELLED_DB } from './limits';
import { fact, type Finding } from './types';

/** Does it mate, and does each contact carry what the other side expects? */
export function checkConnector(c: JoinContext): Finding[] {
  const out: Finding[] = [];
  const { span, cable } = c;
  const ends = [c.near, c.far];
  span.mated.forEach((mated, side) => {
    if (mated) return;
    out.push(
      finding('plug-does-not-fit', c.at, { severity: 'stop', value: side, unit: 'none', limit: null }, [
        fact('plug', 'id', cable.plugs[side]),
        fact('socket', 'id', ends[side].port.socket),
        fact('model', 'id', ends[side].model.id)
      ])
    );
  });
  out.push(...stereo(c));
  if (c.near.port.carries === 'balanced' && span.coldOnShield)
    out.push(
      finding('leg-on-shield', c.at, { severity: 'note', value: 6, unit: 'dB', limit: null }, [
        fact('plug', 'id', cable.plugs[0]),
        fact('model', 'id', c.near.model.id)
      ])
    );
  if (out.length === 0)
    out.push(
      finding('plug-fits', c.at, { severity: 'clean', value: 0, unit: 'none', limit: null }, [
        fact('plug', 'id', cable.plugs[1]),
        fact('socket', 'id', c.far.port.socket)
      ])
    );
  return out;
}

/** Left and right of one programme: subtracted by a balanced input, or one of them shorted by a two-contact plug. */
function stereo(c: JoinContext): Finding[] {
  if (c.near.port.carries !== 'stereo') return [];
  const { solution, span } = c;
  const out: Finding[] = [];
  const last = solution.spans[solution.spans.length - 1];
  const left = interpolate(solution.hz, last.far.gainDb, 1000);
  if (left < CANCELLED_DB)
    out.push(
      finding(
        'stereo-cancels',
        c.at,
        { severity: 'stop', value: Math.max(left, -200), unit: 'dB', limit: CANCELLED_DB },
        [
          fact('plug', 'id', c.cable.plugs[1]),
          fact('model', 'id', c.far.model.id),
          fact('remains', 'gain', Math.max(left, -200))
        ]
      )
    );
  // Either the lead's own sleeve or the far socket has the right channel on the shield.
  if (span.coldOnShield)
    out.push(
      finding('right-shorted', c.at, { severity: 'care', value: c.source.value('R'), unit: 'Ω', limit: null }, [
        fact('Rout', 'resistance', c.source.value('R')),
        fact('model', 'id', c.far.model.id)
      ])
    );
  return out;
}
