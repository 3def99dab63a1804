import { dev } from '$app/environment';
import type { RequestEvent } from '@sveltejs/kit';
import { atLeast, type Rank } from '../crew/roles';
import { isOfShow, needs } from './access-rules';
import { signedIn } from './auth';
import { isLoopback } from './http';
import { crewsOf, firstPerson, hasAccounts, type Member, sharedShow } from './crew';

/** Who asks, and whether they may. Every request passes here before its route is run; what is not allowed here is refused. */

/** Whose data a request may see. */
export interface Who extends Omit<Member, 'role'> {
  readonly rank: Rank;
  /** The account, where there is one. */
  readonly user: { readonly userId: string; readonly name: string; readonly sessionId: string } | null;
}

/** Which crew somebody in several of them works in now. */
export const CREW_COOKIE = 'crew';
/** What a link to a show left with the browser that opened it. */
export const SHARE_COOKIE = 'share';
/** Nobody in the database: a guest writes nothing, and has written nothing. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

type Event = Pick<RequestEvent, 'cookies' | 'params' | 'request' | 'route'>;

/** Who asks; null for a stranger. */
export async function whoAsks(event: Event): Promise<Who | null> {
  if (!(await hasAccounts())) {
    // Where others reach it too, the first account comes by the invitation that the server printed.
    if (!dev && !isLoopback(process.env.HOST ?? '')) return null;
    const { role, ...first } = await firstPerson();
    return { ...first, rank: role, user: null };
  }
  const user = await signedIn(event.request.headers);
  const crews = user ? await crewsOf(user.userId) : [];
  const wanted = event.cookies.get(CREW_COOKIE);
  const member = crews.find((c) => c.crewId === wanted) ?? crews[0];
  const own: Who | null = member ? { crewId: member.crewId, personId: member.personId, rank: member.role, user } : null;
  return (await asGuest(event, crews)) ?? own;
}

/** Somebody who holds a link to the show that is asked for, and is in none of the crews it belongs to. */
async function asGuest({ cookies, params, route }: Event, crews: readonly { crewId: string }[]): Promise<Who | null> {
  const token = cookies.get(SHARE_COOKIE);
  if (!token || !params.id || !isOfShow(route.id)) return null;
  const shared = await sharedShow(token);
  if (!shared || shared.showId !== params.id || crews.some((c) => c.crewId === shared.crewId)) return null;
  return { crewId: shared.crewId, personId: NOBODY, rank: 'guest', user: null };
}

/** Whether somebody may ask for a route by a method. */
export function may(who: Who | null, route: string | null, method: string): boolean {
  const needed = needs(route, method);
  return needed === 'nothing' || (who !== null && atLeast(who.rank, needed));
}
