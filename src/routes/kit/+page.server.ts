import { crewKit } from '$lib/server/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ kit: await crewKit((await locals.who()).crewId) });
