import { describe, expect, it } from 'vitest';
import { onTwoSupplies, show } from '../tests/plans';
import { narrowed } from './belief';
import { NOTICES, noticeChance, sinceOf, soundChance, spreadChance, SPREADS } from './first-answers';
import { SOUNDS } from './hypotheses';
import { changeWord } from './ear';

/** Numbers of the trace, each from both sides or in closed form: one that moves fails here. */

describe('words for a change', () => {
  it('gone below −18 dB, much less below −8, a little less below −3, worse from 3 on', () => {
    expect([-18.001, -18, -8.001, -8, -3.001, -3, 2.999, 3].map(changeWord)).toEqual([
      'gone',
      'much-less',
      'much-less',
      'a-little',
      'a-little',
      'same',
      'same',
      'worse'
    ]);
  });
});

describe('what people say of a noise', () => {
  it('is one thing or another: chances of all sum to one', () => {
    for (const truth of SOUNDS) expect(SOUNDS.reduce((sum, is) => sum + soundChance(truth, is), 0)).toBeCloseTo(1, 9);
    for (const truth of SPREADS)
      expect(SPREADS.reduce((sum, is) => sum + spreadChance(truth, is), 0)).toBeCloseTo(1, 9);
    for (const code of ['dimmers', 'contact', 'supply', 'loop', 'radio', 'shield', 'leg', 'battery'] as const)
      expect(sinceOf(code as never).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  });
  it('a hum is called one in 76 of 100, a buzz in some 21; any other word is a slip', () => {
    expect(soundChance('hum', 'hum')).toBeCloseTo(0.76, 9);
    expect(soundChance('hum', 'buzz')).toBeCloseTo(0.2 + 0.04 / 5, 9);
    expect(soundChance('hum', 'hiss')).toBeCloseTo(0.04 / 5, 9);
    expect(SOUNDS.map((s) => Number(soundChance(s, s).toFixed(9)))).toEqual([0.76, 0.71, 0.84, 0.91, 0.84, 0.88]);
  });
  it('which lines do it is told rightly in 85 of 100, one step off more often than two', () => {
    expect(SPREADS.map((is) => spreadChance('only-this', is))).toEqual([0.85, 0.12, 0.03]);
    expect(SPREADS.map((is) => spreadChance('some', is))).toEqual([0.075, 0.85, 0.075]);
    expect(SPREADS.map((is) => spreadChance('all', is))).toEqual([0.03, 0.12, 0.85]);
  });
  it('since when: dimmers with the lights, a contact that comes and goes', () => {
    expect([sinceOf('dimmers'), sinceOf('contact'), sinceOf('loop'), sinceOf('supply')]).toEqual([
      [0.2, 0.6, 0.1, 0.1],
      [0.15, 0.02, 0.13, 0.7],
      [0.5, 0.05, 0.35, 0.1],
      [0.5, 0.05, 0.35, 0.1]
    ]);
  });
  it('what was noticed in passing: half of what changes it much has happened; six decibels are noticed as often as not', () => {
    const slip = 0.04 / NOTICES.length;
    const of = (db: number) => noticeChance(new Map([['touching', db]]), 'touching');
    expect(of(60)).toBeCloseTo(slip + 0.96 * 0.5, 6);
    expect(of(-60)).toBeCloseTo(slip + 0.96 * 0.5, 6);
    expect(of(6)).toBeCloseTo(slip + 0.96 * 0.25, 3);
    // One spread of three decibels over it: 84 of 100.
    expect(of(9)).toBeCloseTo(slip + 0.96 * 0.5 * 0.8413, 2);
    expect(of(3)).toBeCloseTo(slip + 0.96 * 0.5 * (0.1587 + 0.0013), 2);
    // Two that change it alike share what is told; nothing is left for what cannot be done.
    const two = new Map([
      ['touching', 60],
      ['turning', 60]
    ] as const);
    expect(noticeChance(two, 'touching')).toBeCloseTo(slip + 0.96 * 0.375, 6);
    expect(noticeChance(two, 'nothing')).toBeCloseTo(slip + 0.96 * 0.25, 6);
    expect(noticeChance(new Map(), 'nothing')).toBeCloseTo(slip + 0.96, 9);
    expect(noticeChance(two, 'lighting')).toBeCloseTo(slip, 9);
  });
});

describe('what a reading does to a belief', () => {
  const plan = () => {
    const made = onTwoSupplies(show(['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic']));
    made.supplies.stage.emf = 0;
    return made;
  };
  const measured = (volts: number) => ({ kind: 'volts' as const, supplies: ['stage', 'annex'] as const, volts });
  it('one EMF in closed form: known within three, read within a fifth', () => {
    const [before, reading] = [Math.log(3) ** 2, Math.log(1.2) ** 2];
    const gain = before / (before + reading);
    const { annex } = narrowed(plan(), measured(0.6));
    expect(annex.emf).toBeCloseTo(0.3 * 2 ** gain, 2);
    expect(annex.spread).toBeCloseTo(Math.exp(Math.sqrt(before * (1 - gain))), 2);
  });
  it('however often it is read, it is known no better than within 15 %, and is no more than 50 V', () => {
    const made = plan();
    for (let k = 0; k < 12; k++) Object.assign(made.supplies.annex, narrowed(made, measured(0.3)).annex);
    expect(made.supplies.annex.spread).toBe(1.15);
    expect(narrowed(plan(), measured(1e6)).annex.emf).toBe(50);
  });
});
