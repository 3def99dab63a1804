import { keptChoice } from './kept-choice.svelte';

/** What is typed into: a key pressed there is text, not a command. */
const TYPED = 'input, select, textarea';
/** The same where a tick of a box is no text. */
export const TYPED_BUT_TICKS = 'input:not([type=checkbox]), select, textarea';

/** Somebody who types by voice, or whose hand is not sure, turns keys of one character off (WCAG 2.1.4). */
export const singleKeys = keptChoice('single-keys-off');

/** An action for a key, left alone while somebody types. @param fields what counts as typed into */
export const unlessTyping =
  (act: () => void, fields = TYPED) =>
  (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLElement && event.target.matches(fields)) return;
    const { key, ctrlKey, metaKey } = event;
    if (singleKeys.on && key?.length === 1 && !ctrlKey && !metaKey) return;
    event.preventDefault();
    act();
  };

/** The same, left alone as well while a dialog is open: it has keys of its own. */
export const unlessBusy = (act: () => void, fields = TYPED): ((event: KeyboardEvent) => void) => {
  const free = unlessTyping(act, fields);
  return (event) => {
    if (!document.querySelector('dialog[open]')) free(event);
  };
};
