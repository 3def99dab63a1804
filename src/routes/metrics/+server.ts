import { mayMeter, METRICS_TYPE, metricsText } from '$lib/server/metrics';
import type { RequestHandler } from './$types';

/** Counts and times of this server, for a collector; to everybody else it is not there. */
export const GET: RequestHandler = async ({ request }) =>
  mayMeter(request.headers.get('authorization'))
    ? new Response(await metricsText(), { headers: { 'content-type': METRICS_TYPE, 'cache-control': 'no-store' } })
    : new Response(null, { status: 404 });
