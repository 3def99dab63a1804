// npm run bench:view [-- 9]: the line board with its verdicts on a processor slowed four times, and frames while 128 lines scroll.
import { chromium as browserType } from '@playwright/test';
import { withTestDatabase } from '../scripts/e2e.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { main, say } from '../scripts/lib/say.mjs';
import { startServer, stopServer } from '../scripts/lib/server.mjs';
import { chromium, ensureBuild, ensureChromium, ensurePackages } from '../scripts/lib/setup.mjs';
import { demoShow } from './demo-show.mjs';

const RUNS = Number(process.argv[2] ?? 9);
const SLOWER = 4;
const LINES = 128;
const SCROLLED = 60;

const middle = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Milliseconds from asking for a board to its first row, and to the verdict of the last row in sight; with nothing in the browser's cache. */
async function opened(browser, url) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.addInitScript(() => {
    window.seen = { row: null, verdicts: null };
    const look = () => {
      const rows = [...document.querySelectorAll('[data-line]')];
      const sight = rows.filter((row) => row.getBoundingClientRect().top < innerHeight);
      if (rows.length > 0) window.seen.row ??= performance.now();
      const all = sight.length > 0 && sight.every((row) => row.querySelector('[data-verdict]'));
      if (all) window.seen.verdicts ??= performance.now();
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.goto(url, { waitUntil: 'commit' });
  await page.waitForFunction(() => window.seen.verdicts !== null);
  const seen = await page.evaluate(() => window.seen);
  await context.close();
  return seen;
}

/** The address of a show of many lines, pasted as a list. */
async function manyLines(browser, here) {
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${here}/`);
  const made = await page.request.post(`${here}/api/shows`, {
    headers: { origin: here },
    data: { name: 'Many lines' }
  });
  const { id } = await made.json();
  await page.goto(`${here}/show/${id}`);
  await page.getByRole('button', { name: 'paste an input list', exact: true }).click();
  const dialog = page.getByRole('dialog');
  const rows = Array.from({ length: LINES }, (_, k) => `${k + 1}\tKeys ${k + 1}\tpassive DI\t20 m XLR`);
  await dialog.getByRole('textbox').first().fill(rows.join('\n'));
  await dialog.getByRole('button', { name: `Add ${LINES} lines` }).click();
  await page.locator('[data-verdict]').first().waitFor();
  await page.waitForTimeout(2000);
  return page.url();
}

/** Milliseconds between frames while the board of many lines is scrolled through, at the processor's own speed. */
async function scrolled(browser, url) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url);
  await page.locator('[data-verdict]').first().waitFor();
  await page.waitForTimeout(2000);
  const frames = await page.evaluate(
    (steps) =>
      new Promise((done) => {
        const took = [];
        let last = performance.now();
        const step = (now) => {
          took.push(now - last);
          last = now;
          const most = document.documentElement.scrollHeight - innerHeight;
          scrollTo(0, (most * took.length) / steps);
          if (took.length < steps) requestAnimationFrame(step);
          else done(took.slice(1));
        };
        requestAnimationFrame(step);
      }),
    SCROLLED
  );
  await context.close();
  return frames;
}

await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  await withTestDatabase(async (databaseUrl) => {
    const port = await freePort();
    const server = await startServer({ host: '127.0.0.1', port, databaseUrl, quiet: true });
    const browser = await browserType.launch({
      executablePath: chromium(),
      args: ['--headless', '--no-sandbox', '--disable-gpu']
    });
    try {
      const here = `http://127.0.0.1:${port}`;
      const { path } = await demoShow(browser, here);
      const many = await manyLines(browser, here);
      const took = [];
      for (let k = 0; k < RUNS; k++) took.push(await opened(browser, `${here}${path}`));
      const [row, verdicts] = ['row', 'verdicts'].map((key) => middle(took.map((t) => t[key])).toFixed(0));
      say(`board, ${SLOWER} times slowed: first row ${row} ms, its verdicts ${verdicts} ms (medians of ${RUNS})`);
      const frames = await scrolled(browser, many);
      const [usual, worst] = [middle(frames), Math.max(...frames)].map((ms) => ms.toFixed(1));
      say(`frames while ${LINES} lines scroll: median ${usual} ms, worst ${worst} ms`);
    } finally {
      await browser.close();
      await stopServer(server);
    }
  });
});
