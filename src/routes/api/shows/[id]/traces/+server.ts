import { bodyOf, found, idOf } from '$lib/server/http';
import { hasShow } from '$lib/server/shows';
import { keepTrace, tracesOf } from '$lib/server/traces';
import { TraceRecordSchema } from '$lib/protocol/trace-record';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Keeps what was found behind a noise. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  const record = await bodyOf(request, TraceRecordSchema);
  found(await keepTrace(await locals.who(), idOf(params.id), record));
  return json({}, { status: 201 });
};

export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const id = idOf(params.id);
  found(await hasShow(crewId, id));
  return json({ traces: await tracesOf(crewId, id) });
};
