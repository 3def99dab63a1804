/**
 * Notes that instruments play. `low`–`high`: fundamentals in hertz, equal temperament at A = 440 Hz (ISO 16);
 * `reach`: up to where its overtones carry the character of its sound, our own rounded choice.
 */
export const INSTRUMENTS = {
  'upright-bass': { low: 41, high: 392, reach: 5000 },
  'bass-guitar': { low: 41, high: 392, reach: 3000 },
  'five-string-bass': { low: 31, high: 392, reach: 3000 },
  guitar: { low: 82, high: 1319, reach: 4000 },
  'acoustic-guitar': { low: 82, high: 1319, reach: 10000 },
  bouzouki: { low: 147, high: 1568, reach: 4000 },
  cello: { low: 65, high: 988, reach: 8000 },
  viola: { low: 131, high: 2093, reach: 9000 },
  violin: { low: 196, high: 3136, reach: 10000 },
  mandolin: { low: 196, high: 2093, reach: 8000 },
  banjo: { low: 131, high: 1319, reach: 8000 },
  dulcimer: { low: 147, high: 1760, reach: 10000 },
  harp: { low: 31, high: 3136, reach: 10000 },
  keys: { low: 27, high: 4186, reach: 12000 },
  organ: { low: 65, high: 2093, reach: 8000 },
  theremin: { low: 65, high: 2093, reach: 8000 },
  harmonica: { low: 131, high: 2093, reach: 8000 },
  saxophone: { low: 104, high: 1397, reach: 10000 },
  brass: { low: 82, high: 1175, reach: 9000 },
  flute: { low: 147, high: 2349, reach: 10000 },
  drums: { low: 50, high: 1000, reach: 14000 },
  percussion: { low: 65, high: 2093, reach: 14000 },
  vocals: { low: 82, high: 1047, reach: 12000 },
  speech: { low: 85, high: 300, reach: 8000 },
  programme: { low: 20, high: 20000, reach: 20000 }
} as const;

export type InstrumentId = keyof typeof INSTRUMENTS;
export interface Notes {
  readonly low: number;
  readonly high: number;
  readonly reach: number;
}
export const INSTRUMENT_IDS = Object.keys(INSTRUMENTS) as readonly InstrumentId[];
