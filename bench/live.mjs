// npm run bench:live [-- 200]: how long until an edit made in one browser is on screen in another; on one server, then on two.
import { chromium as browserType } from '@playwright/test';
import { withTestDatabase } from '../scripts/e2e.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { main, say } from '../scripts/lib/say.mjs';
import { startServer, stopServer } from '../scripts/lib/server.mjs';
import { chromium, ensureBuild, ensureChromium, ensurePackages } from '../scripts/lib/setup.mjs';
import { demoShow } from './demo-show.mjs';

const RUNS = Number(process.argv[2] ?? 200);

async function open(browser, url) {
  const page = await (await browser.newContext()).newPage();
  await page.goto(url);
  await page.locator('[data-verdict]:not([data-early])').first().waitFor();
  return page;
}

/** Milliseconds of each edit, from before it is sent to when it stands in the other page. */
async function measure(browser, here, there) {
  const { page: list, path } = await demoShow(browser, here);
  const shown = await list.request.post(`${here}/api/shows/${path.split('/').pop()}/copy`, {
    headers: { origin: here }
  });
  const { id } = await shown.json();
  const [one, two] = [await open(browser, `${here}/show/${id}`), await open(browser, `${there}/show/${id}`)];
  const { plan } = await (await list.request.get(`${here}/api/shows/${id}`)).json();
  const line = Object.entries(plan.lines).find(([, l]) => l.name === 'Pump organ')[0];
  let cable = Object.entries(plan.cables).find(([, c]) => c.to.device === line)[0];
  for (let back; (back = Object.entries(plan.cables).find(([, c]) => c.to.device === plan.cables[cable].from.device));)
    cable = back[0];
  let metres = plan.cables[cable].metres;
  const took = [];
  for (let k = 0; k < RUNS; k++) {
    const next = 100 + k;
    const seen = two.evaluate(
      ([row, text]) =>
        new Promise((done) => {
          const look = () =>
            document
              .querySelector(`[data-line="${row}"]`)
              ?.textContent.replace(/\u202f/g, ' ')
              .includes(text)
              ? done(Date.now())
              : requestAnimationFrame(look);
          look();
        }),
      [line, `${next} m`]
    );
    const sent = await one.evaluate(
      async ([show, cableId, from, to]) => {
        const at = Date.now();
        const edit = {
          id: crypto.randomUUID(),
          label: { code: 'set', subject: 'Pump organ' },
          ops: [{ op: 'set', table: 'cables', id: cableId, path: ['metres'], from, to }]
        };
        const answer = await fetch(`/api/shows/${show}/edits`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ base: 0, edits: [{ edit, kind: 'do', of: null }] })
        });
        if (!answer.ok) throw new Error(String(answer.status));
        return at;
      },
      [id, cable, metres, next]
    );
    took.push((await seen) - sent);
    metres = next;
  }
  return took.sort((a, b) => a - b);
}

await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  await withTestDatabase(async (databaseUrl) => {
    const ports = [await freePort(), await freePort()];
    const servers = [];
    for (const port of ports) servers.push(await startServer({ host: '127.0.0.1', port, databaseUrl, quiet: true }));
    const browser = await browserType.launch({
      executablePath: chromium(),
      args: ['--headless', '--no-sandbox', '--disable-gpu']
    });
    const [one, two] = ports.map((port) => `http://127.0.0.1:${port}`);
    for (const [name, there] of [
      ['one server', one],
      ['two servers', two]
    ]) {
      const took = await measure(browser, one, there);
      const at = (share) => took[Math.min(took.length - 1, Math.floor(share * took.length))];
      say(`${name}: ${RUNS} edits, median ${at(0.5)} ms, nine of ten ${at(0.9)} ms, worst ${took.at(-1)} ms`);
    }
    await browser.close();
    for (const server of servers) await stopServer(server);
  });
});
