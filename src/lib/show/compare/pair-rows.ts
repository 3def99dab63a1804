import type { Allotment } from '$core/advise/allocate';

/** One row of the proposal: a line, or a pair whose sides get the same. */
export interface ProposedRow {
  readonly first: Allotment;
  readonly ids: readonly string[];
}

/**
 * Proposals as rows: a pair is one of them where both sides are told the same.
 * @param pairOf the name of a line's pair, if it is of one
 * @param told what stands in the row of a line, all of it
 */
export function pairRows(
  allotments: readonly Allotment[],
  pairOf: (id: string) => string | undefined,
  told: (a: Allotment) => string
): ProposedRow[] {
  const rows: ProposedRow[] = [];
  for (const a of allotments) {
    const pair = pairOf(a.lineId);
    const at = pair === undefined ? -1 : rows.findIndex((r) => pairOf(r.first.lineId) === pair && r.ids.length === 1);
    if (at >= 0 && told(rows[at].first) === told(a)) rows[at] = { ...rows[at], ids: [...rows[at].ids, a.lineId] };
    else rows.push({ first: a, ids: [a.lineId] });
  }
  return rows;
}
