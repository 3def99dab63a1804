import { ownModelsOf } from '$lib/server/own-models';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Models with values of their own that the crew made at any show, of one class: `?base=MODEL`. */
export const GET: RequestHandler = async ({ url, locals }) => {
  const base = (url.searchParams.get('base') ?? '').slice(0, 40);
  return json({ models: await ownModelsOf((await locals.who()).crewId, base) });
};
