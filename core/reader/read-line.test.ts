import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineSpec } from '../tests/arbitrary';
import { sayFaultText } from '../words/faults';
import { complete } from './complete';
import { readLine } from './read-line';
import { tellLine } from './write-line';

const supplies = { supplies: [{ id: 'left', name: 'Stage left' }] };
const spec = (text: string) => {
  const reading = readLine(text, supplies);
  if (!reading.spec)
    throw new Error(`${text}: ${reading.faults.map(sayFaultText).join(' ')} ${reading.missing.join()}`);
  return reading.spec;
};

describe('a line in words', () => {
  const bass = {
    name: 'Upright bass',
    source: { model: 'piezo', settings: {} },
    lead: { kind: 'instrument', metres: 3 },
    box: { model: 'active-di', settings: {} },
    run: { kind: 'multicore', metres: 40 },
    input: { model: 'mic-in', settings: { phantom: 'on' } }
  };
  it.each([
    'upright bass piezo, 3 m, active DI, 40 m, mic',
    'upright bass piezo 3 m active DI 40 m mic',
    'Upright bass: piezo, 3 m, active DI, 40 m multicore, mic, phantom on',
    'upright bass, mic, 40 m run, active di, 3 m lead',
    'active DI, upright bass with a piezo, 3 m lead, 40 m run into mic',
    'upright bass piezo, lead 3 m, active, run 40 m, microphone'
  ])('%s', (text) => expect(spec(text)).toMatchObject(bass));

  it('reads switches, values, couplers, channel, supply, exposure', () => {
    expect(
      spec('Lead guitar: humbucker (R 9k, C 200p), 20 ft 2 couplers, active DI pad 20 lifted, 15 m, mic 7, exposed')
    ).toMatchObject({
      name: 'Lead guitar',
      channel: 7,
      exposure: 'lead',
      source: { model: 'humbucker', settings: { R: 9000, C: 200e-12 } },
      lead: { metres: 6.096, couplers: 2 },
      box: { settings: { pad: '20', lift: 'lifted' } },
      run: { kind: 'mic', metres: 15 }
    });
    expect(spec('theremin wall-wart on Stage left, 5 m, 40 m, line 5')).toMatchObject({
      source: { model: 'line-unbalanced', settings: { instrument: 'theremin', feed: 'mains-2' }, supply: 'left' },
      box: null,
      channel: 5
    });
    expect(spec('single coil (no eddy), 500 pF, resistor 10k')).toMatchObject({
      source: { settings: { eddy: 'off' } },
      lead: { metres: expect.closeTo(500 / 110, 9) }
    });
    expect(spec('piezo, 2 m, active DI 10M, 20 m, mic').box!.model).toBe('active-di-10m');
    expect(spec('cue laptop, 2 m, media DI, 20 m, mic').lead!.kind).toBe('mini');
  });

  it('keeps the pad of an input apart from the words “mic input”', () => {
    expect(spec('piezo, 3 m, mic padded').input.settings.pad).toBe('20');
    expect(spec('piezo, 3 m, mic, input pad').input.settings.pad).toBe('20');
  });

  it('names what it does not understand, where, and what it might be', () => {
    const { faults, spec: none, pieces } = readLine('piezo, 3 m, actve box, 40 m, mic');
    expect(none).toBeNull();
    expect(faults).toMatchObject([
      { code: 'unknown', piece: { text: 'actve', from: 12, to: 17 } },
      { code: 'unknown' }
    ]);
    expect(faults[0]).toMatchObject({ suggestions: expect.arrayContaining(['active DI']) });
    expect(pieces.length).toBeGreaterThan(4);
    const first = (text: string) => readLine(text).faults[0];
    expect(first('piezo, 3 m, mic, line')).toMatchObject({ code: 'twice' });
    expect(first('piezo (C 3 kg), 3 m, mic')).toMatchObject({ code: 'bad-value' });
    expect(first('piezo (Q 3), 3 m, mic')).toMatchObject({
      code: 'no-such-setting',
      known: expect.arrayContaining(['C'])
    });
    expect(first('piezo, 900 m, mic')).toMatchObject({ code: 'too-long' });
    expect(first('piezo, 3 m, mic, lifted')).toMatchObject({ code: 'nothing-to-set', needs: 'box' });
    expect(readLine('piezo, 3 m').missing).toEqual(['input']);
    expect(readLine('').missing).toEqual(['source', 'input']);
  });

  it('is told back so that it reads as the same line', () =>
    fc.assert(
      fc.property(lineSpec, (any) => {
        const told = tellLine(any, supplies);
        const again = readLine(told, supplies);
        expect(again.faults.map(sayFaultText), told).toEqual([]);
        expect(tellLine(again.spec!, supplies)).toBe(told);
        expect(again.spec!.source, told).toEqual(any.source);
        expect(again.spec!.lead, told).toEqual(any.lead);
        expect(again.spec!.run, told).toEqual(any.run);
        expect(again.spec!.box, told).toEqual(any.box);
        expect({ ...again.spec!.input.settings, phantom: 0 }, told).toEqual({ ...any.input.settings, phantom: 0 });
      }),
      { numRuns: 300 }
    ));

  it('never throws, whatever is typed', () =>
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc
            .array(
              fc.constantFrom(
                'piezo',
                '3 m',
                ',',
                '(',
                'R',
                '4k7',
                'active DI',
                'mic',
                ':',
                '−',
                '600 pF',
                'run',
                '12'
              ),
              { maxLength: 12 }
            )
            .map((w) => w.join(' '))
        ),
        (text) => {
          const reading = readLine(text, supplies);
          reading.faults.forEach((f) => expect(sayFaultText(f)).not.toContain('undefined'));
          complete(text, text.length, reading);
        }
      ),
      { numRuns: 500 }
    ));

  it('offers what may come next', () => {
    const offer = (text: string) => complete(text, text.length, readLine(text)).map((o) => o.text);
    expect(offer('upri')).toContain('upright bass');
    expect(offer('piezo, 3 m, act')[0]).toBe('active DI');
    expect(offer('piezo, 3 m, active DI, 40 m, mi')).toContain('mic');
    expect(offer('piezo, 3')).toEqual([]);
    const [option] = complete('piezo, pas', 10, readLine('piezo, pas'));
    expect(option).toMatchObject({ from: 7, to: 10 });
  });
});
