import { HereSchema } from '$lib/protocol/live';
import { bodyOf, found, idOf } from '$lib/server/http';
import { tellCrew } from '$lib/server/live';
import { hasShow } from '$lib/server/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Tells everybody where somebody is in a show; nothing of it is kept. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const here = await bodyOf(request, HereSchema);
  const { crewId, name, device } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  await tellCrew(crewId, { kind: 'here', show: id, here, name, device: device.name });
  return json({});
};
