import { server as says } from '$core/words/server';
import { db } from '$lib/server/db';
import { json } from '@sveltejs/kit';
import { sql } from 'drizzle-orm';

/** 200 when the server and its database answer. */
export async function GET() {
  try {
    await db().execute(sql`select 1`);
    return json({ ok: true });
  } catch {
    return json(
      { ok: false, message: says.theDatabaseDoesNotAnswer },
      { status: 503, headers: { 'retry-after': '2' } }
    );
  }
}
