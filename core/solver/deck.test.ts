import { describe, expect, it } from 'vitest';
import { deck } from './deck';
import { Network } from './network';
import { FOUR_KT } from './noise';

const ask = (net: Network, rest: Partial<Parameters<typeof deck>[1]> = {}) => ({
  title: 'test',
  from: 20,
  to: 20000,
  perDecade: 10,
  out: [[net.node('out'), 0]] as const,
  noise: false,
  ...rest
});

describe('a deck', () => {
  it('has a line for each part, with its name as a remark and joined nodes as one', () => {
    const net = new Network();
    const [a, b] = [net.node('a'), net.node('b')];
    net.voltage('src/emf', a, 0, 1);
    net.resistor('src/R', a, b, 4700);
    net.capacitor('lead/c', b, 0, 6e-10);
    net.inductor('coil/L', b, net.node('out'), 2.5);
    net.wire(b, net.node('joined'));
    net.resistor('load', net.node('joined'), 0, 1e6);
    const text = deck(net, ask(net));
    expect(text).toMatch(/^\* test\n/);
    expect(text).toContain('V1 n1 0 dc 0 ac 1 ; src/emf');
    expect(text).toContain('R2 n1 n2 4700 ; src/R');
    expect(text).toContain('C3 n2 0 6e-10 ; lead/c');
    expect(text).toContain('R5 n2 0 1000000 ; load');
    expect(text).toContain('.ac dec 10 20 20000\n.print ac vm(n3)\n.end\n');
  });

  it('makes an ideal transformer of a controlled pair, coupled coils of three lines', () => {
    const net = new Network();
    const [a, b] = [net.node('out'), net.node('b')];
    net.transformer('t', a, 0, b, 0, 12);
    net.coupled('k', a, 0, b, 0, 4, 1, 0.9);
    const text = deck(net, ask(net));
    expect(text).toContain('E1 n1 t1 n2 0 12 ; t\nV1t t1 0 dc 0\nF1 0 n2 V1t 12');
    expect(text).toContain('L2a n1 0 4 ; k\nL2b n2 0 1\nK2 L2a L2b 0.9');
  });

  it('gives a source with noise of its own a resistor of the same 4kTR', () => {
    const net = new Network();
    const out = net.node('out');
    net.voltage('emf', out, 0, 1, 5e-9);
    net.current('hiss', out, 0, 0, 1e-12);
    net.resistor('r', out, 0, 100);
    const text = deck(net, ask(net, { noise: true }));
    expect(text).toContain(`R1n w1 0 ${Number((25e-18 / FOUR_KT).toPrecision(12))}`);
    expect(text).toContain('E1 e1 0 w1 0 1\nV1 n1 e1 dc 0 ac 1 ; emf');
    expect(text).toContain('G2 n1 0 w2 0 1');
    expect(text).toContain('.noise v(n1) V1 dec 10 20 20000');
    expect(text).toContain('.options temp=26.85');
  });

  it('leaves sources off that were not asked for, drives others, and then asks for no noise', () => {
    const net = new Network();
    const out = net.node('out');
    net.voltage('one/emf', net.node('a'), 0, 1);
    net.resistor('r', net.node('a'), out, 10);
    const text = deck(
      net,
      ask(net, {
        noise: true,
        on: () => false,
        drive: [{ name: 'earth', a: 0, b: out, ampere: [0, 2] }],
        remarks: ['one']
      })
    );
    expect(text).toContain('V1 n2 0 dc 0 ac 0 ; one/emf');
    expect(text).toContain('I3 0 n1 dc 0 ac 2 90 ; earth');
    expect(text).toContain('* one\n');
    expect(text).not.toContain('.noise');
  });
});
