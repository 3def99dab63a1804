import type { Shown } from './shown';

/** What the screen says in listening. Names of screens and keys: `docs/adding.md`. */
export const listen = {
  listenToIt: 'Listen to it',
  aRecordingOfTheNoiseAlone: 'A recording of the noise alone, nobody playing. It stays on this machine.',
  takeAWavFile: 'Take a WAV file',
  wavFile: 'WAV file',
  stopS: (figure: Shown) => `Stop, ${figure} s`,
  useTheMicrophone: 'Use the microphone',
  orTryItOn: 'or try it on',
  noiseToMake: 'Noise to make',
  makeIt: 'Make it',
  analysedSoFar: 'Analysed so far',
  of: (figure: Shown, name: Shown) => `${figure} % of ${name}`,
  cancel: 'Cancel',
  sAt: (name: Shown, figure: Shown, formatHz: Shown) => `${name}, ${figure} s at ${formatHz}`,
  thisShowIsPlannedForHz: (mainsHz: Shown) => `This show is planned for ${mainsHz} Hz. Was this recorded elsewhere?`,
  mainsOfTheShow: 'Mains of the show',
  whatOneHears: 'What it sounds like',
  mains: 'Mains',
  hz: (figure: Shown) => `${figure} Hz`,
  harmonic: (what: Shown) => `harmonic ${what}`,
  toneAt: (formatHz: Shown) => `tone at ${formatHz}`,
  clicks: 'clicks',
  aSecond: (figure: Shown) => `${figure} a second`,
  hiss20HzTo20Khz: 'hiss, 20 Hz to 20 kHz',
  allOfItItsPeak: 'all of it; its peak',
  lineThatMakesIt: 'Line that makes it',
  whichLineMakesIt: 'Which line makes it?',
  traceItWithThis: 'Trace it with this',
  itTellsTheMainsToA:
    'It tells the mains to a hundredth of a hertz, hum from buzz, tones of chargers, clicks, radio and hiss, and takes what it finds into the trace.',
  thisRecordingCouldNotBeAnalysed: 'This recording could not be analysed.',
  thatFileIsLargerThan700: 'That file is larger than 700 MB. Cut out the part with the noise.',
  thatWasTooShortHalfA: 'That was too short: half a second at least.',
  theMicrophone: 'the microphone',
  madeHere: (what: Shown) => `${what}, made here`,
  averageSpectrumLoudest: (what: Shown) => `Average spectrum. Loudest: ${what}`,
  levelOfEachFrequencyOverSeconds: (figure: Shown) =>
    `Level of each frequency over ${figure} seconds, low at the bottom`,
  start: 'start',
  dbOverHzAboveTimeAcross: (formatHz: Shown, formatHz2: Shown) =>
    `dB over Hz above; time across, ${formatHz} to ${formatHz2} upwards`,
  levelOverTimeToDbfs: (figure: Shown, figure2: Shown) => `Level over time, ${figure} to ${figure2} dBFS`,
  levelOverTimeDbfs: 'level over time, dBFS',
  thisPageMayNotUseA:
    'This page may not use a microphone: it is reached without TLS. Open it at the machine itself, or record a file.',
  theMicrophoneWasNotAllowedAllow: 'The microphone was not allowed. Allow it in the browser, or take a file.',
  thereIsNoMicrophoneHereTake: 'There is no microphone here. Take a file, or try it with what is made here.',
  noneFound: 'none'
};
