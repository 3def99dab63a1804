import { PictureAskSchema } from '$lib/protocol/pictures';
import { askOf } from '$lib/server/http';
import { picturesOf } from '$lib/server/pictures';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Which pictures there are of a thing. */
export const GET: RequestHandler = async ({ url, locals }) =>
  json({ pictures: await picturesOf((await locals.who()).crewId, askOf(url, PictureAskSchema)) });
