import { box, di, input, source, type Row } from './sense';

/**
 * What the screens call things, as far as it is not said like that anyway: each reads back as what it labels. With a comma in it the whole of it has to stand there.
 */
export const LABELS: readonly Row[] = [
  source('hi-z-mic', 62, 'high impedance microphone'),
  source('electric-piano', 60, 'el. piano, passive|passive electric piano'),
  source('acoustic-preamp', 60, 'acoustic instrument with preamp|acoustic, preamp'),
  source('line-unbalanced', 50, 'unbalanced line output|line, unbalanced|unbalanced line'),
  source(
    'line-impedance-balanced',
    50,
    'impedance balanced line output|line, half-driven|line, z-balanced|z-balanced line|impedance balanced line|balanced keyboard'
  ),
  source('line-hot', 50, 'hot line output|line, hot|hot line'),
  source('consumer-player', 50, 'consumer line output|player, rca'),
  source('line-balanced', 50, 'line, balanced|professional line output'),
  source('bass-amp-out', 72, "bass amp's direct output|bass amp out"),
  source('lavalier', 60, 'clip on electret'),
  source('valve-amp', 74, "valve amplifier's speaker output"),
  source('turntable', 60, 'turntable cartridge'),
  di('passive-di-economy', 'passive, economy|economy passive di'),
  di('active-di-10m', 'active di 10m|active di, 10 mω|active di 10 mω'),
  di('active-di', 'active di, 1 mω|active di 1 mω'),
  di('media-di-stereo', 'passive media di, stereo|media di, stereo'),
  di('media-di', 'passive media di, stereo to mono'),
  di('speaker-di', 'speaker level di'),
  di('preamp-di', 'preamp di with tone controls'),
  box('reversed-di', 'passive di used backwards|di, reversed'),
  box('converter-down', 'converter to consumer level|converter, down'),
  box('converter-up', 'converter to professional level|converter, up'),
  box('merge-box', 'merge box, stereo to mono'),
  box('balun', 'balun for a twisted pair'),
  box('coupler', 'jack coupler|coupler'),
  box('mini-to-jack', '3.5 mm to jack|3.5 to jack adapter|3.5 mm to jack adapter'),
  box('jack-to-mini', 'jack to 3.5 mm|jack to 3.5 mm adapter'),
  box('xlr-to-jack', 'xlr to balanced jack adapter'),
  box('xlr-to-jack-grounded', 'xlr-to-jack adapter, pin 3 grounded|xlr–jack, 3 gnd|grounded xlr to jack adapter'),
  box('xlr-to-jack-open', 'xlr-to-jack adapter, pin 3 open|xlr–jack, 3 open|open xlr to jack adapter'),
  box('xlr-to-rca-grounded', 'xlr-to-rca adapter, pin 3 grounded|xlr–rca, 3 gnd|grounded xlr to rca adapter'),
  box('xlr-to-rca-open', 'xlr-to-rca adapter, pin 3 open|xlr–rca, 3 open|open xlr to rca adapter'),
  box(
    'plain-y',
    'plain y, left and right twisted together|plain y|joined by a y adapter|joined by a y lead|y lead that joins left and right|y lead that joins|joined in a y lead|joined at the plug|joining tip and ring|tip and ring joined|tip and ring tied together|tip and ring tied|tip and ring shorted|tip ring joined|tip and ring bridged|joins tip and ring|left and right joined|left and right tied together|left and right shorted|left and right bridged|l r joined|l and r joined|joining left and right|joining l and r|bridging tip and ring|both channels twisted together|left and right twisted together'
  ),
  box('y-jack', 'jack y lead, one output to two inputs|jack y'),
  box('y-xlr', 'xlr y lead, one output to two inputs|xlr y'),
  box('y-rca', 'rca y lead, one output to two inputs|rca y'),
  box('y-mini', '3.5 mm y lead, one output to two inputs|3.5 mm y'),
  box('y-speaker', 'speaker-cable y, one output to two loads|speaker y'),
  input('consumer-in', 'consumer line input|line, rca'),
  input('aux-in', 'aux input without a trim|aux, no trim'),
  input('phono-in', 'phono'),
  input('camera-in', "camera's microphone input"),
  input('load-resistor', 'plain resistor|resistor'),
  [{ is: 'amp', model: 'cabinet' }, 'loudspeaker cabinet']
];
