import { describe, expect, it } from 'vitest';
import { judgeLine } from '../judge/judge';
import { blankPlan } from '../plan/blank';
import { applyEdit } from '../plan/edit';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { unityText } from '../words/hints';
import { unityFor } from './unity';

function show(text: string): Plan {
  const plan = blankPlan();
  putLine(plan, readLine(text).spec!, (role) => role);
  return plan;
}
const REAMP = 'interface output, 3 m, re-amp box, 2 m, guitar amp';

describe('unity on the way back to an amplifier', () => {
  it.each([
    [REAMP, 'single-coil'],
    ['interface output, 3 m, re-amp box as humbucker, 2 m, guitar amp', 'humbucker'],
    ['interface output, 30 m multicore, reversed box, 2 m, guitar amp', 'single-coil']
  ])('%s: the amp gets what a %s would give', (text, pickup) => {
    const plan = show(text);
    const [line] = traceLines(plan);
    const unity = unityFor(plan, line)!;
    expect(unity.pickup).toBe(pickup);
    const applied = applyEdit(plan, { ops: [...unity.ops] });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    const is = judgeLine(applied.plan, traceLines(applied.plan)[0]);
    const direct = show(`guitar ${pickup === 'humbucker' ? 'humbucker' : 'single coil'}, 6 m, guitar amp`);
    const pure = judgeLine(direct, traceLines(direct)[0]);
    expect(is.arrives!).toBeCloseTo(pure.arrives!, 6);
    expect(is.arrives!).toBeCloseTo(unity.pickupDbu, 6);
    // Set once, it stays.
    expect(unityFor(applied.plan, traceLines(applied.plan)[0])!.ops).toEqual([]);
    expect(unityText(unity)).toMatch(/1\u202FkHz at [−+]?\d/);
  });
  it.each([
    'guitar single coil, 3 m, guitar amp',
    'interface output, 3 m, line',
    'keyboard, 3 m, re-amp box, 2 m, line'
  ])('%s: nothing to calibrate', (text) => {
    const plan = show(text);
    expect(unityFor(plan, traceLines(plan)[0])).toBeNull();
  });
});
