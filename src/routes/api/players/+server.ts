import { playersOf } from '$lib/server/players';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Who plays what, as the crew knows it. */
export const GET: RequestHandler = async ({ locals }) => json(await playersOf((await locals.who()).crewId));
