import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js';
import { migrate } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import * as tables from './schema';
import * as auth from './schema-auth';

const schema = { ...tables, ...auth };

export type Db = PostgresJsDatabase<typeof schema>;

let connected: postgres.Sql | undefined;
let database: Db | undefined;

function addressOf(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set. Start with npm start, which sets it.');
  return url;
}

/** The database this process talks to, connected on first use. */
export function db(): Db {
  if (!database) {
    connected = postgres(addressOf(), {
      max: 8,
      onnotice: () => {},
      connect_timeout: 5,
      // Nothing here takes seconds: what does is stuck, and would hold a connection that others wait for.
      connection: { statement_timeout: 20_000, idle_in_transaction_session_timeout: 20_000 },
      backoff: (tries) => Math.min(0.05 * 2 ** tries, 2)
    });
    database = drizzle(connected, { schema });
  }
  return database;
}

/** The same database asked in its own language, where a question has to be one. */
export function client(): postgres.Sql {
  db();
  return connected!;
}

/**
 * Calls back for every message on a channel of the database, from whichever server it comes, on a connection of its own.
 * @returns lets go of it
 */
export async function listen(channel: string, told: (message: string) => void): Promise<() => void> {
  const own = postgres(addressOf(), { max: 1, onnotice: () => {}, connect_timeout: 5 });
  const end = (): void => void own.end({ timeout: 1 }).catch(() => undefined);
  try {
    await own.listen(channel, told);
  } catch (error) {
    end();
    throw error;
  }
  return end;
}

/** One connection for something long: no limit of time, given back by whoever asked for it. */
export const ownConnection = (): postgres.Sql =>
  postgres(addressOf(), { max: 1, onnotice: () => {}, connect_timeout: 5 });

/** Tells all servers on this database. */
export const notify = (channel: string, message: string): Promise<unknown> => client().notify(channel, message);

/** Any number, as long as nothing else on the database locks the same. */
const STARTING = 7_016_321;

/** Brings the schema up to date, one server at a time. Migrations are read from the folder the server was started in. */
export async function migrateDb(): Promise<void> {
  const alone = await client().reserve();
  try {
    await alone`select pg_advisory_lock(${STARTING})`;
    await migrate(db(), { migrationsFolder: 'drizzle' });
  } finally {
    await alone`select pg_advisory_unlock(${STARTING})`.catch(() => undefined);
    alone.release();
  }
}

/**
 * A fault in the driver itself may leave a connection that nobody gives back: all are left, and made anew when next asked for. What still runs on the
 * old ones may end.
 */
export function freshDb(): void {
  const old = connected;
  connected = undefined;
  database = undefined;
  void old?.end({ timeout: 5 }).catch(() => undefined);
}

/** Codes of a database that is not there, or not now: of the network, of the driver, and of PostgreSQL (classes 08, 53, 57; 25P03; 55P03). */
const AWAY =
  /^(E(CONN|NOTFOUND|HOST|PIPE|TIMEDOUT|AI_AGAIN)\w*|CONNECT(ION)?_\w+|08\w{3}|53\w{3}|57\w{3}|25P03|55P03|28\w{3}|3D000)$/;
/** Whether an error says that the database cannot be used just now: the request may be made again. */
export function isAway(error: unknown): boolean {
  for (let at = error as { code?: unknown; cause?: unknown } | undefined; at; at = at.cause as typeof at)
    if (typeof at.code === 'string' && AWAY.test(at.code)) return true;
  return false;
}

export async function closeDb(): Promise<void> {
  await connected?.end({ timeout: 2 });
  connected = undefined;
  database = undefined;
}
