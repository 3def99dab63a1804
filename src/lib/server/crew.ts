import { server as says } from '$core/words/server';
import { and, asc, desc, eq, gt, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import type { Role } from '../crew/roles';
import { type Db, db } from './db';
import { crew, invite, person, share, show } from './schema';
import { session, user } from './schema-auth';
import { freshToken, hashOf } from './tokens';

/** Who belongs to a crew, who is invited into it, and what of it strangers may look at. */

/** An invitation is good for a week, milliseconds. */
const INVITE_LIVES = 7 * 24 * 60 * 60_000;

/** Somebody in a crew. */
export interface Member {
  readonly crewId: string;
  readonly personId: string;
  readonly role: Role;
}

let accounts = false;
/** Whether anybody has an account. Once somebody has, nobody comes in without one. */
export async function hasAccounts(): Promise<boolean> {
  if (accounts) return true;
  const [one] = await db().select({ id: user.id }).from(user).limit(1);
  return (accounts = one !== undefined);
}

/** Everybody on this machine, as long as there are no accounts: the first crew's first person. Null once there are. */
export async function anybody(): Promise<Member | null> {
  if (accounts) return null;
  const [row] = await db()
    .select({ crewId: crew.id, personId: person.id, accounts: sql<boolean>`exists (select from ${user})` })
    .from(crew)
    .innerJoin(person, eq(person.crewId, crew.id))
    .orderBy(crew.madeAt)
    .limit(1);
  if (!row) throw new Error(says.theDatabaseHasNoCrew);
  accounts = row.accounts;
  return accounts ? null : { crewId: row.crewId, personId: row.personId, role: 'owner' };
}

/** Crews an account belongs to, first joined first. */
export async function crewsOf(userId: string): Promise<(Member & { name: string })[]> {
  return db()
    .select({ crewId: crew.id, personId: person.id, role: person.role, name: crew.name })
    .from(person)
    .innerJoin(crew, eq(crew.id, person.crewId))
    .where(eq(person.userId, userId))
    .orderBy(asc(person.madeAt));
}

export async function crewName(crewId: string): Promise<string> {
  const [row] = await db().select({ name: crew.name }).from(crew).where(eq(crew.id, crewId));
  return row?.name ?? '';
}
export const renameCrew = (crewId: string, name: string): Promise<unknown> =>
  db().update(crew).set({ name }).where(eq(crew.id, crewId));

/** Makes a crew with one owner, and nothing in it. */
export async function makeCrew(userId: string, by: string, name: string): Promise<string> {
  return db().transaction(async (tx) => {
    const [made] = await tx.insert(crew).values({ name }).returning({ id: crew.id });
    await tx.insert(person).values({ crewId: made.id, name: by, userId, role: 'owner' });
    return made.id;
  });
}

export async function peopleOf(crewId: string): Promise<{ id: string; name: string; role: Role; email: string }[]> {
  return db()
    .select({ id: person.id, name: person.name, role: person.role, email: user.email })
    .from(person)
    .innerJoin(user, eq(user.id, person.userId))
    .where(eq(person.crewId, crewId))
    .orderBy(asc(person.madeAt));
}

/** Gives somebody another role, or (null) takes them out; what they did keeps their name. A crew never loses its last owner. */
export async function setRole(
  crewId: string,
  personId: string,
  role: Role | null
): Promise<'done' | 'gone' | 'last-owner'> {
  return db().transaction(async (tx) => {
    // Two owners who demote each other at once wait for one another here.
    await tx.select({ id: crew.id }).from(crew).where(eq(crew.id, crewId)).for('update');
    const members = await tx
      .select({ id: person.id, role: person.role })
      .from(person)
      .where(and(eq(person.crewId, crewId), isNotNull(person.userId)));
    if (!members.some((m) => m.id === personId)) return 'gone';
    if (role !== 'owner' && !members.some((m) => m.role === 'owner' && m.id !== personId)) return 'last-owner';
    await tx
      .update(person)
      .set(role ? { role } : { userId: null })
      .where(and(eq(person.crewId, crewId), eq(person.id, personId)));
    return 'done';
  });
}

const usable = () => and(isNull(invite.usedAt), gt(invite.expiresAt, new Date()));

/** Takes back the invitations of a crew in which nobody has come yet: each start of its server makes a new one. */
export const dropFirstInvites = (crewId: string): Promise<unknown> =>
  db()
    .delete(invite)
    .where(and(eq(invite.crewId, crewId), isNull(invite.usedAt)));

/** Makes an invitation. @returns what its link holds, told this once */
export async function makeInvite(by: { crewId: string; personId: string }, role: Role): Promise<string> {
  const token = freshToken();
  await db()
    .insert(invite)
    .values({ ...by, role, tokenHash: hashOf(token), expiresAt: new Date(Date.now() + INVITE_LIVES) });
  return token;
}

export async function invitesOf(
  crewId: string
): Promise<{ id: string; role: Role; by: string | null; expiresAt: string }[]> {
  const rows = await db()
    .select({ id: invite.id, role: invite.role, by: person.name, expiresAt: invite.expiresAt })
    .from(invite)
    .leftJoin(person, eq(person.id, invite.personId))
    .where(and(eq(invite.crewId, crewId), usable()))
    .orderBy(desc(invite.madeAt));
  return rows.map((row) => ({ ...row, expiresAt: row.expiresAt.toISOString() }));
}

export async function dropInvite(crewId: string, id: string): Promise<boolean> {
  const rows = await db()
    .delete(invite)
    .where(and(eq(invite.crewId, crewId), eq(invite.id, id), isNull(invite.usedAt)))
    .returning({ id: invite.id });
  return rows.length > 0;
}

/** An invitation that can still be used. */
export async function openInvite(token: string): Promise<{ crewId: string; crew: string; role: Role } | undefined> {
  const [row] = await db()
    .select({ crewId: invite.crewId, crew: crew.name, role: invite.role })
    .from(invite)
    .innerJoin(crew, eq(crew.id, invite.crewId))
    .where(and(eq(invite.tokenHash, hashOf(token)), usable()));
  return row;
}

/**
 * Brings an account into the crew that invited it. The first account of a crew becomes the person who was there all along, so
 * that what was done before keeps its author. @returns undefined when the invitation cannot be used any more
 */
export async function acceptInvite(userId: string, name: string, token: string): Promise<string | undefined> {
  return db().transaction(async (tx) => {
    const [taken] = await tx
      .update(invite)
      .set({ usedAt: new Date() })
      .where(and(eq(invite.tokenHash, hashOf(token)), usable()))
      .returning({ crewId: invite.crewId, role: invite.role });
    if (!taken) return undefined;
    const { crewId, role } = taken;
    // Two who come in at once must not both be the first.
    await tx.select({ id: crew.id }).from(crew).where(eq(crew.id, crewId)).for('update');
    const nobody = await firstWithoutAccount(tx, crewId);
    if (nobody) await tx.update(person).set({ userId, name, role: 'owner' }).where(eq(person.id, nobody));
    else
      await tx
        .insert(person)
        .values({ crewId, userId, name, role })
        // Somebody who is in the crew already keeps the role they have.
        .onConflictDoNothing();
    return crewId;
  });
}

/** The first person of a crew in which nobody has an account. */
async function firstWithoutAccount(tx: Pick<Db, 'select'>, crewId: string): Promise<string | undefined> {
  const people = await tx
    .select({ id: person.id, userId: person.userId })
    .from(person)
    .where(eq(person.crewId, crewId))
    .orderBy(asc(person.madeAt));
  return people.some((p) => p.userId) ? undefined : people[0]?.id;
}

/** Makes a link to one show. @returns what the link holds, told this once; undefined when there is no such show */
export async function makeShare(by: { crewId: string; personId: string }, showId: string): Promise<string | undefined> {
  const [row] = await db()
    .select({ id: show.id })
    .from(show)
    .where(and(eq(show.crewId, by.crewId), eq(show.id, showId), isNull(show.deletedAt)));
  if (!row) return undefined;
  const token = freshToken();
  await db()
    .insert(share)
    .values({ ...by, showId, tokenHash: hashOf(token) });
  return token;
}

/** Links by which strangers may look at shows of a crew. */
export async function sharesOf(crewId: string): Promise<{ id: string; showId: string; show: string; at: string }[]> {
  const rows = await db()
    .select({ id: share.id, showId: show.id, show: show.name, at: share.madeAt })
    .from(share)
    .innerJoin(show, eq(show.id, share.showId))
    .where(eq(share.crewId, crewId))
    .orderBy(desc(share.madeAt));
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

export async function dropShare(crewId: string, id: string): Promise<boolean> {
  const rows = await db()
    .delete(share)
    .where(and(eq(share.crewId, crewId), eq(share.id, id)))
    .returning({ id: share.id });
  return rows.length > 0;
}

/** The crew that a show belongs to, whoever asks. */
export async function crewOfShow(showId: string): Promise<string | undefined> {
  if (!/^[0-9a-f-]{36}$/.test(showId)) return undefined;
  const [row] = await db().select({ crewId: show.crewId }).from(show).where(eq(show.id, showId));
  return row?.crewId;
}

/** The show a link opens, as long as neither has been taken back. */
export async function sharedShow(token: string): Promise<{ crewId: string; showId: string } | undefined> {
  const [row] = await db()
    .select({ crewId: share.crewId, showId: share.showId })
    .from(share)
    .innerJoin(show, and(eq(show.id, share.showId), isNull(show.deletedAt)))
    .where(eq(share.tokenHash, hashOf(token)));
  return row;
}

export interface Device {
  readonly id: string;
  readonly agent: string | null;
  readonly at: string;
  readonly here: boolean;
}
/** What an account is signed in with, last used first. */
export async function devicesOf(userId: string, hereId: string): Promise<Device[]> {
  const rows = await db()
    .select({ id: session.id, agent: session.userAgent, at: session.updatedAt })
    .from(session)
    .where(and(eq(session.userId, userId), gt(session.expiresAt, new Date())))
    .orderBy(desc(session.updatedAt));
  return rows.map((row) => ({ ...row, at: row.at.toISOString(), here: row.id === hereId }));
}

/** Ends a session of an account, or all but one. */
export async function endDevice(userId: string, which: { id: string } | { allBut: string }): Promise<boolean> {
  const rows = await db()
    .delete(session)
    .where(and(eq(session.userId, userId), 'id' in which ? eq(session.id, which.id) : ne(session.id, which.allBut)))
    .returning({ id: session.id });
  return rows.length > 0;
}
