import type { Reading } from './draft';
import type { Known } from './tokens';
import { VOCABULARY } from './vocabulary';

export interface Completion {
  /** The phrase as it would be inserted. */
  readonly text: string;
  readonly role: string;
  /** Where in the typed text it goes. */
  readonly from: number;
  readonly to: number;
}

/** What may be said next: phrases that continue the word at the caret, roles still open first. */
export function complete(text: string, caret: number, reading: Reading, known: Known = {}, most = 6): Completion[] {
  const head = text.slice(0, caret);
  const part = /[^,]*$/.exec(head)![0].trimStart();
  if (/^\d/.test(part)) return [];
  if (/^from\b/i.test(part)) {
    const typed = part.toLowerCase();
    return (known.lines ?? [])
      .map(({ name }) => `from ${name}`)
      .filter((t) => t.toLowerCase().startsWith(typed) && t.toLowerCase() !== typed)
      .slice(0, most)
      .map((t) => ({ text: t, role: 'branch', from: caret - part.length, to: caret }));
  }
  const done = new Set<string>(
    Object.entries(reading.partial)
      .filter(([, v]) => v)
      .map(([k]) => k)
  );
  const open = (role: string): number => {
    if (role === 'source' || role === 'instrument') return done.has('source') ? 3 : 0;
    if (role === 'box') return done.has('box') ? 3 : 1;
    if (role === 'input') return done.has('input') ? 3 : 2;
    return role === 'switch' || role === 'cable' ? 2.5 : 4;
  };
  for (let start = 0; start < part.length || start === 0; start = nextWord(part, start)) {
    const typed = part.slice(start).toLowerCase();
    const found = VOCABULARY.filter(
      (p) =>
        p.main &&
        p.meaning.role !== 'filler' &&
        p.meaning.role !== 'place' &&
        p.text.toLowerCase().startsWith(typed) &&
        (p.text.toLowerCase() !== typed || start === 0) &&
        (typed !== '' || open(p.meaning.role) < 2.5)
    )
      .sort((a, b) => open(a.meaning.role) - open(b.meaning.role) || a.text.length - b.text.length)
      .filter((p) => p.text.toLowerCase() !== typed)
      .slice(0, most);
    if (found.length > 0)
      return found.map((p) => ({ text: p.text, role: p.meaning.role, from: caret - typed.length, to: caret }));
    if (typed === '') break;
  }
  return [];
}

const nextWord = (text: string, from: number): number => {
  const space = text.indexOf(' ', from);
  return space < 0 ? text.length : space + 1;
};
