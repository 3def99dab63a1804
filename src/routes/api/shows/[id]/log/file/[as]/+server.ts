import { server as says } from '$core/words/server';
import { kitFor } from '$core/advise/stock';
import { logMarkdown, logRows } from '$core/paper/log';
import { FORMULA } from '$core/text/cells';
import { asLengthUnit } from '$core/units/lengths';
import { computed } from '$lib/server/compute/answer';
import { compute } from '$lib/server/compute/pool';
import { fileHeads, found, idOf } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { checkedOf } from '$lib/server/readings';
import { getShow } from '$lib/server/shows';
import { entriesOf } from '$lib/server/show-log/book';
import { catchUp } from '$lib/server/show-log/writer';
import { error } from '@sveltejs/kit';
import Papa from 'papaparse';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

/** More entries than these are not put into one file; everything is in the export of the crew. */
const MOST = 20_000;

const isZone = (zone: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};
const Query = z.object({
  as: z.enum(['md', 'csv', 'pdf', 'report']),
  size: z.enum(['A4', 'LETTER']),
  zone: z.string().check(z.refine(isZone))
});

/** The log of a show as a file. */
export const GET: RequestHandler = async ({ params, url, locals, request, cookies }) => {
  const asked = Query.safeParse({
    as: params.as,
    size: url.searchParams.get('size') ?? 'A4',
    zone: url.searchParams.get('zone') ?? 'UTC'
  });
  if (!asked.success) error(404, says.thereIsNoSuchPaper(asked.error.issues[0].path.join('.')));
  const { as, size, zone } = asked.data;
  const { crewId } = await locals.who();
  const show = found(await getShow(crewId, idOf(params.id)));
  // What has just happened is in it, too.
  await catchUp(crewId, show.id);
  const entries = (await entriesOf(crewId, { show: show.id }, MOST)).reverse();
  const { body, type, end } = await made();
  return new Response(body as BodyInit, {
    headers: fileHeads(`${show.name} ${as === 'report' ? 'report' : 'log'}`, end, type)
  });

  async function made(): Promise<{ body: string | Uint8Array; type: string; end: string }> {
    if (as === 'md')
      return { body: logMarkdown(show.name, entries, zone), type: 'text/markdown; charset=utf-8', end: 'md' };
    if (as === 'csv') {
      const body = Papa.unparse(logRows(entries), { escapeFormulae: FORMULA });
      return { body: `\ufeff${body}`, type: 'text/csv; charset=utf-8', end: 'csv' };
    }
    const checked = (await checkedOf(crewId, show.id)).map((c) => [c.lineId, c] as const);
    const task = {
      ...{ what: as === 'pdf' ? ('log' as const) : as, show: show.name, revision: show.revision, plan: show.plan },
      ...{ kit: kitFor(show.plan, await crewKit(crewId)), size, lengths: asLengthUnit(cookies.get('lengths')) },
      ...{ entries, checked, zone }
    };
    return { body: await computed(compute('logPaper', task, request.signal)), type: 'application/pdf', end: 'pdf' };
  }
};
