import type { Line } from '$core/plan/lines';
import { board as says } from '$core/words/screen/board';
import { counted } from '$core/words/screen/counted';
import { addLines, lineName } from '$lib/show/session/edits';
import { toast } from 'svelte-sonner';
import { singleKeys } from '$lib/ui/keys';
import { tinykeys } from 'tinykeys';
import type { Board } from './board-state.svelte';
import { copyText, pastedRows, readRow } from './clipboard';
import { type Actions, bindings, SHORTCUTS } from './shortcuts';

/** Longest list taken from the clipboard, characters. */
const MOST_PASTED = 40_000;

/** The board's keys and its clipboard, as long as it is shown. @returns what ends them */
export function listen(board: Board): () => void {
  const onLine = (act: (line: Line) => void) => (): void => {
    const line = meant(board);
    if (line) act(line);
  };
  const look = (what: 'hum' | 'contacts' | 'tolerance') => onLine((l) => board.look(what, l));
  const actions: Actions = {
    up: () => void board.step(-1),
    down: () => void board.step(1),
    add: () => board.field?.focus(),
    edit: onLine((l) => board.edit(l)),
    build: onLine((l) => board.build(l)),
    inform: onLine((l) => board.inform(l)),
    copy: onLine((l) => board.copy(l)),
    remove: onLine((l) => board.remove(l)),
    compare: onLine((l) => board.compare(l)),
    learn: onLine((l) => void board.learn(l)),
    branch: onLine((l) => board.branchOff(l)),
    hum: look('hum'),
    contacts: look('contacts'),
    tolerance: look('tolerance'),
    remedy: (key) => {
      const remedy = board.answers.remedy(Number(key));
      if (remedy && meant(board)?.id === board.openId) board.apply(remedy);
    },
    filter: () => (board.filter = board.filter === null ? 'wrong' : null),
    sort: () => (board.sort = board.sort === 'channel' ? 'verdict' : 'channel'),
    leave: () => board.leave(),
    help: () => (board.dialog = { kind: 'keys' })
  };
  const stop = tinykeys(
    window,
    bindings(actions, () => board.dialog !== null)
  );
  const oncopy = (event: ClipboardEvent): void => copy(board, event);
  const onpaste = (event: ClipboardEvent): void => paste(board, event);
  const ontype = (event: KeyboardEvent): void => type(board, event);
  document.addEventListener('keydown', ontype);
  document.addEventListener('copy', oncopy);
  document.addEventListener('paste', onpaste);
  return () => {
    document.removeEventListener('keydown', ontype);
    document.removeEventListener('copy', oncopy);
    document.removeEventListener('paste', onpaste);
    stop();
  };
}

const busy = (board: Board, event: Event): boolean =>
  board.covered || (event.target instanceof HTMLElement && event.target.matches('input, select, textarea'));

/** Keys that do something here, whoever listens for them. */
const TAKEN = new Set(
  Object.values(SHORTCUTS).flatMap(({ keys, shown }) => [...keys, ...shown].map((key) => key.toLowerCase()))
);

/** The line that a key is meant for: the one that has the focus, or the open one where nothing has it. Never one that nobody points at. */
function meant(board: Board): Line | null {
  const at = document.activeElement;
  const id = at instanceof HTMLElement ? at.closest<HTMLElement>('[data-row]')?.dataset.row : undefined;
  const nowhere = !at || at === document.body;
  return board.rows.find((l) => l.id === (id ?? (nowhere ? board.openId : null))) ?? null;
}

/** A letter that is no shortcut begins a line: whoever types wants to type one. */
function type(board: Board, event: KeyboardEvent): void {
  const { key, ctrlKey, metaKey, altKey, defaultPrevented } = event;
  if (busy(board, event) || defaultPrevented || ctrlKey || metaKey || altKey || singleKeys.on) return;
  if (!/^\p{L}$/u.test(key) || TAKEN.has(key.toLowerCase()) || !board.field) return;
  event.preventDefault();
  void board.field.put(key, true);
}

function copy(board: Board, event: ClipboardEvent): void {
  const { current } = board;
  if (busy(board, event) || !current || String(getSelection()) !== '') return;
  const text = copyText(board.plan, current);
  if (!text) return;
  event.clipboardData?.setData('text/plain', text);
  event.preventDefault();
  toast(says.copiedInWords(lineName(current)));
}

function paste(board: Board, event: ClipboardEvent): void {
  if (busy(board, event)) return;
  const text = event.clipboardData?.getData('text/plain') ?? '';
  event.preventDefault();
  const pasted = pastedRows(text);
  const specs = pasted.map((row) => readRow(board.plan, row));
  // Lines in the words in which they are copied land as they are; all else is looked at first.
  if (specs.every((spec) => spec !== null)) {
    let added = 0;
    // One by one: a row may leave the line of the row before.
    for (const row of pasted) {
      const spec = readRow(board.plan, row);
      if (spec && board.change(addLines(board.plan, [spec]))) added++;
    }
    if (added > 0) toast(says.added(added, counted.line(added)));
  } else if (pasted.length === 1) void board.field?.put(pasted[0]);
  else board.list = text.slice(0, MOST_PASTED);
}
