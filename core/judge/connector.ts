import { hasTrait } from '../gear/catalogue';
import { adapterChain } from '../gear/joints';
import { mates, type Plug, type Socket } from '../gear/sockets';
import { interpolate } from '../rig/grid';
import { finding, type JoinContext, levelHere } from './context';
import { CANCELLED_DB } from './limits';
import { type Fact, fact, type Finding } from './types';

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
        fact('model', 'id', ends[side].model.id),
        ...adapters(cable.plugs[side], ends[side].port.socket)
      ])
    );
  });
  out.push(...stereo(c), ...legs(c), ...misuse(c));
  if (out.length === 0)
    out.push(
      finding('plug-fits', c.at, { severity: 'clean', value: 0, unit: 'none', limit: null }, [
        fact('plug', 'id', cable.plugs[1]),
        fact('socket', 'id', c.far.port.socket)
      ])
    );
  return out;
}

/** The fewest adapters with which it would fit, and the worst that they do to the second contact. */
function adapters(plug: Plug, socket: Socket): Fact[] {
  const chain = adapterChain(
    (from) => mates(plug, from),
    (to) => mates(to, socket)
  );
  if (!chain) return [];
  const worst = (['open', 'grounded', 'kept'] as const).find((what) => chain.some((a) => a.second === what))!;
  return [fact('adapters', 'id', chain.map((a) => a.id).join(' ')), fact('second', 'id', worst)];
}

const bare = (severity: Finding['severity'], value = 0) => ({ severity, value, unit: 'none' as const, limit: null });

/** Whether its metal touches other metal. */
const touched = (c: JoinContext, device: string): boolean =>
  Object.values(c.plan.touches ?? {}).some(({ a, b }) => a === `device:${device}` || b === `device:${device}`);

/** What has become of the second leg of a balanced output. */
function legs(c: JoinContext): Finding[] {
  const { span, near } = c;
  const facts = [fact('plug', 'id', c.cable.plugs[0]), fact('model', 'id', near.model.id)];
  const out: Finding[] = [];
  if (near.port.carries === 'balanced' && near.port.level !== 'speaker') {
    // Of a winding, or an output that makes up for it, the level is the same either way.
    const lost = legLost(c);
    const one = { value: lost, unit: 'dB' as const, limit: null };
    const care = span.coldOpen && !span.coldOnShield && c.far.port.carries === 'balanced';
    if (lost >= LEAST_LOST && (span.coldOnShield || span.coldOpen))
      out.push(
        finding(
          span.coldOnShield ? 'leg-on-shield' : 'half-balanced',
          c.at,
          { severity: care ? 'care' : 'note', ...one },
          facts
        )
      );
  }
  // Bridged, the second terminal carries half the voltage: whatever grounds it shorts half the amplifier.
  if (near.read.choice('bridged') === 'yes' && (span.coldOnShield || c.far.port.carries === 'unbalanced')) {
    // A transformer with its ground lifted hangs on the one terminal and grounds nothing, as long as nothing touches it.
    const floats = c.far.model.isolated === true && c.far.read.choice('lift') === 'lifted' && !touched(c, c.far.id);
    out.push(
      finding('bridged-output', c.at, bare(floats ? 'care' : 'danger'), [fact('model', 'id', near.model.id), input(c)])
    );
  }
  out.push(...openAdapter(c));
  if (span.swapped) out.push(finding('contacts-swapped', c.at, bare('note'), facts));
  return out;
}

/** An adapter that leaves the second leg open: of two halves one is missed, and a floating winding has no way back at all. */
function openAdapter(c: JoinContext): Finding[] {
  const { idealDb, hz, spans } = c.solution;
  const behind = spans[c.at + 1];
  if (c.at > 0 || c.near.port.carries !== 'balanced' || !c.far.model.id.endsWith('-open') || !behind) return [];
  const lost = interpolate(hz, idealDb, 1000) - interpolate(hz, behind.far.gainDb, 1000);
  if (lost < LEAST_LOST) return [];
  const severity = lost > HALF_DB ? 'care' : 'note';
  return [
    finding('half-balanced', c.at, { severity, value: lost, unit: 'dB', limit: null }, [
      fact('plug', 'id', c.cable.plugs[1]),
      fact('model', 'id', c.near.model.id)
    ])
  ];
}
/** One of two legs less, with what a cable takes beside it, dB: where more is missed, it is no half that is left. */
const HALF_DB = 8;

/** What is called a loss, dB. */
const LEAST_LOST = 1;
/** What a balanced output gives less when one of its legs is grounded or open, dB: of a source as the network has it; a winding loses nothing. */
function legLost(c: JoinContext): number {
  const { hz, idealDb } = c.solution;
  const at = (curve: Float64Array): number => interpolate(hz, curve, 1000);
  // Open, the leg is missed where the cable ends; grounded, where it begins.
  const onTheWay = at(c.span.near.gainDb) - at(c.span.far.gainDb);
  const atTheStart = c.at > 0 ? (c.near.model.isolated ? 0 : 6) : at(idealDb) - at(c.span.near.gainDb);
  return Math.max(c.span.coldOnShield ? atTheStart : onTheWay, 0);
}

const input = (c: JoinContext) => fact('input', 'id', c.far.model.id);

/** Things that were put in for their plugs. */
function misuse(c: JoinContext): Finding[] {
  const out: Finding[] = [];
  const { near, far, span } = c;
  if (
    near.model.family === 'source' &&
    near.port.carries === 'balanced' &&
    near.port.level !== 'speaker' &&
    far.model.family === 'box' &&
    far.port.level === 'instrument'
  )
    out.push(
      finding('box-as-adapter', c.at, bare('note'), [
        fact('source', 'id', near.model.id),
        fact('model', 'id', far.model.id)
      ])
    );
  if (hasTrait(far.model.id, 'joins-outputs') && c.source.model.ports[0].carries === 'stereo')
    out.push(
      finding('outputs-joined', c.at, { severity: 'stop', value: c.source.value('R') * 2, unit: 'Ω', limit: null }, [
        fact('model', 'id', far.model.id),
        fact('source', 'id', c.source.model.id),
        fact('Rout', 'resistance', c.source.value('R'))
      ])
    );
  if (levelHere(c) === 'speaker' && span.shielded)
    out.push(
      finding('wrong-cable', c.at, bare('care'), [fact('kind', 'id', c.cable.kind), fact('model', 'id', near.model.id)])
    );
  return out;
}

/** Left and right of one programme: subtracted by a balanced input, or one of them shorted by a two-contact plug. */
function stereo(c: JoinContext): Finding[] {
  if (c.near.port.carries !== 'stereo' || c.source.model.ports[0].carries !== 'stereo') return [];
  const { solution, span } = c;
  const out: Finding[] = [];
  // Where this cable ends: what a pad or a winding behind it takes off has not cancelled.
  const left = interpolate(solution.hz, span.far.gainDb, 1000);
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
