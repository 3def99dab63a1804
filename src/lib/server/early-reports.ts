import type { LineReport } from '$core/judge/judge';
import type { Plan } from '$core/plan/schema';
import { compute } from './compute/pool';

/** What the rows of a board tell, sent along with the page: a browser needs seconds until it has judged by itself. */

/** A page waits so long for what is not known yet, milliseconds; then it comes without, and the browser judges alone. */
const PATIENCE = 250;
/** Shows whose rows are kept; the one that was asked for longest ago goes. */
const MOST_SHOWS = 100;
/** Rows of more lines than these would weigh more than they bring: most of them are out of sight. */
const MOST_LINES = 64;

interface Kept {
  readonly revision: number;
  readonly rows: Promise<readonly LineReport[] | null>;
}
const kept = new Map<string, Kept>();

/** Rows of a revision, computed once; none where that failed, and then it is tried again with the next page. */
function rowsOf(id: string, revision: number, plan: Plan): Promise<readonly LineReport[] | null> {
  const known = kept.get(id);
  kept.delete(id);
  const entry: Kept =
    known?.revision === revision
      ? known
      : {
          revision,
          rows: compute('rows', { plan }).catch(() => {
            if (kept.get(id) === entry) kept.delete(id);
            return null;
          })
        };
  kept.set(id, entry);
  if (kept.size > MOST_SHOWS) kept.delete(kept.keys().next().value!);
  return entry.rows;
}

/** What its rows tell of a show at a revision; none where that is not known soon enough. */
export async function earlyReports(id: string, revision: number, plan: Plan): Promise<readonly LineReport[]> {
  if (Object.keys(plan.lines).length > MOST_LINES) return [];
  let timer: NodeJS.Timeout | undefined;
  const later = new Promise<null>((done) => (timer = setTimeout(() => done(null), PATIENCE)));
  const rows = await Promise.race([rowsOf(id, revision, plan), later]);
  clearTimeout(timer);
  return rows ?? [];
}
