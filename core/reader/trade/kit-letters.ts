/** A drum kit in letters, as it stands on a strip of tape: "K S HH R1 R2 F OHL OHR". */

const LETTERS: Readonly<Record<string, string>> = {
  k: 'kick',
  bd: 'kick',
  kd: 'kick',
  kik: 'kick',
  kick: 'kick',
  ki: 'kick in',
  ko: 'kick out',
  'k-in': 'kick in',
  'k-out': 'kick out',
  s: 'snare',
  sn: 'snare',
  sd: 'snare',
  snr: 'snare',
  snare: 'snare',
  st: 'snare top',
  sb: 'snare bottom',
  snt: 'snare top',
  snb: 'snare bottom',
  h: 'hihat',
  hh: 'hihat',
  hat: 'hihat',
  hats: 'hihat',
  hihat: 'hihat',
  'hi-hat': 'hihat',
  t: 'rack tom',
  t1: 'rack tom 1',
  t2: 'rack tom 2',
  t3: 'rack tom 3',
  tom1: 'rack tom 1',
  tom2: 'rack tom 2',
  tom3: 'rack tom 3',
  r: 'ride',
  rd: 'ride',
  ride: 'ride',
  r1: 'rack tom 1',
  r2: 'rack tom 2',
  rack: 'rack tom',
  rack1: 'rack tom 1',
  rack2: 'rack tom 2',
  f: 'floor tom',
  ft: 'floor tom',
  f1: 'floor tom 1',
  f2: 'floor tom 2',
  flr: 'floor tom',
  floor: 'floor tom',
  ft1: 'floor tom 1',
  ft2: 'floor tom 2',
  oh: 'overheads',
  ohs: 'overheads',
  ohl: 'overhead L',
  ohr: 'overhead R',
  'oh-l': 'overhead L',
  'oh-r': 'overhead R',
  ohx2: 'overheads x2',
  oh2: 'overheads x2'
};
/** What a letter of a kit stands for; undefined where it is none. */
export const inFull = (letter: string): string | undefined => LETTERS[letter.trim().toLowerCase()];

const TOKEN = /[a-z]+(?:-[a-z]+)?\d?(?:x\d)?/iy;
const BETWEEN = /\s*[,/+|]\s*|\s+/y;

export interface Kit {
  /** What each is called in full. */
  readonly names: readonly string[];
  /** Where they begin and end. */
  readonly from: number;
  readonly to: number;
}

/** The longest run of a kit's letters; null where there are not four of them with a kick or a snare, or the rack and the floor tom. @returns places in the text */
export function shortKit(text: string): Kit | null {
  const starts = [...text.matchAll(/(?<![\p{L}\d])[a-z]/giu)].map((m) => m.index);
  for (const from of starts) {
    const names: string[] = [];
    let at = from;
    let to = from;
    for (;;) {
      TOKEN.lastIndex = at;
      const token = TOKEN.exec(text)?.[0];
      if (!token) break;
      const end = at + token.length;
      BETWEEN.lastIndex = end;
      const gap = BETWEEN.exec(text)?.[0] ?? '';
      // "OH L", "Rack 1": which of them stands by itself.
      const which = /^(oh|rack|tom|floor)$/i.test(token)
        ? /^\s?([LR]|[1-4])(?![\p{L}\d])/iu.exec(text.slice(end))
        : null;
      const said = LETTERS[token.toLowerCase() + (which?.[1].toLowerCase() ?? '')];
      if (!said) break;
      names.push(said);
      to = end + (which?.[0].length ?? 0);
      BETWEEN.lastIndex = to;
      const next = which ? (BETWEEN.exec(text)?.[0] ?? '') : gap;
      if (next === '') break;
      at = to + next.length;
    }
    const has = (what: RegExp): boolean => names.some((name) => what.test(name));
    if (names.length >= 4 && has(/^(?:kick|snare)/)) return { names, from, to };
    if (names.length >= 2 && has(/^rack/) && has(/^floor/)) return { names, from, to };
  }
  return null;
}
