/** A noun with the article that its first sound wants: an active DI, an XLR plug, a unity gain, a USB lead. */
export const article = (noun: string): string =>
  `${/^(?:[aeio](?!ne\b)|u(?!ni[^nm]|s[abe])|(?:xlr|rca|lr|fm|sd)\b|8|11\b|18\b)/i.test(noun) ? 'an' : 'a'} ${noun}`;
