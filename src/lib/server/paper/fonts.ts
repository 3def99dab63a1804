import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';

/** Fonts of the paper: one for what the program writes, others for what people write in other scripts. */

const require = createRequire(import.meta.url);
const main = (style: string): string => require.resolve(`pdfmake/fonts/Roboto/Roboto-${style}.ttf`);
const beside = (module: string, file: string): string => join(dirname(module), file);
const four = (normal: string, bold = normal) => ({ normal, bold, italics: normal, bolditalics: bold });

/** Sets the fonts up once; each is read when the first sign of it is drawn. */
export function setFonts(): void {
  pdfmake.setFonts({
    Roboto: {
      normal: main('Regular'),
      bold: main('Medium'),
      italics: main('Italic'),
      bolditalics: main('MediumItalic')
    },
    Wide: four(
      require.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
      require.resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf')
    ),
    Han: four(
      beside(require.resolve('@embedpdf/fonts-sc'), '../fonts/NotoSansHans-Regular.otf'),
      beside(require.resolve('@embedpdf/fonts-sc'), '../fonts/NotoSansHans-Bold.otf')
    ),
    Hangul: four(
      beside(require.resolve('@embedpdf/fonts-kr'), '../fonts/NotoSansKR-Regular.otf'),
      beside(require.resolve('@embedpdf/fonts-kr'), '../fonts/NotoSansKR-Bold.otf')
    ),
    Emoji: four(require.resolve('@expo-google-fonts/noto-emoji/400Regular/NotoEmoji_400Regular.ttf'))
  });
  // Nothing is fetched from anywhere; of files only the fonts are read.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => /\.(ttf|otf)$/.test(path));
}

type Font = 'Roboto' | 'Wide' | 'Han' | 'Hangul' | 'Emoji';
/** Which font has a sign; in this order. */
const HAS: readonly (readonly [Font, RegExp])[] = [
  [
    'Roboto',
    /[\u0000-\u024f\u02c6-\u02dd\u0370-\u03ff\u0400-\u04ff\u1e00-\u1eff\u2010-\u2027\u2030-\u203a\u20ac\u2122\u2126\u2212]/u
  ],
  ['Han', /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\u3000-\u303f\uff00-\uffef]/u],
  ['Hangul', /\p{Script=Hangul}/u],
  ['Emoji', /(?!\p{ASCII})\p{Emoji_Presentation}|[\u{1f000}-\u{1faff}]/u]
];
const fontOf = (sign: string): Font => HAS.find(([, has]) => has.test(sign))?.[0] ?? 'Wide';

/** Joiners and selectors, which choose among pictures that a font of one colour does not have. */
const UNSEEN = /[\u200d\ufe0e\ufe0f\u{1f3fb}-\u{1f3ff}]/gu;
const RIGHT_TO_LEFT = /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}]/u;

/**
 * Words of scripts that run from right to left, in the order in which they are set from the left: signs within a word are
 * ordered by the font, words by nobody else.
 */
function setFromLeft(text: string): string {
  if (!RIGHT_TO_LEFT.test(text)) return text;
  const words = text.split(' ');
  const out: string[] = [];
  for (let k = 0; k < words.length;) {
    let end = k;
    while (end < words.length && RIGHT_TO_LEFT.test(words[end])) end++;
    if (end > k) out.push(...words.slice(k, end).reverse());
    else out.push(words[end++]);
    k = end;
  }
  return out.join(' ');
}

/** A stretch of text in one font. */
export interface Run {
  readonly text: string;
  readonly font?: Font;
}

/** Text as it is drawn: a plain one where one font has all of it, else a run a font. */
export function printable(text: string): string | Run[] {
  // The font has no thin space that holds, only one of usual width.
  const clean = setFromLeft(text.replaceAll('\u202f', '\u00a0').replace(UNSEEN, ''));
  const runs: { text: string; font: Font }[] = [];
  for (const sign of clean) {
    const last = runs.at(-1);
    // Spaces go with whatever stands before them.
    const font = last && /\s/.test(sign) ? last.font : fontOf(sign);
    if (last?.font === font) last.text += sign;
    else runs.push({ text: sign, font });
  }
  if (runs.every((r) => r.font === 'Roboto')) return clean;
  return runs.map(({ text: part, font }) => (font === 'Roboto' ? { text: part } : { text: part, font }));
}
