import { bodyOf, found, idOf } from '$lib/server/http';
import { keepTrace } from '$lib/server/traces';
import { TraceRecordSchema } from '$lib/show/trace-record';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Keeps what was found behind a noise. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const record = await bodyOf(request, TraceRecordSchema);
  found(await keepTrace(await locals.who(), idOf(params.id), record));
  return json({}, { status: 201 });
};
