import { AxeBuilder } from '@axe-core/playwright';
import { writeFileSync } from 'node:fs';
import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  chromium,
  expect,
  type Page,
  test as base,
  type TestInfo
} from '@playwright/test';
import { freePort } from '../scripts/lib/ports.mjs';
import { isTls, startServer, stopServer } from '../scripts/lib/server.mjs';

/** The built app on a port of its own, with the means to kill it and bring it back. */
export class App {
  #server: Awaited<ReturnType<typeof startServer>> | null = null;
  port = 0;
  constructor(
    readonly databaseUrl = process.env.TEST_DATABASE_URL,
    readonly host = '127.0.0.1'
  ) {}
  async start(): Promise<void> {
    const { databaseUrl, host } = this;
    if (!databaseUrl) throw new Error('TEST_DATABASE_URL is not set: run npm run test:e2e');
    const chosen = this.port;
    for (let left = 2; ; left--) {
      this.port = chosen || ((await freePort()) as number);
      try {
        this.#server = await startServer({ host, port: this.port, databaseUrl, quiet: true });
        return;
      } catch (error) {
        // A port that was free a moment ago may have gone to the other worker.
        if (chosen || left === 0) throw error;
      }
    }
  }
  get url(): string {
    return `${isTls(this.host) ? 'https' : 'http'}://${this.host}:${this.port}`;
  }
  /** As a power cut would: no farewell. */
  async kill(): Promise<void> {
    this.#server!.child.kill('SIGKILL');
    await this.#server!.ended;
  }
  stop(): Promise<void> {
    return stopServer(this.#server!);
  }
}

/** What a page complains of: errors, policy violations, requests that were refused or failed. */
function listenTo(context: BrowserContext, found: string[]): void {
  context.on('weberror', (error) => found.push(error.error().message));
  context.on('console', (m) => {
    // What a failed request leaves in the console is told below, with its address.
    if (m.type() === 'error' && !/Failed to load resource|net::ERR/.test(m.text())) found.push(m.text());
  });
  context.on('response', (r) => {
    if (r.status() >= 400) found.push(`${r.status()} ${r.request().method()} ${new URL(r.url()).pathname}`);
  });
}

type Fixtures = {
  path: (to: string) => string;
  /** Names troubles that a test means to make; all others fail it. */
  meant: (...troubles: RegExp[]) => void;
  /** Another device: a browser that shares nothing with the page. Its troubles count as well. */
  device: (options?: BrowserContextOptions) => Promise<BrowserContext>;
};
export const test = base.extend<Fixtures & { troubles: { found: string[]; meant: RegExp[] } }, { app: App }>({
  app: [
    async ({}, use) => {
      const app = new App();
      await app.start();
      await use(app);
      await app.stop();
    },
    { scope: 'worker' }
  ],
  path: async ({ app }, use) => use((to) => `${app.url}${to}`),
  /** Automatic: each test ends by finding no trouble that it did not mean. */
  troubles: [
    async ({ context }, use) => {
      const troubles = { found: [] as string[], meant: [] as RegExp[] };
      listenTo(context, troubles.found);
      await use(troubles);
      expect(troubles.found.filter((t) => !troubles.meant.some((m) => m.test(t)))).toEqual([]);
    },
    { auto: true }
  ],
  meant: async ({ troubles }, use) => use((...some) => void troubles.meant.push(...some)),
  device: async ({ browser, troubles }, use) => {
    const made: BrowserContext[] = [];
    await use(async (options) => {
      const context = await browser.newContext({ serviceWorkers: 'block', ...options });
      listenTo(context, troubles.found);
      made.push(context);
      return context;
    });
    for (const context of made) await context.close();
  }
});
export { expect };

/** Opens a show by its name and waits until every line has its verdict. */
export async function openShow(page: Page, url: string, name: string): Promise<void> {
  await page.goto(url);
  await page
    .getByRole('link', { name: new RegExp(name) })
    .first()
    .click();
  await settled(page);
}
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('[data-verdict]:not([data-early])').first()).toBeVisible();
  await expect(page.getByText('computing', { exact: true })).toHaveCount(0);
}
/** Where the demo shows are, by server and name. Asked for without a page: a list of all that the tests before made takes a browser seconds. */
const demos = new Map<string, string>();
async function demo(page: Page, url: string, name: string): Promise<string> {
  const key = `${url} ${name}`;
  if (!demos.has(key)) {
    const html = await (await page.request.get(url)).text();
    const links = [...html.matchAll(/<a\s[^>]*href="[^"]*\/show\/([^"/]+)"[^>]*>(.*?)<\/a>/gs)];
    // The newest comes first, copies before what they are of.
    const found = links
      .filter(([, , text]) =>
        text!
          .replace(/<[^>]*>/g, '')
          .trim()
          .startsWith(name)
      )
      .at(-1);
    if (!found) throw new Error(`No show of the name ${name} at ${url}.`);
    demos.set(key, found[1]!);
  }
  return demos.get(key)!;
}
/** A copy of a demo show, so that tests do not meet in one. */
export async function freshShow(page: Page, url: string, name: string): Promise<string> {
  const id = await demo(page, url, name);
  const response = await page.request.post(`${url}/api/shows/${id}/copy`, { headers: { origin: url } });
  const made = (await response.json()) as { id: string };
  await page.goto(`${url}/show/${made.id}`);
  await settled(page);
  return made.id;
}
export const row = (page: Page, name: string) =>
  page.locator('li', { has: page.getByRole('button', { name, exact: true }) });
/** Sets the lead of a line by pointing. */
export async function setLead(page: Page, name: string, label: RegExp, length: string): Promise<void> {
  await row(page, name).getByRole('button', { name: label }).click();
  const field = page.getByRole('dialog').getByLabel('Length');
  await field.fill(length);
  await field.press('Enter');
  await page.getByRole('button', { name: 'Close' }).click();
}
export const saved = (page: Page) => expect(page.getByRole('status')).toHaveText('Saved');

/** Nothing for axe to find, in both themes; the one the page had is put back. */
export async function expectAccessibleInBoth(page: Page): Promise<void> {
  // A page behind another is not painted anew when its theme changes.
  await page.bringToFront();
  const dark = await page.evaluate(() => matchMedia('(prefers-color-scheme: dark)').matches);
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    // Colours are looked at once the page has been painted in them; a page that stands behind others is not in a hurry.
    await page.evaluate(async () => {
      const frame = (): Promise<unknown> =>
        Promise.race([new Promise(requestAnimationFrame), new Promise((done) => setTimeout(done, 300))]);
      for (let k = 0; k < 3; k++) await frame();
      void document.body.offsetHeight;
    });
    // Nothing but colours differs between the themes.
    await expectAccessible(page, colorScheme === 'light' ? undefined : ['color-contrast']);
  }
  await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
}

/** @param rules those to look at; all where left out */
export async function expectAccessible(page: Page, rules?: string[]): Promise<void> {
  // There are no frames here to look into: that would take a page of its own, which comes before the one that is looked at.
  // Only what is wrong is written out: to name each of thousands of nodes that are right takes most of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({
    resultTypes: ['violations'],
    ...(rules && { runOnly: { type: 'rule', values: rules } })
  });
  const { violations } = await axe.analyze();
  expect(
    violations.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target} ${n.failureSummary ?? ''}`).join(' | ')}`)
  ).toEqual([]);
}

/** A browser whose microphone hears a recording, over and over. @param wav the recording as a file */
export async function withMicrophone(info: TestInfo, wav: Uint8Array | ArrayBuffer): Promise<Browser> {
  const file = info.outputPath('stage.wav');
  writeFileSync(file, Buffer.from(wav as Uint8Array));
  const { executablePath, args = [] } = info.project.use.launchOptions ?? {};
  return chromium.launch({
    executablePath,
    args: [
      ...args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`
    ]
  });
}
