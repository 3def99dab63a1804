import { todaysId } from '../gear/renamed';

/**
 * Plans, own models, kits and edits of version 1, in today's ids. What is not of version 1 comes back as it is; what is no such thing
 * at all too, to be refused by the schema with its reason.
 */

/** Fields that hold the id of a model. */
const HOLDS_MODEL: ReadonlySet<string> = new Set(['model', 'base']);

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Any JSON with the ids of models in it as they are today; a step of an edit that sets one included. */
export function withTodaysIds(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withTodaysIds);
  if (!isObject(value)) return value;
  const out: Record<string, unknown> = {};
  const sets = Array.isArray(value.path) && value.path.length === 1 && HOLDS_MODEL.has(String(value.path[0]));
  for (const [key, item] of Object.entries(value)) {
    const holds = typeof item === 'string' && (HOLDS_MODEL.has(key) || (sets && (key === 'from' || key === 'to')));
    out[key] = holds ? todaysId(item) : withTodaysIds(item);
  }
  return out;
}

/** A plan of any version as one of today's. */
export function upgradePlan(raw: unknown): unknown {
  if (!isObject(raw) || raw.format !== 'guanxi-plan' || raw.version !== 1) return raw;
  return { ...(withTodaysIds(raw) as object), version: 2 };
}
