import { found, idOf } from '$lib/server/http';
import { keepPrint } from '$lib/server/prints';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Keeps the show as it is now, as what was printed. */
export const POST: RequestHandler = async ({ params, locals }) =>
  json(found(await keepPrint(await locals.who(), idOf(params.id))));
