import { nameKey } from '../text/names';
import type { Instrument } from './schema';

/** Instruments by what a line is called. */

export interface KnownInstrument {
  readonly id: string;
  readonly instrument: Instrument;
}

/** What it is called where nothing else has that name, and where something does: `Cello`, `Mira’s cello`. */
export const ownedName = ({ name, player }: Pick<Instrument, 'name' | 'player'>): string =>
  player === '' ? name : `${player}${/s$/i.test(player) ? '’' : '’s'} ${name.charAt(0).toLowerCase()}${name.slice(1)}`;

/** All ways to say which one it is, as names are compared. */
function keysOf({ name, player }: Instrument): string[] {
  const [own, whose] = [nameKey(name), nameKey(player)];
  return player === '' ? [own] : [own, `${whose} ${own}`, `${own} ${whose}`, nameKey(ownedName({ name, player }))];
}

/**
 * The instrument that a line is called after.
 * @returns null where there is none, or where several may be meant
 */
export function instrumentNamed(all: readonly KnownInstrument[], line: string): KnownInstrument | null {
  const key = nameKey(line);
  const so = key === '' ? [] : all.filter(({ instrument }) => keysOf(instrument).includes(key));
  // Said with its player it is that one, whatever else has the name alone.
  const whole = so.filter(({ instrument }) => nameKey(instrument.name) !== key);
  return so.length === 1 ? so[0] : whole.length === 1 ? whole[0] : null;
}

/** Instruments whose name, or whose player’s name, begins as what was typed. */
export const instrumentsBeginning = (all: readonly KnownInstrument[], text: string): readonly KnownInstrument[] => {
  const key = nameKey(text);
  return key === '' ? [] : all.filter(({ instrument }) => keysOf(instrument).some((k) => k.startsWith(key)));
};
