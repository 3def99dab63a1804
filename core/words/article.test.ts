import { expect, it } from 'vitest';
import { MODELS } from '../gear/catalogue';
import { article } from './article';
import { modelName } from './names';

it.each([
  ['active DI', 'an'],
  ['interface output', 'an'],
  ['XLR plug', 'an'],
  ['RCA lead', 'an'],
  ['unbalanced line output', 'an'],
  ['uninterrupted supply', 'an'],
  ['8 Ω load', 'an'],
  ['ribbon microphone', 'a'],
  ['unity gain', 'a'],
  ['USB lead', 'a'],
  ['one-to-one transformer', 'a'],
  ['80 Hz filter', 'an'],
  ['1:1 isolator', 'a']
])('%s: %s', (noun, wanted) => expect(article(noun)).toBe(`${wanted} ${noun}`));

it('every class of gear has an article that can be read aloud', () => {
  for (const { id } of MODELS) expect(article(modelName(id))).toMatch(/^an? \S/);
});
