import { describe, expect, it } from 'vitest';
import { judgeWhole } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { onTwoSupplies, show } from '../tests/plans';
import { curesFor } from './cures';
import { type Answer, Trace } from './infer';
import { earthMap } from './map';

/** What a trace foresees of four lines, and what it makes of a few answers, figure for figure: what changes in the files is read before it is taken. */

function rig(text: string, more: string[] = [], change?: (plan: Plan) => void): Plan {
  const plan = onTwoSupplies(show([text], ...more.map((t) => [t] as [string])));
  for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
  change?.(plan);
  return plan;
}
const RIGS: readonly (readonly [name: string, plan: Plan, histories: readonly (readonly Answer[])[]])[] = [
  [
    'keys',
    rig('Keys: keyboard earthed, 3 m, passive DI, 30 m, mic 1', ['Rack: rca player earthed, 12 m, rca input']),
    [
      [],
      [
        { ask: 'sound', is: 'hum' },
        { ask: 'lift', is: 'much-less' }
      ],
      [
        { ask: 'noticed', is: 'moving-plugs' },
        { ask: 'swap-lead', is: 'same' },
        { ask: 'wiggle', is: 'same' }
      ]
    ]
  ],
  [
    'guitar',
    rig('Guitar: guitar single coil, 4 m, active DI, 25 m, mic 1', [], (plan) => {
      plan.supplies.stage.dimmers = true;
    }),
    [
      [],
      [
        { ask: 'sound', is: 'buzz' },
        { ask: 'touch', is: 'much-less' },
        { ask: 'dimmers-off', is: 'same' }
      ],
      [
        { ask: 'lines', is: 'all' },
        { ask: 'closer', is: 'much-less' }
      ]
    ]
  ],
  [
    'voice',
    rig('Voice: dynamic mic, 20 m, mic 1'),
    [[], [{ ask: 'sound', is: 'hiss' }], [{ ask: 'since', is: 'plugged' }]]
  ],
  [
    'drone',
    rig('Drone: keyboard wall-wart, 6 m, passive DI lifted, 30 m, mic 1'),
    [
      [],
      [{ ask: 'source-battery', is: 'gone' }],
      [
        { ask: 'noticed', is: 'volume-knob' },
        { ask: 'volume', is: 'gone' }
      ]
    ]
  ]
];

/** A tenth of a decibel, a hundredth of a share: beyond that machines differ. */
const db = (value: number): string => (Object.is(Math.round(value * 10), -0) ? '0.0' : value.toFixed(1));
const share = (value: number): string => value.toPrecision(3);
const changed = (trace: Trace, probe: Trace['probes'][number]): string =>
  trace.hypotheses
    .filter((h) => h.code !== 'several')
    .map((h) => [h.id, trace.changeOf(h, probe)] as const)
    .filter(([, by]) => Math.abs(by) >= 0.5)
    .map(([id, by]) => `${id} ${db(by)}`)
    .join(' | ');

function told(plan: Plan, histories: readonly (readonly Answer[])[]): string[] {
  const trace = new Trace(plan, resolve(plan).line('l0-in')!);
  return [
    ...trace.hypotheses.map(
      (h) =>
        `cause ${h.id} | ${share(h.prior)} | ${db(trace.loudness.get(h.id) ?? 0)} dB, ${trace.strengths.get(h.id) ?? '-'} times | ${trace.soundOf(h) ?? 'any sound'} | ${trace.spreadOf(h)}`
    ),
    ...trace.probes.map((p) => `test ${p.id}, ${p.minutes} min | ${changed(trace, p)}`),
    ...histories.flatMap((answers) => {
      const beliefs = trace.beliefs(answers);
      return [
        `after ${answers.map(({ ask, is }) => `${ask} ${is}`).join(', ') || 'nothing'}`,
        `  ${beliefs
          .slice(0, 6)
          .map((b) => `${b.hypothesis.id} ${share(b.share)}`)
          .join(' | ')}`,
        `  ask ${trace
          .next(beliefs, answers, new Set(['short-input']))
          .slice(0, 8)
          .map((s) => `${s.ask} ${share(s.bits)} bits`)
          .join(' | ')}`
      ];
    })
  ];
}

describe('what was read and taken last', () => {
  it.each(RIGS)('of %s', (name, plan, histories) =>
    expect(`${told(plan, histories).join('\n')}\n`).toMatchFileSnapshot(`examples/${name}.txt`)
  );
  it('of cures', () => {
    const [, plan] = RIGS[0];
    const pieces: Pieces = new Map();
    const whole = new SolvedRig(plan, pieces);
    const reports = judgeWhole(whole);
    const map = earthMap(whole, new Map(reports.map((r) => [r.id, r])));
    const text = map.rings.flatMap((ring) => [
      `ring ${ring.points.join(', ')}`,
      ...curesFor(plan, ring, reports, pieces).map(
        (c) =>
          `  ${JSON.stringify(c.what)} on ${c.line ?? 'no line'}: ${db(c.before)} to ${db(c.after)} dB, all ${db(c.mixBefore)} to ${db(c.mixAfter)}, costs ${c.cost}, worse ${c.worse.map((w) => `${w.line} ${db(w.humDb)}`).join(' ') || 'nobody'}`
      )
    ]);
    return expect(`${text.join('\n')}\n`).toMatchFileSnapshot('examples/cures.txt');
  });
});
