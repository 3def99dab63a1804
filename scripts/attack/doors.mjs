import { randomUUID } from 'node:crypto';
import { ACCESS, RANKS } from '../../e2e/access-table.ts';
import { allRoutes, isDoor } from '../lib/routes.mjs';
import { Person } from './person.mjs';

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];
const SECRET = 'Tallow Lane';

/** A crew with one of each rank, a guest with a link, somebody of another crew, and a stranger. */
export async function peopleOf(copy) {
  const { url } = copy;
  const open = new Person(url, 'open');
  const owner = await new Person(url, 'mira').join(await open.invite('owner'));
  await owner.send('PUT', '/api/crew/name', { name: SECRET });
  const engineer = await new Person(url, 'edda').join(await owner.invite('engineer'));
  const reader = await new Person(url, 'rosa').join(await owner.invite('reader'));
  const other = await new Person(url, 'otto').join(await owner.invite('reader'));
  await other.send('POST', '/api/crew', { name: 'Elsewhere' });
  const [{ id: here }] = await copy.ask(
    (sql) => sql`select id from person where name = 'otto' order by made_at limit 1`
  );
  await owner.send('DELETE', `/api/crew/people/${here}`);
  const { id } = (await owner.send('POST', '/api/shows', { name: `${SECRET} show` })).json();
  const guest = new Person(url, 'guest');
  const { token } = (await owner.send('POST', `/api/shows/${id}/shares`)).json();
  await guest.send('GET', `/s/${token}`);
  return { show: id, people: { stranger: new Person(url), guest, reader, engineer, owner }, other };
}

/** Every identity × route × method: let in from the rank that the table says, told nothing below it, and never an error of the server. */
export async function doors({ show, people, other }) {
  const routes = allRoutes().filter((r) => !isDoor(r));
  const paths = [...new Set(routes.map((r) => r.path))];
  // What is deleted or named is never there, but for the show itself, which only those who may not delete it ask to have deleted.
  const filled = (path, method, may) =>
    path
      .replace(/^\/(api\/shows|show)\/\[id\]/, `/$1/${method === 'DELETE' && may ? randomUUID() : show}`)
      .replace('[sheet]', 'patch.pdf')
      .replace(/\[(id|photo|item)\]/g, () => randomUUID())
      .replace('[line]', 'x');
  const wrong = [];
  let calls = 0;
  const ask = async (who, person, path, method, judge) => {
    calls++;
    const may = who !== 'other' && RANKS.indexOf(who) >= RANKS.indexOf(ACCESS[path]?.[method] ?? 'owner');
    const answer = await person.send(method, filled(path, method, may), method === 'GET' ? undefined : {});
    const why = answer.status >= 500 || answer.status === 0 ? 'fails' : judge(answer, may);
    if (why) wrong.push(`${who} ${method} ${path}: ${answer.status} ${why}`);
  };
  const turnedAway = (status) => [303, 401, 403].includes(status);
  for (const who of RANKS)
    for (const path of paths)
      for (const method of METHODS)
        await ask(who, people[who], path, method, ({ status, text }, may) => {
          // A page that is asked to act tells the way to the door in an answer of its own.
          const shown = status === 200 && text.startsWith('{"type":"redirect"');
          if (!ACCESS[path]?.[method])
            return shown || [303, 401, 403, 404, 405].includes(status) ? null : 'no such method';
          if (!may) return turnedAway(status) && !text.includes(SECRET) ? null : 'let in';
          // Whoever makes a crew has an account, though they may be in none yet.
          return turnedAway(status) && path !== '/api/crew' ? 'turned away' : null;
        });
  for (const path of paths)
    for (const method of METHODS)
      await ask('other', other, path, method, ({ status, text }) => {
        if (text.includes(SECRET)) return 'told';
        return path.includes('[id]') && status < 300 && path !== '/api/crew/devices/[id]' ? 'let in' : null;
      });
  return [
    { what: `identities × routes × methods: ${calls} calls`, found: `${wrong.length} wrong`, held: wrong.length === 0 },
    ...wrong.slice(0, 8).map((w) => ({ what: '  ', found: w, held: false }))
  ];
}
