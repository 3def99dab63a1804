import { server as says } from '$core/words/server';
import { building, dev } from '$app/environment';
import { endThreads, readyThreads } from '$lib/server/compute/pool';
import { closeDb, freshDb, isAway, migrateDb } from '$lib/server/db';
import { may, whoAsks } from '$lib/server/access';
import { isSafe, needs } from '$lib/server/access-rules';
import { CLIENT_ADDRESS } from '$lib/server/auth';
import { throughTheDoor } from '$lib/server/door';
import { anybody, dropFirstInvites, makeInvite } from '$lib/server/crew';
import { fillDemo } from '$lib/server/demo';
import { log } from '$lib/server/log';
import { observed } from '$lib/server/metrics';
import { catchUpAll } from '$lib/server/show-log/writer';
import { isForThisMachine, sameOrigin } from '$lib/server/http';
import { clientOf, isOwnHost, originForOthers } from '$lib/server/origin';
import {
  error,
  type Handle,
  type HandleServerError,
  isHttpError,
  isRedirect,
  redirect,
  type ServerInit
} from '@sveltejs/kit';

/** Who opens a page right after the start has the processor to himself; paper is got ready once that is done, milliseconds. */
const SETTLING = 20_000;

export const init: ServerInit = async () => {
  if (building) return;
  try {
    await migrateDb();
    await fillDemo();
    if (!dev) {
      await inviteFirst();
      void catchUpAll().catch((error: unknown) => logged(error, null, 500));
      const settling = setTimeout(() => void readyThreads(), SETTLING);
      process.once('sveltekit:shutdown', () => clearTimeout(settling));
    }
  } catch (error) {
    const cause = rootOf(error);
    if (!isAway(error)) throw error;
    console.error(says.theDatabaseCannotBeReachedCheck(cause.message));
    process.exit(1);
  }
  process.on('sveltekit:shutdown', () => void endThreads().then(closeDb));
  // Where a connection dies the driver may throw with nobody to catch it. That ends no server: all others work on.
  process.on('uncaughtException', (error) => outlive(error));
  process.on('unhandledRejection', (reason) => outlive(reason));
};

/** A fault of the database or its driver is logged and its connections made anew; with any other nobody knows what holds, and the start script starts anew. */
function outlive(error: unknown): void {
  logged(error, null, 500);
  const ofDriver = /[\\/](postgres|drizzle-orm)[\\/]/.test(error instanceof Error ? (error.stack ?? '') : '');
  if (ofDriver || isAway(error)) freshDb();
  else process.exit(1);
}

/**
 * Where others can reach a server without accounts, nobody is let in but whoever reads what it prints: the first account is made
 * there. On loopback everybody is let in, for it is their machine.
 */
async function inviteFirst(): Promise<void> {
  const first = await anybody();
  if (!first) return;
  if (isForThisMachine()) {
    console.log(
      'No accounts yet: everybody at this machine is in without a password, and nothing outside it reaches it.'
    );
    return;
  }
  await dropFirstInvites(first.crewId);
  const token = await makeInvite(first, 'owner');
  const own = new Request(`http://localhost/`, { headers: { host: `127.0.0.1:${process.env.PORT}` } });
  console.log(`No accounts yet. The first one is made at  ${originForOthers(own)}/invite/${token}`);
}

/** The error at the bottom of a chain of causes: what the network or the database itself said. */
function rootOf(error: unknown): { code?: string; message: string } {
  let at = error as { code?: string; message: string; cause?: typeof at };
  while (at.cause) at = at.cause;
  return at;
}

export const handle: Handle = async (asked) => {
  const { event } = asked;
  const since = performance.now();
  const seconds = (): number => (performance.now() - since) / 1000;
  try {
    const response = await answered(asked);
    observed(event.route.id, event.request.method, response.status, seconds());
    return response;
  } catch (thrown) {
    observed(event.route.id, event.request.method, isRedirect(thrown) ? thrown.status : 500, seconds());
    throw thrown;
  }
};

const answered: Handle = async ({ event, resolve }) => {
  const { request, route, url } = event;
  // A foreign name pointed at this machine must not reach it through somebody's browser.
  if (!isOwnHost(request.headers.get('host') ?? ''))
    return new Response(says.thisServerDoesNotAnswerTo, { status: 421 });
  if (!isSafe(request.method) && !sameOrigin(request)) return refusal(403, says.aPageFromElsewhereMayNot);
  request.headers.set(CLIENT_ADDRESS, clientOf(request, event.getClientAddress()));
  let who: ReturnType<typeof whoAsks> | undefined;
  const ask = (): ReturnType<typeof whoAsks> => (who ??= whoAsks(event));
  event.locals.maybe = ask;
  event.locals.again = () => whoAsks(event);
  event.locals.who = async () => (await ask()) ?? error(401, says.signInFirst);
  try {
    const asks = needs(route.id, request.method) === 'nothing' ? null : await ask();
    if (!may(asks, route.id, request.method)) {
      if (asks) return refusal(403, says.thisTakesMoreThanYouMay(asks.rank));
      if (route.id?.startsWith('/api/')) return refusal(401, says.signInFirst);
      redirect(303, `/sign-in?to=${encodeURIComponent(url.pathname + url.search)}`);
    }
  } catch (failure) {
    if (isRedirect(failure)) throw failure;
    if (isHttpError(failure)) return refusal(failure.status, failure.body.message);
    // Nobody can be let in without the database: told here, for no page of the app could be made either.
    const id = logged(failure, route.id, 500);
    if (isAway(failure)) return away(route.id, id);
    return route.id?.startsWith('/api/') ? refusal(500, FAILED, id) : failurePage(id);
  }
  const theme = event.cookies.get('theme');
  const answer = async (): Promise<Response> =>
    resolve(event, {
      transformPageChunk: ({ html }) =>
        html.replace('%theme%', theme === 'day' || theme === 'show' ? `data-theme="${theme}"` : '')
    });
  const atTheDoor = route.id === '/api/auth/[...all]' && !isSafe(request.method);
  const response = atTheDoor ? await throughTheDoor(answer, manyAsk) : await answer();
  // An endpoint that failed for want of the database did not fail: it may be asked again.
  if (response.status === 500 && event.locals.away) return away(route.id, event.locals.away);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  return response;
};

const FAILED = says.somethingFailedOnTheServer;
const AWAY = says.theDatabaseDoesNotAnswer;
const refusal = (status: number, message: string, id?: string): Response =>
  new Response(JSON.stringify({ message, id }), { status, headers: { 'content-type': 'application/json' } });
/** Asked again in so many seconds, it may work. */
const RETRY = '2';
const manyAsk = (): Response => later(refusal(503, says.manyAskAtOnce));
function away(route: string | null, id: string): Response {
  const response = route?.startsWith('/api/') ? refusal(503, AWAY, id) : failurePage(id, 503, AWAY);
  return later(response);
}
function later(response: Response): Response {
  response.headers.set('retry-after', RETRY);
  return response;
}
const failurePage = (id: string, status = 500, told = FAILED): Response =>
  new Response(
    `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Guanxi</title><h1>${told}</h1><p>It is in the server’s log as <span>${id}</span>. Reloading may help.</p></html>`,
    {
      status,
      headers: { 'content-type': 'text/html; charset=utf-8', 'content-security-policy': "default-src 'none'" }
    }
  );

/** Writes an error into the server's log. @returns the id under which it is there */
function logged(error: unknown, route: string | null, status: number): string {
  const id = crypto.randomUUID().slice(0, 8);
  // Never the address itself: what some links hold is a secret.
  log.error({ id, status, route, error: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  return id;
}

export const handleError: HandleServerError = ({ error, event, status, message }) => {
  if (status === 404) return { message: says.thereIsNothingHere };
  const id = logged(error, event.route.id, status);
  if (isAway(error)) event.locals.away = id;
  return { message: status === 500 ? FAILED : message, id };
};
