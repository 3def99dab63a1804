import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CODES, type Code, type Fact, type Finding, fact, type Severity } from '../judge/types';
import { editFaultText, editText, loadFaultText, unitFaultText } from './faults';
import { measure, sentence, short, verdict } from './findings';
import { beside } from './findings/parts';
import { HUM_KINDS } from '../rig/hum-domain';
import { WIRINGS } from '../plan/schema';
import { codeName } from './codes';
import { choiceName, HUM_NAMES, partName } from './names';
import { changedText, openElsewhereText } from './live';
import { remedyText } from './remedies';
import { why } from './why';

/** Thin spaces read as spaces here, so that the sentences can be read. */
const plain = (text: string): string => text.replaceAll('\u202F', ' ');
const finding = (
  code: Code,
  severity: Severity,
  value: number,
  because: Fact[] = [],
  limit: number | null = null
): Finding => ({
  code,
  check: CODES[code],
  at: 0,
  severity,
  value,
  unit: 'dB',
  limit,
  because
});
const model = fact('model', 'id', 'passive-di');
const level = [fact('peak', 'dBu', 20.2), fact('clip', 'dBu', 9), model, fact('lowest', 'frequency', 41.2)];
const gain = [
  fact('arrives', 'level', 0.01),
  fact('gainMin', 'gain', 10),
  fact('gainMax', 'gain', 60),
  fact('model', 'id', 'mic-in')
];
const load = [fact('zin', 'resistance', 2000), fact('zout', 'resistance', 700), fact('loss', 'gain', -2.6)];
const response = [fact('at', 'frequency', 100), fact('source', 'id', 'piezo')];
const heard = (db: number, rule = 0): Fact[] => [
  fact('heard', 'gain', db),
  fact('room', 'id', 'theatre'),
  fact('rule', 'count', rule)
];
const loop = [fact('names', 'id', 'Annex and Stage left'), ...heard(-12)];

/** Every code with its sentence and its few words. */
const SAID: Record<Code, [Finding, string, string]> = {
  'hum-unknown': [
    finding('hum-unknown', 'care', 0),
    'Hum could not be computed here: the grounds of the rig have no unique solution.',
    'hum not computed'
  ],
  'channel-twice': [
    finding('channel-twice', 'care', 2, [fact('channel', 'count', 12), fact('names', 'id', 'Theremin')]),
    'Channel 12 is used twice: Theremin is on it too.',
    'channel twice'
  ],
  'half-balanced': [
    finding('half-balanced', 'care', 6, [fact('model', 'id', 'line-balanced')]),
    'One leg of the professional line output is not connected: 6 dB less signal, and no rejection of hum.',
    'half balanced'
  ],
  'outputs-joined': [
    finding('outputs-joined', 'stop', 20, [fact('source', 'id', 'headphone')]),
    'Left and right are twisted together: each output of the headphone jack drives the other through 20 Ω.',
    'outputs joined'
  ],
  'box-as-adapter': [
    finding('box-as-adapter', 'care', 0, [model, fact('source', 'id', 'line-balanced')]),
    'The passive DI only changes the plug here: a professional line output is balanced and low-impedance already.',
    'DI as adapter'
  ],
  'contacts-swapped': [
    finding('contacts-swapped', 'note', 0),
    'Hot and cold are swapped: the polarity is inverted.',
    'swapped'
  ],
  'bridged-output': [
    finding('bridged-output', 'danger', 0, [fact('model', 'id', 'power-amp')]),
    'Both terminals of the bridged power amplifier are live, and this connection grounds one of them.',
    'bridged, grounded'
  ],
  'wrong-cable': [
    finding('wrong-cable', 'care', 0, [fact('kind', 'id', 'instrument')]),
    'Loudspeaker level runs on a jack lead: too thin, and it can catch fire or break the amplifier.',
    'wrong cable'
  ],
  'no-trim': [
    finding('no-trim', 'care', -6, [fact('model', 'id', 'aux-in')]),
    'The aux input without a trim has no gain control: 6 dB too hot.',
    'no trim'
  ],
  'speaker-level': [
    finding('speaker-level', 'danger', 28, [fact('peak', 'dBu', 28), fact('model', 'id', 'line-in')]),
    'Loudspeaker level, peaks of +28 dBu, goes into the line input, which was not made for it.',
    'speaker level'
  ],
  'line-into-phono': [
    finding('line-into-phono', 'stop', 28, []),
    'Line level into a phono input: peaks are 28 dB over what it takes, and it is equalised for records.',
    'line into phono'
  ],
  'phono-into-line': [
    finding('phono-into-line', 'stop', 17, [fact('source', 'id', 'turntable'), fact('model', 'id', 'line-in')]),
    'The turntable cartridge goes into the line input with no phono stage: far too quiet, and tilted by 17 dB towards the treble.',
    'phono into line'
  ],
  'steps-up': [
    finding('steps-up', 'care', 19, [fact('model', 'id', 'reversed-di')]),
    'The passive DI used backwards does not lower the level: it raises it by 19 dB.',
    'steps up'
  ],
  'converted-twice': [
    finding('converted-twice', 'note', 12, [fact('before', 'gain', -12)]),
    'The level is taken down by 12 dB and then up again by 12 dB.',
    'converted twice'
  ],
  'double-stops': [
    finding('double-stops', 'note', 4, [model], 6),
    'Single notes leave 4 dB of headroom at the passive DI; leave 6 dB for chords.',
    'chord headroom'
  ],
  'over-rail': [
    finding('over-rail', 'care', 9, [fact('rail', 'voltage', 3), fact('clip', 'dBu', 2.7)]),
    'On supply rails of 3 V in total the output reaches +3 dBu RMS at most; the average given is 9 dB more.',
    'over its rails'
  ],
  quiet: [finding('quiet', 'clean', 85), 'S/N is 85 dB.', 'S/N 85 dB'],
  hissy: [
    finding('hissy', 'note', 72, [fact('most', 'id', 'mic-in'), ...heard(4)]),
    'S/N is 72 dB, 4 dB below what a theatre lets you hear; most of the noise is from the microphone input.',
    'S/N 72 dB'
  ],
  'equal-impedances': [
    finding('equal-impedances', 'stop', 1.4, load),
    'Equal impedances gain nothing here: 700 Ω into 2 kΩ costs 2.5 dB.',
    'equal impedances'
  ],
  'no-load': [
    finding('no-load', 'danger', 47000, [fact('model', 'id', 'valve-amp')], 8),
    'The valve amplifier’s speaker output has no load: it sees 47 kΩ instead of 8 Ω, which can destroy its output transformer.',
    'no load'
  ],
  'cut-too-high': [
    finding('cut-too-high', 'care', -4, [fact('cut', 'frequency', 80), fact('low', 'frequency', 41)]),
    'The low cut at 80 Hz is above the lowest note: 41 Hz is 4 dB down.',
    'low cut −4 dB'
  ],
  'thru-joins': [
    finding('thru-joins', 'stop', 20, [model, ...heard(-11)]),
    'The lift of the passive DI is open, but its thru connects the two grounds anyway: hum is 20 dB below the signal, 11 dB above what a theatre hides.',
    'thru joins grounds'
  ],
  'hum-low': [
    finding('hum-low', 'clean', 90, heard(40)),
    'Hum is 90 dB below the signal, far below what a theatre lets you hear.',
    'hum −90 dB'
  ],
  hums: [
    finding('hums', 'note', 45, [fact('cause', 'id', 'winding'), ...heard(15, 1)], 50),
    'Hum is 45 dB below the signal, 15 dB below what a theatre lets you hear, but compression or a recording brings it up (rule of thumb: 50 dB); most of it comes from stray fields into a coil or core.',
    'hum −45 dB'
  ],
  'lift-no-help': [
    finding('lift-no-help', 'note', 45, [fact('cause', 'id', 'winding')]),
    'The lift does not help: this hum comes from stray fields into a coil or core, not from a ground loop.',
    'lift doesn’t help'
  ],
  'lift-leaks': [
    finding('lift-leaks', 'stop', 45, [fact('model', 'id', 'active-di'), ...heard(-14)]),
    'The lift of the active DI, 1 MΩ doesn’t isolate: hum is still 45 dB below the signal, 14 dB above what a theatre hides.',
    'lift doesn’t isolate'
  ],
  'earth-removed': [
    finding('earth-removed', 'danger', 0, [fact('model', 'id', 'line-unbalanced')]),
    'The protective earth of the unbalanced line output is missing. Stop: it can kill. Restore it before anything else.',
    'earth removed'
  ],
  'phantom-weak': [
    finding('phantom-weak', 'stop', 4, [fact('model', 'id', 'active-di')], 9),
    'Phantom is on, but only 4 V is left for the active DI, 1 MΩ.',
    'phantom weak'
  ],
  'phantom-enough': [
    finding('phantom-enough', 'clean', 12, [fact('names', 'id', 'Desk')], 60),
    'All phantom of Desk together is 12 mA of 60.',
    'phantom 12 mA'
  ],
  'phantom-spent': [
    finding('phantom-spent', 'stop', 72, [fact('names', 'id', 'Desk')], 60),
    'All phantom of Desk together would be 72 mA; it gives 60.',
    'phantom 72 mA'
  ],
  'battery-lasts': [
    finding('battery-lasts', 'clean', 125, [fact('model', 'id', 'active-di')]),
    'On battery the active DI, 1 MΩ lasts 125 hours.',
    'battery 125 h'
  ],
  'battery-short': [
    finding('battery-short', 'care', 4.2, [fact('model', 'id', 'active-di')]),
    'On battery the active DI, 1 MΩ lasts only 4.2 hours.',
    'battery 4 h'
  ],
  'plug-in-missing': [
    finding('plug-in-missing', 'stop', 0, [fact('model', 'id', 'lavalier'), fact('input', 'id', 'line-in')]),
    'The clip-on electret needs plug-in power, and the line input gives none.',
    'no plug-in power'
  ],
  'plug-fits': [
    finding('plug-fits', 'clean', 0, [fact('plug', 'id', 'xlr'), fact('socket', 'id', 'xlr')]),
    'The XLR plug goes into the XLR socket.',
    'fits'
  ],
  'plug-does-not-fit': [
    finding('plug-does-not-fit', 'stop', 1, [
      fact('plug', 'id', 'mini'),
      fact('socket', 'id', 'xlr'),
      fact('model', 'id', 'mic-in')
    ]),
    'The 3.5 mm stereo plug does not go into the microphone input, which has an XLR socket.',
    'does not fit'
  ],
  'stereo-cancels': [
    finding('stereo-cancels', 'stop', -80, [fact('model', 'id', 'mic-in')]),
    'Left and right cancel: the balanced microphone input subtracts them, and what both carry is 80 dB down.',
    'cancels'
  ],
  'right-shorted': [
    finding('right-shorted', 'care', 10),
    'The right channel is shorted to the sleeve and works into 10 Ω of its own.',
    'right shorted'
  ],
  'leg-on-shield': [
    finding('leg-on-shield', 'note', 6, [fact('model', 'id', 'line-balanced')]),
    'The plug puts the cold leg of the professional line output on its shield: one leg is left, 6 dB less.',
    'one leg only'
  ],
  balanced: [finding('balanced', 'clean', 40), 'Balanced over 40 m.', 'balanced'],
  'short-unbalanced': [finding('short-unbalanced', 'clean', 3), 'Unbalanced, but only 3 m.', '3 m unbalanced'],
  'long-unbalanced': [
    finding('long-unbalanced', 'care', 9, [], 6),
    '9 m unbalanced. The rule of thumb is 6 m at most, for the risk of radio.',
    '9 m unbalanced'
  ],
  coupled: [finding('coupled', 'care', 2), '2 couplers in this run: each is a contact that can fail.', '2 couplers'],
  headroom: [finding('headroom', 'note', 4.2, level), '4 dB of headroom at the passive DI.', '4 dB headroom'],
  clips: [
    finding('clips', 'stop', -11.2, level),
    'Peaks of +20 dBu clip the passive DI: 11 dB too much.',
    'clips +11 dB'
  ],
  'core-saturates': [
    finding('core-saturates', 'stop', -3, level),
    'Peaks saturate the core of the passive DI at 41.2 Hz: 3 dB too much.',
    'core saturates'
  ],
  gain: [finding('gain', 'clean', 30, gain), 'Needs 30 dB of gain.', 'gain 30 dB'],
  'too-quiet': [
    finding('too-quiet', 'stop', 92, gain),
    'Too quiet: it needs 92 dB of gain, and the microphone input has 60 dB.',
    'too quiet'
  ],
  'much-gain': [
    finding('much-gain', 'note', 58, gain, 55),
    'Needs 58 dB of gain, which is a lot: the rule of thumb is 55 dB at most.',
    '58 dB gain'
  ],
  'too-hot': [
    finding('too-hot', 'care', -5, gain),
    'Too hot for the microphone input: it needs −5 dB of gain, and the minimum is +10 dB.',
    'too hot'
  ],
  bridges: [finding('bridges', 'clean', 16.7, load), 'Bridging: 700 Ω into 2 kΩ, 17 times the source.', 'bridging 17×'],
  loads: [
    finding('loads', 'stop', 2.86, load),
    'The load is only 2.9 times the source: 700 Ω into 2 kΩ costs 2.5 dB.',
    'bridging 2.9×'
  ],
  'keeps-response': [
    finding('keeps-response', 'clean', -0.4, response),
    'Flat within 0.5 dB over what it plays.',
    'response −0.5 dB'
  ],
  'bass-loss': [
    finding('bass-loss', 'stop', -19.4, response),
    'The load takes the bass: 100 Hz is 19.5 dB down.',
    'bass −19.5 dB'
  ],
  'treble-loss': [
    finding('treble-loss', 'care', -6.2, response),
    'The load takes the treble: 100 Hz is 6 dB down.',
    'treble −6 dB'
  ],
  'no-loop': [finding('no-loop', 'clean', 0), 'No ground loop through this shield.', 'no loop'],
  loop: [
    finding('loop', 'stop', 48, loop),
    'A ground loop through Annex and Stage left: hum is 48 dB below the signal, 12 dB above what a theatre hides.',
    'ground loop'
  ],
  'phantom-reaches': [
    finding('phantom-reaches', 'clean', 0, [fact('model', 'id', 'active-di')]),
    'Phantom reaches the active DI, 1 MΩ.',
    'phantom on'
  ],
  'phantom-off': [
    finding('phantom-off', 'stop', 0, [fact('model', 'id', 'active-di')]),
    'The active DI, 1 MΩ needs phantom, and phantom is off.',
    'no phantom'
  ],
  'phantom-none': [
    finding('phantom-none', 'stop', 0, [fact('model', 'id', 'active-di'), fact('input', 'id', 'line-in')]),
    'The active DI, 1 MΩ needs phantom, and a line input has none.',
    'no phantom'
  ],
  'phantom-blocked': [
    finding('phantom-blocked', 'stop', 0, [fact('model', 'id', 'condenser-mic'), fact('box', 'id', 'isolator')]),
    'The condenser microphone needs phantom, and none gets through the 1:1 isolating transformer.',
    'phantom blocked'
  ],
  'phantom-on-ribbon': [
    finding('phantom-on-ribbon', 'care', 0, [fact('model', 'id', 'ribbon'), fact('jack', 'id', 'no')]),
    'Phantom is on, and the passive ribbon microphone has no use for it.',
    'phantom on ribbon'
  ],
  'battery-low': [
    finding('battery-low', 'care', 0, [fact('model', 'id', 'active-di')]),
    'The battery of the active DI, 1 MΩ is low: loud notes distort before it falls silent.',
    'battery low'
  ],
  'phantom-into-source': [
    finding('phantom-into-source', 'stop', 0, [fact('model', 'id', 'line-unbalanced')]),
    'Phantom is on and reaches the unbalanced line output, which was not made for it.',
    'phantom hits source'
  ],
  'floats-lifted': [
    finding('floats-lifted', 'care', 0, [fact('source', 'id', 'humbucker')]),
    'The ground is lifted and nothing else earths the humbucker: it is ungrounded and will buzz.',
    'ungrounded'
  ],
  unfinished: [
    finding('unfinished', 'note', 0, [fact('missing', 'id', 'input')]),
    'It does not reach an input yet.',
    'unfinished'
  ],
  unsolvable: [
    finding('unsolvable', 'stop', 0, [fact('part', 'id', 'src/R')]),
    'This line cannot be computed: something is not defined at src/R.',
    'not computed'
  ]
};

describe('findings in words', () => {
  it.each(Object.entries(SAID))('%s', (code, [f, said, few]) => {
    expect(f.code).toBe(code);
    expect(plain(sentence(f))).toBe(said);
    expect(plain(short(f))).toBe(few);
    expect(plain(measure(f)).length).toBeGreaterThan(2);
    const told = why(f);
    expect(told.formula.length).toBeGreaterThan(10);
    expect(told.reason).toMatch(/[.]$/);
    // True minus signs throughout; a hyphen before a digit would be a wrong one.
    for (const text of [sentence(f), short(f), measure(f), told.result]) expect(text).not.toMatch(/(^|[^\w])-\d/);
  });

  it('a clean loop says what it does not do, a louder one than the music says that', () => {
    expect(plain(sentence(finding('loop', 'clean', 92, loop)))).toBe(
      'Part of a ground loop, but its hum is 92 dB below the signal, 12 dB above what a theatre hides.'
    );
    expect(plain(sentence(finding('loop', 'stop', -4, loop)))).toContain(
      'A ground loop through Annex and Stage left: hum is 4 dB above the signal, 12 dB above what a theatre hides.'
    );
    expect(plain(sentence(finding('headroom', 'clean', Infinity, level)))).toBe('Nothing here clips.');
    expect(plain(sentence(finding('gain', 'clean', -3, gain)))).toBe('Needs 3 dB of attenuation.');
  });

  it('the verdict is the one thing wrong, or how many', () => {
    const [clips, quiet, care] = [SAID.clips[0], SAID['too-quiet'][0], SAID.coupled[0]];
    expect(plain(verdict({ severity: 'stop', findings: [clips, care] }))).toBe('clips +11 dB');
    expect(verdict({ severity: 'stop', findings: [clips, quiet, care] })).toBe('2 stops');
    expect(verdict({ severity: 'care', findings: [care, { ...care }] })).toBe('2 with care');
    expect(verdict({ severity: 'clean', findings: [SAID.balanced[0]] })).toBe('clean');
  });

  it('why shows formula, inputs with units, and the result against its limit', () => {
    const told = why(SAID['long-unbalanced'][0]);
    expect(plain(told.result)).toContain('against 6');
    const inputs = why(SAID.loads[0]).inputs.map((i) => `${i.name} ${plain(i.value)}`);
    expect(inputs).toEqual(['load 2 kΩ', 'source 700 Ω', 'loss −2.6 dB']);
    expect(why(SAID.loop[0]).reason).toContain('Mains earths stay connected');
  });
});

describe('a figure beside its limit', () => {
  it('is never rounded onto it', () => {
    const say = (v: number, decimals: number): string => v.toFixed(decimals);
    expect([54.4, 55, 55.4, 55.04, 55.0001, 54.9999].map((v) => beside(v, 55, say))).toEqual([
      '54',
      '55',
      '55.4',
      '55.04',
      'just over 55',
      'just under 55'
    ]);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 200, noNaN: true }), fc.integer({ min: 1, max: 200 }), (value, limit) => {
        const said = beside(value, limit, say);
        const read = Number(said.replace(/^just (?:over|under) /, ''));
        expect(value === limit || said.startsWith('just') || Math.sign(read - limit) === Math.sign(value - limit)).toBe(
          true
        );
      })
    );
  });
});

describe('other words', () => {
  it('remedies read like instructions', () => {
    const say = (...what: Parameters<typeof remedyText>[0]) => plain(remedyText(what));
    expect(say({ code: 'box', model: 'active-di-10m', instead: 'passive-di' }, { code: 'no-couplers' })).toBe(
      'Active DI, 10 MΩ instead of the passive DI, and one lead in one piece, no couplers'
    );
    expect(say({ code: 'box', model: 'active-di', instead: null }, { code: 'input', model: 'mic-in' })).toBe(
      'Put in an active DI, 1 MΩ, and into a microphone input'
    );
    expect(say({ code: 'setting', model: 'active-di', setting: 'pad', value: '20' })).toBe('Pad −20 dB at the DI');
    expect(say({ code: 'setting', model: 'passive-di', setting: 'lift', value: 'lifted' })).toBe(
      'Lift the ground at the DI'
    );
    expect(say({ code: 'setting', model: 'mic-in', setting: 'phantom', value: 'on' })).toBe(
      'Switch phantom on at the input'
    );
    expect(say({ code: 'move-box', metres: 6 })).toBe('Move the DI to within 6 m of the player');
  });
  it('faults say what is wrong and the way out', () => {
    expect(loadFaultText({ kind: 'meaning', where: 'x', code: 'bad-plug', got: 'mini', choices: ['xlr', 'trs'] })).toBe(
      'a cable of this kind has XLR, balanced jack, not “mini”'
    );
    expect(editFaultText({ code: 'gone', table: 'cables', id: 'x' })).toBe('What it changes is no longer there.');
    expect(editFaultText({ code: 'changed', table: 'cables', id: 'x', path: ['metres'], expected: 1, found: 2 })).toBe(
      'Somebody has changed metres since.'
    );
    expect(editFaultText({ code: 'too-many', table: 'devices', most: 2000 })).toBe('A show has at most 2000 devices.');
    expect(editText({ label: { code: 'remedy', subject: 'Bass' } })).toBe('a fix for Bass');
    expect(plain(unitFaultText({ code: 'unknown-unit', got: '3 kg', kind: 'length', expected: '3 m or 20 ft' }))).toBe(
      'The unit in “3 kg” does not belong here. Expected 3 m or 20 ft.'
    );
    expect(plain(choiceName('pad', '20'))).toBe('−20 dB');
  });
});

describe('names for lists', () => {
  it('every problem has a name without a number, parts are called by what they are', () => {
    for (const code of Object.keys(CODES)) {
      expect(codeName(code)).not.toBe('');
      expect(codeName(code)).not.toMatch(/\d|-[a-z]+-/);
    }
    expect(codeName('hissy')).toBe('hiss');
    expect(partName('tone-cap')).toBe('tone capacitor');
    expect(partName('something-else')).toBe('something else');
  });
  it('every way in for the mains, every switch of the new boxes, has a name', () => {
    for (const kind of HUM_KINDS) expect(HUM_NAMES[kind]).toMatch(/^[a-z]/);
    expect(plain(choiceName('tap', '40'))).toBe('−40 dB');
    expect(plain(choiceName('cut', '80'))).toBe('80 Hz');
    expect(choiceName('cut', 'off')).toBe('off');
    for (const wiring of WIRINGS) if (wiring !== 'plain') expect(choiceName('wiring', wiring)).not.toBe(wiring);
  });
  it('an own model that does not fit is told in words', () => {
    const told = (fault: Parameters<typeof loadFaultText>[0]): string => loadFaultText(fault);
    expect(told({ kind: 'meaning', where: 'devices.a.own', code: 'missing-own', got: 'x' })).toContain('no own model');
    expect(told({ kind: 'meaning', where: 'devices.a.own', code: 'other-base', got: 'x', base: 'piezo' })).toContain(
      'made from “piezo”'
    );
  });
});

describe('what others do', () => {
  it('is told by whom, and as done', () => {
    expect(changedText('Mara', { code: 'set', subject: 'jack lead of Pump organ' })).toBe(
      'Mara just changed jack lead of Pump organ'
    );
    expect(changedText(null, { code: 'remedy', subject: 'x' })).toBe('Somebody else just applied a fix here');
    expect(changedText('Mara', { code: 'unheard-of', subject: 'x' })).toBe('Mara just changed this line');
    expect(openElsewhereText('Mara', 'iPad')).toBe('Mara has it open (iPad)');
    expect(openElsewhereText('iPad', 'iPad')).toBe('Open on another device (iPad)');
  });
});
