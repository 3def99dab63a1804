import { readTyped } from '../reader/read';
import { readTrade } from '../reader/trade/read';
import type { Settings } from '../gear/types';

/**
 * The line of an instrument as somebody types it, without its name.
 * @returns class and switches of what is played; null where it does not read as one line
 */
export function readInstrumentLine(text: string): { model: string; settings: Settings } | null {
  const { specs } = readTyped(text, {}, readTrade);
  if (specs.length !== 1 || specs[0].from !== undefined) return null;
  const { model, settings } = specs[0].source;
  return { model, settings: { ...settings } };
}
