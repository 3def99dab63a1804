import fc from 'fast-check';
import { defaultKind, MODELS, modelOf } from '../gear/catalogue';
import type { Model } from '../gear/types';
import { INSTRUMENT_IDS } from '../gear/instruments';
import type { CableSpec, DeviceSpec, LineSpec } from '../plan/spec';
import { blankPlan } from '../plan/blank';
import { putLine } from '../plan/put';
import type { Plan } from '../plan/schema';

/** Random lines and shows for property tests, drawn from the catalogue and its bounds. */

const settingsOf = (model: Model): fc.Arbitrary<DeviceSpec['settings']> =>
  fc
    .tuple(
      fc.record(
        Object.fromEntries(
          Object.entries(model.params).map(([name, p]) => [
            name,
            fc.constantFrom(p.min, p.max).filter((v) => v !== p.typ && v >= p.low && v <= p.high)
          ])
        ),
        { requiredKeys: [] }
      ),
      fc.record(
        Object.fromEntries(
          Object.entries(model.options).map(([name, o]) => [
            name,
            fc.constantFrom(...o.choices.filter((c) => c !== o.default))
          ])
        ),
        { requiredKeys: [] }
      )
    )
    .map(([values, switches]) => ({ ...values, ...switches }) as DeviceSpec['settings']);

const spreads = (model: Model): Model => ({
  ...model,
  params: Object.fromEntries(Object.entries(model.params).filter(([, p]) => p.min !== p.typ || p.max !== p.typ))
});

const device = (family: Model['family']): fc.Arbitrary<DeviceSpec> =>
  fc
    .constantFrom(...MODELS.filter((m) => m.family === family))
    .chain((model) => settingsOf(spreads(model)).map((settings) => ({ model: model.id, settings })));

const metres = fc.integer({ min: 1, max: 600 }).map((n) => n / 4);
const cable = (place: 'lead' | 'run', from: string | null): fc.Arbitrary<CableSpec> =>
  fc.tuple(metres, fc.integer({ min: 0, max: 3 }), fc.boolean()).map(([length, couplers, own]) => ({
    kind: own ? defaultKind(place, from, length) : place === 'run' ? 'mic' : defaultKind('lead', from, length),
    metres: length,
    ...(couplers > 0 ? { couplers } : {})
  }));

export const lineSpec: fc.Arbitrary<LineSpec> = fc
  .tuple(
    device('source'),
    fc.option(device('box'), { nil: null }),
    device('input'),
    fc.option(fc.constantFrom(...INSTRUMENT_IDS), { nil: undefined }),
    fc.option(fc.integer({ min: 1, max: 99 }), { nil: undefined }),
    fc.constantFrom('lead' as const, 'normal' as const, 'buried' as const),
    fc.boolean(),
    fc.array(
      device('box').chain((b) => cable('run', b.model).map((run) => ({ box: b, run }))),
      { maxLength: 2 }
    )
  )
  .chain(([source, box, input, instrument, channel, exposure, twoCables, more]) =>
    fc.tuple(cable('lead', source.model), cable('run', box?.model ?? null)).map(([lead, run]) => ({
      name: 'Random line',
      ...(channel ? { channel } : {}),
      exposure,
      source:
        instrument && instrument !== modelOf(source.model).signal?.instrument
          ? { ...source, settings: { ...source.settings, instrument } }
          : source,
      lead,
      box,
      run: box || twoCables ? run : null,
      ...(box && more.length > 0 ? { more } : {}),
      input
    }))
  );

/** A show of one to six random lines on two supplies. */
export const plan: fc.Arbitrary<Plan> = fc.array(lineSpec, { minLength: 1, maxLength: 6 }).map((specs) => {
  const made = blankPlan();
  made.supplies.stage = { name: 'Stage', emf: 0.2, ohm: 0.2, dimmers: false };
  specs.forEach((spec, k) => putLine(made, spec, (role) => `l${k}-${role}`));
  return made;
});
