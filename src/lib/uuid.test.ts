import { afterEach, expect, it, vi } from 'vitest';
import * as z from '$core/text/zod';
import { uuid } from './uuid';

afterEach(() => vi.unstubAllGlobals());

it('ids are what the server takes for ids, with and without the browser’s own generator, and no two alike', () => {
  const secure = Array.from({ length: 100 }, uuid);
  const { getRandomValues } = crypto;
  vi.stubGlobal('crypto', { getRandomValues: getRandomValues.bind(crypto) });
  const plain = Array.from({ length: 100 }, uuid);
  for (const id of [...secure, ...plain]) {
    expect(z.uuid().safeParse(id).success).toBe(true);
    expect(id[14]).toBe('4');
    expect('89ab').toContain(id[19]);
  }
  expect(new Set([...secure, ...plain]).size).toBe(200);
});
