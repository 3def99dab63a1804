import type { OwnModel } from '$core/plan/schema';
import { nameKey } from '$core/text/names';
import { client } from './db';

/** Models with values of one’s own belong to the crew: what was made or changed at a show is there at the next. */

/** Keeps what was made or changed at a show; the newest of a name holds. */
export async function keepOwnModels(crewId: string, showId: string, models: readonly OwnModel[]): Promise<void> {
  const rows = models.map((model) => ({ name: nameKey(model.name), model }));
  if (rows.length === 0) return;
  const newest = [...new Map(rows.map((r) => [r.name, r])).values()];
  await client()`
    insert into own_model (crew_id, name, model, show_id)
    select ${crewId}, r.name, r.model, ${showId} from jsonb_to_recordset(${JSON.stringify(newest)}::jsonb) as r(name text, model jsonb)
    on conflict (crew_id, name) do update set model = excluded.model, show_id = excluded.show_id, changed_at = now()`;
}

/** Of one class so many are offered, newest first. */
const MOST = 50;

/** @param base class that they are of */
export async function ownModelsOf(crewId: string, base: string): Promise<{ model: OwnModel; place: string }[]> {
  return client()<{ model: OwnModel; place: string }[]>`
    select o.model, s.name as place from own_model o join show s on s.id = o.show_id
    where o.crew_id = ${crewId} and o.model ->> 'base' = ${base} order by o.changed_at desc limit ${MOST}`;
}
