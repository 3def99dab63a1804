import { found, idOf } from '$lib/server/http';
import { listeningFor } from '$lib/server/listenings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
  listening: found(await listeningFor((await locals.who()).crewId, idOf(params.id), idOf(params.listening)))
});
