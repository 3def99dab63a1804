import type { AtSocket, KnownRun } from '../venue/line-sockets';
import type { VenueBox, VenueRun, VenueSocket } from '../venue/schema';
import type { VenueHeard } from '../venue/typed';
import { formatQuantity } from '../units/format';
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
export const boxText = ({ name, sockets, metres, phantom, place }: VenueBox): string =>
  [
    `${boxName(name)}: ${sockets} ${sockets === 1 ? 'socket' : 'sockets'}`,
    ...(metres === null ? [] : [`${long(metres)} to the desk`]),
    ...(phantom ? [] : ['no phantom']),
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
  return wrong === 'no-phantom'
    ? `${where}: no phantom there, and it needs it`
    : `${where}: that socket is ${STATES[wrong!]}`;
}
/** `Runs that are otherwise here: Cello and Keys 40 m (planned 20 m)`. */
export function knownRunsText(runs: readonly KnownRun[]): string {
  const by = new Map<string, { names: string[]; run: KnownRun }>();
  for (const run of runs) {
    const key = `${run.known} ${run.planned}`;
    const group = by.get(key) ?? { names: [], run };
    group.names.push(run.line.info?.name ?? run.line.id);
    by.set(key, group);
  }
  return [...by.values()]
    .map(({ names, run }) => `${some(names)} ${long(run.known)} (planned ${long(run.planned)})`)
    .join('; ');
}
