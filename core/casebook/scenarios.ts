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
    finds: { code: 'too-quiet', severity: 'stop', value: 57.52 },
    remedy: null
  },
  {
    id: 'pro-to-consumer-adapter',
    what: 'professional to consumer by an adapter, pin 3 grounded',
    says: 'balanced line on Stage, 20 m pin 3 grounded, rca input',
    finds: { code: 'long-unbalanced', severity: 'stop', value: 20 },
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
    finds: { code: 'long-unbalanced', severity: 'stop', value: 15 },
    remedy: 'Put in a passive box, and mode mic at the input'
  },
  {
    id: 'speaker-tap',
    what: 'a power amplifier tapped for the desk',
    says: 'power amp, 2 m, speaker box, 20 m, mic',
    finds: { code: 'loop', severity: 'stop', value: 48.76 },
    remedy: 'Plug the source in where the far end is, at Annex'
  },
  {
    id: 'bass-direct',
    what: 'a passive bass direct',
    says: 'bass guitar passive bass, 3 m, active box, 30 m, mic',
    finds: { code: 'double-stops', severity: 'note', value: 5.53 },
    remedy: 'Pad −20 dB at the input'
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
    remedy: 'Turn the output down 12 dB, and join the ground at the box'
  },
  {
    id: 'remote-amp',
    what: 'an amplifier in another room, over a tie line',
    says: 'interface output, 30 m multicore, reversed box, 2 m, guitar amp',
    finds: { code: 'core-saturates', severity: 'stop', value: -15.43 },
    remedy: 'Put in a re-amp box, at the far end, turn the output down 6 dB, and join the ground at the box'
  },
  {
    id: 'acoustic-preamp',
    what: 'an acoustic instrument with its own preamp',
    says: 'guitar acoustic preamp, 3 m, passive box, 30 m, mic',
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
    finds: { code: 'loads', severity: 'stop', value: 2.005 },
    remedy: 'Passive media box, stereo to mono instead of the merge box, stereo to mono, and into a microphone input'
  }
];
