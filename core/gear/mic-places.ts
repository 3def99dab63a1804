import { fromDbu, toDbu } from '../units/quantity';

/**
 * Sound pressure at a microphone's capsule, average of the playing, dB SPL, and crest factor, dB: usual middles of what is measured at such places
 * (94 dB SPL is 1 Pa, ISO 1683).
 */
const MIC_PLACES = {
  speech: { spl: 82, crest: 15 },
  vocal: { spl: 104, crest: 18 },
  choir: { spl: 78, crest: 16 },
  acoustic: { spl: 80, crest: 16 },
  strings: { spl: 82, crest: 14 },
  sax: { spl: 106, crest: 14 },
  brass: { spl: 116, crest: 14 },
  reed: { spl: 92, crest: 14 },
  cabinet: { spl: 112, crest: 14 },
  kick: { spl: 121, crest: 22 },
  snare: { spl: 118, crest: 22 },
  toms: { spl: 114, crest: 20 },
  overhead: { spl: 101, crest: 18 },
  room: { spl: 86, crest: 16 }
} as const;
export type MicPlace = keyof typeof MIC_PLACES;

/** Sensitivities, volts a pascal: middles of the usual ranges (IEC 60268-4 data sheets). */
const SENSITIVITY: Readonly<Record<string, number>> = {
  'dynamic-mic': 1.8e-3,
  ribbon: 1.5e-3,
  'condenser-mic': 12e-3
};
const REFERENCE_SPL = 94;
/** A speaker's dynamic microphone is held close, dB SPL. */
const CLOSE_SPEECH_SPL = 88;

/** Average level and crest factor that a microphone gives at a place, volts and dB, to whole dB; null for one that is not told by its place. */
export function micLevel(model: string, place: MicPlace): { nominal: number; crest: number } | null {
  const volts = SENSITIVITY[model];
  if (volts === undefined) return null;
  const { spl: usual, crest } = MIC_PLACES[place];
  const spl = place === 'speech' && model === 'dynamic-mic' ? CLOSE_SPEECH_SPL : usual;
  const dbu = Math.round(toDbu(volts * 10 ** ((spl - REFERENCE_SPL) / 20)));
  return { nominal: fromDbu(dbu), crest };
}
