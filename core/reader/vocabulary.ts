// Say: a line in spoken words, read into a plan's parts and told back. Knows names; computes nothing.
import type { CableKindId } from '../gear/cables';
import type { Wiring } from '../plan/schema';
import { INSTRUMENT_IDS, type InstrumentId } from '../gear/instruments';

/** What a phrase stands for. */
export type Meaning =
  | { role: 'source'; model: string; instrument?: InstrumentId }
  | { role: 'instrument'; instrument: InstrumentId; model: string }
  | { role: 'box'; model: string }
  | { role: 'no-box' }
  | { role: 'input'; model: string }
  | { role: 'cable'; kind: CableKindId; place: 'lead' | 'run' | 'any' }
  | { role: 'place'; place: 'lead' | 'run' }
  | { role: 'switch'; of: 'box' | 'input' | 'source'; setting: string; value: string }
  | { role: 'wiring'; end: 0 | 1; wiring: Wiring }
  | { role: 'exposure'; exposure: 'lead' | 'normal' | 'buried' }
  | { role: 'filler' };

/** Phrases by meaning; the first one of each is how it is told back. All lower case. */
const PHRASES: readonly (readonly [readonly string[], Meaning])[] = [
  [['single coil', 'single-coil'], { role: 'source', model: 'single-coil' }],
  [['humbucker'], { role: 'source', model: 'humbucker' }],
  [['passive bass', 'bass pickup'], { role: 'source', model: 'passive-bass' }],
  [['piezo', 'contact mic', 'contact mics', 'bridge piezo'], { role: 'source', model: 'piezo' }],
  [['active bass'], { role: 'source', model: 'active-bass' }],
  [['keyboard', 'synth', 'sampler', 'drum machine', 'unbalanced line'], { role: 'source', model: 'keyboard' }],
  [['modular rack', 'modular', 'hot line'], { role: 'source', model: 'modular' }],
  [
    ['rca player', 'tape machine', 'tape loops', 'cd player', 'media player', 'consumer line'],
    { role: 'source', model: 'consumer-player' }
  ],
  [['headphone jack', 'headphones', 'headphone', 'laptop', 'tablet', 'phone'], { role: 'source', model: 'headphone' }],
  [['balanced line', 'desk out', 'matrix out'], { role: 'source', model: 'pro-line' }],
  [['active guitar'], { role: 'source', model: 'active-guitar' }],
  [['acoustic preamp', 'preamp instrument'], { role: 'source', model: 'acoustic-preamp' }],
  [['balanced keyboard', 'impedance-balanced line'], { role: 'source', model: 'keyboard-balanced' }],
  [['turntable', 'record player'], { role: 'source', model: 'turntable' }],
  [['interface output', 'interface', 'interface out'], { role: 'source', model: 'interface-out' }],
  [['bass amp out', 'bass amp output'], { role: 'source', model: 'bass-amp-out' }],
  [['ribbon mic', 'ribbon microphone', 'ribbon'], { role: 'source', model: 'ribbon' }],
  [['clip-on mic', 'lavalier', 'electret'], { role: 'source', model: 'lavalier' }],
  [['power amp', 'power amplifier'], { role: 'source', model: 'power-amp' }],
  [['valve amp', 'valve amplifier'], { role: 'source', model: 'valve-amp' }],
  [['dynamic mic', 'dynamic microphone'], { role: 'source', model: 'dynamic-mic' }],

  [['active box 10m', 'active 10m', '10m active box', '10 meg active box'], { role: 'box', model: 'active-box-10m' }],
  [['active box', 'active di', 'active'], { role: 'box', model: 'active-box' }],
  [['economy passive box', 'economy box', 'passive economy'], { role: 'box', model: 'passive-economy' }],
  [['passive box', 'passive di', 'passive'], { role: 'box', model: 'passive-box' }],
  [['media box', 'stereo box'], { role: 'box', model: 'media-box' }],
  [['preamp box', 'acoustic preamp box'], { role: 'box', model: 'preamp-box' }],
  [['speaker box', 'speaker-level box', 'speaker tap'], { role: 'box', model: 'speaker-box' }],
  [['media pair', 'stereo media box'], { role: 'box', model: 'media-pair' }],
  [['isolator', 'isolating transformer'], { role: 'box', model: 'isolator' }],
  [['balun'], { role: 'box', model: 'balun' }],
  [['reversed box', 'reversed passive box', 'box backwards'], { role: 'box', model: 'reversed-box' }],
  [['re-amp box', 'reamp box', 're-amp'], { role: 'box', model: 'reamp-box' }],
  [['down converter', 'converter down'], { role: 'box', model: 'converter-down' }],
  [['up converter', 'converter up'], { role: 'box', model: 'converter-up' }],
  [['splitter', 'mic splitter'], { role: 'box', model: 'splitter' }],
  [['small mixer', 'mixer'], { role: 'box', model: 'small-mixer' }],
  [['merge box', 'merge'], { role: 'box', model: 'merge-box' }],
  [['inline pad', 'in-line pad'], { role: 'box', model: 'inline-pad' }],
  [['jack-to-xlr adapter'], { role: 'box', model: 'jack-to-xlr' }],
  [['jack coupler'], { role: 'box', model: 'coupler' }],
  [['rca-to-jack adapter'], { role: 'box', model: 'rca-to-jack' }],
  [['jack-to-rca adapter'], { role: 'box', model: 'jack-to-rca' }],
  [['3.5-to-jack adapter'], { role: 'box', model: 'mini-to-jack' }],
  [['jack-to-3.5 adapter'], { role: 'box', model: 'jack-to-mini' }],
  [['xlr-to-jack adapter'], { role: 'box', model: 'xlr-to-jack' }],
  [['grounded xlr-to-jack adapter'], { role: 'box', model: 'xlr-to-jack-grounded' }],
  [['open xlr-to-jack adapter'], { role: 'box', model: 'xlr-to-jack-open' }],
  [['grounded xlr-to-rca adapter', 'xlr-to-rca adapter'], { role: 'box', model: 'xlr-to-rca-grounded' }],
  [['open xlr-to-rca adapter'], { role: 'box', model: 'xlr-to-rca-open' }],
  [['plain y'], { role: 'box', model: 'plain-y' }],
  [['jack y'], { role: 'box', model: 'y-jack' }],
  [['xlr y'], { role: 'box', model: 'y-xlr' }],
  [['rca y'], { role: 'box', model: 'y-rca' }],
  [['3.5 mm y'], { role: 'box', model: 'y-mini' }],
  [['speaker y'], { role: 'box', model: 'y-speaker' }],
  [['no box', 'direct', 'straight'], { role: 'no-box' }],

  [['mic', 'mic in', 'mic input', 'microphone', 'microphone input'], { role: 'input', model: 'mic-in' }],
  [['line', 'line in', 'line input'], { role: 'input', model: 'line-in' }],
  [['instrument input', 'instrument in', 'instrument', 'hi-z', 'hiz'], { role: 'input', model: 'instrument-in' }],
  [['rca input', 'rca in', 'consumer input'], { role: 'input', model: 'consumer-in' }],
  [['combo input', 'combo'], { role: 'input', model: 'combo-in' }],
  [['guitar amp', 'amp input', 'amp in'], { role: 'input', model: 'amp-in' }],
  [['aux input', 'aux in', 'aux'], { role: 'input', model: 'aux-in' }],
  [['phono input', 'phono in', 'phono'], { role: 'input', model: 'phono-in' }],
  [['powered speaker', 'active speaker'], { role: 'input', model: 'speaker-in' }],
  [['camera', 'camera input'], { role: 'input', model: 'camera-in' }],
  [['cabinet', 'speaker cabinet'], { role: 'input', model: 'cabinet' }],
  [['resistor'], { role: 'input', model: 'resistor' }],

  [['jack lead', 'jack cable', 'ts lead'], { role: 'cable', kind: 'instrument', place: 'any' }],
  [['rca lead', 'rca cable'], { role: 'cable', kind: 'rca', place: 'any' }],
  [['stereo lead', '3.5 mm lead', 'mini lead', '3.5 mm'], { role: 'cable', kind: 'mini', place: 'any' }],
  [['mic cable', 'microphone cable', 'xlr cable', 'balanced cable'], { role: 'cable', kind: 'mic', place: 'any' }],
  [['multicore', 'multicore pair', 'pair'], { role: 'cable', kind: 'multicore', place: 'any' }],
  [['star-quad', 'star quad'], { role: 'cable', kind: 'star-quad', place: 'any' }],
  [['speaker cable', 'speaker lead'], { role: 'cable', kind: 'speaker', place: 'any' }],
  [['pin 3 open', 'ring open', 'half balanced'], { role: 'wiring', end: 1, wiring: 'cold-open' }],
  [['pin 3 grounded', 'ring grounded'], { role: 'wiring', end: 1, wiring: 'cold-grounded' }],
  [['shield open', 'telescopic'], { role: 'wiring', end: 1, wiring: 'shield-open' }],
  [['swapped', 'pins swapped', 'hot and cold swapped'], { role: 'wiring', end: 1, wiring: 'swapped' }],
  [['near pin 3 open', 'near ring open'], { role: 'wiring', end: 0, wiring: 'cold-open' }],
  [['near pin 3 grounded', 'near ring grounded'], { role: 'wiring', end: 0, wiring: 'cold-grounded' }],
  [['near shield open'], { role: 'wiring', end: 0, wiring: 'shield-open' }],
  [['near swapped', 'near pins swapped'], { role: 'wiring', end: 0, wiring: 'swapped' }],
  [['lead'], { role: 'place', place: 'lead' }],
  [['run'], { role: 'place', place: 'run' }],

  [['lifted', 'ground lifted', 'lift'], { role: 'switch', of: 'box', setting: 'lift', value: 'lifted' }],
  [['joined', 'ground joined'], { role: 'switch', of: 'box', setting: 'lift', value: 'joined' }],
  [['pad 10'], { role: 'switch', of: 'box', setting: 'pad', value: '10' }],
  [['pad 15'], { role: 'switch', of: 'box', setting: 'pad', value: '15' }],
  [['pad 20', 'pad'], { role: 'switch', of: 'box', setting: 'pad', value: '20' }],
  [['pad 40'], { role: 'switch', of: 'box', setting: 'pad', value: '40' }],
  [['on battery', 'battery'], { role: 'switch', of: 'box', setting: 'power', value: 'battery' }],
  [['inverted', 'polarity inverted'], { role: 'switch', of: 'box', setting: 'polarity', value: 'inverted' }],
  [['low cut 40'], { role: 'switch', of: 'box', setting: 'cut', value: '40' }],
  [['low cut 80', 'low cut'], { role: 'switch', of: 'box', setting: 'cut', value: '80' }],
  [['low cut 120'], { role: 'switch', of: 'box', setting: 'cut', value: '120' }],
  [['buffered thru'], { role: 'switch', of: 'box', setting: 'thru', value: 'buffered' }],
  [['tap 30'], { role: 'switch', of: 'box', setting: 'tap', value: '30' }],
  [['flat voicing'], { role: 'switch', of: 'box', setting: 'voicing', value: 'flat' }],
  [['as humbucker'], { role: 'switch', of: 'box', setting: 'emulate', value: 'humbucker' }],
  [['no emulation'], { role: 'switch', of: 'box', setting: 'emulate', value: 'none' }],
  [['bridged'], { role: 'switch', of: 'source', setting: 'bridged', value: 'yes' }],
  [['symmetrical output'], { role: 'switch', of: 'source', setting: 'topology', value: 'symmetrical' }],
  [
    ['cross-coupled output', 'cross-coupled'],
    { role: 'switch', of: 'source', setting: 'topology', value: 'cross-coupled' }
  ],
  [['transformer output'], { role: 'switch', of: 'source', setting: 'topology', value: 'transformer' }],
  [['impedance-balanced output'], { role: 'switch', of: 'source', setting: 'topology', value: 'impedance-balanced' }],
  [['unbalanced output'], { role: 'switch', of: 'source', setting: 'topology', value: 'unbalanced' }],
  [['earth removed', 'no earth pin'], { role: 'switch', of: 'source', setting: 'earth', value: 'removed' }],
  [['set to mic'], { role: 'switch', of: 'input', setting: 'mode', value: 'mic' }],
  [['plug-in power off', 'no plug-in power'], { role: 'switch', of: 'input', setting: 'plugIn', value: 'off' }],
  [['phantom on', 'phantom', 'p48'], { role: 'switch', of: 'input', setting: 'phantom', value: 'on' }],
  [['phantom off', 'no phantom'], { role: 'switch', of: 'input', setting: 'phantom', value: 'off' }],
  [['padded', 'input pad'], { role: 'switch', of: 'input', setting: 'pad', value: '20' }],
  [['earthed'], { role: 'switch', of: 'source', setting: 'feed', value: 'mains-1' }],
  [['wall-wart', 'two-pin'], { role: 'switch', of: 'source', setting: 'feed', value: 'mains-2' }],
  [['from battery', 'battery powered'], { role: 'switch', of: 'source', setting: 'feed', value: 'battery' }],
  [['exposed'], { role: 'exposure', exposure: 'lead' }],
  [['buried'], { role: 'exposure', exposure: 'buried' }],
  [['and', 'then', 'into', 'to', 'with', 'a', 'an', 'the', 'of', 'cable'], { role: 'filler' }]
];

/** The pickup an instrument usually brings when none is said. */
const USUAL: Readonly<Record<InstrumentId, string>> = {
  'upright-bass': 'piezo',
  'bass-guitar': 'passive-bass',
  'five-string-bass': 'active-bass',
  guitar: 'single-coil',
  bouzouki: 'single-coil',
  cello: 'piezo',
  violin: 'piezo',
  mandolin: 'piezo',
  banjo: 'piezo',
  dulcimer: 'piezo',
  harp: 'piezo',
  keys: 'keyboard',
  organ: 'piezo',
  theremin: 'keyboard',
  speech: 'dynamic-mic',
  programme: 'consumer-player'
};

export interface Phrase {
  readonly text: string;
  readonly words: readonly string[];
  readonly meaning: Meaning;
  /** The form it is told back in. */
  readonly main: boolean;
}

const phrases = ([texts, meaning]: readonly [readonly string[], Meaning]): Phrase[] =>
  texts.map((text, k) => ({ text, words: text.split(' '), meaning, main: k === 0 }));

/** Instruments are called what they are called. */
export const sayInstrument = (id: InstrumentId): string =>
  id.replaceAll('-', ' ').replace('five string', 'five-string');

/** All phrases, longest first, so that "dynamic mic" is not read as an input. */
export const VOCABULARY: readonly Phrase[] = [
  ...PHRASES.flatMap(phrases),
  ...INSTRUMENT_IDS.flatMap((instrument) =>
    phrases([[sayInstrument(instrument)], { role: 'instrument', instrument, model: USUAL[instrument] }])
  )
].sort((a, b) => b.words.length - a.words.length || b.text.length - a.text.length);

/** How a model, a cable kind or a switch position is said. */
export const sayModel = (model: string): string =>
  VOCABULARY.find((p) => p.main && 'model' in p.meaning && p.meaning.role !== 'instrument' && p.meaning.model === model)
    ?.text ?? model;
export const sayCable = (kind: CableKindId): string =>
  VOCABULARY.find((p) => p.main && p.meaning.role === 'cable' && p.meaning.kind === kind)!.text;
export const sayWiring = (end: number, wiring: Wiring): string | undefined =>
  VOCABULARY.find(({ main, meaning: m }) => main && m.role === 'wiring' && m.end === end && m.wiring === wiring)?.text;
export const saySwitch = (of: string, setting: string, value: string): string | undefined =>
  VOCABULARY.find(
    ({ main, meaning: m }) => main && m.role === 'switch' && m.of === of && m.setting === setting && m.value === value
  )?.text;
