import { building, dev } from '$app/environment';
import { closeDb, migrateDb } from '$lib/server/db';
import { fillDemo, whoIsHere } from '$lib/server/demo';
import { hostName, isLoopback, sameOrigin } from '$lib/server/http';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';

export const init: ServerInit = async () => {
  if (building) return;
  const host = process.env.HOST ?? '';
  if (!dev && !isLoopback(host)) {
    throw new Error(
      `HOST is "${host}". There are no accounts yet, so anyone who reaches this server may change every show: it serves loopback only. Set HOST=127.0.0.1, or start with npm start.`
    );
  }
  try {
    await migrateDb();
    await fillDemo();
  } catch (error) {
    const cause = rootOf(error);
    if (!/^(ECONN|ENOTFOUND|EHOST|CONNECT_TIMEOUT|28|3D)/.test(cause.code ?? '')) throw error;
    console.error(
      `The database cannot be reached (${cause.message}). Check DATABASE_URL, or leave it away for a private one.`
    );
    process.exit(1);
  }
  process.on('sveltekit:shutdown', () => void closeDb());
};

/** The error at the bottom of a chain of causes: what the network or the database itself said. */
function rootOf(error: unknown): { code?: string; message: string } {
  let at = error as { code?: string; message: string; cause?: typeof at };
  while (at.cause) at = at.cause;
  return at;
}

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

export const handle: Handle = async ({ event, resolve }) => {
  const { request } = event;
  // A foreign name pointed at this machine must not reach it through somebody's browser.
  if (!isLoopback(hostName(request.headers.get('host') ?? '')))
    return new Response('This server answers on this machine only.', { status: 421 });
  if (!SAFE.has(request.method) && !sameOrigin(request))
    return new Response(JSON.stringify({ message: 'A page from elsewhere may not change anything here.' }), {
      status: 403,
      headers: { 'content-type': 'application/json' }
    });
  let who: ReturnType<typeof whoIsHere> | undefined;
  event.locals.who = () => (who ??= whoIsHere());
  const theme = event.cookies.get('theme');
  const response = await resolve(event, {
    transformPageChunk: ({ html }) =>
      html.replace('%theme%', theme === 'day' || theme === 'show' ? `data-theme="${theme}"` : '')
  });
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  return response;
};

export const handleError: HandleServerError = ({ error, event, status, message }) => {
  if (status === 404) return { message: 'There is nothing here.' };
  const id = crypto.randomUUID().slice(0, 8);
  console.error(
    JSON.stringify({
      at: new Date().toISOString(),
      id,
      status,
      path: event.url.pathname,
      error: error instanceof Error ? (error.stack ?? error.message) : String(error)
    })
  );
  return { message: status === 500 ? 'Something failed on the server.' : message, id };
};
