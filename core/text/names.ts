/** Names are compared without case, accents, and what stands between words. */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** A text as a piece of a pattern that finds it: nothing of it is a sign of the pattern's own. */
export const asPattern = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
