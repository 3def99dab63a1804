import type { AtSocket, KnownLevel, KnownRun } from '../venue/line-sockets';
import type { VenueBox, VenueRun, VenueSocket } from '../venue/schema';
import type { VenueHeard } from '../venue/typed';
import { formatDbu, formatQuantity } from '../units/format';
import { fromDbu } from '../units/quantity';
import { andList, upper } from './article';

const STATES: Readonly<Record<VenueSocket['is'], string>> = {
  dead: 'dead',
  'no-phantom': 'no phantom',
  noisy: 'noisy',
  note: ''
};

/** `A 7`, `7`: a socket by its box and number. */
export const socketName = ({ box, socket }: Pick<VenueSocket, 'box' | 'socket'>): string =>
  box ? `${box} ${socket}` : String(socket);
/** `A 7 dead, “wired the wrong way”`. */
export const socketText = (s: VenueSocket): string =>
  [[socketName(s), STATES[s.is]].filter(Boolean).join(' '), s.note ? `“${s.note}”` : ''].filter(Boolean).join(', ');

const long = (metres: number): string => formatQuantity('length', metres);
const MOST_NAMED = 4;
const some = (names: readonly string[]): string =>
  andList(
    names.length > MOST_NAMED ? [...names.slice(0, MOST_NAMED - 1), `${names.length - MOST_NAMED + 1} more`] : names
  );

/** A box is called after its kind where it is no stage box: `Wall box 2`. */
const boxName = (name: string): string =>
  /^(?:wall|floor|patch)/i.test(name) ? upper(name) : `Stage box${name ? ` ${name}` : ''}`;

/** `Stage box A: 32 sockets, 40 m to the desk, no phantom, stage left`. */
export const boxText = ({ name, sockets, metres, phantom, maxDbu, pad, place }: VenueBox): string =>
  [
    `${boxName(name)}: ${sockets} ${sockets === 1 ? 'socket' : 'sockets'}`,
    ...(metres === null ? [] : [`${long(metres)} to the desk`]),
    ...(phantom ? [] : ['no phantom']),
    ...(maxDbu === undefined ? [] : [`${formatDbu(fromDbu(maxDbu), 0)} at most`]),
    ...(pad === undefined ? [] : [pad === 0 ? 'no pads' : `pads of ${pad}\u202FdB`]),
    ...(place ? [place] : [])
  ].join(', ');
/** `Tie line B, stage right to studio: 25 m, 8 ways`; `Riser to desk: 12 m`. */
export const runText = ({ from, to, metres, tie, ways }: VenueRun): string =>
  `${tie === '' ? '' : `Tie line${tie.toLowerCase() === 'tie' ? '' : ` ${tie}`}, `}${from} to ${to}: ${long(metres)}${ways ? `, ${ways} ${ways === 1 ? 'way' : 'ways'}` : ''}`;

/** What was understood of what is being typed of a place. */
export function heardOfPlaceText(heard: VenueHeard): string {
  switch (heard.code) {
    case 'socket':
      return 'a socket';
    case 'box':
      return boxText(heard.box);
    case 'run':
      return runText(heard.run);
    case 'desk':
      return `desk: ${heard.text}`;
    case 'electrician':
      return `electrician: ${heard.text}`;
  }
}

/** `Cello on A 9: no phantom there, and it is switched on`. */
export function atSocketText({ line, box, socket, wrong }: AtSocket): string {
  const where = `${line.info?.name ?? line.id} on ${socketName({ box: box.name, socket })}`;
  if (wrong === 'no-phantom') return `${where}: no phantom there, and it needs it`;
  if (wrong === 'no-pad') return `${where}: a pad is planned, and there is none there`;
  return `${where}: that socket is ${STATES[wrong!]}`;
}
/** What holds of several lines alike is said once, with their names. */
function together<T extends { readonly line: KnownRun['line'] }>(all: readonly T[], said: (one: T) => string): string {
  const by = new Map<string, string[]>();
  for (const one of all) by.set(said(one), [...(by.get(said(one)) ?? []), one.line.info?.name ?? one.line.id]);
  return [...by].map(([text, names]) => `${some(names)} ${text}`).join('; ');
}
/** `Cello and Keys 40 m (planned 20 m)`. */
export const knownRunsText = (runs: readonly KnownRun[]): string =>
  together(runs, ({ known, planned }) => `${long(known)} (planned ${long(planned)})`);
/** `Cello and Keys +18 dBu (planned +6 dBu)`. */
export const knownLevelsText = (levels: readonly KnownLevel[]): string =>
  together(levels, ({ known, planned }) => {
    const [now, then] = [known, planned].map((dbu) => formatDbu(fromDbu(dbu), 0));
    return `${now} (planned ${then})`;
  });
