import { idOf } from '$lib/server/http';
import { readingsOf } from '$lib/server/readings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
  readings: await readingsOf((await locals.who()).crewId, idOf(params.id))
});
