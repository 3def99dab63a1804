import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type AST, parse } from 'svelte/compiler';
import { describe, expect, it } from 'vitest';

/** Attributes that people read or hear. */
const READ = new Set(['title', 'placeholder', 'alt', 'aria-label', 'aria-valuetext', 'label', 'hint', 'text']);
const LETTERS = /\p{L}{2,}/u;

const components = (readdirSync('src', { recursive: true }) as string[]).filter((f) => f.endsWith('.svelte'));

/** What of a component is written out in it and would be read by people. */
export function writtenOut(source: string): string[] {
  const found: string[] = [];
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(visit);
    if (typeof node !== 'object' || node === null) return;
    const { type, name } = node as { type?: string; name?: string };
    if (type === 'Text' && LETTERS.test((node as AST.Text).data)) found.push((node as AST.Text).data.trim());
    if (
      type === 'StyleSheet' ||
      type === 'StyleDirective' ||
      (type === 'RegularElement' && (name === 'style' || name === 'script'))
    )
      return;
    if (type === 'Attribute') {
      const { value } = node as AST.Attribute;
      if (!READ.has(name ?? '') && value !== true && Array.isArray(value)) return;
    }
    Object.entries(node).forEach(([key, value]) => key !== 'expression' && visit(value));
  };
  visit(parse(source, { modern: true }).fragment);
  return found;
}

describe('text that people read stands in core/words', () => {
  it('is found where it is written out', () => {
    expect(writtenOut('<p class="flex">Save <b title="Now">{x}</b></p>')).toEqual(['Save', 'Now']);
    expect(writtenOut('<p class="flex big">{says.save}</p>{#if a}<i>·</i>{/if}')).toEqual([]);
  });
  it('and nowhere in a component', () => {
    expect(components.length).toBeGreaterThan(50);
    const found = components.map((file) => [file, writtenOut(readFileSync(join('src', file), 'utf8'))] as const);
    expect(found.filter(([, texts]) => texts.length > 0)).toEqual([]);
  });
});
