import { sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { person } from './schema';

/** Who made a row, beside which `person` is joined: by the name of that time, else by today's; null where nobody is known. */
export const madeByName = (madeBy: AnyPgColumn) => sql<string | null>`coalesce(${madeBy}, ${person.name})`;
