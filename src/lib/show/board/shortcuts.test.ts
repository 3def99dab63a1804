import { readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { type Actions, bindings, SHORTCUTS } from './shortcuts';

describe('shortcuts', () => {
  it('no key does two things, and each is listed or belongs to one that is', () => {
    const keys = Object.values(SHORTCUTS).flatMap((s) => [...s.keys]);
    expect(new Set(keys).size).toBe(keys.length);
    for (const [id, { shown, text }] of Object.entries(SHORTCUTS))
      if (id !== 'down') expect([id, shown.length > 0, text.length > 3]).toEqual([id, true, true]);
  });
  it('the README has them all', () => {
    const readme = readFileSync('README.md', 'utf8');
    const table = readme.slice(readme.indexOf('## Keys'), readme.indexOf('## Where data lives'));
    for (const { shown } of Object.values(SHORTCUTS))
      for (const key of shown.length > 1 && shown[0] === 'Ctrl' ? [shown.join(' ')] : shown)
        expect(table).toContain(`\`${key}\``);
  });
  it('does what its key says, told which, and nothing while somebody types', () => {
    const heard: string[] = [];
    const actions = new Proxy({} as Actions, { get: (_, id) => (key: string) => heard.push(`${String(id)} ${key}`) });
    const bound = bindings(actions);
    const event = (tag: string) =>
      ({
        preventDefault: vi.fn(),
        target: {
          closest: () => (tag === 'INPUT' ? {} : null),
          tagName: tag,
          matches: () => tag === 'INPUT',
          isContentEditable: false
        }
      }) as never;
    vi.stubGlobal('HTMLElement', Object);
    vi.stubGlobal('Element', Object);
    bound['3'](event('DIV'));
    bound.w(event('DIV'));
    expect(heard).toEqual(['remedy 3', 'compare w']);
    bound.w(event('INPUT'));
    expect(heard).toHaveLength(2);
    bindings(actions, () => true).w(event('DIV'));
    expect(heard).toHaveLength(2);
    vi.unstubAllGlobals();
  });
});
