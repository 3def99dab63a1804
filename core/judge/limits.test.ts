import { describe, expect, it } from 'vitest';
import type { Plan } from '../plan/schema';
import { expectedPair } from '../linecheck/pair';
import { HUM_BOUNDS, humWord } from '../linecheck/hum';
import { addThru, device, lead, oneLine, run, show } from '../tests/plans';
import { HEARD, WORKING } from './heard';
import { judgePlan } from './judge';
import { BASS, bridgingLadder, HEADROOM, MISSING, type Ladder, onLadder, TOO_HOT, TREBLE } from './limits';
import type { Code, Finding } from './types';

/** Every limit of the judge, from both sides: a number that moves fails here. */

const LADDERS: readonly [
  name: string,
  ladder: Ladder,
  bounds: readonly (readonly [at: number, at: string, under: string])[]
][] = [
  [
    'headroom',
    HEADROOM,
    [
      [10, 'clean', 'note'],
      [3, 'note', 'care'],
      [0, 'care', 'stop']
    ]
  ],
  [
    'bass lost',
    BASS,
    [
      [1, 'note', 'clean'],
      [3, 'care', 'note'],
      [6, 'stop', 'care']
    ]
  ],
  [
    'treble lost',
    TREBLE,
    [
      [2, 'note', 'clean'],
      [5, 'care', 'note'],
      [12, 'stop', 'care']
    ]
  ],
  [
    'what is heard',
    HEARD,
    [
      [10, 'clean', 'note'],
      [0, 'note', 'care'],
      [-10, 'care', 'stop']
    ]
  ],
  [
    'hum and hiss by the rule of thumb',
    WORKING,
    [
      [50, 'clean', 'note'],
      [40, 'note', 'care'],
      [30, 'care', 'stop']
    ]
  ],
  [
    'gain that is missing',
    MISSING,
    [
      [12, 'stop', 'care'],
      [4, 'care', 'note']
    ]
  ],
  [
    'too hot',
    TOO_HOT,
    [
      [0, 'clean', 'note'],
      [-5, 'note', 'care'],
      [-12, 'care', 'stop']
    ]
  ],
  [
    'microphone',
    bridgingLadder({ bridging: 10 } as Plan['policy'], 'microphone'),
    [
      [5, 'clean', 'note'],
      [10 ** (-3 / 20) / (1 - 10 ** (-3 / 20)), 'note', 'care'],
      [10 ** (-9 / 20) / (1 - 10 ** (-9 / 20)), 'care', 'stop']
    ]
  ],
  ...([5, 10, 20] as const).map(
    (bridging) =>
      [
        `bridging ${bridging}`,
        bridgingLadder({ bridging } as Plan['policy']),
        [
          [bridging, 'clean', 'note'],
          // Three decibels lost, and nine.
          [10 ** (-3 / 20) / (1 - 10 ** (-3 / 20)), 'note', 'care'],
          [10 ** (-9 / 20) / (1 - 10 ** (-9 / 20)), 'care', 'stop']
        ]
      ] as [string, Ladder, readonly (readonly [number, string, string])[]]
  )
];

describe('ladders', () => {
  it.each(LADDERS)('%s: at each bound, and a hair under it', (_, ladder, bounds) => {
    for (const [at, there, under] of bounds) {
      expect(onLadder(ladder, at + 1e-12).severity).toBe(there);
      expect(onLadder(ladder, at - 1e-9).severity).toBe(under);
    }
    expect(ladder.filter(([bound]) => Number.isFinite(bound))).toHaveLength(bounds.length);
    expect(onLadder(ladder, -Infinity).severity).toBe(bounds.at(-1)![2] === 'clean' ? 'clean' : ladder.at(-1)![1]);
  });
});

type Seen = Pick<Finding, 'code' | 'severity' | 'value'> | undefined;
/** What a plan's first line is told with one of some codes. */
const seen = (plan: Plan, codes: readonly Code[]): Seen =>
  judgePlan(plan)[0].findings.find((f) => codes.includes(f.code));

/** Where along x what is told changes: told on either side of it, a hair apart. */
function edge(plan: (x: number) => Plan, codes: readonly Code[], low: number, high: number): [Seen, Seen] {
  const told = (x: number): string => `${seen(plan(x), codes)?.code} ${seen(plan(x), codes)?.severity}`;
  const [first, last] = [told(low), told(high)];
  expect(first).not.toBe(last);
  for (let k = 0; k < 40; k++) {
    const mid = (low + high) / 2;
    if (told(mid) === first) low = mid;
    else high = mid;
  }
  return [seen(plan(low), codes), seen(plan(high), codes)];
}
/** The value at which it changes, with what is told under it and over it. */
function expectEdge(edges: [Seen, Seen], value: number, under: string, over: string, digits = 6): void {
  const [a, b] = edges[0] && edges[1] && edges[0].value > edges[1].value ? [edges[1], edges[0]] : edges;
  expect([a, b].map((s) => (s ? `${s.code} ${s.severity}` : 'nothing'))).toEqual([under, over]);
  for (const s of [a, b]) if (s) expect(s.value).toBeCloseTo(value, digits);
}

describe('limits where they act', () => {
  const unbalanced = (policy: Plan['policy']['unbalanced'], source: string, input: string) => (metres: number) => {
    const { plan } = oneLine({ source: device(source), lead: lead(metres), input: device(input) });
    return { ...plan, policy: { ...plan.policy, unbalanced: policy } };
  };
  it.each([
    ['computed', 'single-coil', 'instrument-in', 6, 10],
    ['computed', 'line-unbalanced', 'line-in', 3, 10],
    ['relaxed', 'single-coil', 'instrument-in', 10, 20],
    ['relaxed', 'line-unbalanced', 'line-in', 10, 20]
  ] as const)(
    'unbalanced, %s, a %s into a %s: a note from %d m, care from %d m, and never a stop',
    (policy, source, input, note, care) => {
      const plan = unbalanced(policy, source, input);
      const codes = ['short-unbalanced', 'long-unbalanced'] as const;
      expectEdge(
        edge(plan, codes, note * 0.5, (note + care) / 2),
        note,
        'short-unbalanced clean',
        'long-unbalanced note'
      );
      expectEdge(edge(plan, codes, (note + care) / 2, care * 2), care, 'long-unbalanced note', 'long-unbalanced care');
      expect(seen(plan(500), codes)!.severity).toBe('care');
    }
  );
  it('unbalanced, by the strict rule that somebody has chosen: care from 3 m, a stop from 12', () => {
    const plan = unbalanced('strict', 'single-coil', 'instrument-in');
    const codes = ['short-unbalanced', 'long-unbalanced'] as const;
    expectEdge(edge(plan, codes, 1.5, 6), 3, 'short-unbalanced clean', 'long-unbalanced care');
    expectEdge(edge(plan, codes, 6, 24), 12, 'long-unbalanced care', 'long-unbalanced stop');
  });
  it('couplers: one is a note, two want care', () => {
    const plan = (couplers: number) =>
      oneLine({ source: device('single-coil'), lead: lead(6, { couplers }), input: device('instrument-in') }).plan;
    expect([1, 2, 3].map((n) => seen(plan(n), ['coupled'])!.severity)).toEqual(['note', 'care', 'care']);
    expect(seen(plan(0), ['coupled'])).toBeUndefined();
  });
  it('a battery: six hours', () => {
    const plan = (capacity: number) => {
      const { plan } = oneLine({
        source: device('piezo'),
        lead: lead(3),
        box: device('active-di', { power: 'battery', capacity }),
        run: run(20),
        input: device('mic-in')
      });
      return plan;
    };
    const spec = seen(plan(1000), ['battery-lasts', 'battery-short'])!;
    const six = (1000 / spec.value) * 6;
    expectEdge(
      edge(plan, ['battery-lasts', 'battery-short'], six * 0.9, six * 1.1),
      6,
      'battery-short care',
      'battery-lasts clean'
    );
  });
  it('direct current into what was made for none: one milliampere', () => {
    const plan = (R: number) =>
      oneLine({ source: device('line-balanced', { R }), run: run(5), input: device('mic-in', { phantom: 'on' }) }).plan;
    const [a, b] = edge(plan, ['phantom-into-source'], 100, 1e6);
    const harmed = (a ?? b)!;
    expect([harmed.severity, a === undefined || b === undefined]).toEqual(['stop', true]);
    expect(harmed.value).toBeCloseTo(1, 4);
    expect(
      seen(oneLine({ source: device('ribbon'), run: run(5), input: device('mic-in', { phantom: 'on' }) }).plan, [
        'phantom-into-source'
      ])?.severity ?? 'none'
    ).not.toBe('stop');
  });
  it('phantom that is left for a box: nine volts', () => {
    const plan = (phantomVolts: number) =>
      oneLine({
        source: device('piezo'),
        lead: lead(3),
        box: device('active-di'),
        run: run(20),
        input: device('mic-in', { phantom: 'on', phantomVolts })
      }).plan;
    const [a, b] = edge(plan, ['phantom-weak', 'phantom-reaches'], 6, 44);
    expect([a!.code, b!.code].sort()).toEqual(['phantom-reaches', 'phantom-weak']);
    // Either nothing is left under nine volts, or the box draws more than there is.
    for (const s of [a, b]) expect(s!.value).toBeGreaterThan(8.9);
  });
  it('gain: above 55 dB it is much', () => {
    const plan = (nominal: number) =>
      oneLine({ source: device('dynamic-mic', { nominal }), run: run(20), input: device('mic-in') }).plan;
    expectEdge(edge(plan, ['gain', 'much-gain', 'too-quiet'], 0.6e-3, 1.6e-3), 55, 'gain clean', 'much-gain note');
  });
  it('an input with nothing to turn: three decibels either way', () => {
    const plan = (nominal: number) =>
      oneLine({ source: device('headphone', { nominal }), lead: lead(1, { kind: 'mini' }), input: device('aux-in') })
        .plan;
    const fits = 0.775 * 10 ** (-7.78 / 20);
    expectEdge(edge(plan, ['no-trim'], fits * 0.5, fits * 1.05), 3, 'no-trim note', 'no-trim care', 4);
    expectEdge(edge(plan, ['no-trim'], fits * 1.05, fits * 2), -3, 'no-trim care', 'no-trim note', 4);
  });
  it('equal impedances: from half to twice', () => {
    const plan = (zin: number) =>
      oneLine({
        source: device('line-unbalanced', { R: 600 }),
        lead: lead(0.1),
        input: device('load-resistor', { zin })
      }).plan;
    const codes = ['equal-impedances', 'loads', 'bridges'] as const;
    expectEdge(edge(plan, codes, 100, 320), 0.5, 'loads stop', 'equal-impedances stop', 3);
    expectEdge(edge(plan, codes, 600, 2400), 2, 'equal-impedances care', 'loads care', 3);
  });
  it('a valve amplifier without its load: more than four times the rated one', () => {
    const plan = (zin: number) =>
      oneLine({ source: device('valve-amp'), lead: lead(2, { kind: 'speaker' }), input: device('cabinet', { zin }) })
        .plan;
    const [a, b] = edge(plan, ['no-load'], 8, 200);
    expect(a).toBeUndefined();
    expect([b!.severity, b!.value / 8]).toEqual(['danger', expect.closeTo(4, 2)]);
  });
  it('two strings at once: six decibels of room', () => {
    const plan = (clip: number) =>
      oneLine({
        source: device('piezo', { instrument: 'upright-bass' }),
        lead: lead(3),
        input: device('instrument-in', { clip })
      }).plan;
    const codes = ['double-stops', 'headroom', 'clips'] as const;
    const room = (db: number): number => 10 ** ((db - seen(plan(1), codes)!.value) / 20);
    expectEdge(edge(plan, codes, room(4), room(8)), 6, 'double-stops note', 'headroom note');
    expectEdge(edge(plan, codes, room(-2), room(2)), 0, 'clips stop', 'double-stops care');
  });
  it('what the usual one clips and one that takes more does not: six decibels of a microphone input', () => {
    const plan = (nominal: number) =>
      oneLine({ source: device('line-unbalanced', { nominal }), lead: lead(3), input: device('mic-in') }).plan;
    const over = (db: number): number => 10 ** ((db - seen(plan(1), ['headroom', 'clips'])!.value) / -20);
    expectEdge(edge(plan, ['clips'], over(-2), over(-9)), -6, 'clips stop', 'clips care');
  });
  it('a thru is heard on both sides of nothing: a second load on it changes the first', () => {
    const plain = show(['Bass: passive bass, 3 m, passive DI, 20 m, mic']);
    const loaded = show(['Bass: passive bass, 3 m, passive DI, 20 m, mic']);
    addThru(loaded, device('load-resistor', { zin: 20e3 }), 'l0-mid');
    const loss = (p: Plan): number => seen(p, ['treble-loss', 'keeps-response', 'bass-loss'])!.value;
    expect(Math.abs(loss(loaded))).toBeGreaterThan(Math.abs(loss(plain)));
  });
});

describe('limits of the line check', () => {
  it('hum in words: none from 60 dB below the signal, faint from 40', () => {
    expect([60, 59.999, 40, 39.999].map(humWord)).toEqual(['none', 'faint', 'faint', 'clear']);
    expect(HUM_BOUNDS).toEqual({ none: [60, Infinity], faint: [40, 60], clear: [-Infinity, 40] });
  });
  it('a mono sum: full down to 1 dB over one side, thin down to 6 dB under it', () => {
    // Of opposite polarity, the sum of 1 and g is 1 − g over the louder side.
    const at = (sumDb: number) => ({ levelDb: 20 * Math.log10(1 - 10 ** (sumDb / 20)), opposite: true });
    const same = (sumDb: number) => ({ levelDb: 20 * Math.log10(10 ** (sumDb / 20) - 1), opposite: false });
    const mono = (pair: { levelDb: number; opposite: boolean }) => expectedPair({ ...pair } as never).mono;
    expect([mono(at(-5.999)), mono(at(-6.001))]).toEqual(['thins', 'cancels']);
    expect([mono(same(1.001)), mono(same(0.999))]).toEqual(['holds', 'thins']);
  });
});
