/** Sockets and plugs: which mate, and which contact of one touches which of the other. */

export type Socket = 'ts' | 'trs' | 'mini' | 'xlr' | 'rca' | 'speaker' | 'combo' | 'terminal';
export type Plug = 'ts' | 'trs' | 'mini' | 'xlr' | 'rca' | 'speaker';
export const PLUGS: readonly Plug[] = ['ts', 'trs', 'mini', 'xlr', 'rca', 'speaker'];

const FAMILY: Readonly<Record<Plug, string>> = {
  ts: 'jack',
  trs: 'jack',
  mini: 'mini',
  xlr: 'xlr',
  rca: 'rca',
  speaker: 'speaker'
};
const TAKES: Readonly<Record<Socket, readonly string[]>> = {
  ts: ['jack'],
  trs: ['jack'],
  mini: ['mini'],
  xlr: ['xlr'],
  rca: ['rca'],
  speaker: ['speaker'],
  combo: ['xlr', 'jack'],
  terminal: ['jack', 'mini', 'xlr', 'rca', 'speaker']
};

/** Whether the plug goes in. A bare terminal takes anything, a combo socket an XLR or a jack. */
export const mates = (plug: Plug, socket: Socket): boolean => TAKES[socket].includes(FAMILY[plug]);

/**
 * Contacts in common positions: tip, pin 2, RCA centre and speaker + are the first; ring, pin 3 and speaker − the second;
 * sleeve, pin 1 and rim the shield. XLR by AES14: pin 2 hot.
 */
const PLUG_HAS_SECOND: Readonly<Record<Plug, boolean>> = {
  ts: false,
  trs: true,
  mini: true,
  xlr: true,
  rca: false,
  speaker: true
};
const SOCKET_HAS_SECOND: Readonly<Record<Socket, boolean>> = {
  ts: false,
  trs: true,
  mini: true,
  xlr: true,
  rca: false,
  speaker: true,
  combo: true,
  terminal: true
};
export const hasSecond = (end: Plug): boolean => PLUG_HAS_SECOND[end];
export const socketHasSecond = (socket: Socket): boolean => SOCKET_HAS_SECOND[socket];
