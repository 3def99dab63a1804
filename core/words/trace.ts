import type { Link } from '../gear/links';
import type { Plan } from '../plan/schema';
import type { CureWhat } from '../trace/cures';
import type { EarthPoint } from '../trace/map';
import { remedyText } from './remedies';

/** Earths and hum in words. */

/** What to do against a ring, as one says it to a stagehand. */
export function cureText(what: readonly CureWhat[]): string {
  const [first] = what;
  if (first.code === 'host-supply') return `Power the ${first.host} from ${first.name}`;
  if (first.code === 'insulate') return 'Put something dry and insulating between the metal that touches';
  if (first.code === 'unlink') return UNLINK_TEXTS[first.by];
  return remedyText(
    what.flatMap((w) => (w.code === 'host-supply' || w.code === 'insulate' || w.code === 'unlink' ? [] : [w]))
  );
}

/** What joins two grounds, as it stands in a list. */
export const LINK_NAMES: Readonly<Record<Link, string>> = {
  usb: 'USB',
  hdmi: 'HDMI',
  network: 'shielded network cable',
  dmx: 'DMX',
  antenna: 'antenna cable',
  rails: 'rack rails'
};
/** How its signal goes on while its shield does not. */
const UNLINK_TEXTS: Readonly<Record<Link, string>> = {
  usb: 'Put a USB isolator in the cable',
  hdmi: 'Take HDMI over fibre, so that no shield joins the two',
  network: 'Take a network cable without a shield',
  dmx: 'Put a DMX splitter with isolated outputs between',
  antenna: 'Put an isolator for both conductors in the antenna cable',
  rails: 'Mount it with insulating washers; its mains earth stays'
};

/** How a chassis hangs on the mains. */
export function feedText({ feed, unearthed }: Pick<EarthPoint, 'feed' | 'unearthed'>): string {
  if (unearthed) return 'earth missing';
  switch (feed) {
    case 'mains-1':
      return 'earthed';
    case 'mains-2':
      return 'two-pin';
    case 'battery':
      return 'battery';
    case 'phantom':
      return 'phantom';
    case 'supply':
      return 'phantom from elsewhere';
    case 'plug-in':
      return 'plug-in power';
    case 'none':
      return 'no supply';
  }
}

/** Of a supply, in a few words: its phase and whether dimmers are on it; where it is. What is not said is left out. */
export function supplyFacts({ place, phase, dimmers }: Plan['supplies'][string]): string[] {
  return [[phase && `phase ${phase}`, dimmers && 'dimmers'].filter(Boolean).join(', '), place ?? ''].filter(Boolean);
}

/** Why a protective earth stays, whoever asks. */
export const EARTH_STAYS = [
  'No. The protective earth is what trips the breaker when a mains wire touches the case; without it the case, the strings and whoever holds them are live.',
  'Break the loop on the audio side instead: a DI with its ground lifted, a transformer, or one supply for both ends. What each gains is beside it.',
  'If anyone has felt a tingle: stop, keep away, and have the supply checked by a licensed electrician.'
] as const;
