import { saidOf } from '../log/setup';
import type { Line } from '../plan/lines';
import { copyOf } from '../plan/json';
import type { Plan } from '../plan/schema';
import { asPattern } from '../text/names';
import { cutText } from '../text/well-formed';
import { type Instrument, PLAYER_LIMITS } from './schema';

/**
 * The instrument at the head of a line, as a thing that other shows may use.
 * @param player whose it is; empty where it is the crew’s
 * @returns null where the line cannot be said in words, or leaves another one
 */
export function keepInstrument(plan: Plan, line: Line, player: string): Instrument | null {
  const said = saidOf(plan, line);
  const { model, settings, own } = plan.devices[line.devices[0]];
  if (said === null || said.length > PLAYER_LIMITS.line) return null;
  const name = line.info?.name ?? '';
  return {
    name: cutText(withoutPlayer(name, player), PLAYER_LIMITS.name),
    player,
    // What it is called stands beside it, and is said before it again.
    line: said.startsWith(`${name}: `) ? said.slice(name.length + 2) : said,
    model,
    settings: copyOf(settings),
    own: own ? copyOf(plan.models?.[own] ?? null) : null,
    wants: '',
    note: ''
  };
}

/** `Mira’s cello` of Mira is the cello. */
function withoutPlayer(name: string, player: string): string {
  const rest = player === '' ? '' : name.replace(new RegExp(`^${asPattern(player)}(?:[’']s?)?\\s+`, 'iu'), '');
  return rest === '' || rest === name ? name : rest.charAt(0).toUpperCase() + rest.slice(1);
}
