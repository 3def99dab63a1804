// npm run attack [-- PART …]: floods, kills, bad input and strangers against servers of its own on loopback, with databases that are thrown away. Prints one table.
import { Copy } from './attack/copy.mjs';
import { doors, peopleOf } from './attack/doors.mjs';
import { editors } from './attack/editors.mjs';
import { signInFlood, slowConnections } from './attack/floods.mjs';
import { fullDisk } from './attack/full.mjs';
import { kills } from './attack/kills.mjs';
import { large } from './attack/large.mjs';
import { mixed } from './attack/mixed.mjs';
import { mutants } from './attack/mutants.mjs';
import { paper } from './attack/paper.mjs';
import { Person } from './attack/person.mjs';
import { saves } from './attack/saves.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { checkMachine, ensureBuild, ensurePackages } from './lib/setup.mjs';

/** Runs on a server of its own, started with some settings. */
const on =
  (run, settings = {}) =>
  async () => {
    const copy = new Copy();
    try {
      await copy.start(settings);
      return await run(copy);
    } finally {
      await copy.end();
    }
  };
/** Id of the demo's largest show. */
const demo = (copy) =>
  copy.ask(async (sql) => (await sql`select id from show where name = 'The Salt Road' order by made_at limit 1`)[0].id);
const flood = (attack, settings) =>
  on(async (copy) => {
    const { people, show } = await peopleOf(copy);
    return attack(copy.url, people.owner, `/api/shows/${show}`);
  }, settings);

const PARTS = {
  doors: on(async (copy) => doors(await peopleOf(copy))),
  // Addresses are told by a proxy here, so that each guess comes from another one.
  'sign-ins': flood(signInFlood, { TRUSTED_PROXIES: '127.0.0.1' }),
  // The limits are shorter than they are, to see them work.
  drips: flood(slowConnections, { HEADERS_TIMEOUT: '10', REQUEST_TIMEOUT: '20' }),
  mutants: on(async (copy) => mutants(new Person(copy.url), await demo(copy), 600)),
  paper: on(async (copy) => paper(new Person(copy.url), await demo(copy))),
  editors: on(async (copy) => editors(copy, await demo(copy))),
  saves: on(saves),
  mixed: on(async (copy) => mixed(copy, await demo(copy))),
  large: on(async (copy) => large(copy, await demo(copy))),
  full: fullDisk,
  kills: on((copy) => kills(copy, 40))
};

/** Of the column that tells what was tried. */
const WIDTH = 84;

await main(async () => {
  checkMachine();
  ensurePackages();
  ensureBuild();
  const asked = process.argv.slice(2);
  const strange = asked.find((part) => !(part in PARTS));
  if (strange) throw new Refusal(`There is no part ${strange}: ${Object.keys(PARTS).join(', ')}.`);
  let held = true;
  for (const part of asked.length > 0 ? asked : Object.keys(PARTS)) {
    for (const row of await PARTS[part]()) {
      say(`${row.held ? '  ' : '✗ '}${part.padEnd(9)} ${row.what.padEnd(WIDTH)}  ${row.found}`);
      held &&= row.held;
    }
  }
  process.exitCode = held ? 0 : 1;
});
