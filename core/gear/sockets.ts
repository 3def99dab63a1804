/** Sockets and plugs: which mate, and which contact of one touches which of the other. */

export type Socket = 'ts' | 'trs' | 'mini' | 'xlr' | 'rca' | 'terminal';
export type Plug = 'ts' | 'trs' | 'mini' | 'xlr' | 'rca';
export const PLUGS: readonly Plug[] = ['ts', 'trs', 'mini', 'xlr', 'rca'];

const FAMILY: Readonly<Record<Socket | Plug, string>> = {
  ts: 'jack',
  trs: 'jack',
  mini: 'mini',
  xlr: 'xlr',
  rca: 'rca',
  terminal: 'any'
};

/** Whether the plug goes in. A bare terminal takes anything. */
export const mates = (plug: Plug, socket: Socket): boolean =>
  FAMILY[socket] === 'any' || FAMILY[plug] === FAMILY[socket];

/**
 * Contacts in common positions: tip, pin 2 and RCA centre are the first; ring and pin 3 the second; sleeve, pin 1 and
 * rim the shield.
 */
const PLUG_HAS_SECOND: Readonly<Record<Plug, boolean>> = {
  ts: false,
  trs: true,
  mini: true,
  xlr: true,
  rca: false
};
const SOCKET_HAS_SECOND: Readonly<Record<Socket, boolean>> = {
  ts: false,
  trs: true,
  mini: true,
  xlr: true,
  rca: false,
  terminal: true
};
export const hasSecond = (end: Plug): boolean => PLUG_HAS_SECOND[end];
export const socketHasSecond = (socket: Socket): boolean => SOCKET_HAS_SECOND[socket];
