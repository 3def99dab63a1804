import { faultyRig } from '../core/trace/rigs';
import { customary, traced } from '$core/trace/traced';
import { Stagehand } from '$core/trace/stagehand';

/** How often a hidden fault is found, in how many tests, by evidence and by custom, on the same simulated rigs. */
export function tracing(count = 500) {
  const kinds = { evidence: traced, custom: customary };
  const found = { evidence: 0, custom: 0 };
  const tests: Record<keyof typeof kinds, number[]> = { evidence: [], custom: [] };
  const minutes: Record<keyof typeof kinds, number[]> = { evidence: [], custom: [] };
  /** By tenths of how sure it was: told, and right of those. */
  const claims = Array.from({ length: 10 }, () => ({ told: 0, right: 0 }));
  for (let seed = 1; seed <= count; seed++) {
    const rig = faultyRig(seed);
    const hand = new Stagehand(rig);
    for (const kind of ['evidence', 'custom'] as const) {
      const told = kinds[kind](rig, hand);
      const right = told.cause.id === rig.hidden.id;
      if (right) found[kind]++;
      tests[kind].push(told.asks.length);
      minutes[kind].push(told.minutes);
      if (kind === 'custom') continue;
      const claim = claims[Math.min(Math.floor(told.share * 10), 9)];
      claim.told++;
      if (right) claim.right++;
    }
  }
  const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1];
  return {
    rigs: count,
    right: found.evidence / count,
    rightByCustom: found.custom / count,
    medianTests: middle(tests.evidence),
    medianTestsByCustom: middle(tests.custom),
    medianMinutes: middle(minutes.evidence),
    medianMinutesByCustom: middle(minutes.custom),
    claims
  };
}
