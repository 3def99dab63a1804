import { describe, expect, it } from 'vitest';
import { MODELS } from '../../gear/catalogue';
import { boxesOfSpec } from '../../plan/spec';
import { PHRASES } from '../../tests/phrases/phrases';
import { modelName, modelShort } from '../../words/models';
import { readTyped } from '../read';
import { readList } from './list';
import { readTrade } from './read';

const DIS = new Set(['passive-di', 'passive-di-economy', 'active-di', 'active-di-10m']);

/** What of a phrase was read otherwise than it is meant; null where all is right. */
function wrong(text: string, wanted: string): string | null {
  const [lines, source, boxes, input, metres, settings, channel] = wanted.split('|');
  const { specs, said, metres: length } = readTrade(text);
  if (specs.length !== Number(lines)) return `${specs.length} lines`;
  for (const spec of specs) {
    const list = boxesOfSpec(spec).map((b) => b.model);
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

describe('two takes of one thing, and two things in one line', () => {
  it.each([
    ['bass DI and mic, ch 9 10', 'Bass DI: passive-bass 9, Bass mic: dynamic-mic 10'],
    ['Bass DI/mic 9/10', 'Bass DI: passive-bass 9, Bass mic: dynamic-mic 10'],
    ['gtr amp mic and DI, 13/14', 'Gtr mic: dynamic-mic 13, Gtr DI: single-coil 14'],
    ['cello piezo plus condenser, 11, 12', 'Cello pickup: piezo 11, Cello mic: condenser-mic 12'],
    ['fiddle: clip mic and pickup both', 'Fiddle mic: condenser-mic, Fiddle pickup: piezo'],
    ['upright w/ piezo and mic, both, 19+20', 'Upright pickup: piezo 19, Upright mic: condenser-mic 20'],
    ['vox mic and guitar DI 3 4', 'Vox mic: dynamic-mic 3, Guitar: single-coil 4'],
    ['kick and bass DI 1/2', 'Kick: dynamic-mic 1, Bass: passive-bass 2'],
    ['keys and synth DI 7/8', 'Keys: line-unbalanced 7, Synth: line-unbalanced 8'],
    ['bass: DI post, mic, ch 3-4', 'Bass DI: passive-bass 3, Bass mic: dynamic-mic 4'],
    ['ch5 bass DI pre, ch6 bass mic', 'Bass DI: passive-bass 5, Bass mic: dynamic-mic 6'],
    ['lead voc wireless ch 1, spare wired vox ch 2', 'Lead voc: wireless-receiver 1, Spare vox: dynamic-mic 2'],
    ['kick: dynamic inside, boundary too, SB 1 and 2', 'Kick: dynamic-mic 1, Kick 2: condenser-mic 2'],
    ['hihat, ride: condensers, 5/6', 'Hihat: condenser-mic 5, Ride: condenser-mic 6'],
    ['gtr 1 & gtr 2 cab dyn, 9, 10', 'Gtr 1: dynamic-mic 9, Gtr 2: dynamic-mic 10'],
    ['keys 1 and keys 2 DI 9/10', 'Keys 1: line-unbalanced 9, Keys 2: line-unbalanced 10'],
    ['double bass piezo + clip mic, 2 ch: 11, 12', 'Double bass pickup: piezo 11, Double bass mic: condenser-mic 12'],
    [
      'bass wireless rx to active DI then amp from thru, SB 9',
      'Bass wireless rx: wireless-receiver 9, Bass wireless rx amp: wireless-receiver'
    ],
    [
      'bass: DI, amp thru, SB 9; cab mic LDC SB 10',
      'Bass DI: passive-bass 9, Bass amp: passive-bass, Bass mic: condenser-mic 10'
    ],
    ['bass DI, thru to amp, SB 5, vox dyn SB 6', 'Bass: passive-bass 5, Bass amp: passive-bass, Vox: dynamic-mic 6'],
    [
      'choir 3 spots SDC, 40 m',
      'Choir spots 1: condenser-mic, Choir spots 2: condenser-mic, Choir spots 3: condenser-mic'
    ],
    ['kick, snare, hat, 1-3', 'Kick: dynamic-mic 1, Snare: dynamic-mic 2, Hat: condenser-mic 3'],
    ['alto sax clip, tenor sax clip, 9 10', 'Alto sax clip: condenser-mic 9, Tenor sax clip: condenser-mic 10'],
    ['snare top/bottom 3/4', 'Snare top: dynamic-mic 3, Snare bottom: dynamic-mic 4'],
    // What was mixed comes out of the mixer, and a desk towards which one goes is no source.
    ['turntables -> dj mixer -> master XLR -> 25 m -> line ins 21', 'Dj mixer: line-balanced 21'],
    ['laptop on stage, 45 m to desk, 4', 'Laptop: headphone 4'],
    ['rack interface outs, 12 m, SB 15', 'Interface outs: interface-out 15'],
    ['Zorptron outs balanced to line ins 5', 'Zorptron: line-balanced 5'],
    ['sax & trumpet clip mics 5 6', 'Sax: condenser-mic 5, Trumpet: condenser-mic 6'],
    // One channel is one line, and both are in its name; a microphone cable is no microphone.
    ['fiddle/mandolin DI ch 4', 'Fiddle mandolin: piezo 4'],
    ['bass di and 5 m mic cable sb 5', 'Bass: passive-bass 5'],
    ['bass DI, mic in 5', 'Bass: passive-bass 5']
  ])('%s', (text, lines) => {
    const { specs, ignored } = readTrade(text);
    const told = specs.map((s) => `${s.name}: ${s.source.model}${s.channel ? ` ${s.channel}` : ''}`);
    expect([told.join(', '), ignored.map((p) => p.text)]).toEqual([lines, []]);
  });
});

describe('what the screens call a thing', () => {
  it('reads back as that thing', () => {
    const wrongs = MODELS.flatMap((m) =>
      [modelName(m.id), modelShort(m.id)].flatMap((label) => {
        const text =
          m.family === 'source'
            ? `${label}, mic in`
            : m.family === 'input'
              ? `keyboard, ${label}`
              : `dynamic mic, ${label}, mic in`;
        const [spec] = readTyped(text, {}, readTrade).specs;
        const got = !spec
          ? 'nothing'
          : m.family === 'source'
            ? spec.source.model
            : m.family === 'input'
              ? spec.input.model
              : boxesOfSpec(spec)
                  .map((b) => b.model)
                  .join('+');
        // These two stand between two cables without anybody saying so.
        if (got === '' && ['coupler', 'jack-to-xlr'].includes(m.id)) return [];
        return got === m.id ? [] : [`${label}: ${got}, not ${m.id}`];
      })
    );
    expect(wrongs).toEqual([]);
  });
});

describe('what stands between the words', () => {
  const told = (text: string): string =>
    readTrade(text)
      .specs.map((l) =>
        [l.name, l.channel ?? '-', l.source.model, ...boxesOfSpec(l).map((b) => b.model), l.input.model].join(' ')
      )
      .join(', ');
  it.each([
    // A kind of DI between two arrows, or behind an impedance.
    ['stage piano mono out -> passive -> ch 7', 'Stage piano 7 line-unbalanced passive-di mic-in'],
    ['oud under-saddle, no preamp, into 10M active, ch 18', 'Oud 18 piezo active-di-10m mic-in'],
    // Numbers as a part of their own are channels; "1-3" behind many tells how many.
    ['snare top and btm, dyn, 10 m, 2 and 3, LC', 'Snare top 2 dynamic-mic mic-in, Snare btm 3 dynamic-mic mic-in'],
    ['toms 1-2 dyn, 4 5', 'Toms 1 4 dynamic-mic mic-in, Toms 2 5 dynamic-mic mic-in'],
    ['Tom 1-2, dyn', 'Tom 1-2 - dynamic-mic mic-in'],
    [
      'choir 2 hung condensers 25-26 100 m multicore',
      'Choir 1 25 condenser-mic mic-in, Choir 2 26 condenser-mic mic-in'
    ],
    ['viola, cello all clip condensers 9-10', 'Viola 9 condenser-mic mic-in, Cello 10 condenser-mic mic-in'],
    ['trumpet + sax, dyn, 20-21, horn section', 'Trumpet 20 dynamic-mic mic-in, Sax 21 dynamic-mic mic-in'],
    [
      'piano: boundary under lid + 2 cond, 11-13',
      'Piano 1 11 condenser-mic mic-in, Piano 2 12 condenser-mic mic-in, Piano 3 13 condenser-mic mic-in'
    ],
    // What "passive" and "own" are said of.
    ['bouzouki, passive pickup DI 10M, ch 7', 'Bouzouki 7 piezo active-di-10m mic-in'],
    ['cello, passive DI, ch 7', 'Cello 7 piezo passive-di mic-in'],
    ['fiddle, piezo -> own preamp DI, 3 m', 'Fiddle - piezo preamp-di mic-in'],
    ['Fay: harp, pickup + cond, ch 8 9', 'Fay pickup 8 piezo mic-in, Fay mic 9 condenser-mic mic-in'],
    // Where it comes from is not where it goes.
    ['speaker level DI off cab, ch 13', 'Line 13 valve-amp speaker-di mic-in'],
    ['turntables through dj mixer, XLR out, line in 3', 'Dj mixer 3 line-balanced line-in'],
    [
      'sub mixer keys main outs XLR L R to SB 3/4',
      'Keys L 3 line-unbalanced small-mixer mic-in, Keys R 4 line-unbalanced small-mixer mic-in'
    ],
    ['DJ: mixer XLR master out, 10 m, SB 27', 'DJ 27 line-balanced mic-in'],
    ['synth -> mixer -> main out -> DI ch 3', 'Synth 3 line-unbalanced small-mixer passive-di mic-in'],
    ['guitar straight into hi z of stage box, 6m', 'Guitar - single-coil instrument-in'],
    ['e-bass passive, 5 m, amp head with DI post', 'E-bass - bass-amp-out mic-in'],
    ['panel 2 x gooseneck 48V 1-2 HPF 120', 'Panel 1 1 condenser-mic mic-in, Panel 2 2 condenser-mic mic-in'],
    // "+4" without its unit makes a line of it.
    ['tape machine +4 XLR out, 5 m, line in 1', 'Tape machine 1 line-balanced line-in'],
    ['tape machine out, 5 m, line in 1', 'Tape machine 1 consumer-player line-in'],
    ['intercom feed to mixer line', 'Intercom feed - line-balanced line-in'],
    ["bari gtr humbuckers, mic'd dyn, SB 14", 'Bari gtr 14 dynamic-mic mic-in'],
    ['marimba 2 OH', 'Marimba OH 1 - condenser-mic mic-in, Marimba OH 2 - condenser-mic mic-in'],
    ['bagpipes dyn overhead', 'Bagpipes overhead - dynamic-mic mic-in']
  ])('%s', (text, lines) => {
    expect(told(text)).toBe(lines);
  });
  it.each([
    ['condenser, 80 m, phantom switched off', 'off'],
    ['condenser, 80 m, 48V is off', 'off'],
    ['condenser, 80 m, phantom not on', 'off'],
    ['condenser, 80 m, no 48v', 'off'],
    ['condenser, 80 m, phantom switched on', 'on'],
    ['condenser, 80 m, 48V on', 'on'],
    ['condenser, 80 m, phantom', 'on']
  ])('%s', (text, phantom) => {
    const [{ input }] = readTrade(text).specs;
    expect(input.settings.phantom ?? 'off').toBe(phantom);
  });
  it('a speaker DI across a cabinet leaves that plugged', () => {
    for (const text of [
      'valve head, speaker DI across his cab, 25 m, mic in',
      'speaker level DI off the 4x12 cab, ch 3'
    ]) {
      const [{ source, box }] = readTrade(text).specs;
      expect([source.model, source.settings.cabinet, box?.model]).toEqual(['valve-amp', 'connected', 'speaker-di']);
    }
    expect(readTrade('valve combo 16 ohm speaker out, load box, DI').specs[0].source.settings).toMatchObject({
      load: 16
    });
    expect(readTrade('synth, 220 ohm out, 5 m, line in').specs[0].source.settings).toMatchObject({ R: 220 });
    expect(readTrade('dyn mic off the cab, 10 m').specs[0].source.model).toBe('dynamic-mic');
  });
  it('what is said of a cable is not said of the output, and whose it is does not end the name', () => {
    const [desk] = readTrade("powered speaker fed by the desk's main output over 60 m unbalanced jack").specs;
    expect([desk.source.model, desk.input.model, desk.lead?.metres]).toEqual(['line-balanced', 'speaker-in', 60]);
    expect(readTrade('DJ mixer unbalanced jack out, 60 m').specs[0].source.model).toBe('line-unbalanced');
    expect(readTrade("keyboard's output, 5 m, line in").specs[0].name).toBe('Keyboard');
  });
  it('a bottom that is flipped is the bottom alone; leads one behind the other are one line; each has what both have', () => {
    const [top, bottom] = readTrade('snare top and btm, dyn, 2 and 3, btm polarity flipped').specs;
    expect([top.input.settings.polarity, bottom.input.settings.polarity]).toEqual([undefined, 'inverted']);
    const both = readTrade('snare top and btm, dyn, 2 and 3, polarity flipped').specs;
    expect(both.map((l) => l.input.settings.polarity)).toEqual(['inverted', 'inverted']);
    const bass = readTrade('passive bass, tuner pedal, 2x 3 m, active DI, SB 3');
    expect([bass.specs.length, bass.specs[0].lead?.metres, bass.metres]).toEqual([1, 6, 6]);
    const pair = readTrade('keys L/R, 2x 3 m, DI');
    expect(pair.specs.map((l) => l.lead?.metres)).toEqual([3, 3]);
    const cab = readTrade('guitar cab ribbon + dynamic, 15 m each, 13 & 14').specs;
    expect(cab.map((l) => [l.source.model, l.lead?.metres])).toEqual([
      ['ribbon', 15],
      ['dynamic-mic', 15]
    ]);
  });
});

describe('what is left out or unclear', () => {
  it('is told: assumed, taken for another word, not understood', () => {
    const { assumed, ignored, guessed, specs } = readTrade('basss gitar, DI, ch 5, wobble');
    expect(assumed).toEqual(expect.arrayContaining(['source', 'di', 'input', 'lead', 'run']));
    expect(ignored.map((p) => p.text)).toEqual(['wobble']);
    expect(guessed.map((p) => p.as)).toEqual(['bass guitar']);
    expect([specs[0].channel, specs[0].box?.model]).toEqual([5, 'active-di']);
    // Said whole, nothing is assumed.
    expect(readTrade('passive bass, 3 m jack, passive DI, 20 m xlr, mic in 5').assumed).toEqual([]);
  });
  it('two ways of taking one thing are two lines, each its own', () => {
    const { specs } = readTrade('bass DI + bass mic dyn ch 1/2');
    expect(specs.map((s) => [s.channel, s.source.model, s.box?.model ?? null])).toEqual([
      [1, 'passive-bass', 'active-di'],
      [2, 'dynamic-mic', null]
    ]);
  });
  it('what is flipped is the one that was named, and what was said of no one stays to be seen', () => {
    const { specs } = readTrade('snare top/bottom dyn, flip the bottom, ch 3/4');
    expect(specs.map((s) => s.input.settings.polarity)).toEqual([undefined, 'inverted']);
    // A third channel of two ways is told of, never dropped.
    expect(readTrade('bass DI + mic, 9 10 11').ignored.map((p) => p.text)).toContain('11');
    expect(readTrade('bass DI SB 5, monitor 12').ignored.map((p) => p.text)).toEqual(['12']);
    expect(readTrade('playback 4 outs on active DI: 25-28').specs.map((s) => s.name)).toEqual(
      [1, 2, 3, 4].map((n) => `Playback ${n}`)
    );
  });
  it.each([
    ['stage piano L/R, two passive DIs, one DI polarity inverted', 'polarity', [undefined, 'inverted']],
    ['keys L/R passive DIs, right DI lifted', 'lift', [undefined, 'lifted']],
    ['keys L/R passive DIs, left DI lifted', 'lift', ['lifted', undefined]],
    ['keys L/R, one passive DI each, lifted', 'lift', ['lifted', 'lifted']],
    ['keys L/R passive DIs, both lifted', 'lift', ['lifted', 'lifted']]
  ])('a switch is set on the one that it is said of: %s', (text, key, wanted) => {
    expect(readTrade(text).specs.map((s) => s.box?.settings[key])).toEqual(wanted);
  });
  it('lengths stand where they are, whichever way round it is said', () => {
    const lengths = (text: string): (number | undefined)[] =>
      readTrade(text).specs.flatMap((s) => [s.lead?.metres, s.run?.metres]);
    const text = 'SB 5 <- 20 m <- active DI <- 3 m <- bass';
    expect(lengths(text)).toEqual([3, 20]);
    for (const p of readTrade(text).pieces) expect(text.slice(p.from, p.to)).toBe(p.text);
    // Arrows both ways before it change nothing of it.
    readTrade('a beginning that is longer than the whole of the other line <- bass -> SB 5');
    expect(lengths(text)).toEqual([3, 20]);
    expect(lengths('active DI on bass, 3 m jack, 20 m XLR')).toEqual([3, 20]);
    expect(lengths('passive DI on keys, 20 m XLR')).toEqual([3, 20]);
  });
  it('a filter that is off is off', () => {
    const cut = (text: string): unknown => readTrade(text).specs[0].input.settings.lowCut;
    expect([cut('vox dyn lo cut'), cut('vox dyn, lo cut off'), cut('vox dyn no low cut')]).toEqual([
      80,
      undefined,
      undefined
    ]);
  });
  it('picofarads are of the pickup, or of the cable that they are said with', () => {
    const { specs } = readTrade('harp contact pickup 600 pF, 8 m jack lead 900 pF, active DI');
    expect(specs[0].source.settings.C).toBeCloseTo(600e-12, 15);
    expect(specs[0].lead?.settings?.cShield).toBeCloseTo(900e-12 / 8, 15);
  });
  it('a level said as the most is a peak, and ten megohms are of the input that they were said of', () => {
    const spec = (text: string) => readTrade(text).specs[0];
    const [most, usual] = ['wireless receiver +18 dBu max, mic input', 'wireless receiver +18 dBu, mic input'].map(
      (text) => Number(spec(text).source.settings.nominal)
    );
    // A sine that just fits has 3 dB of crest; speech has 18.
    expect(20 * Math.log10(usual / most)).toBeCloseTo(15, 1);
    expect(spec('piezo, 3 m lead, instrument input 10 Mohm').input.settings.zin).toBe(10e6);
    expect(spec('piezo, active DI 10 Mohm, mic input').input.settings.zin).toBeUndefined();
  });
  it('a contact of the run that has gone, and an electret that goes by its own module', () => {
    const spec = (text: string) => readTrade(text).specs[0];
    expect(spec('condenser mic, 20 m XLR with pin 3 broken, mic input').lead?.wiring).toEqual(['plain', 'cold-open']);
    expect(spec('dynamic mic, 20 m XLR, shield broken, mic input').lead?.wiring).toEqual(['plain', 'shield-open']);
    expect(spec('keys, 3 m, passive DI, 20 m XLR, cold leg open, mic').run?.wiring).toEqual(['plain', 'cold-open']);
    expect(spec('keys, 3 m, passive DI, 20 m XLR, cold in here').run?.wiring).toBeUndefined();
    expect(spec('wired lav 48v, 10 m XLR, mic in').source.settings.feed).toBe('phantom');
    expect(spec('lavalier, 3 m minijack, camera').source.settings.feed).toBeUndefined();
  });
  it('a battery is in what was named last before it', () => {
    const { specs } = readTrade('active DI running on battery, keyboard, 3 m lead, mic input');
    expect(specs[0].box?.settings).toEqual({ power: 'battery' });
    expect(readTrade('mixer out, 5 m, power amplifier unbalanced input').specs[0].input.model).toBe('power-amp-in');
    expect(readTrade('interface out, hearing loop amplifier line input').specs[0].input.model).toBe('loop-amp-in');
  });
  it('a capital M is a megohm beside an input, and metres anywhere else', () => {
    expect(readTrade('piezo, active DI 10M, SB 4').specs[0].box?.model).toBe('active-di-10m');
    expect(readTrade('piezo, active DI, 10 M, SB 4').metres).toBe(10);
    expect(readTrade('PIEZO 10M XLR ACTIVE DI SB 4').metres).toBe(10);
  });
});

describe('a pasted list', () => {
  it('of tabs: channels, names, what a row says, a pair, what is blank', () => {
    const { rows, unread } = readList(
      'Ch\tName\tMic / DI\tNotes\n1\tKick\tdyn\t\n2\tOH L\tcond\t48V\n3\tOH R\tcond\t48V\n4\t\t\t\n5\tZzz\t?\t\n'
    );
    const specs = rows.flatMap((r) => r.reading.specs);
    expect(
      specs.map((s) => [s.channel, s.name, s.source.model, s.pair ?? null, s.input.settings.phantom ?? null])
    ).toEqual([
      [1, 'Kick', 'dynamic-mic', null, null],
      [2, 'OH L', 'condenser-mic', 'OH', 'on'],
      [3, 'OH R', 'condenser-mic', 'OH', 'on']
    ]);
    expect(unread.map((r) => r.row)).toEqual([6]);
  });
  it('of a letter: a place for all, acts, what is no row', () => {
    const { rows } = readList(
      'Dear all, everything on SB A please.\n\n=== ACT 1: solo ===\n1: vox - dyn\n2: gtr - DI\n\nThanks, Ida\n'
    );
    const specs = rows.flatMap((r) => r.reading.specs);
    expect(specs.map((s) => [s.channel, s.name, s.act])).toEqual([
      [1, 'vox', 'ACT 1: solo'],
      [2, 'gtr', 'ACT 1: solo']
    ]);
  });
});

describe('what a word is of, by what stands beside it', () => {
  const spec = (text: string) => readTrade(text).specs[0];

  it('an amplifier with an input is where one goes, a mixer with one likewise', () => {
    expect(spec('dynamic mic, 5 m XLR to jack lead, guitar amp high impedance input').input.model).toBe('amp-in');
    const mixer = spec('condenser mic, 20 m XLR, small mixer microphone input without phantom');
    expect([mixer.box, mixer.input.model]).toEqual([null, 'mic-in']);
    expect(spec('keys, small mixer, 20 m XLR, mic input').box?.model).toBe('small-mixer');
  });

  it('a lead that is an adapter is as long as was said', () => {
    const { lead, run } = spec('desk output, XLR to RCA lead with pin 3 open, 3 m, RCA line input');
    expect(lead!.metres + run!.metres).toBeCloseTo(3, 1);
  });

  it('a preamp before a DI is the guitar’s own; of a pedal with one built in no more is said', () => {
    expect(spec('acoustic preamp, 3 m jack, active DI').source.model).toBe('acoustic-preamp');
    expect(spec('acoustic preamp pedal, XLR out').box?.model).toBe('preamp-di');
  });

  it('phantom may come from elsewhere', () => {
    expect(spec('condenser, isolated split, phantom from the FOH desk, mic input').source.settings.feed).toBe('supply');
    expect(spec('condenser, isolated split, phantom from the desk, mic input').source.settings.feed).toBeUndefined();
    expect(
      spec('condenser, isolated split, direct leg to a desk with phantom off').source.settings.feed
    ).toBeUndefined();
  });

  it('two outputs on one lead are told, where the line became one of them', () => {
    expect(readTrade('keys outputs summed by a Y lead into one DI').ignored.map((p) => p.text)).toEqual(['Y']);
    expect(readTrade('desk output to two active speakers by a Y lead').ignored).toEqual([]);
  });

  it('where it goes, what leads there, and where it comes from, told backwards', () => {
    const { source, lead, input } = spec('powered speaker fed by a 50 m jack lead from a small mixer');
    expect([source.model, lead!.metres, input.model]).toEqual(['line-balanced', 50, 'speaker-in']);
  });
});

describe('a number that begins it', () => {
  const told = (text: string): string =>
    readTrade(text)
      .specs.map((s) => `${s.name} ${s.channel ?? '-'}`)
      .join(', ');
  it.each([
    // Before one thing it is the channel of a row.
    ['6 Gtr cab dyn mc', 'Gtr cab 6'],
    ['12 Cello piezo, preamp DI mc', 'Cello 12'],
    ['2 Snare dyn mc', 'Snare 2'],
    ['5 violin piezo active DI', 'Violin 5'],
    ['1 kick dyn', 'Kick 1'],
    // Up to four may be so many of it, and in the plural however many.
    ['4 violin piezo active DI', 'Violin 1 -, Violin 2 -, Violin 3 -, Violin 4 -'],
    ['2 gtr DI', 'Gtr 1 -, Gtr 2 -'],
    ['5 vox dyn', 'Vox 1 -, Vox 2 -, Vox 3 -, Vox 4 -, Vox 5 -'],
    ['2 acoustics DI', 'Acoustics 1 -, Acoustics 2 -'],
    ['6 violin piezo active DI sb 11', 'Violin 1 11, Violin 2 12, Violin 3 13, Violin 4 14, Violin 5 15, Violin 6 16'],
    ['12 string acoustic DI', '12 string acoustic -']
  ])('%s', (text, lines) => {
    expect(told(text)).toBe(lines);
  });
});
