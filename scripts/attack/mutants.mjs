import { numbers } from './person.mjs';

export const EVIL = [
  null,
  '',
  -1,
  0,
  1e308,
  -1e-320,
  'NaN',
  '\u0000',
  '\ud83d',
  '__proto__',
  'constructor',
  '=1+1',
  'x'.repeat(100_000),
  [],
  {},
  true,
  [[[[[[]]]]]],
  '٣',
  '../../etc/passwd'
];

/** All places in a document: each the holder and the key. */
export function placesOf(node, list = []) {
  if (node && typeof node === 'object')
    for (const key of Object.keys(node)) {
      list.push([node, key]);
      placesOf(node[key], list);
    }
  return list;
}

/** A copy of a document with one to three faults in it. */
function mutant(document, next) {
  const copy = structuredClone(document);
  for (let n = 1 + Math.floor(next() * 3); n > 0; n--) {
    const places = placesOf(copy);
    const [holder, key] = places[Math.floor(next() * places.length)];
    const kind = next();
    if (kind < 0.2) delete holder[key];
    else if (kind < 0.35) {
      const [from, at] = places[Math.floor(next() * places.length)];
      holder[key] = structuredClone(from[at]);
    } else if (kind < 0.45 && !Array.isArray(holder)) holder['constructor'] = structuredClone(holder[key]);
    else holder[key] = EVIL[Math.floor(next() * EVIL.length)];
  }
  return copy;
}

/** Broken plans sent as files: each is taken whole or refused with a reason, soon; what was taken opens. */
export async function mutants(person, show, many) {
  const plan = JSON.parse((await person.send('GET', `/api/shows/${show}/plan`)).text);
  const next = numbers('mutants');
  const failed = [];
  let [taken, refused, slowest] = [0, 0, 0];
  for (let k = 0; k < many; k++) {
    const sent = next() < 0.85 ? { ...plan, plan: mutant(plan.plan, next) } : mutant(plan, next);
    const answer = await person.send('POST', '/api/import', sent);
    slowest = Math.max(slowest, answer.ms);
    if (answer.status === 201) {
      taken++;
      const { id } = answer.json();
      for (const path of [`/show/${id}`, `/api/shows/${id}/paper/patch.pdf`]) {
        const opened = await person.send('GET', path, undefined, { patience: 60_000 });
        if (opened.status !== 200) failed.push(`${path}: ${opened.status}`);
      }
      await person.send('DELETE', `/api/shows/${id}`);
    } else if ([400, 413, 422].includes(answer.status)) refused++;
    else failed.push(`${answer.status} ${answer.text.slice(0, 100)}`);
  }
  return [
    {
      what: `${many} broken plans`,
      found: `${taken} taken, ${refused} refused, ${failed.length} failed`,
      held: failed.length === 0
    },
    ...failed.slice(0, 5).map((f) => ({ what: '  ', found: f, held: false })),
    { what: 'the slowest of them was answered within', found: `${slowest.toFixed(0)} ms`, held: slowest <= 2000 }
  ];
}
