import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js';
import { migrate } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import * as tables from './schema';
import * as auth from './schema-auth';

const schema = { ...tables, ...auth };

export type Db = PostgresJsDatabase<typeof schema>;

let client: postgres.Sql | undefined;
let database: Db | undefined;

/** The database this process talks to, connected on first use. */
export function db(): Db {
  if (!database) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set. Start with npm start, which sets it.');
    client = postgres(url, { max: 8, onnotice: () => {}, connect_timeout: 10 });
    database = drizzle(client, { schema });
  }
  return database;
}

/** Calls back for every message on a channel of the database, from whichever server it comes. @returns ends it */
export async function listen(channel: string, told: (message: string) => void): Promise<() => Promise<void>> {
  db();
  const { unlisten } = await client!.listen(channel, told);
  return unlisten;
}

/** Tells all servers on this database. */
export const notify = (channel: string, message: string): Promise<unknown> => {
  db();
  return client!.notify(channel, message);
};

/** Any number, as long as nothing else on the database locks the same. */
const STARTING = 7_016_321;

/** Brings the schema up to date, one server at a time. Migrations are read from the folder the server was started in. */
export async function migrateDb(): Promise<void> {
  db();
  const alone = await client!.reserve();
  try {
    await alone`select pg_advisory_lock(${STARTING})`;
    await migrate(db(), { migrationsFolder: 'drizzle' });
  } finally {
    await alone`select pg_advisory_unlock(${STARTING})`.catch(() => undefined);
    alone.release();
  }
}

export async function closeDb(): Promise<void> {
  await client?.end({ timeout: 2 });
  client = undefined;
  database = undefined;
}
