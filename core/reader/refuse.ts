/** What is asked for in words and never done: taking protective earth away. */

const TAKE = String.raw`(?:lift|lifting|cut|cutting|break|breaking|remove|removing|disconnect|defeat|snip|tape|float|floating|take\s+(?:off|away|out)|adapt\s+away|get\s+rid\s+of|unearth|bypass)`;
const EARTH = String.raw`(?:(?:mains|safety|protective|power|wall)[\s-]+(?:earth|ground)|earth(?:[\s-]+pin)?|ground[\s-]+pin|third[\s-]+pin|pe(?![a-z]))`;
const ASKED = [
  new RegExp(String.raw`\b${TAKE}\b[^,;]*\b${EARTH}`, 'i'),
  new RegExp(String.raw`\b${EARTH}\s+(?:lifted|lift|cut|off|away|broken|taped)\b`, 'i'),
  /\b(?:earth|ground)[\s-]*lift(?:er|ing)?\s+(?:adapt[eo]r|plug|socket)/i,
  /\b(?:cheater|two[\s-]*pin)\s+(?:plug|adapt[eo]r)\b/i
];

/** The stretch of a text that asks for protective earth to go; null when none does. The signal ground of a box is another thing. */
export function earthAsked(text: string): string | null {
  for (const pattern of ASKED) {
    const found = pattern.exec(text);
    if (found) return found[0];
  }
  return null;
}
