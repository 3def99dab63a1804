import { describe, expect, it } from 'vitest';
import { judgePlan } from './judge';
import { overlaid } from './overlay';
import { show } from '../tests/plans';

const report = (text: string) => judgePlan(show([text]))[0];
const flat = (db: number[], hz = [50, 100, 200, 400, 800]) => ({
  response: { hz, db, ideal: db },
  notes: { low: 100, high: 400, reach: 400 }
});

describe('ways on top of each other', () => {
  it('are equally loud within what is played, and furthest apart there where they are', () => {
    const { curves, most } = overlaid([flat([0, 0, 0, 0, 0]), flat([-60, -26, -20, -20, 40])]);
    expect(curves[0]).toEqual([0, 0, 0, 0, 0]);
    expect(curves[1]![1]).toBeCloseTo(-4, 9);
    expect(curves.map((c) => c!.slice(1, 4).reduce((a, b) => a + b))).toEqual([0, expect.closeTo(0, 9)]);
    // 50 and 800 Hz are not played: 60 dB there is heard by nobody.
    expect(most).toEqual({ hz: 100, db: expect.closeTo(4, 9) });
  });
  it('show what a low input takes off a piezo’s bass, and nothing between two of the same', () => {
    const [low, high] = ['cello piezo, 3 m, passive DI, 20 m, mic', 'cello piezo, 3 m, active DI 10m, 20 m, mic'].map(
      report
    );
    const { most } = overlaid([low, high]);
    expect(most!.hz).toBeLessThan(90);
    expect(most!.db).toBeGreaterThan(10);
    expect(overlaid([high, high]).most!.db).toBe(0);
    expect(overlaid([high]).most).toBeNull();
    expect(overlaid([{ response: null, notes: null }, high]).curves[0]).toBeNull();
  });
});
