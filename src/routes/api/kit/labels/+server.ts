import { server as says } from '$core/words/server';
import { unitOf } from '$core/kit/schema';
import { asLengthUnit } from '$core/units/lengths';
import { computed } from '$lib/server/compute/answer';
import { compute } from '$lib/server/compute/pool';
import { crewName } from '$lib/server/crew';
import { fileHeads } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { originForOthers, originOf } from '$lib/server/origin';
import { error } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

const Query = z.object({
  size: z.enum(['A4', 'LETTER']),
  /** Ids of things, by commas; all that have a number where none is named. */
  of: z.string().check(z.maxLength(20_000))
});

/** Labels for things that have a number, each with a code that opens what is known of it. */
export const GET: RequestHandler = async ({ url, locals, request, cookies }) => {
  const asked = Query.safeParse({
    size: url.searchParams.get('size') ?? 'A4',
    of: url.searchParams.get('of') ?? ''
  });
  if (!asked.success) error(404, says.thereIsNoSuchPaper(asked.error.issues[0].path.join('.')));
  const { crewId } = await locals.who();
  const wanted = new Set(asked.data.of.split(',').filter(Boolean));
  const kit = Object.entries(await crewKit(crewId));
  const things = kit.filter(([id, item]) => unitOf(item) && (wanted.size === 0 || wanted.has(id)));
  const crew = await crewName(crewId);
  const pdf = await computed(
    compute(
      'unitLabels',
      {
        ...{ crew, size: asked.data.size, lengths: asLengthUnit(cookies.get('lengths')) },
        ...{ kit: Object.fromEntries(things), address: `${originForOthers(request) ?? originOf(request)}/kit/` }
      },
      request.signal
    )
  );
  return new Response(new Uint8Array(pdf), {
    headers: fileHeads(`${crew} labels`, 'pdf', 'application/pdf', 'inline')
  });
};
