import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hintsFor } from '../advise/hints';
import { remediesFor } from '../advise/remedies';
import { lineOf, planOf } from '../casebook/cases';
import { MISTAKES } from '../casebook/mistakes';
import { SCENARIOS } from '../casebook/scenarios';
import { MODELS } from '../gear/catalogue';
import { judgePlan, type LineReport } from '../judge/judge';
import { CODES } from '../judge/types';
import { resolve } from '../plan/resolved';
import { plan as anyPlan } from '../tests/arbitrary';
import { sentence, short, verdict } from './findings';
import { eqText, lowCutText } from './hints';
import { modelName } from './models';
import { remedyText } from './remedies';
import { why } from './why';

/** What nobody would say: each rule with what it catches. */
/** Names may have in them what is a code elsewhere: a speaker-level DI. */
const NAMES = MODELS.map((m) => modelName(m.id)).join();
const IDS = [...Object.keys(CODES), ...MODELS.map((m) => m.id)].filter((id) => id.includes('-') && !NAMES.includes(id));
const RULES: readonly (readonly [what: string, pattern: RegExp])[] = [
  ['a before a vowel', /\b[Aa] (?:[aeio](?!ne\b)|XLR|RCA|8\b|11\b|18\b)/],
  ['an before a consonant', /\b[Aa]n (?:[bcdfgjkpqtvwyz]|uni|use|one\b)/],
  ['a word twice', /\b(\p{L}{2,}) \1\b/u],
  ['a bare code', new RegExp(`\\b(?:${IDS.join('|')})\\b`)],
  ['no value', /undefined|NaN|null|\[object|Infinity/],
  ['an empty hole', /expected \.|\(\)| ,|\s\.(?!\d)|  /],
  ['an unrounded number', /\d{6,}|\d\.\d{5,}|0\.0000/],
  ['a wrong plural', /\b1[\u202F ](?:lines|couplers|supplies|hours|answers)\b/],
  [
    'words of the workshop',
    /under the playing|\bring\b(?! open| or sleeve|\))|arrives|double stops|\bbox(?:es)?\b(?! ?,)/
  ]
];
/** What is called a box in the trade. */
const BOXES = /re-amp box|load box|merge box|stage box/gi;

const faultsOf = (text: string): string[] =>
  RULES.flatMap(([what, pattern]) => (pattern.test(text.replace(BOXES, 'kit')) ? [`${what}: ${text}`] : []));

const told = (report: LineReport): string[] => [
  verdict(report),
  ...report.findings.flatMap((f) => {
    const { formula, reason, inputs, result } = why(f);
    return [sentence(f), short(f), formula, reason, result, ...inputs.map((i) => `${i.name} ${i.value}`)];
  })
];

describe('read aloud', () => {
  it('nothing in the casebook is said as nobody would say it, nor are its remedies and hints', () => {
    const faults = [...MISTAKES, ...SCENARIOS].flatMap((c) => {
      const plan = planOf(c);
      const line = resolve(plan).line(lineOf(c))!;
      const hints = hintsFor(plan, line);
      return [
        ...judgePlan(plan).flatMap(told),
        ...remediesFor(plan, line).map((r) => remedyText(r.what)),
        ...(hints.lowCut ? [lowCutText(hints.lowCut)] : []),
        ...(hints.eq ? [eqText(hints.eq)] : [])
      ].flatMap(faultsOf);
    });
    expect([...new Set(faults)]).toEqual([]);
  });
  it('nor is anything of random plans', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        expect(judgePlan(plan).flatMap(told).flatMap(faultsOf)).toEqual([]);
      }),
      { numRuns: 60 }
    );
  });
  it('every model has a name of its own that is no code', () => {
    const names = MODELS.map((m) => modelName(m.id));
    expect(new Set(names).size).toBe(names.length);
    expect(MODELS.filter((m) => modelName(m.id) === m.id && m.id.includes('-'))).toEqual([]);
  });
});
