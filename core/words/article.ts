/** A noun with the article that its first sound wants: an active DI, an XLR plug, a unity gain, a USB lead. */
export const article = (noun: string): string =>
  `${/^(?:[aeio](?!ne\b)|u(?!ni[^nm]|s[abe])|(?:xlr|rca|lr|fm|sd)\b|8|11\b|18\b)/i.test(noun) ? 'an' : 'a'} ${noun}`;

/** `a, b and c`. */
export const andList = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;

/** In the middle of a sentence; what is an abbreviation stays one: `passive DI`, `RCA player`. */
export const inside = (name: string): string => name.replace(/^[A-Z](?=[a-z])/, (sign) => sign.toLowerCase());

/** With a capital at its beginning. */
export const upper = (text: string): string => text[0].toUpperCase() + text.slice(1);
