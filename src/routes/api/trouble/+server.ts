import { saidText } from '$core/text/schema';
import { bodyOf } from '$lib/server/http';
import { log } from '$lib/server/log';
import { json } from '@sveltejs/kit';
import * as z from '$core/text/zod';
import type { RequestHandler } from './$types';

const TroubleSchema = z.strictObject({
  id: z.string().check(z.regex(/^[0-9a-f]{8}$/)),
  what: saidText(40),
  error: saidText(4000)
});

/** Takes into the log what a browser could not compute. */
export const POST: RequestHandler = async ({ request }) => {
  const { id, what, error } = await bodyOf(request, TroubleSchema);
  log.error({ id, computing: what, error });
  return json({});
};
