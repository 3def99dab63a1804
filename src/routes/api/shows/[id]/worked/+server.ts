import { found, idOf } from '$lib/server/http';
import { remembered, workedBefore } from '$lib/server/show-log/worked';
import { hasShow } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

/** How a line was set at other shows when it worked: `?name=…&source=MODEL&instrument=ID`; with `?names` the names of all that did, and how they were said. */
export const GET: RequestHandler = async ({ params, url, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  if (url.searchParams.has('names')) return json({ remembered: await remembered(crewId, id) });
  const [name, source] = ['name', 'source'].map((key) => (url.searchParams.get(key) ?? '').slice(0, 80));
  const instrument = z.uuid().safeParse(url.searchParams.get('instrument')).data ?? null;
  return json({ worked: await workedBefore(crewId, id, { name, source, instrument }) });
};
