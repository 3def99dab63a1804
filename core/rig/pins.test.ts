import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ADAPTERS, adapterChain } from '../gear/joints';
import { mates, type Plug, PLUGS, type Socket } from '../gear/sockets';
import { type Wiring, WIRINGS } from '../plan/schema';
import { device, oneLine, run } from '../tests/plans';
import { compileRig } from './compile';
import { pinChart } from './pins';

describe('contacts as drawn', () => {
  const chart = (input: string, plug: Plug, wiring: Wiring = 'plain') => {
    const { plan } = oneLine({ source: device('line-balanced'), lead: run(3), input: device(input) });
    plan.cables.lead.plugs[1] = plug;
    plan.cables.lead.wiring = ['plain', wiring];
    return { plan, drawn: pinChart(plan, 'lead') };
  };
  it('a mono plug in a balanced socket puts the cold contact on its sleeve, and the core there too', () => {
    const { drawn } = chart('line-in', 'ts');
    expect(drawn.far).toMatchObject([
      { contact: 'tip', carries: 'hot', conductor: 'a' },
      { contact: null, carries: 'cold', toSleeve: true },
      { contact: 'sleeve', carries: 'ground', conductor: 's' }
    ]);
    expect(drawn.joined).toEqual([false, true]);
  });
  it('an open pin is led nowhere, swapped ones are crossed', () => {
    expect(chart('mic-in', 'xlr', 'cold-open').drawn.far[1]).toMatchObject({ contact: 'pin 3', conductor: null });
    expect(chart('mic-in', 'xlr', 'swapped').drawn.far.map((p) => p.conductor)).toEqual(['b', 'a', 's']);
    expect(chart('mic-in', 'xlr', 'shield-open').drawn.far[2]).toMatchObject({ contact: 'pin 1', conductor: null });
  });
  it('what is drawn is what the network has: every conductor on the contact it is drawn at', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('mic-in', 'line-in', 'instrument-in', 'consumer-in', 'aux-in', 'combo-in'),
        fc.constantFrom<Plug>('xlr', 'trs', 'ts', 'rca'),
        fc.constantFrom(...WIRINGS),
        (input, plug, wiring) => {
          const { plan, drawn } = chart(input, plug, wiring);
          const { net, ports } = compileRig(plan, { devices: ['src', 'in'], cables: ['lead'] });
          const nodes = ports.get('in.in')!;
          const contact = { first: nodes.hot, second: nodes.cold, shield: nodes.shield } as const;
          for (const pin of drawn.far) {
            if (pin.conductor === null || pin.carries === null) continue;
            const wire = net.root(net.node(`lead/${pin.conductor}1`));
            expect(wire, `${input} ${plug} ${wiring} ${pin.place}`).toBe(net.root(contact[pin.place]));
          }
        }
      )
    ));
});

describe('adapters', () => {
  it('none where the plug goes in by itself is up to the caller; else the fewest', () => {
    const between = (plug: Plug, socket: Socket) =>
      adapterChain(
        (from) => mates(plug, from),
        (to) => mates(to, socket)
      )?.map((a) => a.id);
    expect(between('rca', 'ts')).toEqual(['rca-to-jack']);
    expect(between('xlr', 'trs')).toEqual(['xlr-to-jack']);
    expect(between('mini', 'xlr')).toEqual(['mini-to-jack', 'jack-to-xlr']);
    expect(between('rca', 'xlr')).toEqual(['rca-to-xlr']);
    expect(between('speaker', 'xlr')).toBeUndefined();
  });
  it('no chain joins two outputs, none is longer than three, each link fits the next', () => {
    for (const plug of PLUGS)
      for (const socket of ['ts', 'trs', 'mini', 'xlr', 'rca'] as const) {
        const chain = adapterChain(
          (from) => mates(plug, from),
          (to) => mates(to, socket)
        );
        if (!chain) continue;
        expect(chain.length).toBeLessThanOrEqual(3);
        expect(chain.some((a) => a.second === 'joined')).toBe(false);
        chain.slice(1).forEach((a, k) => expect(mates(chain[k].to, a.from)).toBe(true));
      }
    expect(new Set(ADAPTERS.map((a) => a.id)).size).toBe(ADAPTERS.length);
  });
});
