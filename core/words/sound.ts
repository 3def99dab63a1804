import type { Analysis } from '../sound/analyse';
import type { WavFault } from '../sound/wav';
import { formatHz, formatNumber } from '../units/format';
import { SOUND_TEXTS } from './tracing';

/** What is in a recording, in words. */

/** Why a file cannot be read. */
export function wavFaultText(fault: WavFault): string {
  switch (fault.code) {
    case 'not-wav':
      return 'This is not a WAV file. Save the recording as uncompressed WAV.';
    case 'cut-short':
      return `The file ends in the middle of its header, at byte ${fault.at}.`;
    case 'no-format':
      return 'The file does not say what its samples are.';
    case 'no-samples':
      return 'There are no samples in it.';
    case 'compressed':
      return `Its samples are compressed (format ${fault.tag}). Save it uncompressed: whole numbers or floating point.`;
    case 'format':
      return `Its ${fault.field} is ${fault.got}, which no WAV file should have.`;
  }
}

/** The first sentence about a recording. */
export function heardText({ heard, mains, whines }: Pick<Analysis, 'heard' | 'mains' | 'whines'>): string {
  const [first, second] = heard;
  if (!first) return 'There is next to nothing in it.';
  const of = (h: typeof first): string => {
    const name = SOUND_TEXTS[h.sound];
    if (h.sound === 'hum' || h.sound === 'buzz')
      return mains.hz > 0 ? `${name} of ${formatNumber(mains.hz, 2)}\u202FHz` : name;
    if (h.sound === 'whine' && whines[0]) return `${name} at ${formatHz(whines[0].hz)}`;
    return name;
  };
  const text = second && second.share > 0.15 ? `${of(first)}, and ${of(second)}` : of(first);
  return `${text[0].toUpperCase()}${text.slice(1)}.`;
}
