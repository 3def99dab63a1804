import type { Cookies } from '@sveltejs/kit';

/** Two months: the run of a show. */
const LIVES = 60 * 24 * 60 * 60;

/** Keeps something with a browser that no script there can read. It travels over TLS alone where there is TLS. */
export const keepCookie = (cookies: Cookies, name: string, value: string): void =>
  cookies.set(name, value, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    maxAge: LIVES,
    secure: process.env.PUBLIC_ORIGIN?.startsWith('https://') ?? false
  });
