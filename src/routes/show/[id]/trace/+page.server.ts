import { idOf } from '$lib/server/http';
import { tracesOf } from '$lib/server/traces';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
  traces: await tracesOf((await locals.who()).crewId, idOf(params.id))
});
