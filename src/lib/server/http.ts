import { server as says } from '$core/words/server';
import { error } from '@sveltejs/kit';
import type * as z from '$core/text/zod';

/** Names under which this machine calls itself. */
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]', '::1']);
export const isLoopback = (host: string): boolean => LOOPBACK.has(host);

/** Nothing but its own machine reaches this server: it listens there alone, and nothing in front of it lets others in. */
export const isForThisMachine = (): boolean => isLoopback(process.env.HOST ?? '') && !process.env.PUBLIC_ORIGIN;

/** Host name of a `Host` header, without its port. */
export const hostName = (header: string): string => header.replace(/:\d+$/, '');

/** Whether a request that changes something came from a page of our own. */
export function sameOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  // No origin: not a browser. A browser always sends one with such a request.
  if (origin === null) return request.headers.get('sec-fetch-site') === null;
  try {
    const set = process.env.PUBLIC_ORIGIN;
    if (set && new URL(set).origin === origin) return true;
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** Reads a JSON body through a schema; 400 with the field and the reason when it does not fit. */
export async function bodyOf<T extends z.ZodMiniType>(request: Request, schema: T): Promise<z.infer<T>> {
  let raw: unknown;
  try {
    raw = await request.json();
  } catch (cause) {
    // The server's own limit on a body speaks up while it is being read.
    if ((cause as { status?: number }).status === 413) error(413, says.thatIsTooLarge1Mb);
    error(400, says.theRequestIsNotJson);
  }
  const parsed = parse(schema, raw);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  error(400, `${issue.path.join('.') || 'body'}: ${issue.message}`);
}

/** What is asked for in the address, through a schema; what is left empty is not asked for. */
export function askOf<T extends z.ZodMiniType>(url: URL, schema: T): z.infer<T> {
  const parsed = schema.safeParse(Object.fromEntries([...url.searchParams].filter(([, value]) => value !== '')));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  error(400, `${issue.path.join('.')}: ${issue.message}`);
}

function parse<T extends z.ZodMiniType>(schema: T, raw: unknown) {
  try {
    return schema.safeParse(raw);
  } catch (cause) {
    // Thousands of brackets in one another run the checker out of stack.
    if (cause instanceof RangeError) error(400, says.theRequestIsNestedTooDeeply);
    throw cause;
  }
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
/** An id from the address; 404 when it cannot be one. */
export function idOf(text: string): string {
  if (!UUID.test(text)) error(404, says.thereIsNoSuchShow);
  return text;
}
export function found<T>(value: T | undefined | null | false): T {
  if (!value) error(404, says.thereIsNoSuchShowIt);
  return value as T;
}
/** A whole number from the address; 400 when it is none. */
export function numberOf(url: URL, name: string): number {
  const text = url.searchParams.get(name) ?? '';
  if (!/^\d{1,9}$/.test(text)) error(400, says.aWholeNumberIsWanted(name));
  return Number(text);
}

/** Heads of an answer that is a file, called after what is in it. @param end of the file's name */
export function fileHeads(
  name: string,
  end: string,
  type: string,
  how: 'attachment' | 'inline' = 'attachment'
): Record<string, string> {
  const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return { 'content-type': type, 'content-disposition': `${how}; filename*=UTF-8''${encodeURIComponent(file)}.${end}` };
}
