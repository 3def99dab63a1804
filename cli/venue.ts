import { createServer, type Server, type ServerResponse } from 'node:http';
import { HUM_BOUNDS } from '../core/linecheck/hum';
import { venueOf } from '../core/linecheck/venue';
import type { Plan } from '../core/plan/schema';

/**
 * A stand-in venue over HTTP and JSON, for whatever wants to be tried without gear: it answers what a desk would show of each line of a
 * plan, with hidden differences drawn from a seed. docs/venue.md describes it.
 */
export function serveVenue(plan: Plan, name: string, seed: number): Server {
  const lines = venueOf(plan, seed);
  const byId = new Map(lines.map((l) => [l.lineId, l]));
  const answer = (response: ServerResponse, status: number, body: unknown): void => {
    response.writeHead(status, { 'content-type': 'application/json', 'cache-control': 'no-store' });
    response.end(JSON.stringify(body));
  };
  return createServer((request, response) => {
    if (request.method !== 'GET') return answer(response, 405, { message: 'Only GET: a venue is read, not told.' });
    const { pathname } = new URL(request.url ?? '/', 'http://venue');
    if (pathname === '/')
      return answer(response, 200, {
        kind: 'guanxi-venue',
        version: 1,
        show: name,
        seed,
        humBounds: { none: HUM_BOUNDS.none[0], faint: HUM_BOUNDS.faint[0] },
        lines: lines.map(({ lineId }) => ({ id: lineId, name: plan.lines[lineId]?.name ?? lineId }))
      });
    const asked = /^\/lines\/([a-z0-9-]{1,40})(\/truth)?$/.exec(pathname);
    const line = asked && byId.get(asked[1]);
    if (!line) return answer(response, 404, { message: 'There is no such line here. GET / lists them.' });
    answer(
      response,
      200,
      asked[2] ? { id: line.lineId, hidden: line.hidden } : { id: line.lineId, ...line.reading, meter: line.meter }
    );
  });
}
