import { auth } from '$lib/server/auth';
import { originOf } from '$lib/server/origin';
import type { RequestHandler } from './$types';

/** The auth package's own endpoints: signing in and out, accounts by invitation, codes for devices. */
const handler: RequestHandler = ({ request, url }) =>
  // Behind this server's own address, whatever scheme the adapter takes it for.
  auth().handler(new Request(`${originOf(request)}${url.pathname}${url.search}`, request));

export const GET = handler;
export const POST = handler;
