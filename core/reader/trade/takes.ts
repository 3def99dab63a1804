import { takeOf, withMic } from './both';
import type { Piece } from './pieces';
import type { One } from './several';
import { channelsSaid } from './sides';

/** What parts two ways of taking one thing. */
const PARTED = /\s*(?:\+|&|,|\/|\band\b|\bplus\b)\s*/i;
const FEWEST = 3;

/**
 * Three ways and more of taking one thing, a channel for each: "bass: DI + amp mic + amp DI, 1-3", "upright: mag, piezo, mic 5-7".
 * @returns null where they are not as many as the channels, or something else plays
 */
export function takesOf(text: string, pieces: readonly Piece[]): One[] | null {
  const channels = channelsSaid(pieces);
  const players = pieces.filter(({ read }) => read.is === 'instrument');
  if (channels.length < FEWEST || players.length > 1) return null;
  const told = pieces.findIndex((p) => !p.named && isChannelOf(p, channels));
  const word = pieces[told - 1];
  const end = ['channel', 'input'].includes(word?.read.is ?? '') ? word.from : pieces[told]?.from;
  const start = pieces.findLast((p) => p.named)?.to ?? 0;
  if (end === undefined) return null;
  const from = start + (/^\s*[:|]\s*/.exec(text.slice(start))?.[0].length ?? 0);
  const ways = text
    .slice(from, end)
    .replace(/[\s,:+&–—-]+$/, '')
    .split(PARTED);
  if (ways.length !== channels.length) return null;
  let at = from;
  const ones = ways.map((way, k): One | null => {
    at = text.indexOf(way, at);
    const here = pieces.filter((p) => p.from >= at && p.to <= at + way.length);
    at += way.length;
    const ampsOwn = here.some(({ read }) => read.is === 'source' && read.model === 'bass-amp-out');
    const taken = ampsOwn || here.some((p) => takeOf(p) !== null && p.read.is !== 'instrument');
    const rig = here.some(({ read }) => read.is === 'amp');
    if (!taken && !rig) return null;
    const player = players[0] ?? pieces.find((p) => p.named && p.read.is === 'amp');
    const whose = !player || here.includes(player) ? way : `${player.text} ${way}`;
    const mic = here.some((p) => takeOf(p) === 'mic') && !here.some(({ read }) => read.is === 'source');
    const said = rig && !taken ? `${whose} mic` : whose;
    return {
      text: `${mic || (rig && !taken) ? withMic(said) : said} ${text.slice(end).replace(CHANNELS, '')}`,
      channels: [channels[k]]
    };
  });
  return ones.every((one) => one !== null) ? ones : null;
}

const isChannelOf = ({ read }: Piece, channels: readonly number[]): boolean =>
  read.is === 'channels' || (read.is === 'number' && read.value === channels[0]);
const CHANNELS = /\b\d{1,3}(?:\s*[-–/,+&]?\s*\d{1,3})*\s*$/;
