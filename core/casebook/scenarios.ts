import type { Case } from './cases';

/** Kinds of lines that are met every evening, with the worst that each has to say and what helps. */
export const SCENARIOS: readonly Case[] = [
  {
    id: 'stereo-laptop',
    what: 'a laptop’s two channels to the desk',
    says: 'laptop, 3 m, media pair, 9 m, mic',
    finds: { code: 'plug-fits', severity: 'clean', value: 0 },
    remedy: null
  },
  {
    id: 'turntable',
    what: 'a turntable to its own input',
    says: 'turntable, 1 m, phono input',
    finds: { code: 'headroom', severity: 'note', value: 7.718 },
    remedy: null
  },
  {
    id: 'phone-camera',
    what: 'a clip-on microphone into a camera',
    says: 'clip-on mic, 2 m, camera',
    finds: { code: 'loads', severity: 'note', value: 2 },
    remedy: null
  },
  {
    id: 'pro-to-consumer-adapter',
    what: 'professional to consumer by an adapter, pin 3 grounded',
    says: 'balanced line on Stage, 20 m pin 3 grounded, rca input',
    finds: { code: 'long-unbalanced', severity: 'care', value: 20 },
    remedy: 'Put in a 1:1 isolating transformer, and turn the output down 20 dB'
  },
  {
    id: 'consumer-to-pro',
    what: 'consumer to professional, converted',
    says: 'rca player wall-wart, 2 m, up converter, 10 m, line',
    finds: { code: 'headroom', severity: 'note', value: 4.299 },
    remedy: null
  },
  {
    id: 'dj-straight',
    what: 'a player straight into a far speaker',
    says: 'rca player wall-wart, 15 m, powered speaker',
    finds: { code: 'long-unbalanced', severity: 'care', value: 15 },
    remedy: 'Put in a passive DI, and switch the input to MIC'
  },
  {
    id: 'speaker-tap',
    what: 'a power amplifier tapped for the desk',
    says: 'power amp, 2 m, speaker box, 20 m, mic',
    finds: { code: 'loop', severity: 'note', value: 48.76 },
    remedy: null
  },
  {
    id: 'bass-direct',
    what: 'a passive bass direct',
    says: 'bass guitar passive bass, 3 m, active DI, 30 m, mic',
    finds: { code: 'double-stops', severity: 'note', value: 5.53 },
    remedy: 'Pad −10 dB at the DI'
  },
  {
    id: 'bass-amp',
    what: 'a bass amplifier’s own output',
    says: 'bass amp out, 20 m, mic',
    finds: { code: 'headroom', severity: 'care', value: 1.22 },
    remedy: 'Into a line input'
  },
  {
    id: 'preamp-to-line',
    what: 'a preamp’s output to a line input',
    says: 'interface output, 3 m, line',
    finds: { code: 'headroom', severity: 'note', value: 8.087 },
    remedy: 'Turn the output down 6 dB'
  },
  {
    id: 're-amp',
    what: 'a dry track back to an amplifier',
    says: 'interface output, 3 m, re-amp box, 2 m, guitar amp',
    finds: { code: 'headroom', severity: 'care', value: 0.182 },
    remedy: 'Turn the output down 12 dB, and take the ground lift off at the DI'
  },
  {
    id: 'remote-amp',
    what: 'an amplifier in another room, over a tie line',
    says: 'interface output, 30 m multicore, reversed box, 2 m, guitar amp',
    finds: { code: 'core-saturates', severity: 'stop', value: -15.43 },
    remedy: 'Put in a re-amp box, at the far end, and turn the output down 12 dB'
  },
  {
    id: 'acoustic-preamp',
    what: 'an acoustic instrument with its own preamp',
    says: 'guitar acoustic preamp, 3 m, passive DI, 30 m, mic',
    finds: { code: 'bridges', severity: 'clean', value: 244.3 },
    remedy: null
  },
  {
    id: 'half-balanced-mic',
    what: 'half a balanced microphone into a camera',
    says: 'dynamic mic, 3 m, camera',
    finds: { code: 'plug-does-not-fit', severity: 'stop', value: 1 },
    remedy: 'Use a jack lead with XLR and 3.5 mm stereo plugs'
  },
  {
    id: 'merge-laptop',
    what: 'left and right summed by resistors',
    says: 'laptop, 1 m, merge box, 5 m, line',
    finds: { code: 'loads', severity: 'care', value: 2.007 },
    remedy: 'Into an instrument input'
  },
  {
    id: 'tape-over-a-balun',
    what: 'a tape machine’s output over twisted pair',
    says: 'rca player earthed on Stage, 2 m, balun, 30 m, line',
    finds: { code: 'bass-loss', severity: 'care', value: -3.629 },
    remedy: 'Into a microphone input'
  },
  {
    id: 'player-into-a-media-box',
    what: 'a player into a media DI',
    says: 'rca player wall-wart on Stage, 2 m, media DI, 30 m, mic',
    finds: { code: 'headroom', severity: 'note', value: 9.84 },
    remedy: 'Passive DI instead of the passive media DI, stereo to mono'
  },
  {
    id: 'phone-on-its-battery',
    what: 'a phone on its battery into an aux input',
    says: 'phone from battery, 1 m, aux',
    finds: { code: 'headroom', severity: 'note', value: 7.735 },
    remedy: 'Put in a passive media DI, stereo to mono'
  },
  {
    id: 'pro-to-consumer-transformer',
    what: 'professional to consumer by a transformer',
    says: 'balanced line on Stage, 20 m, isolator, 1 m, grounded xlr-to-rca adapter, 1 m, rca input',
    finds: { code: 'core-saturates', severity: 'care', value: -3.925 },
    remedy: 'Turn the output down 20 dB'
  },
  {
    id: 'pro-to-consumer-converter',
    what: 'professional to consumer, converted',
    says: 'balanced line on Stage, 20 m, down converter, 1 m, rca input',
    finds: { code: 'loop', severity: 'stop', value: 29.37 },
    remedy: 'Take the converter to consumer level out, one cable instead into a line input'
  },
  {
    id: 'valve-amp-and-cabinet',
    what: 'a valve amplifier on its load',
    says: 'valve amp, 3 m, cabinet',
    finds: { code: 'headroom', severity: 'note', value: 8.782 },
    remedy: null
  },
  {
    id: 'two-cabinets',
    what: 'two cabinets on one amplifier',
    says: 'PA: power amp, 5 m, cabinet',
    also: ['from PA, 5 m speaker cable, cabinet'],
    last: true,
    finds: { code: 'headroom', severity: 'care', value: 0.4761 },
    remedy: null
  },
  {
    id: 'bass-microphone',
    what: 'a bass by a microphone',
    says: 'bass guitar dynamic mic (nominal -42 dBu), 30 m, mic',
    finds: { code: 'headroom', severity: 'clean', value: 28.85 },
    remedy: null
  },
  {
    id: 'clip-on-into-a-box',
    what: 'a clip-on microphone into a box',
    says: 'clip-on mic from battery, 1 m, active DI, 20 m, mic',
    finds: { code: 'quiet', severity: 'clean', value: 54.32 },
    remedy: null
  },
  {
    id: 'clip-on-into-a-recorder',
    what: 'a clip-on microphone into a recorder',
    says: 'clip-on mic from battery, 2 m, aux',
    finds: { code: 'quiet', severity: 'clean', value: 51.08 },
    remedy: 'Put in an active DI, 10 MΩ'
  },
  {
    id: 'amp-next-door',
    what: 'a pickup to the desk and, over a tie line, to an amplifier next door',
    says: 'Track: bouzouki single coil, 3 m, active DI, 15 m, mic',
    also: ['from Track, 3 m, active DI on battery, 30 m multicore, reversed box, 2 m, guitar amp'],
    last: true,
    finds: { code: 'loop', severity: 'stop', value: 19.41 },
    remedy: 'Lift the ground at the DI, and pad −20 dB at the DI'
  },
  {
    id: 'one-output-three-inputs',
    what: 'one output to three inputs',
    says: 'Desk out: balanced line on Annex, 20 m, line',
    also: ['from Desk out, 20 m, line', 'from Desk out, 20 m, line'],
    finds: { code: 'headroom', severity: 'note', value: 4.201 },
    remedy: 'Turn the output down 6 dB'
  },
  {
    id: 'speakers-in-a-chain',
    what: 'three powered speakers one behind the other',
    says: 'Left: balanced line (nominal 0 dBu) on Annex, 30 m, powered speaker',
    also: ['Middle: from Left, 8 m, powered speaker', 'Right: from Middle, 8 m, powered speaker'],
    last: true,
    finds: { code: 'headroom', severity: 'note', value: 8.205 },
    remedy: 'Turn the output down 6 dB'
  },
  {
    id: 'voice-split',
    what: 'a voice to two desks by a splitter',
    says: 'Voice: dynamic mic (nominal -42 dBu), 5 m, splitter, 30 m, mic',
    also: ['from Voice, 20 m mic cable, mic'],
    last: true,
    finds: { code: 'bridges', severity: 'clean', value: 5.134 },
    remedy: null
  },
  {
    id: 'guitar-to-desk-and-amp',
    what: 'a guitar to a desk and an amplifier by a Y lead',
    says: 'Guitar: guitar single coil, 4 m, instrument input',
    also: ['from Guitar, 3 m, guitar amp'],
    finds: { code: 'loop', severity: 'stop', value: 6.095 },
    remedy: 'An active DI, 1 MΩ instead of the Y lead'
  },
  {
    id: 'amp-of-that-guitar',
    what: 'the amplifier of that guitar',
    says: 'Guitar: guitar single coil, 4 m, instrument input',
    also: ['from Guitar, 3 m, guitar amp'],
    last: true,
    finds: { code: 'loop', severity: 'stop', value: 8.148 },
    remedy: 'A passive DI, its ground lifted, instead of the Y lead'
  },
  {
    id: 'long-thru',
    what: 'a long lead on the thru',
    says: 'Guitar: guitar single coil, 3 m, active DI, 20 m, mic',
    also: ['from Guitar, 14 m, guitar amp'],
    finds: { code: 'treble-loss', severity: 'care', value: -7.47 },
    remedy: 'Use a buffered thru at the DI'
  }
];
