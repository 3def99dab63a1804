import { describe, expect, it } from 'vitest';
import { PHRASES } from '../../tests/phrases/phrases';
import { readTrade } from './read';

const DIS = new Set(['passive-di', 'passive-di-economy', 'active-di', 'active-di-10m']);

/** What of a phrase was read otherwise than it is meant; null where all is right. */
function wrong(text: string, wanted: string): string | null {
  const [lines, source, boxes, input, metres, settings, channel] = wanted.split('|');
  const { specs, said, metres: length } = readTrade(text);
  if (specs.length !== Number(lines)) return `${specs.length} lines`;
  for (const spec of specs) {
    const list = [...(spec.box ? [spec.box] : []), ...(spec.more ?? []).map((m) => m.box)].map((b) => b.model);
    const want = boxes === '-' ? [] : boxes.split(',');
    if (spec.source.model !== source) return `source ${spec.source.model}`;
    if (list.length !== want.length || !want.every((w, k) => w === list[k] || (w === 'di' && DIS.has(list[k]))))
      return `boxes ${list.join()}`;
    if (input !== '?' && spec.input.model !== input) return `input ${spec.input.model}`;
  }
  if (metres !== '-' && !(Math.abs((length ?? 0) - Number(metres)) < 0.11)) return `${length} m`;
  for (const pair of settings === '-' ? [] : settings.split(';')) {
    const [key, value] = pair.split('=');
    if (String(said[key]) !== value) return `${key} ${said[key]}`;
  }
  return channel !== '-' && specs[0].channel !== Number(channel) ? `channel ${specs[0].channel}` : null;
}

describe('phrases of engineers', () => {
  it('are read as they are meant', () => {
    const misses = PHRASES.flatMap(([text, wanted]) => {
      const why = wrong(text, wanted);
      return why ? [`${text}  ->  ${why}`] : [];
    });
    expect(misses).toEqual([]);
  });
});
