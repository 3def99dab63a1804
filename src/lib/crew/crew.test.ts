import { uuid } from '$lib/uuid';
import { afterEach, describe, expect, it, vi } from 'vitest';
import * as z from '$core/text/zod';
import { deviceName } from './agent';
import { atLeast, type Rank, ROLE_NAMES, ROLE_SAYS, ROLES } from './roles';
import { NameSchema, RoleSchema, SwitchSchema, TokenSchema } from './wire';

afterEach(() => vi.unstubAllGlobals());

describe('roles', () => {
  it('each may do what those before it may, and none what those behind it may', () => {
    const order: Rank[] = ['guest', ...ROLES];
    order.forEach((have, k) => order.forEach((needed, n) => expect(atLeast(have, needed)).toBe(k >= n)));
    for (const role of ROLES) expect([ROLE_NAMES[role].length > 3, ROLE_SAYS[role].length > 10]).toEqual([true, true]);
  });
});

describe('what travels about people', () => {
  it('is refused when it is not what it should be', () => {
    expect(NameSchema.safeParse({ name: '  Mira ' })).toMatchObject({ success: true, data: { name: 'Mira' } });
    for (const name of ['', '   ', 'x'.repeat(61), 7]) expect(NameSchema.safeParse({ name }).success).toBe(false);
    expect(NameSchema.safeParse({ name: 'Mira', role: 'owner' }).success).toBe(false);
    for (const role of ROLES) expect(RoleSchema.safeParse({ role }).success).toBe(true);
    for (const role of ['guest', 'admin', '']) expect(RoleSchema.safeParse({ role }).success).toBe(false);
    expect(TokenSchema.safeParse({ token: 'x'.repeat(101) }).success).toBe(false);
    expect(SwitchSchema.safeParse({ crewId: 'all' }).success).toBe(false);
  });
});

it('a device is told by what its browser says, and is only a device when that says nothing', () => {
  const agents: readonly [string, string][] = [
    [
      'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Mobile/15E148 Safari/604.1',
      'iPhone, Safari'
    ],
    [
      'Mozilla/5.0 (Linux; Android 14; X) AppleWebKit/537.36 Chrome/120.0 Mobile Safari/537.36',
      'Android phone, Chrome'
    ],
    ['Mozilla/5.0 (Linux; Android 14; X) AppleWebKit/537.36 Chrome/120.0 Safari/537.36', 'Android tablet, Chrome'],
    [
      'Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 Chrome/120.0 Safari/537.36 Edg/120.0',
      'Windows, Edge'
    ],
    ['Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0', 'Linux, Firefox'],
    ['curl/8', 'A device']
  ];
  for (const [agent, name] of agents) expect(deviceName(agent)).toBe(name);
  expect(deviceName(null)).toBe('A device');
});

it('ids are ids, also on a page without the browser’s own generator, and never the same', () => {
  const { getRandomValues } = crypto;
  vi.stubGlobal('crypto', { getRandomValues: getRandomValues.bind(crypto) });
  const made = Array.from({ length: 500 }, uuid);
  expect(new Set(made).size).toBe(500);
  for (const id of made) expect(z.uuid().safeParse(id).success).toBe(true);
  vi.unstubAllGlobals();
  expect(z.uuid().safeParse(uuid()).success).toBe(true);
});
