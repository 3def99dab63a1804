import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FactsSchema } from './entry';
import { readTypedEntry } from './typed';

const LINES = [
  { id: 'l1', name: 'Cello', channel: 7 },
  { id: 'l2', name: 'Bass', channel: 1 },
  { id: 'l3', name: 'Bass amp', channel: 2 },
  { id: 'l4', name: 'Keys L', channel: 9 },
  { id: 'l5', name: 'Keys R', channel: 10 },
  { id: 'l6', name: 'Hammered dulcimer', channel: 11 }
];

describe('what somebody types into the log', () => {
  it.each([
    ['take 4 good', { take: 4, marks: ['good'] }],
    ['Harbour take 4 good, click at 1:20', { song: 'Harbour', take: 4, marks: ['good', 'noise'], timecode: '1:20' }],
    ['t12 false start', { take: 12, marks: ['false start'] }],
    ['3rd take was the best', { take: 3, marks: ['best'] }],
    ['tk 2 not good', { take: 2 }],
    ['tk 2 no hum, clipped', { take: 2, marks: ['clipped'] }],
    [
      'song: Low Water, take #7 broke down? breakdown in the bridge',
      { song: 'Low Water', take: 7, marks: ['breakdown'] }
    ],
    ['“Night Train” take 1', { song: 'Night Train', take: 1 }],
    ['hum in take 3', { take: 3, marks: ['hum'] }],
    ['best of take 5', { take: 5, marks: ['best'] }],
    ['hum back on the bass amp', { lines: ['l3'] }],
    ['bass amp and cello swapped', { lines: ['l3', 'l1'] }],
    ['ch 9-10 too hot', { lines: ['l4', 'l5'] }],
    ['channel 7 dead', { lines: ['l1'] }],
    ['dropout at 01:02:03:04', { timecode: '01:02:03:04' }],
    ['hammer fell on the dulcimer', { lines: ['l6'] }],
    ['keys off', {}],
    ['good night', {}],
    ['bassoon player is late', {}]
  ])('%s', (text, facts) => expect(readTypedEntry(text, LINES).facts).toEqual(facts));

  it('a tag is no channel and a channel no tag; words before a number are not its unit', () => {
    expect(readTypedEntry('#battery swapped on #7', LINES)).toEqual({
      kind: 'note',
      tags: ['battery'],
      facts: { lines: ['l1'] }
    });
    expect(readTypedEntry('gain 31', LINES).facts).toEqual({});
    expect(readTypedEntry('t4 12 dB too hot', LINES).facts.take).toBe(4);
  });

  it('the line that was open counts where none is named, and never for a take', () => {
    expect(readTypedEntry('hum is back', LINES, 'l1').facts.lines).toEqual(['l1']);
    expect(readTypedEntry('hum is back on bass', LINES, 'l1').facts.lines).toEqual(['l2']);
    expect(readTypedEntry('take 2', LINES, 'l1').facts.lines).toBeUndefined();
  });

  it('whatever is typed is read, into what can be stored', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.string({ unit: 'binary', maxLength: 20 }),
            fc.constantFrom('take', '4', '#', ':', '1:20', 'ch', 'Bass', '“', 'song', '-')
          )
        ),
        (words) => {
          const { facts, tags } = readTypedEntry(words.join(' '), LINES);
          // What cannot be stored has been cleaned out before it is read.
          if (words.join('').isWellFormed?.() ?? true)
            expect(FactsSchema.safeParse({ ...facts, song: undefined }).success).toBe(true);
          expect(tags.length).toBeLessThanOrEqual(12);
        }
      )
    ));
});
