import { describe, expect, it } from 'vitest';
import { analyse } from '../sound/analyse';
import { exampleOf } from '../sound/examples';
import { readWav } from '../sound/wav';
import { SOUNDS } from '../trace/hypotheses';
import { heardText, wavFaultText } from './sound';
import { SOUND_TEXTS } from './tracing';

describe('a recording in words', () => {
  it('names what is heard, with its frequency where it has one', () => {
    for (const sound of SOUNDS) {
      const text = heardText(analyse(exampleOf(sound, 50, 48_000, 4), 48_000));
      expect(text.toLowerCase()).toContain(SOUND_TEXTS[sound].toLowerCase());
      expect(text).toMatch(/^[A-Z].*\.$/);
    }
    expect(heardText(analyse(exampleOf('hum', 60, 48_000, 4), 48_000)).replaceAll('\u202f', ' ')).toBe(
      'A deep hum of 60.00 Hz.'
    );
    expect(heardText(analyse(exampleOf('whine', 50, 48_000, 4), 48_000))).toMatch(/A whine at 7\.[89]/);
    expect(heardText({ heard: [], mains: { hz: 0, harmonics: [], clear: 0 }, whines: [] })).toBe(
      'There is next to nothing in it.'
    );
  });
  it('says of every file that cannot be read why, and what to do where there is something', () => {
    const faults = [
      { code: 'not-wav' },
      { code: 'cut-short', at: 12 },
      { code: 'no-format' },
      { code: 'no-samples' },
      { code: 'compressed', tag: 85 },
      { code: 'format', field: 'rate', got: 7 }
    ] as const;
    expect(new Set(faults.map(wavFaultText)).size).toBe(faults.length);
    for (const fault of faults) expect(wavFaultText(fault)).toMatch(/\.$/);
    const read = readWav(new TextEncoder().encode('ID3 something else').buffer as ArrayBuffer);
    expect(read.ok ? '' : wavFaultText(read.fault)).toContain(
      'This is no recording that can be read here. Save it as WAV.'
    );
  });
});
