import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leadKey, Stock } from '../advise/stock';
import { judgePlan } from '../judge/judge';
import { type Kit, PLAIN } from '../kit/schema';
import { putLine } from '../plan/put';
import type { Plan } from '../plan/schema';
import { readKit } from '../reader/kit';
import { readLine } from '../reader/read-line';
import { show } from '../tests/plans';
import { plan as anyPlan } from '../tests/arbitrary';
import { cablesSheet, labelsOf, pullsOf } from './cables';
import { changeoverSheet } from './changeover';
import { cardsOf } from './patch';
import { rowsOfSheet, sheetOf } from './sheets';
import { type PaperInput, type Sheet, SHEET_IDS } from './types';

const input = (plan: Plan, kit: Kit | null = null): PaperInput => ({
  plan,
  kit,
  reports: new Map(judgePlan(plan).map((r) => [r.id, r]))
});
const kitOf = (text: string): Kit => Object.fromEntries(readKit(text).items.map((item, k) => [`k${k}`, item]));
const plain = (text: string): string => text.replaceAll('\u202f', ' ');
const rows = (sheet: Sheet): string[][] => sheet.groups.flatMap((g) => g.rows.map((r) => r.cells.map(plain)));

const EVENING = show(
  ['Cello: cello piezo, 3 m, active DI 10m pad 10, 30 m multicore, mic 3', { place: 'Riser', act: 'One' }],
  ['Voice: dynamic mic, 20 m, mic 1', { place: 'Front' }],
  ['Keys: keyboard, 4 m, passive DI lifted, 20 m mic cable, mic 2', { act: 'One' }],
  ['Harp: harp piezo, 3 m, active DI 10m, 30 m multicore, mic 3', { act: 'Two' }],
  ['Amp: from Cello, 2 m, guitar amp', { act: 'One' }]
);

describe('the patch sheet', () => {
  it('has every line once, in channel order, in words that a stagehand reads', () => {
    const { groups } = sheetOf('patch', input(EVENING));
    expect(groups.map((g) => g.name)).toEqual(['Desk', 'Lines of no act']);
    expect(groups[0].rows.map((r) => plain(r.cells.join(' | ')))).toEqual([
      '1 | Voice | Dynamic mic | 20 m microphone cable |  |  | Mic, Desk | ',
      '2 | Keys | Line, unbalanced, at House | 4 m jack lead | Passive DI, ground lifted | 20 m microphone cable | Mic, Desk | ',
      '3 | Cello | Piezo, no preamp (cello) | 3 m jack lead | Active DI 10 MΩ, pad −10 dB | 30 m multicore pair | Mic, Desk | 48 V',
      '3 | Harp | Piezo, no preamp (harp) | 3 m jack lead | Active DI 10 MΩ | 30 m multicore pair | Mic, Desk | 48 V'
    ]);
    expect(plain(groups[1].rows[0].cells.join(' | '))).toContain('Amp | Thru of Cello | 2 m jack lead');
  });
  it('by place: where it was said to stand, else where its supply is', () =>
    expect(sheetOf('places', input(EVENING)).groups.map((g) => g.name)).toEqual([
      'Front',
      'House',
      'No place given',
      'Riser'
    ]));
});

it('a pair that is alike on both sides is told once on every sheet that goes by lines; sides that differ are told each', () => {
  const side = (name: string, channel: number, box: string): [string, { pair: string; act: string }] => [
    `${name}: keyboard, 4 m, ${box}, 20 m, mic ${channel}`,
    { pair: 'Keys', act: 'One' }
  ];
  const sheets =
    (...lines: readonly ReturnType<typeof side>[]) =>
    (id: 'patch' | 'places' | 'boxes' | 'phantom' | 'gain' | 'changeover') =>
      rows(sheetOf(id, input(show(['Voice: dynamic mic, 20 m, mic 1', { act: 'First' }], ...lines))));
  const alike = sheets(side('Keys L', 7, 'passive DI'), side('Keys R', 8, 'passive DI'));
  for (const id of ['patch', 'places', 'boxes', 'phantom', 'gain'] as const) {
    const keys = alike(id).filter((cells) => /Keys/.test(cells[1]));
    expect([id, ...keys.map((cells) => cells.slice(0, 2))]).toEqual([id, ['7/8', 'Keys']]);
  }
  expect(
    alike('changeover')
      .filter((cells) => cells[1] === 'Plug')
      .map((cells) => cells[2])
  ).toEqual(['7/8 Keys']);
  const apart = sheets(side('Keys L', 7, 'passive DI'), side('Keys R', 8, 'passive DI lifted'));
  expect(apart('patch').map((cells) => cells[0])).toEqual(['1', '7', '8']);
  expect(apart('phantom').map((cells) => cells[0])).toEqual(['1', '7/8']);
});

it('small things are counted with the lines that want them, a shared one once, spares on top', () => {
  const plan = show(
    ['Bass: active bass guitar, 3 m, active DI on battery, 20 m, mic 1'],
    ['Pad: keyboard, 3 m 1 coupler, jack-to-xlr adapter, 20 m, line 2'],
    ['Box: from Bass, 2 m, guitar amp']
  );
  const sheet = sheetOf('small', input(plan));
  expect(
    sheet.groups.map((g) => [g.name.split(',')[0], ...g.rows.map((r) => plain(r.cells.slice(1).join(' | ')))])
  ).toEqual([
    ['Adapters and couplers', '2 | jack-to-XLR adapter | 2 | 1', '2 | Coupler | 2 | 1'],
    [
      'Batteries',
      expect.stringMatching(/^2 \| Battery of the .+ \| 1, ·3 \| 1$/),
      expect.stringMatching(/^2 \| Battery of the .+ \| 1, ·3 \| 1$/)
    ]
  ]);
});

it('cards show each box once, with every switch and where it is set', () => {
  const cards = cardsOf({ plan: EVENING });
  expect(cards.map((c) => c.name)).toEqual(['Keys', 'Cello', 'Harp']);
  const pad = cards[1].switches.find((s) => s.name === 'Pad')!;
  expect(plain(pad.positions[pad.set])).toBe('−10 dB');
  for (const card of cards) for (const s of card.switches) expect(s.set).toBeGreaterThanOrEqual(0);
});

it('phantom is summed by desk, and set against what it gives where that is known', () => {
  const plan = structuredClone(EVENING);
  plan.hosts.desk.phantomMost = 0.04;
  const sheet = sheetOf('phantom', input(plan));
  expect(plain(sheet.groups[0].name)).toMatch(/^Desk: [\d.]+ mA of 40\.0 mA$/);
  expect(
    rows(sheet)
      .filter((r) => r[2] === 'on')
      .map((r) => r[1])
  ).toEqual(['Cello', 'Harp']);
});

it('a gain lies within what the source’s spread allows', () => {
  for (const [, name, , gain, from, to] of rows(sheetOf('gain', input(EVENING)))) {
    const [g, a, b] = [gain, from, to].map((t) => Number(t.replace('−', '-').replace(' dB', '')));
    expect([name, a <= g && g <= b && b - a > 1]).toEqual([name, true]);
  }
});

describe('cables', () => {
  const lead = (metres: number, count: number): Kit[string] => ({
    kind: 'lead',
    cable: 'instrument',
    metres,
    plugs: ['ts', 'ts'],
    ...PLAIN,
    count
  });
  it('are taken so that none is used twice, each reaches, and as many are served as can be', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 8 }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 2 })), { maxLength: 6 }),
        (needs, have) => {
          const plan = show(...needs.map((m): [string] => [`keyboard, ${m} m, line`]));
          const kit: Kit = Object.fromEntries(have.map(([m, n], k) => [`k${k}`, lead(m, n)]));
          const pulls = pullsOf({ plan, kit });
          const from = pulls.flatMap((p) => p.from);
          const taken = from.filter((m) => m !== null);
          for (const p of pulls)
            for (const m of p.from) if (m !== null) expect(m).toBeGreaterThanOrEqual(p.spec.metres);
          for (const m of new Set(taken))
            expect(taken.filter((x) => x === m).length).toBeLessThanOrEqual(
              have.filter(([x]) => x === m).reduce((sum, [, n]) => sum + n, 0)
            );
          const what = leadKey('instrument', ['ts', 'ts']);
          const missing = new Stock(kit).missing(needs.map((metres) => ({ what, metres })));
          expect(from.length - taken.length).toBe(missing.length);
        }
      ),
      { numRuns: 60 }
    ));
  it('have names of their own on both ends, and boxes a label each', () => {
    const labels = labelsOf(input(EVENING));
    const cables = pullsOf(input(EVENING));
    expect(labels).toHaveLength(2 * cables.length + 3);
    expect(new Set(labels.map((l) => l.key)).size).toBe(labels.length);
    expect(labels.filter((l) => l.tag === '2A').map((l) => l.at)).toEqual([
      'out of Line, unbalanced',
      'into Passive DI'
    ]);
    expect(plain(cablesSheet(input(EVENING)).groups[0].name)).toBe('Jack lead, mono jack: 4, 12 m in all');
  });
});

it('packing counts what the acts take at once, with spares of what is left, and names what is missing', () => {
  const kit = kitOf('3 active DIs 10m, 2 passive DIs, 8 × 3 m TS, 1 × 6 m TS, 1 × 20 m XLR');
  for (const item of Object.values(kit)) item.place = item.kind === 'lead' ? 'Cable case' : 'Box case';
  const sheet = sheetOf('packing', input(EVENING, kit));
  const of = (what: RegExp) => rows(sheet).find((r) => what.test(r[2]))!;
  // Cello and harp are never on together: one box serves both, and one is spare.
  expect([of(/^active DI, 10/)[1], of(/^active DI, 10/)[4]]).toEqual(['2', '1']);
  expect(of(/^passive DI/)[1]).toBe('2');
  for (const { key, cells } of sheet.groups.flatMap((g) => g.rows))
    if (key in kit) expect(Number(cells[1])).toBeLessThanOrEqual(kit[key].count);
  const none = sheetOf('packing', input(EVENING, {}));
  expect(none.groups[0].name).toBe('To get from elsewhere');
});

it('a changeover takes gain down and mutes before it unplugs, plugs before phantom, and unmutes last', () => {
  const { groups } = changeoverSheet(input(EVENING));
  expect(groups.map((g) => g.name)).toEqual(['One → Two']);
  const steps = groups[0].rows.map((r) => r.cells[1]);
  const at = (step: string): number => steps.indexOf(step);
  const order = ['Gain at minimum', 'Mute', 'Phantom off', 'Unplug', 'Move', 'Plug', 'Phantom on', 'Unmute'].map(at);
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(order.every((n) => n >= 0)).toBe(true);
  expect(steps.lastIndexOf('Unplug')).toBeLessThan(at('Plug'));
  expect(groups[0].rows.find((r) => r.cells[1] === 'Move')!.cells[2]).toMatch(/active DI, 10 MΩ from Cello to 3 Harp/);
});

describe('any show', () => {
  it('has sheets without holes: every row as wide as its heading, no key twice, nothing undefined', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const at = input(plan);
        for (const id of SHEET_IDS) {
          const sheet = sheetOf(id, at);
          const all = sheet.groups.flatMap((g) => g.rows);
          expect(new Set(all.map((r) => r.key)).size).toBe(all.length);
          expect(sheet.columns.reduce((sum, c) => sum + c.wide, 0)).toBeGreaterThan(95);
          for (const row of rowsOfSheet(sheet)) {
            expect(row).toHaveLength(sheet.columns.length + 1);
            expect(row.join()).not.toMatch(/undefined|NaN|\[object/);
          }
        }
      }),
      { numRuns: 25 }
    ));
  it('against itself nothing is marked; what was changed since is, and what is gone is told', () => {
    const before = input(EVENING);
    expect(
      sheetOf('patch', before, before)
        .groups.flatMap((g) => g.rows)
        .some((r) => r.mark)
    ).toBe(false);
    const plan = structuredClone(EVENING);
    plan.devices['l2-mid'].settings.lift = 'joined';
    delete plan.devices['l1-in'];
    delete plan.devices['l1-src'];
    delete plan.cables['l1-lead'];
    delete plan.lines['l1-in'];
    putLine(plan, readLine('Drum: keyboard, 2 m, line 9').spec!, (role) => `new-${role}`);
    const sheet = sheetOf('patch', input(plan), before);
    const marks = Object.fromEntries(sheet.groups.flatMap((g) => g.rows.map((r) => [r.cells[1], r.mark])));
    expect(marks).toMatchObject({ Keys: 'changed', Drum: 'new' });
    expect(marks.Cello).toBeUndefined();
    expect(sheet.gone!.map(plain)).toEqual(['1, Voice, Dynamic mic, 20 m microphone cable, Mic, Desk']);
  });
});
