import type { Analysis } from '$core/sound/analyse';
import { type Sound, SOUNDS } from '$core/trace/hypotheses';

/** What was heard in a recording, on its way from where it was analysed to the trace: in the address of a page. */

/** Less of it than this is not evidence. */
const LEAST = 0.03;

/** As parts of an address: `sound=hum.62,hiss.30`. */
export const evidenceOf = ({ heard }: Pick<Analysis, 'heard'>): string =>
  `sound=${heard
    .filter((h) => h.share >= LEAST)
    .map((h) => `${h.sound}.${Math.round(h.share * 100)}`)
    .join(',')}`;

/** The loudest of what an address tells, and how much there is of each, 0 to 1; null where it tells nothing that is known. A word alone is all of it. */
export function heardIn(
  text: string | null
): { readonly is: Sound; readonly heard: Partial<Record<Sound, number>> } | null {
  const parts = (text ?? '').split(',').flatMap((part): [Sound, number][] => {
    const [word, share = '100'] = part.split('.');
    const sound = SOUNDS.find((s) => s === word);
    const of = Number(share) / 100;
    return sound && of > 0 && of <= 1 ? [[sound, of]] : [];
  });
  if (parts.length === 0) return null;
  const heard = Object.fromEntries(parts) as Partial<Record<Sound, number>>;
  const [[is]] = [...parts].sort(([, a], [, b]) => b - a);
  return { is, heard };
}
