import { describe, expect, it } from 'vitest';
import { told } from '../../tests/told';

describe('things that stand between commas', () => {
  it.each([
    ['laptop DI 5', 'Laptop: headphone passive-di 5'],
    ['playback DI 7/8', 'Playback 1: interface-out passive-di 7, Playback 2: interface-out passive-di 8'],
    ['stereo laptop DI 3/4', 'Laptop L: headphone passive-di 3, Laptop R: headphone passive-di 4'],
    ['laptop summed to mono, DI', 'Laptop: headphone media-di -'],
    ['FX return L R 33 34 line', 'FX return L: line-balanced 33, FX return R: line-balanced 34'],
    ['bass DI, keys DI', 'Bass: passive-bass active-di -, Keys: line-unbalanced passive-di -'],
    ['kick mic, bass DI', 'Kick mic: dynamic-mic -, Bass: passive-bass active-di -'],
    ['lav, laptop DI', 'Lav: lavalier -, Laptop: headphone passive-di -'],
    ['bass DI, bass mic', 'Bass DI: passive-bass active-di -, Bass mic: dynamic-mic -'],
    ['kick in, kick out', 'Kick in: dynamic-mic -, Kick out: dynamic-mic -'],
    ['trumpet wireless, sax wireless', 'Trumpet: wireless-receiver -, Sax: wireless-receiver -'],
    ['looper DI, vox dyn', 'Looper: line-unbalanced passive-di -, Vox: dynamic-mic -'],
    [
      'acoustic guitar DI + mic, vox',
      'Acoustic guitar DI: acoustic-preamp passive-di -, Acoustic guitar mic: condenser-mic -, Vox: dynamic-mic -'
    ],
    ['DJ L/R, MC mic', 'DJ L: interface-out -, DJ R: interface-out -, MC mic: dynamic-mic -'],
    [
      'vox dyn, playback DI L/R 12/13',
      'Vox: dynamic-mic -, Playback L: interface-out passive-di 12, Playback R: interface-out passive-di 13'
    ],
    [
      'cello pickup DI and clip mic, piano L/R',
      'Cello DI: piezo active-di -, Cello mic: condenser-mic -, Piano L: line-unbalanced -, Piano R: line-unbalanced -'
    ],
    ['keys stereo, vox', 'Keys L: line-unbalanced -, Keys R: line-unbalanced -, Vox: dynamic-mic -'],
    [
      'upright pickup + mic, nylon gtr DI, vox dyn, 1-4',
      'Upright pickup: piezo 1, Upright mic: condenser-mic 2, Nylon gtr: acoustic-preamp passive-di 3, Vox: dynamic-mic 4'
    ],
    [
      'lead vox, gtr DI + amp mic, bass DI 1-4',
      'Lead vox: dynamic-mic 1, Gtr DI: single-coil active-di 2, Gtr mic: dynamic-mic 3, Bass: passive-bass active-di 4'
    ],
    [
      'playback L/R, click, MD talkback',
      'Playback L: interface-out -, Playback R: interface-out -, Playback click: interface-out -, MD talkback: dynamic-mic -'
    ],
    [
      'DJ mixer L/R DI, sax clip',
      'DJ mixer L: line-balanced passive-di -, DJ mixer R: line-balanced passive-di -, Sax clip: condenser-mic -'
    ],
    [
      'vocal, keys (stereo), sub bass synth',
      'Vocal: dynamic-mic -, Keys L: line-unbalanced -, Keys R: line-unbalanced -, Sub bass synth: line-unbalanced -'
    ],
    [
      'presenter lav, video playback stereo, Q&A handheld',
      'Presenter: lavalier -, Video playback L: interface-out -, Video playback R: interface-out -, Q&A handheld: dynamic-mic -'
    ],
    [
      'worship leader vox, acoustic DI, keys L/R',
      'Worship leader vox: dynamic-mic -, Acoustic: acoustic-preamp passive-di -, Keys L: line-unbalanced -, Keys R: line-unbalanced -'
    ],
    ['gtr cab 2 mics, vox', 'Gtr cab 1: dynamic-mic -, Gtr cab 2: dynamic-mic -, Vox: dynamic-mic -'],
    ['didgeridoo dyn, loop station out DI', 'Didgeridoo: dynamic-mic -, Loop station: line-unbalanced passive-di -'],
    ['MC handheld, laptop audio', 'MC handheld: dynamic-mic -, Laptop audio: headphone -'],
    [
      'house band: kit 2 mics, bass DI, gtr amp, keys L/R',
      'Kit 1: dynamic-mic -, Kit 2: dynamic-mic -, Bass: passive-bass active-di -, Gtr amp: dynamic-mic -, Keys L: line-unbalanced -, Keys R: line-unbalanced -'
    ],
    [
      'pedal steel amp mic, agogo DI, fiddle DI 4 5 6',
      'Pedal steel: dynamic-mic 4, Agogo: piezo active-di 5, Fiddle: piezo active-di 6'
    ],
    [
      'lectern gooseneck, Q&A handheld x2, laptop',
      'Lectern gooseneck: condenser-mic -, Q&A handheld 1: dynamic-mic -, Q&A handheld 2: dynamic-mic -, Laptop: headphone -'
    ],
    [
      'keys stereo, sub synth DI',
      'Keys L: line-unbalanced -, Keys R: line-unbalanced -, Sub synth: line-unbalanced passive-di -'
    ],
    [
      'nylon guitar blend: mag + piezo into dual DI 7 8',
      'Nylon guitar blend pickup: soundhole-magnetic active-di 7, Nylon guitar blend DI: piezo active-di 8'
    ],
    ['sub-mix from drum electronics L/R line', 'Sub-mix L: line-unbalanced -, Sub-mix R: line-unbalanced -'],
    [
      '8 way snake: kick, snare, bass DI, gtr, keys L/R, vox, bv',
      'Kick: dynamic-mic -, Snare: dynamic-mic -, Bass: passive-bass active-di -, Gtr: single-coil -, Keys L: line-unbalanced -, Keys R: line-unbalanced -, Vox: dynamic-mic -, Bv: dynamic-mic -'
    ],
    ['voix, voix choeur x2', 'Voix: dynamic-mic -, Voix choeur 1: condenser-mic -, Voix choeur 2: condenser-mic -']
  ])('%s', (text, lines) => expect(told(text)).toBe(lines));

  it.each([
    ['bass, compressor, DI, 5', 'Bass: passive-bass active-di 5'],
    ['lead voc, radio, ch 10', 'Lead voc: wireless-receiver 10'],
    ['lav on presenter, wired, XLR module, ch 3', 'Presenter: lavalier 3'],
    ['violin - DI, clip-on piezo, 12', 'Violin: piezo active-di 12'],
    ['guitar, onboard preamp, passive DI', 'Guitar: acoustic-preamp passive-di -'],
    [
      'overhead pair + kick, minimal drum micing',
      'Overhead L: condenser-mic -, Overhead R: condenser-mic -, Kick: dynamic-mic -'
    ],
    [
      'organ L/R into 2 passive DIs, 20 m to desk',
      'Organ L: line-unbalanced passive-di -, Organ R: line-unbalanced passive-di -'
    ],
    ['bass direct out of head', 'Bass: bass-amp-out -'],
    ["banjo mic'd, sm cond", 'Banjo: condenser-mic -'],
    ['upright piano, dynamic behind soundboard', 'Upright piano: dynamic-mic -']
  ])('%s is of one thing', (text, lines) => expect(told(text)).toBe(lines));

  it('as many channels as lines, or as the last of them needs, and nothing between', () => {
    const lines = (text: string): number =>
      told(text)
        .split(', ')
        .filter((one) => one.startsWith('Keys')).length;
    expect(told('keys stereo, vox 1-3')).toBe(
      'Keys L: line-unbalanced 1, Keys R: line-unbalanced 2, Vox: dynamic-mic 3'
    );
    expect(told('vox, keys stereo 1/2')).toBe(
      'Vox: dynamic-mic -, Keys L: line-unbalanced 1, Keys R: line-unbalanced 2'
    );
    expect(lines('vox dyn, keys stereo 1-5')).toBe(0);
  });

  it('two strange words are a name, three are talk', () => {
    expect(told('keys stereo, zorb quill vox')).toMatch(/vox: dynamic-mic -$/i);
    expect(told('keys stereo, zorb quill mumf vox')).not.toMatch(/vox: dynamic-mic -$/i);
  });

  it.each([
    ['OHs (2)', 'OHs 1: condenser-mic -, OHs 2: condenser-mic -'],
    ['4 OHs (2)', 'OHs 1: condenser-mic 4, OHs 2: condenser-mic 5'],
    ['toms (3) dyn 4-6', 'Toms 1: dynamic-mic 4, Toms 2: dynamic-mic 5, Toms 3: dynamic-mic 6'],
    ['vocals (8)', Array.from({ length: 8 }, (_, k) => `Vocals ${k + 1}: dynamic-mic -`).join(', ')],
    ['vocals (9)', 'Vocals: dynamic-mic 9'],
    ['DI: bass (1), keys (2)', 'Bass: passive-bass active-di 1, Keys: line-unbalanced passive-di 2'],
    ['12 MC', 'MC: dynamic-mic 12'],
    ['MC 4', ''],
    ['upright - pickup + clip', 'Upright: piezo -, Upright clip: condenser-mic -'],
    ['two guitars in stereo from one modeller', 'Guitars L: modeller -, Guitars R: modeller -'],
    ['keys DI, phantom', 'Keys: line-unbalanced active-di -'],
    ['keys DI', 'Keys: line-unbalanced passive-di -'],
    ['guitar, acoustic: DI', 'Guitar acoustic: acoustic-preamp passive-di -'],
    ['Lead (condenser)', 'Lead: condenser-mic -'],
    ['Lead - wireless', 'Lead: wireless-receiver -'],
    [
      'four omni lavs, wired, 25 m',
      'Omni lavs 1: lavalier -, Omni lavs 2: lavalier -, Omni lavs 3: lavalier -, Omni lavs 4: lavalier -'
    ],
    ["bari uke mic'd w/ pencil condenser", 'Bari uke: condenser-mic -'],
    ['feed from video desk, XLR line, transformer isolated', 'Video: line-balanced isolator -'],
    ['whistle (vocal mic, shared w/ singer 2)', 'Whistle vocal mic: dynamic-mic -'],
    ['trax L/R', 'Trax L: interface-out -, Trax R: interface-out -'],
    [
      'keys mixer stereo out to active DIs',
      'Keys mixer L: line-balanced active-di -, Keys mixer R: line-balanced active-di -'
    ],
    [
      'keyboard mixer L/R to DI 5/6',
      'Keyboard mixer L: line-balanced passive-di 5, Keyboard mixer R: line-balanced passive-di 6'
    ],
    ['drum mixer stereo out, line in 3/4', 'Drum mixer L: line-balanced 3, Drum mixer R: line-balanced 4'],
    [
      'theatre band room: keys mixer stereo out to 2 active DIs, 70 m multi',
      'Theatre band room L: line-balanced active-di -, Theatre band room R: line-balanced active-di -'
    ],
    ['sub mixer of the keys L/R, DI', 'Keys L: line-unbalanced small-mixer -, Keys R: line-unbalanced small-mixer -'],
    ['snare top mic and bottom mic 2/3', 'Snare top: dynamic-mic 2, Snare bottom: dynamic-mic 3'],
    ['kick inside mic + outside mic, 1/2', 'Kick inside: dynamic-mic 1, Kick outside: dynamic-mic 2'],
    [
      'string quartet clips 1-4',
      'String clips 1: condenser-mic 1, String clips 2: condenser-mic 2, String clips 3: condenser-mic 3, String clips 4: condenser-mic 4'
    ],
    [
      'string quartet, 4 clip mics',
      'String 1: condenser-mic -, String 2: condenser-mic -, String 3: condenser-mic -, String 4: condenser-mic -'
    ],
    ['string quartet 2 overhead sdc', 'String overhead 1: condenser-mic -, String overhead 2: condenser-mic -'],
    [
      'string trio clips 3 ch 9-11',
      'String clips 1: condenser-mic 9, String clips 2: condenser-mic 10, String clips 3: condenser-mic 11'
    ]
  ])('words and numbers that mean two things: %s', (text, lines) => expect(told(text)).toBe(lines));
});
