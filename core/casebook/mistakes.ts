import type { Mistake } from './cases';

/** What people get wrong, how it is said, what must be found, the same done right, and the best remedy. */
export const MISTAKES: readonly Mistake[] = [
  {
    id: 'a-box-used-as-a-plug-adapter',
    what: 'a box used as a plug adapter',
    says: 'balanced line on Stage, 3 m, passive DI, 20 m, mic',
    finds: { code: 'box-as-adapter', severity: 'note', value: 0 },
    right: 'keyboard wall-wart, 3 m, passive DI, 20 m, mic',
    remedy: 'Take the passive DI out, one cable instead into a line input'
  },
  {
    id: 'a-guitar-into-a-line-jack-because-it-fit',
    what: 'a guitar into a line jack because it fits',
    says: 'guitar single coil, 3 m, line',
    finds: { code: 'treble-loss', severity: 'stop', value: -12.09 },
    right: 'guitar single coil, 3 m, instrument input',
    remedy: 'Into an instrument input'
  },
  {
    id: 'matching-taken-as-equal-impedances',
    what: 'matching taken as equal impedances',
    says: 'rca player wall-wart, 2 m, 10 m, mic',
    finds: { code: 'equal-impedances', severity: 'care', value: 1.438 },
    right: 'rca player wall-wart, 2 m, rca input',
    remedy: 'Put in a passive DI'
  },
  {
    id: 'a-long-unbalanced-run-of-coupled-leads',
    what: 'a long unbalanced run of coupled leads',
    says: 'guitar single coil, 30 m 4 couplers, instrument input',
    finds: { code: 'long-unbalanced', severity: 'care', value: 30 },
    right: 'guitar single coil, 3 m, instrument input',
    remedy: 'Keep the run under 6 m'
  },
  {
    id: 'the-couplers-of-that-run',
    what: 'the couplers of that run',
    says: 'guitar single coil, 30 m 4 couplers, instrument input',
    finds: { code: 'coupled', severity: 'care', value: 4 },
    right: 'guitar single coil, 30 m, instrument input',
    remedy: 'Keep the run under 6 m'
  },
  {
    id: 'a-passive-box-into-a-line-input',
    what: 'a passive DI into a line input',
    says: 'guitar single coil, 3 m, passive DI, 20 m, line',
    finds: { code: 'too-quiet', severity: 'stop', value: 42.1 },
    right: 'guitar single coil, 3 m, passive DI, 20 m, mic',
    remedy: 'Into a microphone input'
  },
  {
    id: 'loudspeaker-level-into-an-unrated-input',
    what: 'loudspeaker level into an unrated input',
    says: 'valve amp, 3 m, line',
    finds: { code: 'speaker-level', severity: 'danger', value: 26.02 },
    right: 'valve amp, 3 m, cabinet',
    remedy: 'Into a loudspeaker cabinet'
  },
  {
    id: 'line-level-into-a-microphone-input',
    what: 'line level into a microphone input',
    says: 'modular rack wall-wart, 3 m, mic',
    finds: { code: 'clips', severity: 'stop', value: -8 },
    right: 'modular rack wall-wart, 3 m, line',
    remedy: 'Put in a passive DI, and pad −10 dB at the DI'
  },
  {
    id: 'line-into-phono',
    what: 'line into phono',
    says: 'rca player wall-wart, 2 m, phono input',
    finds: { code: 'line-into-phono', severity: 'stop', value: 28.09 },
    right: 'turntable, 1 m, phono input',
    remedy: 'Put in a passive DI'
  },
  {
    id: 'phono-into-line',
    what: 'phono into line',
    says: 'turntable, 2 m, rca input',
    finds: { code: 'phono-into-line', severity: 'stop', value: 22.52 },
    right: 'turntable, 1 m, phono input',
    remedy: 'Into a phono input'
  },
  {
    id: 'a-stereo-plug-in-a-balanced-mono-input',
    what: 'a stereo plug in a balanced mono input',
    says: 'laptop, 3 m, mic',
    finds: { code: 'stereo-cancels', severity: 'stop', value: -79.82 },
    right: 'laptop, 3 m, media DI, 9 m, mic',
    remedy: 'Put in a passive media DI, stereo to mono'
  },
  {
    id: 'a-plain-y-joining-left-and-right',
    what: 'a plain Y joining left and right',
    says: 'laptop, 1 m, plain y, 2 m jack lead, line',
    finds: { code: 'outputs-joined', severity: 'stop', value: 20 },
    right: 'laptop, 1 m, merge box, 2 m jack lead, line',
    remedy:
      'Passive media DI, stereo to mono instead of the plain Y, left and right twisted together, and into a microphone input'
  },
  {
    id: 'an-aux-input-with-no-trim',
    what: 'an aux input with no trim',
    says: 'keyboard wall-wart, 3 m, aux',
    finds: { code: 'no-trim', severity: 'care', value: -5.523 },
    right: 'keyboard wall-wart, 3 m, line',
    remedy: 'Into a line input'
  },
  {
    id: 'phantom-missing',
    what: 'phantom missing',
    says: 'piezo, 2 m, active DI 10m, 20 m, mic, phantom off',
    finds: { code: 'phantom-off', severity: 'stop', value: 0 },
    right: 'piezo, 2 m, active DI 10m, 20 m, mic',
    remedy: 'Switch phantom on at the input'
  },
  {
    id: 'phantom-insufficient',
    what: 'phantom insufficient',
    says: 'piezo, 2 m, active DI 10m (draw 10 mA), 20 m, mic (phantomMost 4 mA)',
    finds: { code: 'phantom-weak', severity: 'care', value: 34.37 },
    right: 'piezo, 2 m, active DI 10m, 20 m, mic',
    remedy: 'Run the DI on a battery'
  },
  {
    id: 'phantom-of-the-whole-desk',
    what: 'more boxes on phantom than the desk feeds',
    says: 'piezo, 2 m, active DI 10m (draw 8 mA), 20 m, mic',
    also: ['piezo, 2 m, active DI 10m (draw 8 mA), 20 m, mic', 'piezo, 2 m, active DI 10m (draw 8 mA), 20 m, mic'],
    phantomMost: 0.02,
    finds: { code: 'phantom-spent', severity: 'stop', value: 24 },
    right: 'piezo, 2 m, active DI 10m (draw 8 mA), 20 m, mic',
    remedy: 'Run the DI on a battery'
  },
  {
    id: 'phantom-with-no-way-home',
    what: 'phantom with no way home',
    says: 'piezo, 2 m, active DI 10m, 20 m mic cable shield open, mic',
    finds: { code: 'phantom-weak', severity: 'stop', value: 0 },
    right: 'piezo, 2 m, active DI 10m, 20 m mic cable, mic',
    remedy: 'Run the DI on a battery'
  },
  {
    id: 'phantom-where-it-harms',
    what: 'phantom where it harms',
    says: 'keyboard wall-wart, 2 m, 10 m, mic, phantom on',
    finds: { code: 'phantom-into-source', severity: 'stop', value: 6.476 },
    right: 'dynamic mic, 10 m, mic, phantom on',
    remedy: 'Put in a passive DI'
  },
  {
    id: 'phantom-on-a-mis-wired-ribbon',
    what: 'phantom on a mis-wired ribbon',
    says: 'ribbon mic, 10 m pin 3 grounded, mic, phantom on',
    finds: { code: 'phantom-into-source', severity: 'danger', value: 6.75 },
    right: 'ribbon mic, 10 m, mic, phantom on',
    remedy: 'A lead with normal wiring, and switch phantom off at the input'
  },
  {
    id: 'no-plug-in-power-for-a-capsule',
    what: 'no plug-in power for a capsule',
    says: 'clip-on mic, 2 m, line',
    finds: { code: 'plug-in-missing', severity: 'stop', value: 0 },
    right: 'clip-on mic, 2 m, camera',
    remedy: 'Put in an active DI, 10 MΩ, into a microphone input, and run the source on its battery'
  },
  {
    id: 'lift-on-an-un-earthed-source',
    what: 'lift on an un-earthed source',
    says: 'guitar humbucker, 3 m, passive DI lifted, 20 m, mic',
    finds: { code: 'floats-lifted', severity: 'note', value: 0 },
    right: 'guitar humbucker, 3 m, passive DI, 20 m, mic',
    remedy: 'Take the ground lift off at the DI'
  },
  {
    id: 'lift-expected-to-cure-induced-hum',
    what: 'lift expected to cure induced hum',
    says: 'guitar single coil (area 40 m²), 3 m, passive DI lifted, 20 m, mic',
    finds: { code: 'lift-no-help', severity: 'note', value: 27.48 },
    right: 'guitar humbucker, 3 m, passive DI lifted, 20 m, mic',
    remedy: null
  },
  {
    id: 'lift-on-a-box-that-is-not-isolated',
    what: 'lift on a box that is not isolated',
    says: 'keyboard earthed on Stage, 3 m, active DI lifted pad 20, 40 m, mic',
    finds: { code: 'lift-leaks', severity: 'note', value: 46.32 },
    right: 'keyboard earthed on Stage, 3 m, passive DI lifted pad 20, 40 m, mic',
    remedy: 'Run the source on its battery'
  },
  {
    id: 'a-thru-that-joins-what-the-lift-parts',
    what: 'a thru that joins what the lift parts',
    says: 'Keys: keyboard earthed on Stage, 2 m, passive DI lifted, 20 m, mic',
    also: ['from Keys, 2 m, guitar amp, on Annex'],
    last: true,
    finds: { code: 'thru-joins', severity: 'stop', value: 22.45 },
    right: 'keyboard earthed on Stage, 2 m, passive DI lifted, 20 m, mic',
    remedy: 'Run the source on its battery, and pad −20 dB at the input'
  },
  {
    id: 'mains-earth-removed',
    what: 'mains earth removed',
    says: 'keyboard earthed earth removed on Stage, 3 m, line',
    finds: { code: 'earth-removed', severity: 'danger', value: 0 },
    right: 'keyboard earthed on Stage, 3 m, line',
    remedy: null
  },
  {
    id: 'a-valve-amplifier-without-its-load',
    what: 'a valve amplifier without its load',
    says: 'valve amp, 1 m, speaker box, 20 m, mic',
    finds: { code: 'no-load', severity: 'danger', value: 46990 },
    right: 'valve amp, 1 m, cabinet',
    remedy: null
  },
  {
    id: 'a-bridged-output-into-something-grounded',
    what: 'a bridged output into something grounded',
    says: 'power amp bridged, 2 m, speaker box, 20 m, mic',
    finds: { code: 'bridged-output', severity: 'danger', value: 0 },
    right: 'power amp, 2 m, speaker box, 20 m, mic',
    remedy: null
  },
  {
    id: 'an-instrument-lead-at-loudspeaker-level',
    what: 'an instrument lead at loudspeaker level',
    says: 'valve amp, 3 m jack lead, cabinet',
    finds: { code: 'wrong-cable', severity: 'care', value: 0 },
    right: 'valve amp, 3 m, cabinet',
    remedy: 'Use a speaker cable with mono jack and speaker connector plugs'
  },
  {
    id: 'a-low-cut-above-a-basss-fundamental',
    what: 'a low cut above a bass’s fundamental',
    says: 'upright bass piezo, 3 m, active DI 10m low cut 120, 20 m, mic',
    finds: { code: 'cut-too-high', severity: 'stop', value: -13.1 },
    right: 'upright bass piezo, 3 m, active DI 10m, 20 m, mic',
    remedy: 'Switch the low cut off at the DI'
  },
  {
    id: 'a-reversed-box-used-to-lower-a-level',
    what: 'a reversed box used to lower a level',
    says: 'balanced line on Stage, 3 m, reversed box, 2 m, line',
    finds: { code: 'steps-up', severity: 'care', value: 17.31 },
    right: 'balanced line on Stage, 3 m, isolator, 2 m, line',
    remedy: 'Take the passive DI used backwards out, one cable instead'
  },
  {
    id: 'a-preamps-output-sent-through-a-box',
    what: 'a preamp’s output sent through a box',
    says: 'interface output, 2 m, active DI, 20 m, mic',
    finds: { code: 'box-as-adapter', severity: 'note', value: 0 },
    right: 'interface output, 2 m, line',
    remedy: 'Take the active DI, 1 MΩ out, one cable instead into a line input'
  },
  {
    id: 'half-a-balanced-signal',
    what: 'half a balanced signal',
    says: 'balanced line (topology transformer) on Stage, 20 m pin 3 open, line',
    finds: { code: 'half-balanced', severity: 'care', value: 17.24 },
    right: 'balanced line (topology transformer) on Stage, 20 m, line',
    remedy: 'A lead with normal wiring'
  },
  {
    id: 'hot-and-cold-swapped',
    what: 'hot and cold swapped',
    says: 'balanced line on Stage, 20 m swapped, line',
    finds: { code: 'contacts-swapped', severity: 'note', value: 0 },
    right: 'balanced line on Stage, 20 m, line',
    remedy: 'A lead with normal wiring'
  },
  {
    id: '3-v-of-rail-taken-for-3-v-rms',
    what: '3 V of rail taken for 3 V RMS',
    says: 'laptop (rail 3 V, nominal 3 V), 2 m, media DI, 9 m, mic',
    finds: { code: 'over-rail', severity: 'care', value: 9.031 },
    right: 'laptop (rail 3 V, nominal 0.3 V), 2 m, media DI, 9 m, mic',
    remedy: null
  },
  {
    id: 'two-strings-at-once',
    what: 'two strings at once',
    says: 'upright bass piezo (nominal -14 dBu), 2 m, active DI 10m, 20 m, mic',
    finds: { code: 'double-stops', severity: 'note', value: 4.151 },
    right: 'upright bass piezo, 2 m, active DI 10m pad 15, 20 m, mic',
    remedy: 'Pad −10 dB at the DI'
  },
  {
    id: 'a-ground-loop-on-an-unbalanced-joint',
    what: 'a ground loop on an unbalanced joint',
    says: 'rca player earthed on Stage, 12 m, rca input',
    finds: { code: 'loop', severity: 'stop', value: 7.319 },
    right: 'rca player wall-wart, 2 m, rca input',
    remedy: 'Put in a passive DI, and lift the ground at the DI'
  }
];
