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
  await page.locator('[data-verdict]:not([data-early])').nth(11).waitFor();
}
async function open(page, name) {
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('button', { name: /^Apply fix 1/ }).waitFor();
  await page.waitForTimeout(400);
}
const VIEWS = [
  { name: 'shows', themes: ['day'], size: DESK, go: (page, url) => page.goto(url) },
  {
    name: 'lines',
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Hammered dulcimer');
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
      await page.getByRole('button', { name: 'Run 400 times' }).click();
      await page.getByText('of 400 runs').waitFor();
      await page.waitForTimeout(400);
    }
  },
  {
    name: 'ways',
    themes: ['day'],
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
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Propose' }).click();
      await page.locator('[data-proposal]').first().waitFor({ timeout: 30_000 });
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
      await page.getByRole('link', { name: 'Line check', exact: true }).click();
      for (let k = 0; k < 2; k++) await page.getByRole('button', { name: 'Skip' }).click();
      const steps = page.getByRole('group', { name: 'Steps, in this order' }).getByRole('button');
      const count = await steps.count();
      for (let k = 0; k < count; k++) await steps.nth(k).click();
      for (let k = 0; k < 16; k++) await page.getByRole('button', { name: 'Gain up 1 dB' }).click();
      await page.getByRole('group', { name: 'Hum' }).getByText('faint').click();
      await page.getByRole('group', { name: 'Sounds' }).getByText('as it should').click();
      await page.locator('[data-cause]').first().waitFor();
      await page.mouse.wheel(0, 90);
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'log',
    size: DESK,
    themes: ['day'],
    go: async (page, url) => {
      await page.goto(url);
      await page.getByRole('link', { name: /^Night two/ }).click();
      await page.locator('[data-verdict]:not([data-early])').nth(4).waitFor();
      await page.getByRole('link', { name: 'Log', exact: true }).click();
      await page.locator('[data-venue]').waitFor();
      await page.locator('[data-entry="reading"]').first().waitFor();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'earth',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Hum', exact: true }).click();
      await page.getByRole('button', { name: /^Apply fix 1/ }).waitFor();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'trace',
    themes: ['show'],
    size: PHONE,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Hum', exact: true }).click();
      await page.getByRole('link', { name: 'Trace a noise', exact: true }).click();
      await page.getByRole('heading', { name: 'Which line makes the noise?' }).waitFor();
      await page.getByRole('button', { name: /Modular rack/ }).click();
      await page.locator('[data-answer="hum"]').click();
      await page.locator('[data-answer="plugged"]').click();
      await page.locator('[data-suspect]').first().waitFor();
      await page.waitForTimeout(500);
    }
  },
  {
    name: 'analyse',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Hum', exact: true }).click();
      await page.getByRole('link', { name: 'Analyse a recording' }).click();
      await page.getByRole('button', { name: 'Make it' }).click();
      await page.locator('[data-heard]').waitFor();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'listen',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await open(page, 'Hammered dulcimer');
      await page.getByRole('link', { name: 'hear it' }).click();
      await page
        .getByRole('checkbox', { name: /^Active DI/ })
        .first()
        .check();
      await page.getByRole('button', { name: 'Make them ready' }).click();
      await page.locator('[data-alike]').waitFor();
      await page.waitForTimeout(300);
    }
  },
  {
    name: 'measure',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await lines(page, url);
      await page.getByRole('link', { name: 'Kit', exact: true }).click();
      await page.getByRole('link', { name: 'Measure', exact: true }).click();
      await page.getByLabel('What is measured').selectOption({ label: 'Electric bouzouki: single-coil pickup' });
      await page.getByRole('button', { name: 'Start' }).click();
      for (const step of [0, 1, 2, 3]) {
        await page.locator(`[data-step="${step}"]`).waitFor();
        await page.getByRole('button', { name: 'Play the sweep' }).click();
      }
      await page.locator('[data-result]').waitFor();
      await page.waitForTimeout(600);
    }
  },
  {
    name: 'lesson',
    themes: ['day'],
    size: DESK,
    go: async (page, url) => {
      await page.goto(`${url}/learn/pickups`);
      await page.locator('[data-reads]').waitFor();
      await page.getByRole('slider', { name: /^lead/ }).press('End');
      await page.waitForTimeout(800);
    }
  },
  {
    name: 'drill',
    themes: ['show'],
    size: DESK,
    go: async (page, url) => {
      await page.goto(`${url}/drill`);
      await page.locator('[data-do="sound"]').click();
      await page.locator('[data-do="swap-lead"]').click();
      await page.locator('[data-asked]').nth(1).waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
      await page.mouse.move(0, 0);
      await page.waitForTimeout(300);
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

/** The crew's page, with the first account and an invitation in it. */
async function shootCrew(browser, url) {
  const page = await browser.newPage({
    viewport: DESK,
    colorScheme: 'light',
    reducedMotion: 'reduce',
    locale: 'en-GB'
  });
  await page.goto(`${url}/crew`);
  await page.getByRole('button', { name: 'Make the first account' }).click();
  await page.getByLabel('Your name').fill('Mira');
  await page.getByLabel('Email').fill('mira@example.org');
  await page.getByLabel('Password').fill('rope and tallow');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByRole('link', { name: 'Crew', exact: true }).click();
  await page.getByRole('button', { name: 'An engineer' }).click();
  await page
    .getByRole('img', { name: /The link as a code/ })
    .or(page.getByLabel('Link', { exact: true }))
    .first()
    .waitFor();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(OUT, 'crew-day.png') });
  await page.close();
  say('docs/screenshots/crew-day.png');
}

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
    // Last, for from then on nobody else is let in.
    await shootCrew(browser, server.origin);
    await browser.close();
    await stopServer(server);
  });
});
