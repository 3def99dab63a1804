import type { Analysis } from '../sound/analyse';
import type { Wav, WavFault } from '../sound/wav';
import { formatHz, formatNumber } from '../units/format';
import { SOUND_TEXTS } from './tracing';

/** What is in a recording, in words. */

/** Why a file cannot be read. */
export function wavFaultText(fault: WavFault): string {
  switch (fault.code) {
    case 'not-wav':
      return 'This is no recording that can be read here. Save it as WAV.';
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

/** The line frequency of picture tubes, Hz: 15,625 with 50 fields a second, 15,734 with 60 (ITU-R BT.470). */
const PICTURE_TUBE = [15_550, 15_800] as const;
/** A tone by its frequency, and by what is known to make it. */
export const toneText = (hz: number): string =>
  hz >= PICTURE_TUBE[0] && hz <= PICTURE_TUBE[1]
    ? `${formatNumber(hz / 1000, 1)}\u202FkHz, the line frequency of a tube screen`
    : formatHz(hz);

/** What has to be known of a recording before it is believed. */
export function recordingNotes({
  channels,
  channel,
  opposite,
  truncated
}: Omit<Wav, 'samples' | 'rate' | 'bits'>): string[] {
  return [
    ...(truncated ? ['The file is cut short: this is what is left of it.'] : []),
    ...(opposite
      ? [
          `Channels 1 and 2 are the same in opposite polarity: together they cancel.${channel === 1 ? ' This is channel 1.' : ''}`
        ]
      : channels > 1 && channel === 0
        ? [`The average of ${channels} channels.`]
        : [])
  ];
}

/** The first sentence about a recording. */
export function heardText({ heard, mains, whines }: Pick<Analysis, 'heard' | 'mains' | 'whines'>): string {
  const [first, second] = heard;
  if (!first) return 'There is next to nothing in it.';
  const of = (h: typeof first): string => {
    const name = SOUND_TEXTS[h.sound];
    if (h.sound === 'hum' || h.sound === 'buzz')
      return mains.hz > 0 ? `${name} of ${formatNumber(mains.hz, 2)}\u202FHz` : name;
    if (h.sound === 'whine' && whines[0]) return `${name} at ${toneText(whines[0].hz)}`;
    return name;
  };
  const text = second && second.share > 0.15 ? `${of(first)}, and ${of(second)}` : of(first);
  return `${text[0].toUpperCase()}${text.slice(1)}.`;
}
