import type { Plan } from '../plan/schema';

/** Single changes to a line that may make it better. None touches protective earth. */
/** What a remedy does, for wording. */

export type RemedyWhat =
  | { code: 'box'; model: string; instead: string | null }
  | { code: 'setting'; model: string; setting: string; value: string }
  | { code: 'no-couplers' }
  | { code: 'plugs'; plug: string; model: string }
  | { code: 'lead'; kind: string; plugs?: readonly [string, string] }
  | { code: 'input'; model: string }
  | { code: 'move-box'; metres: number }
  | { code: 'supply'; name: string }
  | { code: 'feed'; feed: string }
  | { code: 'fresh-battery'; model: string }
  | { code: 'wiring'; wiring: string }
  | { code: 'shorter'; metres: number }
  | { code: 'isolate' }
  | { code: 'no-box'; model: string; input: string | null }
  | { code: 'way'; boxes: readonly string[] }
  | { code: 'turn-down'; db: number }
  | { code: 'turn-up'; db: number }
  | { code: 'box-gain'; model: string; db: number }
  | { code: 'split'; model: string; lifted: boolean };
export type Change = { what: RemedyWhat; apply: (draft: Plan) => void };
