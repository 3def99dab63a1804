import { describe, expect, it } from 'vitest';
import * as z from '$core/text/zod';
import { bodyOf, found, hostName, idOf, isLoopback, sameOrigin } from './http';

const request = (headers: Record<string, string>, body?: string): Request =>
  new Request('http://127.0.0.1:4710/api/shows', { method: 'POST', headers, body });
/** Status and message that a handler would answer with. */
async function refusal(run: () => unknown): Promise<{ status: number; message: string }> {
  try {
    await run();
  } catch (error) {
    const { status, body } = error as { status: number; body: { message: string } };
    return { status, message: body.message };
  }
  throw new Error('not refused');
}

describe('who may change something', () => {
  it.each<[Record<string, string>, boolean]>([
    [{ host: '127.0.0.1:4710', origin: 'http://127.0.0.1:4710' }, true],
    [{ host: 'localhost:4710', origin: 'http://localhost:4710' }, true],
    [{ host: '127.0.0.1:4710', origin: 'http://127.0.0.1:9999' }, false],
    [{ host: '127.0.0.1:4710', origin: 'http://elsewhere.example' }, false],
    [{ host: '127.0.0.1:4710', origin: 'null' }, false],
    [{ host: '127.0.0.1:4710', 'sec-fetch-site': 'cross-site' }, false],
    [{ host: '127.0.0.1:4710' }, true]
  ])('%o: %s', (headers, allowed) => expect(sameOrigin(request(headers))).toBe(allowed));

  it('names of this machine and no others', () => {
    const names = [
      '127.0.0.1:4710',
      'localhost',
      '[::1]:80',
      'elsewhere.example',
      '127.0.0.1.elsewhere.example:80',
      ''
    ];
    expect(names.map((n) => isLoopback(hostName(n)))).toEqual([true, true, true, false, false, false]);
  });
});

describe('what comes in', () => {
  const schema = z.strictObject({ name: z.string().check(z.minLength(1, 'a show needs a name')) });
  it('is read through its schema, or refused with field and reason', async () => {
    expect(await bodyOf(request({}, '{"name":"x"}'), schema)).toEqual({ name: 'x' });
    expect(await refusal(() => bodyOf(request({}, '{"name":""}'), schema))).toEqual({
      status: 400,
      message: 'name: a show needs a name'
    });
    expect(await refusal(() => bodyOf(request({}, '{'), schema))).toEqual({
      status: 400,
      message: 'The request is not JSON.'
    });
    expect((await refusal(() => bodyOf(request({}, '[]'), schema))).message).toMatch(/^body: /);
    expect((await refusal(() => bodyOf(request({}, '{"name":"x","more":1}'), schema))).status).toBe(400);
  });
  it('an address that cannot be a show is not looked up', async () => {
    expect(idOf('0e3f7b9a-1111-4222-8333-444455556666')).toHaveLength(36);
    for (const bad of ['', 'x', "' or 1=1 --", '0e3f7b9a-1111-4222-8333-44445555666', '../etc'])
      expect(await refusal(() => idOf(bad))).toMatchObject({ status: 404 });
    expect(found({ a: 1 })).toEqual({ a: 1 });
    for (const nothing of [undefined, null, false] as const)
      expect(await refusal(() => found(nothing))).toMatchObject({ status: 404 });
  });
});
