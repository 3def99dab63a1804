import { OpSchema } from '$core/plan/schema';
import type { Candidate } from './candidates';
import * as z from '$core/text/zod';

/** What another page wants to have heard: an option, a cure; it goes along in this window, and outlives a reload. */

const HandedSchema = z
  .array(z.strictObject({ name: z.string().check(z.maxLength(300)), ops: z.array(OpSchema) }))
  .check(z.maxLength(5));
export type Handed = z.infer<typeof HandedSchema>[number];

const keyOf = (show: string, line: string): string => `hear:${show}:${line}`;

/** @returns where it is heard */
export function handOver(show: string, line: string, some: readonly Handed[]): string {
  try {
    sessionStorage.setItem(keyOf(show, line), JSON.stringify(some));
  } catch {
    // A window that keeps nothing opens the line without them.
  }
  return `/show/${show}/listen?line=${line}`;
}

export function handedOver(show: string, line: string): Candidate[] {
  try {
    const read = HandedSchema.safeParse(JSON.parse(sessionStorage.getItem(keyOf(show, line)) ?? '[]'));
    return (read.data ?? []).map(({ name, ops }, k) => ({ key: `handed ${k}`, name, through: { kind: 'line', ops } }));
  } catch {
    return [];
  }
}
