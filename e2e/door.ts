import { expect, type APIRequestContext, type Browser, type BrowserContext } from '@playwright/test';
import postgres from 'postgres';
import { App } from './app';

/** A server with a database of its own, in which accounts may be made without shutting the other tests out. */
export async function ownApp(host?: string): Promise<{ app: App; sql: postgres.Sql; end: () => Promise<void> }> {
  const url = new URL(process.env.TEST_DATABASE_URL!);
  const name = `door_${Date.now()}_${Math.floor(Math.random() * 1e6)}`;
  const admin = postgres(url.href, { max: 1 });
  await admin.unsafe(`create database ${name}`);
  url.pathname = `/${name}`;
  const app = new App(url.href, host);
  await app.start();
  const sql = postgres(url.href, { max: 2 });
  return {
    app,
    sql,
    end: async () => {
      await app.stop();
      await sql.end();
      await admin.unsafe(`drop database ${name} with (force)`);
      await admin.end();
    }
  };
}

const PASSWORD = 'rope and tallow';
export { PASSWORD };

/** Sends as a page of the app would. */
export const sender = (api: APIRequestContext, url: string) => (method: string, to: string, data?: unknown) =>
  api.fetch(`${url}${to}`, { method, data: data as object, headers: { origin: url }, maxRedirects: 0 });

/** A browser of its own in which an invitation has been accepted by a new account. */
export async function joined(browser: Browser, url: string, invite: string, name: string): Promise<BrowserContext> {
  return accepted(await browser.newContext({ serviceWorkers: 'block' }), url, invite, name);
}

/** The same in a browser that is there. */
export async function accepted(
  context: BrowserContext,
  url: string,
  invite: string,
  name: string
): Promise<BrowserContext> {
  const send = sender(context.request, url);
  const email = `${name.toLowerCase()}@example.org`;
  const up = await send('POST', '/api/auth/sign-up/email', { name, email, password: PASSWORD, invite });
  expect(up.status(), await up.text()).toBe(200);
  const taken = await send('POST', '/api/crew/accept', { token: invite });
  expect(taken.status(), await taken.text()).toBe(200);
  return context;
}

/** An invitation made by whoever a context is signed in as, or by everybody as long as there are no accounts. */
export async function inviteBy(api: APIRequestContext, url: string, role: string): Promise<string> {
  const made = await sender(api, url)('POST', '/api/crew/invites', { role });
  expect(made.status(), await made.text()).toBe(201);
  return ((await made.json()) as { token: string }).token;
}
