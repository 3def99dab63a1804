/** Noises as they come: what was said and tried, what it was, what the answers rule out, and how sure an engineer may be of it. Tests only. */

export const KINDS_OF_CAUSE = {
  loop: 'ground-loop',
  touch: 'ground-loop',
  dimmers: 'dimmers',
  pickup: 'magnetic-field',
  transformer: 'magnetic-field',
  field: 'magnetic-field',
  electric: 'electric-field',
  supply: 'supply-leakage',
  shield: 'broken-shield',
  leg: 'broken-leg',
  contact: 'bad-contact',
  'pin-1': 'pin-1',
  radio: 'radio',
  'low-level': 'low-level-gain-hiss',
  starved: 'phantom-missing-or-weak',
  'wrong-input': 'input-faulty',
  'own-supply': 'source-noise-itself',
  'faulty-box': 'box-faulty',
  none: 'outside-list',
  several: 'several'
} as const;
export type KindOfCause = (typeof KINDS_OF_CAUSE)[keyof typeof KINDS_OF_CAUSE];

export type Story = readonly [
  told: string,
  /** The line that makes it first. */
  lines: readonly string[],
  /** Each question or test with its answer. */
  answers: string,
  /** Any of them is right. */
  is: readonly KindOfCause[],
  not: readonly KindOfCause[],
  sure: number
];

export const STORIES: readonly Story[] = [
  [
    'twelve mics in a multicore beside a feeder of the heaters',
    [
      'Vox: dynamic mic, 50 m multicore, mic input',
      'Vox 2: dynamic mic, 50 m multicore, mic input',
      'Vox 3: dynamic mic, 50 m multicore, mic input'
    ],
    'sound hum, lines all, since comes-and-goes, short-source same, move-lead much-less, swap-lead much-less',
    ['magnetic-field'],
    ['source-noise-itself', 'input-faulty', 'bad-contact', 'ground-loop'],
    0.91
  ],
  [
    'a DI behind a splitter gets no phantom',
    ['Keys: keyboard, 3 m jack, active DI, splitter, 40 m, mic input'],
    'sound hiss, phantom-off same, swap-box same, swap-lead same, phantom-supply gone',
    ['phantom-missing-or-weak'],
    ['box-faulty', 'source-noise-itself', 'ground-loop', 'bad-contact'],
    0.96
  ],
  [
    'an old floor box that was mopped',
    ['Altar: boundary mic, 30 m, mic input'],
    'sound crackle, since comes-and-goes, swap-source same, other-input same, phantom-off much-less, wiggle worse, swap-lead gone',
    ['bad-contact'],
    ['input-faulty', 'source-noise-itself', 'radio', 'ground-loop'],
    0.94
  ],
  [
    'a crystal mic under a neon sign',
    ['Harp: harmonica mic high impedance, 6 m jack, instrument input'],
    'sound buzz, since comes-and-goes, noticed turning, turn much-less',
    ['electric-field', 'broken-shield'],
    ['ground-loop', 'input-faulty'],
    0.6
  ],
  [
    'a ribbon far from a soft voice',
    ['Reader: ribbon mic, 20 m, mic input'],
    'sound hiss, swap-lead same, other-input same, short-source same, closer much-less',
    ['low-level-gain-hiss'],
    ['source-noise-itself', 'broken-shield', 'radio', 'bad-contact', 'input-faulty'],
    0.94
  ],
  [
    'two condensers on a recorder that cannot feed both',
    ['A: condenser mic, 5 m, recorder mic input', 'B: condenser mic, 5 m, recorder mic input'],
    'sound hiss, lines all, swap-lead same, phantom-supply gone',
    ['phantom-missing-or-weak'],
    ['low-level-gain-hiss', 'broken-leg', 'bad-contact', 'ground-loop'],
    0.95
  ],
  [
    'a DI on top of a bass head',
    ['Ac gtr: acoustic guitar with preamp, 3 m jack, passive DI, 40 m, mic input'],
    'sound hum, lines only-this, since plugged, lift same, swap-box same, move-box gone',
    ['magnetic-field'],
    ['ground-loop', 'source-noise-itself', 'box-faulty', 'input-faulty'],
    0.95
  ],
  [
    'a laptop on a two-pin charger',
    ['Laptop: laptop two-pin charger, 2 m, passive DI, 40 m, mic input'],
    'sound whine, source-battery gone',
    ['supply-leakage'],
    [],
    0.85
  ],
  [
    'one pair of a multicore is bad',
    ['Kick: dynamic mic, 40 m multicore, mic input', 'Snare: dynamic mic, 40 m multicore, mic input'],
    'sound hum, lines only-this, since plugged, swap-source same, other-input same, swap-lead gone',
    ['broken-leg', 'broken-shield', 'bad-contact'],
    ['ground-loop', 'input-faulty', 'source-noise-itself'],
    0.95
  ],
  [
    'a guitar lead with an open shield',
    ['Bass: passive bass, 5 m jack, passive DI, 40 m, mic input'],
    'sound buzz, noticed touching, swap-box same, swap-lead gone',
    ['broken-shield', 'bad-contact'],
    ['ground-loop', 'magnetic-field', 'electric-field', 'input-faulty'],
    0.9
  ],
  [
    'single coils under lamps',
    ['Gtr: single coil guitar, 5 m jack, active DI, 30 m, mic input'],
    'sound buzz, since lights, noticed turning, turn much-less, swap-lead same, lift same',
    ['magnetic-field'],
    ['ground-loop', 'broken-shield', 'input-faulty'],
    0.92
  ],
  [
    'a taxi on a long lead',
    ['Org: organ line unbalanced, 20 m jack, line input'],
    'sound radio, since comes-and-goes, lines only-this, swap-source same, swap-lead a-little',
    ['radio'],
    ['ground-loop', 'magnetic-field', 'input-faulty'],
    0.92
  ],
  [
    'two earths, and a lift',
    ['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input'],
    'sound hum, lines only-this, lift gone',
    ['ground-loop'],
    ['source-noise-itself', 'magnetic-field', 'input-faulty'],
    0.93
  ],
  [
    'a keyboard with a tired supply',
    ['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input'],
    'sound hum, lift same, swap-lead same, swap-box same, other-input same, mute-source gone, swap-source gone',
    ['source-noise-itself'],
    ['ground-loop', 'magnetic-field', 'input-faulty', 'box-faulty'],
    0.95
  ],
  [
    'a desk channel that crackles',
    ['Vox: dynamic mic, 30 m, mic input'],
    'sound crackle, swap-source same, swap-lead same, short-input same, other-input gone',
    ['input-faulty'],
    ['bad-contact', 'source-noise-itself', 'radio'],
    0.95
  ],
  [
    'a quiet line is noisy at this input too',
    ['Vox: dynamic mic, 30 m, mic input'],
    'sound hiss, swap-source same, swap-lead same, known-line same',
    ['input-faulty', 'low-level-gain-hiss'],
    ['source-noise-itself'],
    0.8
  ],
  [
    'an amplifier that hums by itself',
    ['Vox: dynamic mic, 30 m, mic input'],
    'sound hum, lines all, short-input same, swap-source same, other-input same',
    ['outside-list'],
    ['source-noise-itself', 'broken-shield', 'bad-contact'],
    0.8
  ],
  [
    'a clock that whines into all of the desk',
    ['Keys: keyboard earthed, 3 m, active DI, 30 m, mic input'],
    'sound whine, lines all, mute-source same, lift same, swap-run same, short-input same',
    ['outside-list'],
    ['ground-loop', 'source-noise-itself', 'supply-leakage'],
    0.8
  ],
  [
    'phantom too weak for one pair',
    ['OH: condenser mic, 60 m multicore, mic input', 'OH2: condenser mic, 60 m multicore, mic input'],
    'sound hiss, lines only-this, swap-source same, swap-lead same, phantom-supply gone',
    ['phantom-missing-or-weak'],
    ['source-noise-itself', 'broken-leg'],
    0.93
  ],
  [
    'a DI beside a power supply',
    ['Cello: piezo pickup, 3 m jack, passive DI, 30 m, mic input'],
    'sound hum, lift same, swap-lead same, move-box gone',
    ['magnetic-field'],
    ['ground-loop', 'source-noise-itself', 'box-faulty'],
    0.95
  ],
  [
    'dimmers, two racks, a lift',
    [
      'Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input',
      'Rack: rack synth earthed, 3 m, passive DI, 30 m, mic input'
    ],
    'sound buzz, lines all, since lights, dimmers-off gone, lift gone',
    ['dimmers', 'ground-loop'],
    ['source-noise-itself', 'magnetic-field', 'broken-shield'],
    0.95
  ],
  [
    'a DI that crackles',
    ['Bass: active bass, 5 m jack, active DI, 40 m, mic input'],
    'sound crackle, swap-lead same, wiggle same, swap-source same, swap-box gone',
    ['box-faulty'],
    ['ground-loop', 'bad-contact', 'source-noise-itself', 'input-faulty'],
    0.92
  ],
  [
    'a loose jack',
    ['Gtr: electric guitar, 6 m jack, active DI, 20 m, mic input'],
    'sound crackle, noticed moving-plugs, since comes-and-goes, swap-lead gone',
    ['bad-contact'],
    ['box-faulty', 'source-noise-itself', 'input-faulty', 'ground-loop'],
    0.93
  ],
  [
    'a violin without earth',
    ['Violin: piezo pickup, 3 m jack, active DI 10M, 30 m, mic input'],
    'sound buzz, touch much-less, swap-lead same, lift same, swap-box same',
    ['electric-field'],
    ['ground-loop', 'box-faulty', 'broken-shield'],
    0.9
  ],
  [
    'a lecturer far off',
    ['Lecturer: dynamic mic, 40 m, mic input'],
    'sound hiss, lines only-this, swap-lead same, other-input same, closer much-less',
    ['low-level-gain-hiss'],
    ['source-noise-itself', 'broken-shield', 'input-faulty'],
    0.92
  ],
  [
    'a DJ on another socket',
    ['DJ: dj mixer rca earthed, 10 m rca, line input'],
    'sound hum, lines only-this, other-supply gone',
    ['ground-loop'],
    ['magnetic-field', 'source-noise-itself'],
    0.92
  ],
  [
    'a bridge that nobody earthed',
    ['DB: upright bass piezo, 4 m jack, active DI 10M, 30 m, mic input'],
    'sound buzz, noticed touching, touch gone, swap-lead same, swap-box same, lift same',
    ['electric-field'],
    ['ground-loop', 'box-faulty', 'input-faulty', 'bad-contact'],
    0.92
  ],
  [
    'a guitar that turns',
    ['Gtr: single coil guitar, 3 m jack, passive DI, 20 m, mic input'],
    'sound buzz, noticed turning, volume gone, turn much-less, dimmers-off much-less',
    ['magnetic-field'],
    ['ground-loop', 'input-faulty', 'broken-leg'],
    0.93
  ],
  [
    'a drum machine on its supply',
    ['Drum machine: synth two-pin supply, 3 m jack, passive DI, 25 m, mic input'],
    'sound whine, lines only-this, swap-lead same, source-battery gone',
    ['supply-leakage'],
    ['ground-loop', 'magnetic-field', 'broken-shield', 'input-faulty'],
    0.9
  ],
  [
    'a shield that ends on a board',
    ['CD: cd player earthed, 2 m, 40 m multicore, line input'],
    'sound hum, swap-source same, other-input gone',
    ['pin-1', 'input-faulty'],
    [],
    0.85
  ],
  [
    'a telephone on the DI',
    ['Bass: active bass, 4 m jack, active DI, 40 m, mic input'],
    'sound radio, since comes-and-goes, move-box gone, swap-lead same',
    ['radio'],
    ['ground-loop', 'source-noise-itself', 'bad-contact'],
    0.9
  ],
  [
    'a taxi through a bad shield',
    ['Choir: condenser mic, 40 m, mic input'],
    'sound radio, lines only-this, swap-source same, swap-lead gone',
    ['broken-shield', 'radio', 'bad-contact'],
    ['ground-loop', 'input-faulty'],
    0.85
  ],
  [
    'a fan that the mic rightly hears',
    ['Speaker: condenser mic, 20 m, mic input'],
    'sound hum, lines some, swap-lead same, swap-source same, short-source gone, other-input same',
    ['outside-list'],
    ['ground-loop', 'input-faulty', 'bad-contact'],
    0.8
  ],
  [
    'a plug that moves',
    ['MC: dynamic mic, 15 m, mic input'],
    'sound crackle, noticed moving-plugs, wiggle worse, swap-lead gone',
    ['bad-contact'],
    ['input-faulty', 'source-noise-itself', 'radio'],
    0.95
  ],
  [
    'a capsule that is loose',
    ['MC: dynamic mic, 15 m, mic input'],
    'sound crackle, swap-lead same, wiggle same, swap-source gone',
    ['source-noise-itself'],
    ['input-faulty', 'bad-contact', 'radio'],
    0.92
  ],
  [
    'a laptop and a projector',
    ['Laptop: laptop earthed charger, 2 m mini jack, media DI, 30 m, mic input'],
    'sound buzz, since plugged, lift much-less',
    ['ground-loop'],
    ['source-noise-itself'],
    0.85
  ],
  [
    'a DI that is tired',
    ['Mando: piezo pickup, 3 m jack, active DI, 20 m, mic input'],
    'sound hiss, swap-lead same, swap-box gone',
    ['box-faulty', 'phantom-missing-or-weak'],
    ['ground-loop', 'input-faulty', 'bad-contact'],
    0.85
  ],
  [
    'hum on all, nothing tried',
    [
      'Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input',
      'Bass: active bass, 3 m jack, active DI, 30 m, mic input'
    ],
    'sound hum, lines all',
    ['ground-loop'],
    [],
    0.6
  ],
  [
    'buzz with the lamps, nothing tried',
    ['Gtr: single coil guitar, 3 m jack, passive DI, 20 m, mic input'],
    'sound buzz, since lights',
    ['magnetic-field', 'dimmers'],
    [],
    0.7
  ],
  [
    'a bass amp on another socket',
    ['Bass amp: bass amp line out earthed, 3 m, 30 m, line input'],
    'sound hum, lines only-this, other-supply much-less, swap-lead same',
    ['ground-loop'],
    ['source-noise-itself', 'input-faulty'],
    0.88
  ],
  [
    'one of two keyboards',
    [
      'Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input',
      'Keys 2: keyboard earthed, 3 m, passive DI, 30 m, mic input'
    ],
    'sound hum, lines only-this, lift same, unplug-box gone, swap-source gone',
    ['source-noise-itself'],
    ['ground-loop', 'magnetic-field', 'input-faulty', 'box-faulty'],
    0.93
  ],
  [
    'one channel hisses',
    ['Vox: dynamic mic, 20 m, mic input', 'Vox 2: dynamic mic, 20 m, mic input'],
    'sound hiss, lines only-this, other-input gone',
    ['input-faulty'],
    ['source-noise-itself', 'low-level-gain-hiss', 'bad-contact'],
    0.9
  ],
  [
    'a DI on a transformer',
    ['Bass: passive bass, 4 m jack, passive DI, 40 m, mic input'],
    'sound hum, since plugged, lift same, swap-lead same, swap-box much-less, move-box gone',
    ['magnetic-field'],
    ['ground-loop', 'broken-shield', 'input-faulty'],
    0.92
  ],
  [
    'a rack against the truss',
    ['Rack: rack synth two-pin, 3 m, active DI, 30 m, mic input'],
    'sound hum, lines only-this, since comes-and-goes, clear-metal gone',
    ['ground-loop'],
    ['source-noise-itself', 'magnetic-field', 'box-faulty'],
    0.93
  ],
  [
    'answers that cannot all be true',
    ['Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input'],
    'sound hum, lift gone, swap-box gone, swap-lead gone',
    ['bad-contact', 'ground-loop', 'outside-list', 'broken-shield'],
    [],
    0.6
  ],
  [
    'a ribbon beside a transformer',
    ['Brass: ribbon mic, 20 m, mic input'],
    'sound hum, noticed turning, turn much-less, short-source gone, swap-lead same',
    ['magnetic-field'],
    ['ground-loop', 'bad-contact', 'input-faulty'],
    0.93
  ],
  [
    'a pot that is dirty',
    ['Gtr: electric guitar, 3 m jack, passive DI, 20 m, mic input'],
    'sound crackle, noticed volume-knob, swap-lead same, swap-source gone',
    ['source-noise-itself'],
    ['input-faulty', 'box-faulty', 'bad-contact'],
    0.92
  ],
  [
    'a pair that leaks under phantom',
    [
      'Bass: active bass, 4 m jack, active DI, 60 m multicore, mic input',
      'Vox: dynamic mic, 60 m multicore, mic input'
    ],
    'sound crackle, since comes-and-goes, phantom-off gone, swap-box same, swap-lead same, swap-run gone',
    ['bad-contact'],
    ['box-faulty', 'source-noise-itself', 'input-faulty', 'ground-loop'],
    0.93
  ],
  [
    'two pins, and another keyboard',
    ['Keys: keyboard two-pin supply, 3 m jack, passive DI, 40 m, mic input'],
    'sound buzz, lines only-this, lift same, other-supply same, unplug-box gone, swap-source gone',
    ['supply-leakage', 'source-noise-itself'],
    ['ground-loop', 'input-faulty', 'box-faulty'],
    0.85
  ],
  [
    'a mandolin without earth',
    ['Mandolin: piezo pickup, 5 m jack, passive DI, 20 m, mic input'],
    'sound buzz, touch much-less',
    ['electric-field'],
    ['ground-loop', 'input-faulty'],
    0.8
  ],
  [
    'one channel without phantom',
    ['Choir: condenser mic, 40 m multicore, mic input', 'Choir2: condenser mic, 40 m multicore, mic input'],
    'sound hiss, lines only-this, swap-source same, other-input gone',
    ['input-faulty', 'phantom-missing-or-weak'],
    ['source-noise-itself', 'bad-contact', 'low-level-gain-hiss'],
    0.9
  ],
  [
    'a cab that hums, as it does',
    ['Cab: dynamic mic, 20 m, mic input'],
    'sound hum, short-source gone, swap-source same, swap-lead same, other-input same, turn same',
    ['outside-list'],
    ['ground-loop', 'input-faulty', 'bad-contact'],
    0.85
  ],
  [
    'single coils near a transformer',
    ['Gtr: electric guitar single coil, 6 m jack, passive DI, 20 m, mic input'],
    'sound buzz, lines only-this, volume gone, touch same, turn much-less',
    ['magnetic-field'],
    ['electric-field', 'ground-loop', 'broken-shield', 'input-faulty', 'box-faulty'],
    0.93
  ],
  [
    'two keyboards, one lift',
    [
      'Keys L: keyboard earthed, 3 m jack, passive DI, 30 m, mic input',
      'Keys R: keyboard earthed, 3 m jack, passive DI, 30 m, mic input'
    ],
    'sound hum, lines some, lift gone, swap-lead same',
    ['ground-loop'],
    ['source-noise-itself', 'bad-contact'],
    0.95
  ],
  [
    'one run of three',
    ['Keys: keyboard earthed, 3 m jack, active DI, 40 m, mic input'],
    'sound hum, lift same, swap-lead same, swap-box same, swap-run gone',
    ['bad-contact', 'broken-shield', 'broken-leg'],
    ['ground-loop', 'source-noise-itself', 'input-faulty'],
    0.92
  ],
  [
    'a DI that lives on its battery',
    ['Bass: passive bass, 4 m jack, active DI, 40 m, mic input'],
    'sound hiss, phantom-off same, box-battery gone',
    ['phantom-missing-or-weak'],
    ['low-level-gain-hiss', 'source-noise-itself', 'input-faulty', 'bad-contact'],
    0.93
  ],
  [
    'two pins and a phone plug',
    ['Playback: laptop two-pin charger, 1 m mini jack, media DI, 30 m, mic input', 'Vox: dynamic mic, 20 m, mic input'],
    'sound whine, lines only-this, noticed nothing, source-battery gone, lift a-little',
    ['supply-leakage'],
    ['ground-loop', 'source-noise-itself', 'bad-contact'],
    0.9
  ],
  [
    'a computer’s whine round an earth',
    ['Playback: laptop earthed charger, 1 m mini jack, media DI, 30 m, mic input'],
    'sound whine, source-battery gone, lift gone',
    ['ground-loop'],
    ['source-noise-itself', 'bad-contact', 'magnetic-field'],
    0.9
  ],
  [
    'two strings along a feeder',
    [
      'Violin: piezo pickup, 3 m jack, active DI, 40 m multicore, mic input',
      'Cello: piezo pickup, 3 m jack, active DI, 40 m multicore, mic input'
    ],
    'sound hum, lines all, short-box same, swap-box same, move-lead much-less',
    ['magnetic-field'],
    ['source-noise-itself', 'box-faulty', 'electric-field'],
    0.9
  ],
  [
    'a lead that buzzes till touched',
    ['Gtr: acoustic guitar preamp, 4 m jack, active DI, 30 m, mic input'],
    'sound buzz, noticed touching, lift same, touch gone, swap-lead gone',
    ['broken-shield', 'bad-contact'],
    ['ground-loop', 'input-faulty', 'box-faulty'],
    0.93
  ],
  [
    'a DJ mixer, a lift, a socket',
    ['DJ: keyboard earthed, 2 m rca, passive DI, 30 m, mic input'],
    'sound hum, lift gone, other-supply gone',
    ['ground-loop'],
    ['source-noise-itself', 'magnetic-field', 'bad-contact', 'input-faulty'],
    0.95
  ],
  [
    'an organ straight into the desk',
    ['Organ: organ earthed, 10 m jack, line input'],
    'sound hum, since always, swap-lead same, swap-source same, other-supply gone',
    ['ground-loop'],
    ['source-noise-itself', 'input-faulty', 'magnetic-field'],
    0.93
  ],
  [
    'a quiet line crackles too',
    ['Kick: dynamic mic, 30 m, mic input', 'Snare: dynamic mic, 30 m, mic input'],
    'sound crackle, lines only-this, known-line same',
    ['input-faulty'],
    ['source-noise-itself', 'bad-contact'],
    0.92
  ],
  [
    'a telephone in the lectern',
    ['Lectern: condenser mic, 60 m, mic input'],
    'sound radio, since comes-and-goes, swap-source gone, swap-lead same',
    ['radio', 'source-noise-itself'],
    ['ground-loop', 'input-faulty', 'bad-contact'],
    0.85
  ],
  [
    'nothing but a hum',
    ['Sub kick: dynamic mic, 30 m, mic input'],
    'sound hum, noticed nothing',
    ['magnetic-field', 'ground-loop', 'bad-contact', 'broken-shield', 'outside-list'],
    [],
    0.5
  ],
  [
    'a multicore along the dimmers',
    [
      'Bass: passive bass, 6 m jack, passive DI, 50 m multicore, mic input',
      'Gtr: acoustic guitar preamp, 3 m jack, active DI, 50 m multicore, mic input',
      'Vox: dynamic mic, 50 m multicore, mic input'
    ],
    'sound buzz, lines all, since lights, move-lead much-less, dimmers-off gone',
    ['magnetic-field', 'dimmers'],
    ['source-noise-itself', 'input-faulty', 'bad-contact', 'broken-leg'],
    0.9
  ],
  [
    'a synth that a lift mends nearly',
    ['Synth: synth earthed, 3 m jack, passive DI, 40 m, mic input'],
    'sound buzz, lines only-this, lift much-less, swap-lead same, source-battery gone',
    ['ground-loop'],
    ['source-noise-itself', 'input-faulty'],
    0.85
  ],
  [
    'a bass that is played too softly',
    ['Bass: active bass, 6 m jack, active DI, 30 m, mic input'],
    'sound hiss, swap-source same, swap-lead same, swap-box same, other-input same, closer much-less',
    ['low-level-gain-hiss'],
    ['source-noise-itself', 'box-faulty', 'bad-contact', 'input-faulty'],
    0.9
  ],
  [
    'a hurdy-gurdy without earth',
    ['Hurdy-gurdy: piezo pickup, 3 m jack, passive DI, 30 m, mic input'],
    'sound hum, noticed touching, touch much-less, swap-source much-less',
    ['electric-field', 'broken-shield'],
    ['ground-loop', 'input-faulty'],
    0.7
  ],
  [
    'a capsule that frets',
    ['Vox: condenser mic, 25 m, mic input'],
    'sound crackle, since comes-and-goes, swap-lead same, wiggle same, swap-source gone',
    ['source-noise-itself'],
    ['input-faulty', 'bad-contact', 'ground-loop'],
    0.9
  ],
  [
    'a keyboard lead that moves',
    ['Keys: keyboard earthed, 6 m jack, passive DI, 30 m, mic input'],
    'sound crackle, noticed moving-plugs, swap-box same, swap-run same, swap-lead gone',
    ['bad-contact', 'broken-shield'],
    ['box-faulty', 'source-noise-itself', 'input-faulty'],
    0.95
  ],
  [
    'an amplifier of the house',
    ['Keys: keyboard earthed, 6 m jack, passive DI, 30 m, mic input'],
    'sound hum, lines all, short-input same, other-input same',
    ['outside-list'],
    ['source-noise-itself', 'broken-shield', 'bad-contact', 'magnetic-field'],
    0.8
  ],
  [
    'lamps that hum in all of the desk',
    ['Vox: dynamic mic, 30 m, mic input', 'Gtr: electric guitar, 3 m jack, active DI, 30 m, mic input'],
    'sound buzz, lines all, since lights, swap-lead same, short-input same',
    ['outside-list'],
    ['bad-contact', 'source-noise-itself'],
    0.7
  ],
  [
    'a laptop that whines by itself',
    ['Laptop: laptop two-pin charger, 1 m mini jack, media DI, 40 m, mic input'],
    'sound whine, since always, swap-lead same, lift same, source-battery same, swap-source gone',
    ['source-noise-itself'],
    ['ground-loop', 'supply-leakage', 'input-faulty', 'bad-contact'],
    0.9
  ],
  [
    'one pair of mics beside a feeder',
    ['Piano: condenser mic, 40 m multicore, mic input'],
    'sound hum, lines some, since plugged, noticed nothing, swap-source same, move-lead gone',
    ['magnetic-field'],
    ['source-noise-itself', 'input-faulty', 'bad-contact'],
    0.9
  ],
  [
    'a clip-on mic beside a transmitter',
    ['Speech: lavalier mic, 3 m, camera mic input'],
    'sound radio, lines only-this, swap-lead same, swap-source same, move-lead gone',
    ['radio'],
    ['ground-loop', 'input-faulty', 'source-noise-itself', 'bad-contact'],
    0.88
  ],
  [
    'a pair that crackles',
    ['Perc: dynamic mic, 30 m multicore, mic input', 'Perc2: dynamic mic, 30 m multicore, mic input'],
    'sound crackle, lines only-this, since comes-and-goes, swap-source same, swap-lead gone',
    ['bad-contact'],
    ['source-noise-itself', 'input-faulty', 'radio'],
    0.92
  ],
  [
    'an input that spits under phantom',
    ['Di: acoustic guitar preamp, 3 m jack, active DI, 30 m, mic input'],
    'sound crackle, phantom-off gone, box-battery gone, swap-lead same, swap-box same',
    ['bad-contact', 'input-faulty', 'phantom-missing-or-weak'],
    ['source-noise-itself', 'box-faulty', 'ground-loop'],
    0.85
  ],
  [
    'three sources, one lift',
    [
      'Keys: keyboard earthed, 3 m, passive DI, 30 m, mic input',
      'Laptop: laptop earthed, 2 m mini jack, media DI, 30 m, mic input',
      'Bass: active bass, 3 m, active DI, 30 m, mic input'
    ],
    'sound hum, lines some, lift gone',
    ['ground-loop'],
    ['magnetic-field', 'source-noise-itself', 'input-faulty'],
    0.92
  ],
  [
    'a guitar, and another one',
    ['Gtr: electric guitar, 6 m jack, passive DI, 30 m, mic input'],
    'sound hum, noticed turning, swap-source much-less, swap-lead same',
    ['magnetic-field'],
    ['ground-loop', 'input-faulty', 'bad-contact'],
    0.85
  ],
  [
    'a DI that hums with nothing in it',
    ['Gtr: electric guitar, 6 m jack, passive DI, 30 m, mic input'],
    'sound hum, unplug-box same, swap-run same, swap-box gone',
    ['box-faulty', 'magnetic-field'],
    ['source-noise-itself', 'broken-shield', 'input-faulty'],
    0.85
  ],
  [
    'a DI that hisses with nothing in it',
    ['Gtr: electric guitar, 6 m jack, active DI, 30 m, mic input'],
    'sound hiss, lines only-this, unplug-box same, swap-box gone',
    ['box-faulty', 'phantom-missing-or-weak'],
    ['source-noise-itself', 'broken-shield', 'input-faulty', 'low-level-gain-hiss'],
    0.9
  ],
  [
    'a condenser that hisses by itself',
    ['Lute: condenser mic, 50 m, mic input'],
    'sound hiss, swap-source gone, swap-lead same',
    ['source-noise-itself'],
    ['input-faulty', 'bad-contact', 'ground-loop'],
    0.9
  ]
];
