// Say: a line in spoken words, read into a plan's parts and told back. Knows names; computes nothing.
import type { CableKindId } from '../gear/cables';
import { type ModelId, modelOf } from '../gear/catalogue';
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

/** How each model is said; the first one is how it is told back. All lower case. A model without a word does not compile. */
const MODEL_PHRASES: Readonly<Record<ModelId, readonly [string, ...string[]]>> = {
  'single-coil': ['single coil', 'single-coil'],
  humbucker: ['humbucker'],
  'passive-bass': ['passive bass', 'bass pickup'],
  piezo: ['piezo', 'bridge piezo'],
  'contact-disc': ['contact disc'],
  'hi-z-mic': ['bullet mic', 'high-impedance mic'],
  'soundhole-magnetic': ['soundhole magnetic'],
  'upright-magnetic': ['upright magnetic'],
  'electric-piano': ['passive electric piano'],
  'condenser-mic': ['condenser mic', 'condenser microphone', 'condenser'],
  'wireless-receiver': ['wireless receiver'],
  modeller: ['amp modeller', 'modeller'],
  'hdmi-extractor': ['hdmi extractor'],
  'active-bass': ['active bass'],
  'line-unbalanced': ['keyboard', 'synth', 'sampler', 'drum machine', 'unbalanced line'],
  'line-hot': ['modular rack', 'modular', 'hot line'],
  'consumer-player': ['rca player', 'tape machine', 'tape loops', 'cd player', 'media player', 'consumer line'],
  headphone: ['headphone jack', 'headphones', 'headphone', 'laptop', 'tablet', 'phone'],
  'line-balanced': ['balanced line', 'desk out', 'matrix out'],
  'active-guitar': ['active guitar'],
  'acoustic-preamp': ['acoustic preamp', 'preamp instrument'],
  'line-impedance-balanced': ['balanced keyboard', 'impedance-balanced line'],
  turntable: ['turntable', 'record player'],
  'interface-out': ['interface output', 'interface', 'interface out'],
  'bass-amp-out': ['bass amp out', 'bass amp output'],
  ribbon: ['ribbon mic', 'ribbon microphone', 'ribbon'],
  lavalier: ['clip-on mic', 'lavalier', 'electret'],
  'power-amp': ['power amp', 'power amplifier'],
  'valve-amp': ['valve amp', 'valve amplifier'],
  'dynamic-mic': ['dynamic mic', 'dynamic microphone'],
  'active-di-10m': ['active DI 10m', 'active box 10m', 'active 10m', '10m active box', '10 meg active box'],
  'active-di': ['active DI', 'active box', 'active'],
  'passive-di-economy': ['economy passive DI', 'economy passive box', 'economy DI', 'economy box', 'passive economy'],
  'passive-di': ['passive DI', 'passive box', 'passive'],
  'media-di': ['media DI', 'media box', 'stereo box'],
  'preamp-di': ['preamp DI', 'preamp box', 'acoustic preamp box'],
  'speaker-di': ['speaker DI', 'speaker box', 'speaker-level DI', 'speaker-level box', 'speaker tap'],
  'speaker-di-passive': ['passive speaker DI', 'passive speaker-level DI'],
  'media-di-stereo': ['stereo media DI', 'media pair', 'stereo media box'],
  isolator: ['isolator', 'isolating transformer'],
  balun: ['balun'],
  'rca-isolator': ['RCA isolator', 'unbalanced isolator'],
  'reversed-di': ['reversed DI', 'reversed box', 'reversed passive DI', 'reversed passive box', 'box backwards'],
  'reamp-box': ['re-amp box', 'reamp box', 're-amp'],
  'converter-down': ['down converter', 'converter down'],
  'converter-up': ['up converter', 'converter up'],
  splitter: ['splitter', 'mic splitter'],
  'small-mixer': ['small mixer', 'mixer'],
  'merge-box': ['merge box', 'merge'],
  'inline-pad': ['inline pad', 'in-line pad'],
  'jack-to-xlr': ['jack-to-xlr adapter'],
  'patch-bay': ['patch bay', 'patchbay'],
  'rca-to-xlr': ['rca-to-xlr adapter'],
  coupler: ['jack coupler'],
  'rca-to-jack': ['rca-to-jack adapter'],
  'jack-to-rca': ['jack-to-rca adapter'],
  'mini-to-jack': ['3.5-to-jack adapter'],
  'jack-to-mini': ['jack-to-3.5 adapter'],
  'xlr-to-jack': ['xlr-to-jack adapter'],
  'xlr-to-jack-grounded': ['grounded xlr-to-jack adapter'],
  'xlr-to-jack-open': ['open xlr-to-jack adapter'],
  'xlr-to-rca-grounded': ['grounded xlr-to-rca adapter', 'xlr-to-rca adapter'],
  'xlr-to-rca-open': ['open xlr-to-rca adapter'],
  'plain-y': ['plain y'],
  'y-jack': ['jack y'],
  'y-xlr': ['xlr y'],
  'y-rca': ['rca y'],
  'y-mini': ['3.5 mm y'],
  'y-speaker': ['speaker y'],
  buffer: ['buffer'],
  'mic-booster': ['mic booster', 'inline booster'],
  'phono-preamp': ['phono preamp'],
  'load-box': ['load box'],
  'recorder-in': ['recorder input', 'recorder'],
  'iem-sender-in': ['in-ear sender'],
  'loop-amp-in': ['loop amp'],
  'power-amp-in': ['power amp input'],
  'insert-return': ['insert return'],
  'beltpack-in': ['transmitter pack'],
  'mic-in': ['mic', 'mic in', 'mic input', 'microphone', 'microphone input'],
  'line-in': ['line', 'line in', 'line input'],
  'instrument-in': ['instrument input', 'instrument in', 'instrument', 'hi-z', 'hiz'],
  'consumer-in': ['rca input', 'rca in', 'consumer input'],
  'combo-in': ['combo input', 'combo'],
  'amp-in': ['guitar amp', 'amp input', 'amp in'],
  'aux-in': ['aux input', 'aux in', 'aux'],
  'phono-in': ['phono input', 'phono in', 'phono'],
  'speaker-in': ['powered speaker', 'active speaker'],
  'camera-in': ['camera', 'camera input'],
  cabinet: ['cabinet', 'speaker cabinet'],
  'load-resistor': ['resistor']
};

/** Other phrases by meaning; the first one of each is how it is told back. All lower case. */
const PHRASES: readonly (readonly [readonly string[], Meaning])[] = [
  [['no box', 'direct', 'straight'], { role: 'no-box' }],

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
  [['gives shocks'], { role: 'switch', of: 'source', setting: 'earth', value: 'shocks' }],
  [['set to mic'], { role: 'switch', of: 'input', setting: 'mode', value: 'mic' }],
  [['plug-in power off', 'no plug-in power'], { role: 'switch', of: 'input', setting: 'plugIn', value: 'off' }],
  [['phantom on', 'phantom', 'p48'], { role: 'switch', of: 'input', setting: 'phantom', value: 'on' }],
  [['phantom off', 'no phantom'], { role: 'switch', of: 'input', setting: 'phantom', value: 'off' }],
  [['padded', 'input pad'], { role: 'switch', of: 'input', setting: 'pad', value: '20' }],
  [['earthed'], { role: 'switch', of: 'source', setting: 'feed', value: 'mains-1' }],
  [['wall-wart', 'two-pin'], { role: 'switch', of: 'source', setting: 'feed', value: 'mains-2' }],
  [['from battery', 'battery powered'], { role: 'switch', of: 'source', setting: 'feed', value: 'battery' }],
  [['phantom from elsewhere'], { role: 'switch', of: 'source', setting: 'feed', value: 'supply' }],
  [['own phantom supply'], { role: 'switch', of: 'box', setting: 'feed', value: 'supply' }],
  [['exposed'], { role: 'exposure', exposure: 'lead' }],
  [['buried'], { role: 'exposure', exposure: 'buried' }],
  [['and', 'then', 'into', 'to', 'with', 'a', 'an', 'the', 'of', 'cable'], { role: 'filler' }]
];

/** The pickup an instrument usually brings when none is said. */
const USUAL: Readonly<Record<InstrumentId, ModelId>> = {
  'upright-bass': 'piezo',
  'bass-guitar': 'passive-bass',
  'five-string-bass': 'active-bass',
  guitar: 'single-coil',
  'acoustic-guitar': 'acoustic-preamp',
  bouzouki: 'single-coil',
  cello: 'piezo',
  viola: 'piezo',
  violin: 'piezo',
  mandolin: 'piezo',
  banjo: 'piezo',
  dulcimer: 'piezo',
  harp: 'piezo',
  keys: 'line-unbalanced',
  organ: 'line-unbalanced',
  theremin: 'line-unbalanced',
  harmonica: 'dynamic-mic',
  saxophone: 'dynamic-mic',
  brass: 'dynamic-mic',
  flute: 'dynamic-mic',
  drums: 'dynamic-mic',
  percussion: 'dynamic-mic',
  vocals: 'dynamic-mic',
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
  texts.map((text, k) => ({ text, words: text.toLowerCase().split(' '), meaning, main: k === 0 }));

/** Instruments are called what they are called. */
export const sayInstrument = (id: InstrumentId): string =>
  id.replaceAll('-', ' ').replace('five string', 'five-string');

const roleOf = (model: string): 'source' | 'box' | 'input' => {
  const { family } = modelOf(model);
  return family === 'joint' ? 'box' : family;
};

/** All phrases, longest first, so that "dynamic mic" is not read as an input. */
export const VOCABULARY: readonly Phrase[] = [
  ...Object.entries(MODEL_PHRASES).flatMap(([model, texts]) => phrases([texts, { role: roleOf(model), model }])),
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
