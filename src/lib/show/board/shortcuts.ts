import { board as says } from '$core/words/screen/board';
import { unlessTyping } from '$lib/ui/keys';

/** The board's keys: one table for what they do, the dialog that lists them, and the list in the README. */
export interface Shortcut {
  /** As tinykeys names them; empty where another part of the page listens. */
  readonly keys: readonly string[];
  /** As they stand on a keyboard; empty where another entry shows them. */
  readonly shown: readonly string[];
  readonly text: string;
}
export const SHORTCUTS = {
  up: { keys: ['ArrowUp', 'k'], shown: ['↑', '↓'], text: says.moveFromLineToLineAlso },
  down: { keys: ['ArrowDown', 'j'], shown: [], text: '' },
  open: { keys: [], shown: ['Enter'], text: says.openTheLineOrFoldIt },
  add: { keys: ['n'], shown: ['N'], text: says.sayANewLine },
  edit: { keys: ['e'], shown: ['E'], text: says.editTheLineInWords },
  build: { keys: ['b'], shown: ['B'], text: says.buildTheLineByPointingBox },
  remedy: { keys: ['1', '2', '3', '4', '5'], shown: ['1', '5'], text: says.applyARemedyOfTheOpen },
  compare: { keys: ['w'], shown: ['W'], text: says.allWaysOfTheLineSide },
  learn: { keys: ['l'], shown: ['L'], text: says.learnWhy },
  branch: { keys: ['a'], shown: ['A'], text: says.anotherLineFromTheSameSource },
  hum: { keys: ['h'], shown: ['H'], text: says.hissAndHumOfTheOpen },
  contacts: { keys: ['c'], shown: ['C'], text: says.itsContactsDrawn },
  tolerance: { keys: ['t'], shown: ['T'], text: says.itsToleranceAndWhatMovesIt },
  inform: { keys: ['i'], shown: ['I'], text: says.nameChannelExposureWhatIsWanted },
  copy: { keys: ['d'], shown: ['D'], text: says.duplicateTheLine },
  remove: { keys: ['Delete'], shown: ['Del'], text: says.deleteTheLine },
  clipboard: { keys: [], shown: ['Ctrl', 'C'], text: says.copyTheLineInWordsCtrl },
  undo: { keys: [], shown: ['Ctrl', 'Z'], text: 'undo' },
  redo: { keys: [], shown: ['Ctrl', 'Shift', 'Z'], text: says.redoAlsoCtrlY },
  convert: { keys: [], shown: ['U'], text: says.convertLevelsAndUnits },
  filter: { keys: ['f'], shown: ['F'], text: says.showOnlyWhatIsWrongThen },
  sort: { keys: ['s'], shown: ['S'], text: says.sortByChannelOrByVerdict },
  leave: { keys: ['Escape'], shown: ['Esc'], text: says.leaveFoldClose },
  help: { keys: ['Shift+?', '?'], shown: ['?'], text: says.thisList }
} as const satisfies Readonly<Record<string, Shortcut>>;

type Table = typeof SHORTCUTS;
/** Shortcuts of which the board itself knows the key. */
type Bound = { [K in keyof Table]: Table[K]['keys'] extends readonly [] ? never : K }[keyof Table];
/** What each does; one that is left out does not compile. Told which of its keys was pressed. */
export type Actions = { readonly [K in Bound]: (key: string) => void };

/** The keys with what they do, for tinykeys; nothing while somebody is typing, or is elsewhere: a dialog has keys of its own. */
export const bindings = (
  actions: Actions,
  elsewhere: () => boolean = () => false
): Record<string, (event: KeyboardEvent) => void> =>
  Object.fromEntries(
    Object.entries(SHORTCUTS).flatMap(([id, { keys }]) =>
      keys.map((key) => {
        const act = unlessTyping(() => actions[id as Bound](key));
        return [key, (event: KeyboardEvent) => void (elsewhere() || act(event))];
      })
    )
  );
