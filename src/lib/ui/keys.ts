/** What is typed into: a key pressed there is text, not a command. */
const TYPED = 'input, select, textarea';
/** The same where a tick of a box is no text. */
export const TYPED_BUT_TICKS = 'input:not([type=checkbox]), select, textarea';

/** An action for a key, left alone while somebody types. @param fields what counts as typed into */
export const unlessTyping =
  (act: () => void, fields = TYPED) =>
  (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLElement && event.target.matches(fields)) return;
    event.preventDefault();
    act();
  };
