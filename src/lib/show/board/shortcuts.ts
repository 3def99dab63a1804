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
  up: { keys: ['ArrowUp', 'k'], shown: ['↑', '↓'], text: 'move from line to line (also K, J)' },
  down: { keys: ['ArrowDown', 'j'], shown: [], text: '' },
  open: { keys: [], shown: ['Enter'], text: 'open the line, or fold it' },
  add: { keys: ['n'], shown: ['N'], text: 'say a new line' },
  edit: { keys: ['e'], shown: ['E'], text: 'edit the line in words' },
  build: { keys: ['b'], shown: ['B'], text: 'build the line by pointing: box, run, input' },
  remedy: { keys: ['1', '2', '3', '4', '5'], shown: ['1', '5'], text: 'apply a remedy of the open line' },
  compare: { keys: ['w'], shown: ['W'], text: 'all ways of the line, side by side' },
  branch: { keys: ['a'], shown: ['A'], text: 'another line from the same source: its words are begun' },
  hum: { keys: ['h'], shown: ['H'], text: 'hiss and hum of the open line, then its findings again' },
  contacts: { keys: ['c'], shown: ['C'], text: 'its contacts, drawn' },
  tolerance: { keys: ['t'], shown: ['T'], text: 'its tolerance, and what moves it' },
  inform: { keys: ['i'], shown: ['I'], text: 'name, channel, exposure, what is wanted' },
  copy: { keys: ['d'], shown: ['D'], text: 'duplicate the line' },
  remove: { keys: ['Delete'], shown: ['Del'], text: 'delete the line' },
  clipboard: { keys: [], shown: ['Ctrl', 'C'], text: 'copy the line in words; Ctrl V adds pasted lines' },
  undo: { keys: [], shown: ['Ctrl', 'Z'], text: 'undo' },
  redo: { keys: [], shown: ['Ctrl', 'Shift', 'Z'], text: 'redo (also Ctrl Y)' },
  filter: { keys: ['f'], shown: ['F'], text: 'show only what is wrong, then all again' },
  sort: { keys: ['s'], shown: ['S'], text: 'sort by channel or by verdict' },
  leave: { keys: ['Escape'], shown: ['Esc'], text: 'leave, fold, close' },
  help: { keys: ['Shift+?', '?'], shown: ['?'], text: 'this list' }
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
