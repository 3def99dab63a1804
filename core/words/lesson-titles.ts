import type { LessonId } from '../lessons/types';

/** Titles of the lessons. */
export const LESSON_TITLES: Readonly<Record<LessonId, string>> = {
  bridging: 'Bridging, not matching',
  pickups: 'Pickups and their load',
  piezo: 'Piezo and bass',
  scales: 'Levels and their four scales',
  balance: 'Balance is impedance',
  transformer: 'What a transformer does, and backwards',
  'active-passive': 'Active or passive',
  phantom: 'Phantom power',
  'ground-loop': 'Ground loops, and what a lift does',
  earth: 'Earth stays',
  pads: 'Pads, and where they go',
  'long-runs': 'Long runs',
  noise: 'Noise adds up',
  'stereo-mono': 'Stereo into mono',
  're-amping': 'Re-amping',
  'fair-listening': 'Fair listening'
};
