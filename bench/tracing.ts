import { customary, faultyRig, Stagehand, traced } from '../core/trace/rigs';

/** How often a hidden fault is found, in how many tests, by evidence and by custom, on the same simulated rigs. */
export function tracing(count = 500) {
  const kinds = { evidence: traced, custom: customary };
  const found = { evidence: 0, custom: 0 };
  const tests: Record<keyof typeof kinds, number[]> = { evidence: [], custom: [] };
  const minutes: Record<keyof typeof kinds, number[]> = { evidence: [], custom: [] };
  const claims = { of80: [0, 0], of90: [0, 0] };
  for (let seed = 1; seed <= count; seed++) {
    const rig = faultyRig(seed);
    const hand = new Stagehand(rig);
    for (const kind of ['evidence', 'custom'] as const) {
      const told = kinds[kind](rig, hand);
      const right = told.cause.id === rig.hidden.id;
      if (right) found[kind]++;
      tests[kind].push(told.asks.length);
      minutes[kind].push(told.minutes);
      if (kind === 'custom' || told.share < 0.8) continue;
      const claim = told.share < 0.9 ? claims.of80 : claims.of90;
      claim[0]++;
      if (right) claim[1]++;
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
    claimed80: claims.of80,
    claimed90: claims.of90
  };
}
