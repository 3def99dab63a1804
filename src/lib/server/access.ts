import { dev } from '$app/environment';
import { server as says } from '$core/words/server';
import { CREW_HEADER } from '$lib/protocol/kit';
import { error, type RequestEvent } from '@sveltejs/kit';
import { deviceName } from '../crew/agent';
import { atLeast, type Rank } from '../crew/roles';
import { isOfShow, needs } from './access-rules';
import { signedIn } from './auth';
import { isFromHere } from './origin';
import { keepCookie } from './cookies';
import { anybody, crewOfShow, crewsOf, type Member, sharedShow } from './crew';

/** Who asks, and whether they may. Every request passes here before its route is run; what is not allowed here is refused. */

/** Whose data a request may see. */
export interface Who extends Omit<Member, 'role'> {
  readonly rank: Rank;
  /** The account, where there is one. */
  readonly user: { readonly userId: string; readonly name: string; readonly sessionId: string } | null;
  /** The browser, told from others by what it keeps. */
  readonly device: { readonly id: string; readonly name: string };
  /** How others read of them: by name, or by device as long as nobody has a name. */
  readonly name: string;
}

/** Which crew somebody in several of them works in now. */
export const CREW_COOKIE = 'crew';
/** What a link to a show left with the browser that opened it. */
export const SHARE_COOKIE = 'share';
/** Nobody in the database: a guest writes nothing, and has written nothing. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

type Event = Pick<RequestEvent, 'cookies' | 'getClientAddress' | 'params' | 'request' | 'route'>;

/** By which a browser is known again. */
const DEVICE_COOKIE = 'device';
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
function deviceOf({ cookies, request }: Event): Who['device'] {
  let id = cookies.get(DEVICE_COOKIE) ?? '';
  if (!UUID.test(id)) {
    id = crypto.randomUUID();
    keepCookie(cookies, DEVICE_COOKIE, id);
  }
  return { id, name: deviceName(request.headers.get('user-agent')) };
}

/** Who asks; null for a stranger. */
export async function whoAsks(event: Event): Promise<Who | null> {
  const device = deviceOf(event);
  const open = await anybody();
  if (open) {
    // Where others reach it too, the first account comes by the invitation that the server printed.
    if (!dev && !isFromHere(event.request, event.getClientAddress())) return null;
    const { role, ...first } = open;
    return { ...first, rank: role, user: null, device, name: device.name };
  }
  const user = await signedIn(event.request.headers);
  const crews = user ? await crewsOf(user.userId) : [];
  const member = await crewMeant(event, crews);
  const own: Who | null = member
    ? {
        crewId: member.crewId,
        personId: member.personId,
        rank: member.role,
        user,
        device,
        name: user?.name ?? device.name
      }
    : null;
  return (await asGuest(event, crews, device)) ?? own;
}

/**
 * Which of somebody's crews a request speaks of. One that names its crew means that one and no other, whatever was chosen in another
 * tab meanwhile; a show belongs to its crew; all else is of the crew that was chosen last.
 */
async function crewMeant<C extends Member>(
  { cookies, params, request, route }: Event,
  crews: readonly C[]
): Promise<C | undefined> {
  const named = request.headers.get(CREW_HEADER);
  if (named !== null) {
    const member = crews.find((c) => c.crewId === named);
    if (!member && crews.length > 0) error(404, says.youAreNotInThatCrew);
    return member;
  }
  if (crews.length > 1 && params.id && isOfShow(route.id)) {
    const of = await crewOfShow(params.id);
    const member = crews.find((c) => c.crewId === of);
    if (member) return member;
  }
  return crews.find((c) => c.crewId === cookies.get(CREW_COOKIE)) ?? crews[0];
}

/** Somebody who holds a link to the show that is asked for, and is in none of the crews it belongs to. */
async function asGuest(
  { cookies, params, route }: Event,
  crews: readonly { crewId: string }[],
  device: Who['device']
): Promise<Who | null> {
  const token = cookies.get(SHARE_COOKIE);
  if (!token || !params.id || !isOfShow(route.id)) return null;
  const shared = await sharedShow(token);
  if (!shared || shared.showId !== params.id || crews.some((c) => c.crewId === shared.crewId)) return null;
  return { crewId: shared.crewId, personId: NOBODY, rank: 'guest', user: null, device, name: device.name };
}

/** Whether somebody may ask for a route by a method. */
export function may(who: Who | null, route: string | null, method: string): boolean {
  const needed = needs(route, method);
  return needed === 'nothing' || (who !== null && atLeast(who.rank, needed));
}
