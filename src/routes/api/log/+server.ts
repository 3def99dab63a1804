import { LogAskSchema } from '$lib/protocol/log';
import { askOf } from '$lib/server/http';
import { pageOf } from '$lib/server/show-log/book';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A page of the log, of one show or of all of the crew's, searched where words are given. */
export const GET: RequestHandler = async ({ locals, url }) =>
  json(await pageOf((await locals.who()).crewId, askOf(url, LogAskSchema)));
