import type { KnownInstrument } from '$core/players/named';
import { instrumentsBeginning, ownedName } from '$core/players/named';
import { nameInstruments } from '$core/players/put';
import type { Completion } from '$core/reader/complete';
import { nameKey } from '$core/text/names';
import { players as says } from '$core/words/screen/players';
import type { Board } from '$lib/show/board/board-state.svelte';
import { ownId } from '$lib/show/session/edits';
import { CrewPlayers } from './crew-players.svelte';

/** Who plays what comes to the board behind the first view. @returns ends it */
export function bringPlayers(board: Board): () => void {
  const { show } = board;
  const crew = new CrewPlayers(show.crewId, show.rows);
  void crew.open(show.feed);
  board.players = crew;
  board.dress = (draft, plan) => nameInstruments(draft, plan, crew.all.instruments, () => ownId(draft));
  return () => crew.close();
}

const MOST = 4;
/** Fewer letters than these are the beginning of anything. */
const LEAST = 2;

/**
 * Instruments that begin as what is typed, as whole lines: its name brings all of it.
 * @param here names of lines that the show has
 */
export function offeredInstruments(
  text: string,
  all: readonly KnownInstrument[],
  here: readonly string[]
): Completion[] {
  if (nameKey(text).length < LEAST || /[,:;\d]/.test(text)) return [];
  const there = new Set(here.map(nameKey));
  return instrumentsBeginning(all, text)
    .map(({ instrument }) => {
      const twice = all.some(
        (o) => o.instrument !== instrument && nameKey(o.instrument.name) === nameKey(instrument.name)
      );
      return { instrument, name: twice ? ownedName(instrument) : instrument.name };
    })
    .filter(({ name }) => !there.has(nameKey(name)))
    .slice(0, MOST)
    .map(({ instrument, name }) => ({
      ...{ text: `${name}: ${instrument.line}`, role: says.asKept(instrument.player) },
      ...{ from: 0, to: text.length }
    }));
}
