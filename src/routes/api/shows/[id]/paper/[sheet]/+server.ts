import { server as says } from '$core/words/server';
import { kitFor } from '$core/advise/stock';
import { SHEET_IDS } from '$core/paper/types';
import { asLengthUnit } from '$core/units/lengths';
import { fileHeads, found, idOf } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { computed } from '$lib/server/compute/answer';
import { compute } from '$lib/server/compute/pool';
import { lastPrint } from '$lib/server/prints';
import { originForOthers, originOf } from '$lib/server/origin';
import { getShow } from '$lib/server/shows';
import { error } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

const Query = z.object({
  sheet: z.enum([...SHEET_IDS, 'cards', 'labels', 'all']),
  size: z.enum(['A4', 'LETTER']),
  marks: z.enum(['yes', 'no'])
});

/** A sheet of a show as PDF, as the show stands now. */
export const GET: RequestHandler = async ({ params, url, locals, request, cookies }) => {
  const asked = Query.safeParse({
    sheet: params.sheet.replace(/\.pdf$/, ''),
    size: url.searchParams.get('size') ?? 'A4',
    marks: url.searchParams.get('marks') ?? 'no'
  });
  if (!asked.success) error(404, says.thereIsNoSuchPaper(asked.error.issues[0].path.join('.')));
  const { sheet, size, marks } = asked.data;
  const { crewId } = await locals.who();
  const show = found(await getShow(crewId, idOf(params.id)));
  const last = marks === 'yes' ? await lastPrint(crewId, show.id) : null;
  const pdf = await computed(
    compute(
      'paper',
      {
        ...{ show: show.name, revision: show.revision, plan: show.plan, sheet, size },
        lengths: asLengthUnit(cookies.get('lengths')),
        kit: kitFor(show.plan, await crewKit(crewId)),
        before: last,
        address: `${originForOthers(request) ?? originOf(request)}/show/${show.id}?line=`
      },
      request.signal
    )
  );
  return new Response(new Uint8Array(pdf), {
    headers: fileHeads(`${show.name} ${sheet}`, 'pdf', 'application/pdf', 'inline')
  });
};
