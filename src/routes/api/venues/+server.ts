import { venuesOf } from '$lib/server/venues';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Places of the crew. */
export const GET: RequestHandler = async ({ locals }) =>
  json({ here: null, other: null, venues: await venuesOf((await locals.who()).crewId) });
