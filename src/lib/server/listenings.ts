import {
  LISTENING_LIMITS as LIMITS,
  type Answer,
  type ListeningFor,
  type ListeningSet
} from '$lib/protocol/listenings';
import { and, asc, count, desc, eq } from 'drizzle-orm';
import { client, db } from './db';
import { tellCrew } from './live';
import { listened, listening, listeningPart } from './schema';
import { hasShow } from './shows';

/** Sets of sounds that several people listen to: kept with a show, its sounds in parts, answers by whoever has the show. */

const its = (crewId: string, showId: string, id: string) =>
  and(eq(listening.crewId, crewId), eq(listening.showId, showId), eq(listening.id, id));

/** Keeps a set; sent twice it is there once. @returns null where there is no such show */
export async function keepSet(
  who: { crewId: string; personId: string },
  showId: string,
  id: string,
  set: ListeningSet
): Promise<{ tooMany: number } | true | null> {
  if (!(await hasShow(who.crewId, showId))) return null;
  const [{ n }] = await db()
    .select({ n: count() })
    .from(listening)
    .where(and(eq(listening.crewId, who.crewId), eq(listening.showId, showId)));
  if (n >= LIMITS.sets) return { tooMany: LIMITS.sets };
  await db()
    .insert(listening)
    .values({ ...who, showId, id, set })
    .onConflictDoNothing();
  return true;
}

async function setOf(crewId: string, showId: string, id: string): Promise<ListeningSet | null> {
  const [row] = await db()
    .select({ set: listening.set })
    .from(listening)
    .where(its(crewId, showId, id));
  return row?.set ?? null;
}

/** What a phone is told of it. */
export async function listeningFor(crewId: string, showId: string, id: string): Promise<ListeningFor | null> {
  const set = await setOf(crewId, showId, id);
  if (!set) return null;
  const [{ n }] = await db()
    .select({ n: count() })
    .from(listeningPart)
    .where(and(eq(listeningPart.listeningId, id), eq(listeningPart.last, true)));
  return { id, called: set.called, count: set.names.length, rounds: set.rounds, ready: n === set.names.length };
}

/** Sets of a show, newest first. */
export const listeningsOf = (crewId: string, showId: string) =>
  db()
    .select({ id: listening.id, set: listening.set, at: listening.madeAt })
    .from(listening)
    .where(and(eq(listening.crewId, crewId), eq(listening.showId, showId)))
    .orderBy(desc(listening.madeAt));

/** Takes a part of a sound in; sent twice it is there once. @returns false where there is no such set or sound */
export async function takePart(
  crewId: string,
  showId: string,
  id: string,
  part: { sound: number; part: number; last: boolean; bytes: Buffer }
): Promise<boolean> {
  const set = await setOf(crewId, showId, id);
  if (!set || part.sound >= set.names.length || part.part >= LIMITS.parts) return false;
  await db()
    .insert(listeningPart)
    .values({ crewId, listeningId: id, ...part })
    .onConflictDoNothing();
  return true;
}

/** A sound as it was sent, part after part, so that it takes no more room than one of them. Null where it is not whole. */
export async function soundOf(
  crewId: string,
  showId: string,
  id: string,
  sound: number
): Promise<ReadableStream<Uint8Array> | null> {
  if (!(await setOf(crewId, showId, id))) return null;
  const sql = client();
  const [{ parts }] = await sql<{ parts: number | null }[]>`
    select max(part) filter (where last) + 1 as parts from listening_part
    where listening_id = ${id} and crew_id = ${crewId} and sound = ${sound}`;
  if (parts === null) return null;
  let next = 0;
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      const [row] = await sql<{ bytes: Buffer }[]>`
        select bytes from listening_part
        where listening_id = ${id} and crew_id = ${crewId} and sound = ${sound} and part = ${next}`;
      if (!row) return controller.close();
      controller.enqueue(new Uint8Array(row.bytes));
      if (++next >= parts) controller.close();
    }
  });
}

/** Takes an answer in; sent twice it is there once. @returns false where there is no such set, or it has answers enough */
export async function takeAnswer(
  crewId: string,
  showId: string,
  id: string,
  { id: answer, who, liked }: Answer
): Promise<boolean> {
  const set = await setOf(crewId, showId, id);
  if (!set || liked.length > set.rounds || liked.some((k) => k >= set.names.length)) return false;
  const [{ n }] = await db().select({ n: count() }).from(listened).where(eq(listened.listeningId, id));
  if (n >= LIMITS.answers) return false;
  await db().insert(listened).values({ id: answer, crewId, listeningId: id, who, liked }).onConflictDoNothing();
  await tellCrew(crewId, { kind: 'log', show: showId });
  return true;
}

/** What everybody liked, in the order in which they answered. */
export async function answersOf(crewId: string, showId: string, id: string): Promise<Answer[] | null> {
  if (!(await setOf(crewId, showId, id))) return null;
  return db()
    .select({ id: listened.id, who: listened.who, liked: listened.liked })
    .from(listened)
    .where(eq(listened.listeningId, id))
    .orderBy(asc(listened.madeAt));
}

/** Takes a set out, its sounds and answers with it. */
export async function dropSet(crewId: string, showId: string, id: string): Promise<boolean> {
  const rows = await db()
    .delete(listening)
    .where(its(crewId, showId, id))
    .returning({ id: listening.id });
  return rows.length > 0;
}
