import { CABLES, plugFor, CABLE_KIND_IDS } from '../gear/cables';
import { portOf } from '../gear/catalogue';
import { hasSecond, mates } from '../gear/sockets';
import { unbalancedLimit } from '../judge/limits';
import { modelAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Change } from './change';

export function cableChanges(plan: Plan, line: Line): Change[] {
  return line.cables.flatMap((id, k): Change[] => {
    const cable = plan.cables[id];
    const out: Change[] = [];
    const near = portOf(modelAt(plan, cable.from.device), cable.from.port)!;
    const far = portOf(modelAt(plan, cable.to.device), cable.to.port)!;
    const limit = unbalancedLimit(plan.policy, near.level);
    if (near.carries === 'unbalanced' && cable.metres > limit) {
      const next = line.cables[k + 1];
      const joinsBox = modelAt(plan, cable.to.device).family === 'box';
      if (next && joinsBox)
        // The box moves to the player: what the lead loses, the balanced run gains.
        out.push({
          what: { code: 'move-box', metres: limit },
          apply: (draft) => {
            const cut = draft.cables[id].metres - limit;
            draft.cables[id].metres = limit;
            delete draft.cables[id].couplers;
            draft.cables[next].metres += cut;
          }
        });
    }
    if (limit > 0 && near.carries !== 'balanced' && cable.metres > limit && line.cables.length === 1)
      out.push({
        what: { code: 'shorter', metres: limit },
        apply: (draft) => {
          draft.cables[id].metres = limit;
          delete draft.cables[id].couplers;
        }
      });
    if (cable.wiring?.some((w) => w !== 'plain'))
      out.push({ what: { code: 'wiring', wiring: 'plain' }, apply: (draft) => void delete draft.cables[id].wiring });
    // What becomes of the leg that an unbalanced end has no use for.
    if (near.carries === 'balanced' && CABLES[cable.kind].cores === 2 && !hasSecond(cable.plugs[1]))
      for (const wiring of ['cold-open', 'cold-grounded'] as const)
        if (cable.wiring?.[0] !== wiring)
          out.push({
            what: { code: 'wiring', wiring },
            apply: (draft) => {
              draft.cables[id].wiring = [wiring, draft.cables[id].wiring?.[1] ?? 'plain'];
            }
          });
    if (cable.couplers)
      out.push({ what: { code: 'no-couplers' }, apply: (draft) => void delete draft.cables[id].couplers });
    const plugs = [plugFor(cable.kind, near.socket), plugFor(cable.kind, far.socket)] as const;
    if (
      plugs.some((plug, side) => plug !== cable.plugs[side]) &&
      mates(plugs[0], near.socket) &&
      mates(plugs[1], far.socket)
    )
      out.push({
        what: { code: 'plugs', plug: plugs[1], model: plan.devices[cable.to.device].model },
        apply: (draft) => {
          draft.cables[id].plugs = [...plugs];
        }
      });
    if (!plugs.every((plug, side) => mates(plug, [near, far][side].socket)))
      for (const kind of CABLE_KIND_IDS) {
        const fits = [near, far].map((port) => CABLES[kind].plugs.find((plug) => mates(plug, port.socket)));
        if (kind === cable.kind || !fits[0] || !fits[1] || (near.level === 'speaker') !== (kind === 'speaker'))
          continue;
        out.push({
          what: { code: 'lead', kind, ...(fits[0] === fits[1] ? {} : { plugs: [fits[0], fits[1]] as const }) },
          apply: (draft) => {
            draft.cables[id] = { ...draft.cables[id], kind, plugs: [fits[0]!, fits[1]!] };
            delete draft.cables[id].settings;
            delete draft.cables[id].wiring;
          }
        });
      }
    if (near.carries === 'balanced' && far.carries === 'balanced' && CABLES[cable.kind].cores === 1)
      out.push({
        what: { code: 'lead', kind: 'mic' },
        apply: (draft) => {
          draft.cables[id].kind = 'mic';
          draft.cables[id].plugs = [plugFor('mic', near.socket), plugFor('mic', far.socket)];
          delete draft.cables[id].settings;
        }
      });
    return out;
  });
}
