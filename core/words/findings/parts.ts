import { article } from '../article';
import { type Code, factOf, type Finding } from '../../judge/types';
import type { FactName } from '../../judge/facts';
import type { CableKindId } from '../../gear/cables';
import { formatDb, formatNumber, formatQuantity } from '../../units/format';
import type { Room } from '../../rig/audible';
import { CABLE_NAMES, modelName, PLUG_NAMES, ROOM_NAMES } from '../names';

/** What sentences are made of. A fact is named by its code: one that a finding does not carry does not compile. */

export const num = <C extends Code>(f: Finding<C>, name: FactName<C>): number => factOf(f, name) as number;
export const id = <C extends Code>(f: Finding<C>, name: FactName<C>): string => factOf(f, name) as string;
export const model = <C extends Code>(f: Finding<C>, name: FactName<C> = 'model' as FactName<C>): string =>
  modelName(id(f, name));
export const plug = <C extends Code>(f: Finding<C>, name: FactName<C>): string =>
  PLUG_NAMES[id(f, name) as keyof typeof PLUG_NAMES];
/** A device or a cable by its kind. */
export const source = <C extends Code>(f: Finding<C>, name: FactName<C>): string => {
  const of = id(f, name);
  return CABLE_NAMES[of as CableKindId] ?? modelName(of);
};
/** Levels, gains, S/N and hum as the trade rounds them: to one decibel. */
export const db = (value: number): string =>
  Math.abs(value) < 0.5 ? 'less than 1\u202FdB' : formatDb(Math.abs(value), 0);
/** A figure that stands beside its limit: rounded, but never onto the other side of it. @param say how both are said, with so many decimals */
export function beside(value: number, limit: number, say: (v: number, decimals: number) => string): string {
  for (const decimals of [0, 1, 2]) if (say(value, decimals) !== say(limit, decimals)) return say(value, decimals);
  return value === limit ? say(limit, 0) : `just ${value > limit ? 'over' : 'under'} ${say(limit, 0)}`;
}
const inDb = (v: number, decimals: number): string => (decimals === 0 ? db(v) : formatDb(Math.abs(v), decimals));
export const dbBeside = (f: Finding, otherwise = 0): string => beside(f.value, f.limit ?? otherwise, inDb);
export const metresBeside = (f: Finding): string => beside(f.value, f.limit ?? 0, metres);
const inMilliamps = (v: number, decimals: number): string => `${formatNumber(v, decimals)}\u202FmA`;
export const milliampsBeside = (f: Finding): string => beside(f.value, f.limit ?? 0, inMilliamps);
/** Errors of a response: to half a decibel. */
export const halfDb = (value: number): string =>
  Math.abs(value) < 0.25 ? 'less than 0.5\u202FdB' : `${formatHalf(Math.abs(value))}\u202FdB`;
const formatHalf = (value: number): string => {
  const half = Math.round(value * 2) / 2;
  return formatNumber(half, Number.isInteger(half) ? 0 : 1);
};
export const signedDb = (value: number): string => formatDb(value, 0, true);
export const dbu = (value: number): string => `${formatNumber(value, 0, true)}\u202FdBu`;
export const metres = (value: number): string => formatQuantity('length', value);
export const ohm = (value: number): string => formatQuantity('resistance', value);
/** A ratio; where it is so large that its digits say nothing, only that. */
export const times = (value: number): string =>
  value > 1000 ? 'over 1,000 times' : `${formatNumber(value, value < 10 ? 1 : 0)} times`;
/** One of two plurals. */
export const many = (n: number, one: string, more: string): string => `${n}\u202F${n === 1 ? one : more}`;
/** So many decibels lost, in few signs. */
export const less = (f: Finding): string => `${formatHalf(-Math.abs(f.value))}\u202FdB`;
/** Room to clipping, in few signs. */
export const roomLeft = (f: Finding): string =>
  Number.isFinite(f.value) ? `${formatNumber(f.value)}\u202FdB headroom` : 'no limit';
export const hum = (below: number): string =>
  below >= 0 ? `${db(below)} below the signal` : `${db(below)} above the signal`;
/** Beyond this nobody would hear it if it were ten times as loud: a figure says nothing. */
const FAR_UNDER_DB = 20;
type Heard = 'loop' | 'thru-joins' | 'hum-low' | 'hums' | 'lift-leaks' | 'hissy';
/** Whether it is heard where the show is played, and by how much. */
export function heard<C extends Heard>(f: Finding<C>): string {
  const margin = num(f, 'heard' as FactName<C>);
  const room = ROOM_NAMES[id(f, 'room' as FactName<C>) as Room];
  const told =
    margin >= FAR_UNDER_DB
      ? `far below what ${room} lets you hear`
      : margin >= 0
        ? `${db(margin)} below what ${room} lets you hear`
        : `${db(margin)} above what ${room} hides`;
  return num(f, 'rule' as FactName<C>) > 0
    ? `${told}, but compression or a recording brings it up (rule of thumb: ${db(f.limit ?? 0)})`
    : told;
}
export const loopThrough = (f: Finding<'loop'>): string => {
  const names = id(f, 'names');
  return names === '' ? 'its shields' : `${names}`;
};
/** Where hum that runs round no loop comes from. */
export const CAUSES: Readonly<Record<string, string>> = {
  earths: 'from the voltage between mains earths',
  leak: 'from the leakage of a two-pin supply',
  electric: 'from mains wiring near the instrument',
  winding: 'from stray fields into a coil or core',
  cable: 'from stray fields along the cables'
};

/** What would make it fit, and what that costs. */
export function adaptersFor(f: Finding<'plug-does-not-fit'>): string {
  const chain = f.because.find((b) => b.name === 'adapters')?.value;
  if (typeof chain !== 'string') return '';
  const names = chain.split(' ').map((a) => modelName(a));
  const cost = { grounded: ', with the second contact on the shield', open: ', with one leg open', kept: '' };
  const second = id(f, 'second') as keyof typeof cost;
  return ` It would take ${names.map((n) => `${article(n)}`).join(' and ')}${cost[second] ?? ''}.`;
}
