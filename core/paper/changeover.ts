import { sheets as says } from '../words/sheets';
import { modelAt } from '../plan/devices';

import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { CAUTION_TEXTS } from '../words/check';
import { modelName } from '../words/names';
import { nameOf, settingsText } from '../words/paper';
import { linesOf } from './patch';
import { byPair, listed } from './pairs';
import type { Group, PaperInput, Row, Sheet } from './types';

/** From act to act: what is unplugged, what moves, what is plugged in, with the gates before each. */

/** Acts in the order in which their first lines stand. */
const actsOf = (plan: Plan): string[] => [...new Set(linesOf(plan).flatMap(({ line }) => line.info?.act || []))];

const boxesOf = (plan: Plan, line: Line): string[] => line.devices.filter((id) => modelAt(plan, id).family === 'box');
const phantom = (plan: Plan, line: Line): boolean => plan.devices[line.id].settings.phantom === 'on';

interface Step {
  readonly step: string;
  readonly what: string;
}

/** Steps of one changeover, in the order in which they are safe. */
function stepsOf(
  plan: Plan,
  out: readonly { line: Line; tag: string }[],
  into: readonly { line: Line; tag: string }[]
): Step[] {
  const steps: Step[] = [];
  const put = (step: string, what: string): void => void (what !== '' && steps.push({ step, what }));
  put(says.gainLeast, listed([...out, ...into]));
  put(says.mute, listed([...out, ...into]));
  put(says.phantomOff, listed(out.filter(({ line }) => phantom(plan, line))));
  for (const l of byPair(out)) put(says.unplug, listed(l));
  const free = out.flatMap(({ line }) =>
    boxesOf(plan, line).map((id) => ({ model: plan.devices[id].model, from: line }))
  );
  for (const { line, tag } of into) {
    for (const id of boxesOf(plan, line)) {
      const device = plan.devices[id];
      const at = free.findIndex((f) => f.model === device.model);
      const set = settingsText(device) || says.asItComes;
      if (at >= 0) {
        const [{ from }] = free.splice(at, 1);
        put(says.move, says.fromToSetTo(modelName(device.model), nameOf(from), tag, nameOf(line), set));
      } else put(says.bring, says.forSetTo(modelName(device.model), tag, nameOf(line), set));
    }
  }
  for (const l of byPair(into)) put(says.plug, listed(l));
  put(says.phantomOn, listed(into.filter(({ line }) => phantom(plan, line))));
  put(says.unmute, into.length > 0 ? says.oneAfterTheOtherGainFrom(listed(into)) : '');
  return steps;
}

export function changeoverSheet({ plan }: PaperInput): Sheet {
  const acts = actsOf(plan);
  const all = linesOf(plan);
  const of = (act: string) => all.filter(({ line }) => line.info?.act === act);
  const groups = acts.slice(0, -1).map((act, k): Group => ({
    name: `${act} → ${acts[k + 1]}`,
    rows: stepsOf(plan, of(act), of(acts[k + 1])).map(({ step, what }, n): Row => ({
      key: `${k} ${n}`,
      cells: [String(n + 1), step, what, '☐']
    }))
  }));
  return {
    id: 'changeover',
    title: says.changeovers,
    note:
      acts.length < 2
        ? says.noTwoActsAreNamedGive
        : says.linesOfNoActStayAs(plan.policy.outdoors ? ` ${CAUTION_TEXTS.outdoors}` : ''),
    columns: [
      { head: '', wide: 5, align: 'right' },
      { head: says.step, wide: 15 },
      { head: says.what, wide: 74 },
      { head: '', wide: 6 }
    ],
    groups
  };
}
