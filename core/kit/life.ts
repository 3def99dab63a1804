import { cutText } from '../text/well-formed';
import { type Condition, KIT_LIMITS, type KitItem, unitOf } from './schema';
import { inCondition } from './units';

/** What somebody says became of a thing, and the thing after it: `crackles when cold`, `new jack, works`, `fresh battery`, `with Tove`. */

export interface Heard {
  /** What it is now; null where that was not said. */
  readonly condition: Condition | null;
  /** A new battery was put in. */
  readonly battery: boolean;
  /** It ran for so many hours; null where that was not said. */
  readonly hours: number | null;
  /** Where it is now, or who has it; null where that was not said. */
  readonly place: string | null;
}

/** What words say about its condition; where several do, the last one holds: `was dead, works again`. */
const SAYS: readonly (readonly [RegExp, Condition])[] = [
  [
    /\b(?:works?|working|repaired|mended|fixed|re-?soldered|tested|passed|ok(?:ay)?|all good|as new|new (?:jack|plug|switch|fuse|pot|socket|cable|connector|transformer|battery clip)\w*)\b/giu,
    'works'
  ],
  [
    /\b(?:dead|broken?|broke|bust(?:ed)?|fail(?:s|ed|ing)?|defect(?:ive)?|faulty|no (?:signal|sound|output)|nothing comes out|open circuit|u\/s|duff|in repair|to repair|for repair|needs? (?:repair|a new \w+)|at the workshop)\b/giu,
    'repair'
  ],
  [
    /\b(?:crackl\w*|nois[ey]\w*|hum(?:s|ming)?|buzz\w*|hiss\w*|intermittent|loose|scratch\w*|(?:cuts?|drops?|cutting|dropping) out|suspect|suspicious|sometimes|flaky|dodgy|bent|quieter|weak|distort\w*)\b/giu,
    'suspect'
  ]
];
/** Said just before, it turns a word round: `no hum`, `does not work`, `no longer crackles`, `stopped buzzing`. */
const NOT = /(?:\b(?:not|no|never|without|no longer|stopped|nothing)|n[’']t)(?: \p{L}+)?\s*$/iu;
const OTHER: Readonly<Record<Condition, Condition>> = { works: 'repair', suspect: 'works', repair: 'works' };

const BATTERY = /\bbatter(?:y|ies)\b/iu;
const CHANGED = /\b(?:new|changed?|fresh|replaced?|swapped|put in)\b/iu;
const HOURS = /(\d+(?:[.,]\d+)?)\s*(?:h|hrs?|hours?)\b/iu;
const PLACE =
  /\b(?:(?:now |is )?(?:with|at)|(?:lent|given|gone|went) to|(?:back |now |put |is )?in(?:to)?) (?:the )?((?!repair|stereo|use|it\b|and\b|the workshop)[\p{L}\d’'. -]{2,60}?)(?=$|[,;.](?:\s|$)| and )/iu;
const WHERE = /\b(?:case|trunk|drawer|bag|van|truck|rack|shelf|store|stock|pouch|box|flight)\b/iu;
/** Somebody has it: said so, or a name behind `with` that follows nothing but what it is. */
const HAS = [
  /\b(?:(?:now|is) with|lent to|given to)\b/iu,
  /(?:^|[,;.]\s*|^(?:unit )?[\p{L}-]* ?#?\d+ )[Ww]ith \p{Lu}/u
] as const;

/** Reads it; what says nothing of these is a note all the same. */
export function readLife(text: string): Heard {
  // A battery that is new says nothing about whether the box works.
  const clauses = text.split(/[,;]|\.(?=\s|$)|\b(?:and|but|then)\b/iu);
  let condition: Condition | null = null;
  let battery = false;
  for (const clause of clauses) {
    if (BATTERY.test(clause) && CHANGED.test(clause)) {
      battery = true;
      continue;
    }
    condition = conditionIn(clause) ?? condition;
  }
  const hours = HOURS.exec(text);
  const where = PLACE.exec(text);
  return {
    ...{ condition, battery },
    hours: hours ? Number(hours[1].replace(',', '.')) : null,
    // `hums with the lift open`, `dead in the second half`: a place is a case, or somebody who has it.
    place: where && (WHERE.test(where[1]) || HAS.some((h) => h.test(text))) ? where[1].trim() : null
  };
}

function conditionIn(clause: string): Condition | null {
  const said = SAYS.flatMap(([words, is]) =>
    [...clause.matchAll(words)].map((m) => ({
      at: m.index,
      is: NOT.test(clause.slice(0, m.index)) ? OTHER[is] : is
    }))
  );
  return said.sort((a, b) => a.at - b.at).at(-1)?.is ?? null;
}

/** A thing after what was heard of it. @param day today, `2026-12-01` */
export function livedOn(item: KitItem, heard: Heard, day: string): KitItem {
  const next = heard.condition ? inCondition(item, heard.condition) : { ...item };
  if (heard.place !== null) next.place = cutText(heard.place, KIT_LIMITS.text);
  const unit = unitOf(next);
  if (!unit || next.kind === 'battery') return next;
  const battery = heard.battery ? { changed: day, hours: 0 } : unit.battery;
  const ran = battery && heard.hours ? { ...battery, hours: Math.min(battery.hours + heard.hours, 9999) } : battery;
  return { ...next, unit: { ...unit, battery: ran } };
}
