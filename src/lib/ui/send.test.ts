import { afterEach, describe, expect, it, vi } from 'vitest';
import { send } from './send';

const answer = (status: number, body: string) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(body, { status })))
  );
afterEach(() => vi.unstubAllGlobals());

describe('a change that is sent', () => {
  it('goes as JSON, and brings back what the server says', async () => {
    answer(200, '{"id":"x"}');
    expect(await send('POST', '/api/shows', { name: 'A' })).toEqual({ ok: true, answer: { id: 'x' } });
    expect(fetch).toHaveBeenCalledWith('/api/shows', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"name":"A"}'
    });
  });
  it('an answer without a body is an answer', async () => {
    answer(200, '');
    expect(await send('DELETE', '/api/shows/1')).toEqual({ ok: true, answer: {} });
  });
  it('a refusal says why, field by field', async () => {
    answer(400, '{"message":"Not so.","faults":["name: too long"]}');
    expect(await send('POST', '/x', {})).toEqual({
      ok: false,
      status: 400,
      message: 'Not so.',
      faults: ['name: too long']
    });
  });
  it('a fault of the server names its place in the log', async () => {
    answer(500, '{"message":"That went wrong.","id":"7f"}');
    expect(await send('POST', '/x')).toMatchObject({ ok: false, status: 500, message: 'That went wrong. (log 7f)' });
  });
  it('an answer that is no JSON is still a refusal in words', async () => {
    answer(502, '<html>gateway</html>');
    expect(await send('POST', '/x')).toMatchObject({ ok: false, status: 502, message: 'That did not work.' });
  });
  it('a server that is away is told, never thrown', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('failed')))
    );
    expect(await send('POST', '/x')).toMatchObject({ ok: false, status: 0 });
  });
});
