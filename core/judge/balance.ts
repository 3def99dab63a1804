import { finding, type JoinContext, levelHere } from './context';
import { COUPLERS_CARE, UNBALANCED_STOP, unbalancedCare, unbalancedLimit } from './limits';
import { fact, type Finding } from './types';

/** Balanced, or unbalanced and how far: lengths joined by adapters and couplers count as one run. */
export function checkBalance(c: JoinContext): Finding[] {
  // At loudspeaker level nothing is caught on the way that could be heard.
  if (levelHere(c) === 'speaker') return [];
  const out: Finding[] = [];
  const unbalanced = runMetres(c);
  if (unbalanced === null) {
    out.push(
      finding('balanced', c.at, { severity: 'clean', value: c.cable.metres, unit: 'm', limit: null }, [
        fact('metres', 'length', c.cable.metres)
      ])
    );
  } else {
    const { level } = c.near.model.family === 'joint' ? c.source.model.ports[0] : c.near.port;
    const limit = unbalancedLimit(c.plan.policy, level);
    const { policy } = c.plan;
    // A stretch of several cables is told once, where it ends.
    const goesOn = c.solution.spans[c.at + 1]?.zin === null;
    const severity =
      !goesOn && policy.unbalanced === 'strict' && unbalanced > limit * UNBALANCED_STOP
        ? 'stop'
        : goesOn
          ? 'clean'
          : unbalanced > unbalancedCare(policy, limit)
            ? 'care'
            : unbalanced > limit
              ? 'note'
              : 'clean';
    out.push(
      finding(
        severity === 'clean' ? 'short-unbalanced' : 'long-unbalanced',
        c.at,
        { severity, value: toDecimetre(unbalanced), unit: 'm', limit, school: 'unbalanced' },
        [fact('metres', 'length', toDecimetre(unbalanced)), fact('limit', 'length', limit)]
      )
    );
  }
  const couplers = c.cable.couplers ?? 0;
  if (couplers > 0)
    out.push(
      finding(
        'coupled',
        c.at,
        { severity: couplers >= COUPLERS_CARE ? 'care' : 'note', value: couplers, unit: 'count', limit: 0 },
        [fact('couplers', 'count', couplers)]
      )
    );
  return out;
}

/** What an adapter adds is no length that anybody says. */
const toDecimetre = (metres: number): number => (metres < 1 ? metres : Math.round(metres * 10) / 10);

/** Metres of unbalanced run up to and including this cable since the last output; null when this stretch is balanced. */
function runMetres(c: JoinContext): number | null {
  const { spans } = c.solution;
  let first = c.at;
  while (first > 0 && spans[first].zin === null) first--;
  const stretch = spans.slice(first, c.at + 1);
  // One stretch with a leg on the shield unbalances all that follows it.
  if (stretch.every((span) => span.balanced)) return null;
  return stretch.reduce((sum, span) => sum + c.plan.cables[span.cable].metres, 0);
}
