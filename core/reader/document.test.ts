import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { VOCABULARY } from './vocabulary';

it('the document of the grammar names every model, cable and switch that can be said', () => {
  const text = readFileSync(new URL('../../docs/say-a-line.md', import.meta.url), 'utf8').replace(/\s+/g, ' ');
  const said = VOCABULARY.filter(
    (p) => p.main && ['source', 'box', 'input', 'cable', 'instrument'].includes(p.meaning.role)
  );
  for (const { text: phrase } of said) expect(text).toContain(`\`${phrase}\``);
  expect(said.length).toBeGreaterThan(60);
});
