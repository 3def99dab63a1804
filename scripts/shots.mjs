// npm run shots: one current picture of each main view, from the demo data, into docs/screenshots/.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { withTestDatabase } from './e2e.mjs';
import { freePort } from './lib/ports.mjs';
import { main, say } from './lib/say.mjs';
import { startServer, stopServer } from './lib/server.mjs';
import {
  checkMachine,
  chromium as chromiumPath,
  ensureBuild,
  ensureChromium,
  ensurePackages,
  ROOT
} from './lib/setup.mjs';

const OUT = join(ROOT, 'docs/screenshots');
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Opens The Salt Road and waits for its verdicts. */
async function lines(page, url) {
  await page.goto(url);
  await page.getByRole('link', { name: /^The Salt Road/ }).click();
  await page.locator('[data-verdict]').nth(11).waitFor();
}
async function open(page, name) {
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('button', { name: /^Apply remedy 1/ }).waitFor();
  await page.waitForTimeout(400);
}
const VIEWS = [
  { name: 'shows', size: DESK, go: (page, url) => page.goto(url) },
  {
    name: 'lines',
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Hammered dulcimer');
    }
  },
  {
    name: 'branches',
    size: DESK,
    themes: ['day'],
    go: async (page, url) => {
      await page.goto(url);
      await page.getByRole('link', { name: /^Rope Room/ }).click();
      await page.locator('[data-verdict]').nth(9).waitFor();
      await open(page, 'Amp next door');
    }
  },
  {
    name: 'hum',
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Tape loops');
      await page.keyboard.press('h');
      await page.getByText('Looking for loops').waitFor({ state: 'detached' });
    }
  },
  {
    name: 'contacts',
    size: DESK,
    themes: ['day'],
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Cue laptop');
      await page.keyboard.press('c');
      await page.waitForTimeout(200);
    }
  },
  {
    name: 'tolerance',
    size: DESK,
    themes: ['show'],
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Hammered dulcimer');
      await page.keyboard.press('t');
      await page.getByRole('button', { name: 'Draw 400 times' }).click();
      await page.getByText('of 400 draws').waitFor();
      await page.waitForTimeout(400);
    }
  },
  {
    name: 'ways',
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('button', { name: 'Upright bass', exact: true }).focus();
      await page.keyboard.press('w');
      await page.locator('[data-route]').first().waitFor({ timeout: 30_000 });
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'propose',
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Propose' }).click();
      await page.locator('[data-proposal]').first().waitFor({ timeout: 30_000 });
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'schools',
    size: DESK,
    themes: ['day'],
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Schools' }).click();
      await page.locator('[data-school="box active"] button').click({ timeout: 60_000 });
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'kit',
    size: DESK,
    themes: ['show'],
    go: async (page, url) => {
      await page.goto(`${url}/kit`);
      await page.locator('[data-item]').first().waitFor();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'paper',
    size: DESK,
    themes: ['day'],
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Paper', exact: true }).click();
      await page.getByRole('button', { name: 'Cards', exact: true }).click();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'check',
    size: PHONE,
    themes: ['show'],
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Check', exact: true }).click();
      for (let k = 0; k < 2; k++) await page.getByRole('button', { name: 'Skip' }).click();
      const steps = page.getByRole('group', { name: 'Steps, in this order' }).getByRole('button');
      const count = await steps.count();
      for (let k = 0; k < count; k++) await steps.nth(k).click();
      for (let k = 0; k < 16; k++) await page.getByRole('button', { name: 'Gain up 1 dB' }).click();
      await page.getByRole('group', { name: 'Hum' }).getByText('faint').click();
      await page.getByRole('group', { name: 'Comes out' }).getByText('right').click();
      await page.locator('[data-cause]').first().waitFor();
      await page.mouse.wheel(0, 90);
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'say-a-line',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.keyboard.press('n');
      await page.keyboard.type('cello piezo, 4 m, act');
      await page.waitForTimeout(200);
    }
  },
  {
    name: 'phone',
    themes: ['day'],
    size: PHONE,
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Theremin');
    }
  }
];

await main(async () => {
  checkMachine();
  ensurePackages();
  ensureChromium();
  ensureBuild();
  mkdirSync(OUT, { recursive: true });
  const { chromium } = await import('@playwright/test');
  await withTestDatabase(async (databaseUrl) => {
    const server = await startServer({ port: await freePort(), databaseUrl, quiet: true });
    const browser = await chromium.launch({
      executablePath: chromiumPath(),
      args: ['--headless', '--no-sandbox', '--disable-gpu']
    });
    for (const { name, size, go, themes = ['day', 'show'] } of VIEWS) {
      for (const [theme, colorScheme] of [
        ['day', 'light'],
        ['show', 'dark']
      ].filter(([theme]) => themes.includes(theme))) {
        const page = await browser.newPage({ viewport: size, colorScheme, reducedMotion: 'reduce', locale: 'en-GB' });
        await go(page, server.origin);
        await page.screenshot({ path: join(OUT, `${name}-${theme}.png`) });
        await page.close();
        say(`docs/screenshots/${name}-${theme}.png`);
      }
    }
    await browser.close();
    await stopServer(server);
  });
});
