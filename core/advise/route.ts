import type { LineReport } from '../judge/judge';
import type { Around } from '../judge/solved-rig';
import type { Finding } from '../judge/types';
import type { Chain } from '../plan/chain';
import type { Op } from '../plan/schema';
import type { Counts } from './counts';
import type { Beside } from './direct-and-mic';
import type { Part, Stock } from './stock';
import type { Way } from './ways';

/** One whole way of a line, computed with the rig around it. */
export interface Route {
  /** Text that is equal for ways that are. */
  readonly key: string;
  readonly way: Way;
  readonly chain: Chain;
  /** The line on that way: steps from the plan as it is, empty when it is on it already. */
  readonly ops: readonly Op[];
  readonly report: LineReport;
  readonly counts: Counts;
  /** Boxes, adapters and leads that it takes. */
  readonly parts: readonly Part[];
  /** Those of them that are not in the kit, or taken by other lines. */
  readonly missing: readonly Part[];
  /** What feeds its boxes. */
  readonly power: readonly ('phantom' | 'battery' | 'mains')[];
  /** Points against it; the least is the best. */
  readonly points: number;
  /** Index of a better one that is at least as good on every count; null when none is. */
  readonly beatenBy: number | null;
  /** What it lost by: the worst finding that the best way has not. Null for the best. */
  readonly lostBy: Finding | null;
  /** The line as it is planned now. */
  readonly present: boolean;
  /** The microphone's line beside it, where the way is two at once. */
  readonly beside: Beside | null;
}
export interface RouteOptions {
  readonly perOctave?: number;
  readonly around?: Around;
  /** What may be used; anything when left out. */
  readonly stock?: Stock;
  /** What others take of it; found out when left out. */
  readonly beside?: readonly Part[];
  /** Ways that ask for what is not in the kit are left out where one from the kit does well, and so are further inputs behind a box that does. */
  readonly kitFirst?: boolean;
  /** Called between candidates; returning false ends the search with what there is. */
  readonly between?: () => boolean;
}
