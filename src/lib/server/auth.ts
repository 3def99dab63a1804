import { server as says } from '$core/words/server';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError, createAuthEndpoint, createAuthMiddleware, sessionMiddleware } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import * as z from '$core/text/zod';
import { type Db, db } from './db';
import { openInvite } from './crew';
import { originOf } from './origin';
import { hashPassword, verifyPassword } from './passwords';
import * as tables from './schema-auth';
import { freshToken, hashOf } from './tokens';

/** Accounts: passwords, sessions, cookies and limits are the auth package's; who may do what is in access.ts. */

/** A code on a screen is good for this long, milliseconds: the time to take a phone out and scan it. */
const CODE_LIVES = 10 * 60_000;
const DAY = 24 * 60 * 60;
/** The header in which hooks.server.ts tells where a request came from, whatever the request itself claims. */
export const CLIENT_ADDRESS = 'x-guanxi-client';

/** A device joins with a code made on a device that is signed in already: a session of its own, which can be ended by itself. */
const deviceCode = () =>
  ({
    id: 'device-code',
    endpoints: {
      makeDeviceCode: createAuthEndpoint(
        '/device-code/make',
        { method: 'POST', use: [sessionMiddleware] },
        async (ctx) => {
          const code = freshToken();
          const expiresAt = new Date(Date.now() + CODE_LIVES);
          await ctx.context.internalAdapter.createVerificationValue({
            identifier: `device:${hashOf(code)}`,
            value: ctx.context.session.user.id,
            expiresAt
          });
          return ctx.json({ code, expiresAt: expiresAt.toISOString() });
        }
      ),
      useDeviceCode: createAuthEndpoint(
        '/device-code/use',
        { method: 'POST', body: z.strictObject({ code: z.string().check(z.minLength(1), z.maxLength(100)) }) },
        async (ctx) => {
          const kept = await ctx.context.internalAdapter.consumeVerificationValue(`device:${hashOf(ctx.body.code)}`);
          const user =
            kept && kept.expiresAt > new Date() && (await ctx.context.internalAdapter.findUserById(kept.value));
          if (!user) throw new APIError('BAD_REQUEST', { message: says.thisCodeHasBeenUsedOr });
          const session = await ctx.context.internalAdapter.createSession(user.id);
          await setSessionCookie(ctx, { session, user });
          return ctx.json({ name: user.name });
        }
      )
    }
  }) as const;

/** An account is made by whoever holds an invitation, and by nobody else. */
const onlyInvited = createAuthMiddleware(async (ctx) => {
  if (ctx.path !== '/sign-up/email') return;
  const invite: unknown = (ctx.body as { invite?: unknown } | undefined)?.invite;
  if (typeof invite !== 'string' || !(await openInvite(invite)))
    throw new APIError('FORBIDDEN', {
      message: says.accountsAreMadeByInvitationAsk
    });
});

const make = () =>
  betterAuth({
    appName: 'Guanxi',
    basePath: '/api/auth',
    secret: process.env.AUTH_SECRET,
    database: drizzleAdapter(db(), { provider: 'pg', schema: tables, transaction: true }),
    trustedOrigins: (request) => (request ? [new URL(request.url).origin, originOf(request)] : []),
    emailAndPassword: {
      enabled: true,
      minPasswordLength: 10,
      maxPasswordLength: 128,
      revokeSessionsOnPasswordReset: true,
      password: { hash: hashPassword, verify: verifyPassword }
    },
    // What opens something is kept as a hash, as invitations and links are.
    verification: { storeIdentifier: 'hashed' },
    // A show's run: a phone in daily use stays signed in.
    session: { expiresIn: 60 * DAY, updateAge: DAY },
    rateLimit: {
      enabled: true,
      // Counted in memory: a flood is turned away without the database, so that those who are in do not wait for it.
      storage: 'memory',
      window: 10,
      max: 60,
      customRules: {
        '/sign-in/email': { window: 60, max: 8 },
        '/sign-up/email': { window: 60, max: 8 },
        '/device-code/use': { window: 60, max: 10 },
        '/change-password': { window: 60, max: 5 }
      }
    },
    advanced: {
      cookiePrefix: 'guanxi',
      useSecureCookies:
        process.env.SERVED_OVER === 'https' || (process.env.PUBLIC_ORIGIN?.startsWith('https://') ?? false),
      ipAddress: { ipAddressHeaders: [CLIENT_ADDRESS] }
    },
    hooks: { before: onlyInvited },
    plugins: [deviceCode()],
    telemetry: { enabled: false },
    logger: { level: 'error' }
  });

let made: { readonly on: Db; readonly auth: ReturnType<typeof make> } | undefined;
/** Made on first use, for a build has no database, and anew when the database's connections are. */
export function auth(): ReturnType<typeof make> {
  const on = db();
  if (made?.on !== on) made = { on, auth: make() };
  return made.auth;
}

/** The account behind a request, with the session it came by. */
export async function signedIn(headers: Headers): Promise<{ userId: string; name: string; sessionId: string } | null> {
  const found = await auth().api.getSession({ headers });
  return found && { userId: found.user.id, name: found.user.name, sessionId: found.session.id };
}
