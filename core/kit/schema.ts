// Kit: what a crew owns, as data: generic classes with own names, leads by kind and length, batteries. Computes nothing electrical.
import * as z from '../text/zod';
import { CABLE_KIND_IDS, CABLES, MAX_METRES } from '../gear/cables';
import { checkSetting, findModel } from '../gear/catalogue';
import { PLUGS } from '../gear/sockets';
import { saidText } from '../text/schema';

export const KIT_LIMITS = { items: 500, count: 999, text: 80, note: 500, label: 20, serial: 60, values: 30 } as const;

export const CONDITIONS = ['works', 'suspect', 'repair'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** Kinds of cable that belong to a crew; multicore pairs belong to the house. */
export const OWNED_CABLES = CABLE_KIND_IDS.filter((kind) => kind !== 'multicore');

const plug = z.pipe(
  z.enum(PLUGS as [string, ...string[]]),
  z.transform((p) => p as (typeof PLUGS)[number])
);
const common = {
  /** The crew's own name for it; empty when the class says enough. */
  name: saidText(KIT_LIMITS.text),
  count: z.int().check(z.minimum(1), z.maximum(KIT_LIMITS.count)),
  condition: z.enum(CONDITIONS),
  /** Case, shelf or person. */
  place: saidText(KIT_LIMITS.text),
  note: saidText(KIT_LIMITS.note)
};
const day = z.string().check(z.regex(/^\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])$/));
/** What was measured of one thing: values of its model's, or a cable's, as a plan sets them. */
const MeasuredSchema = z.strictObject({
  at: day,
  values: z
    .record(z.string().check(z.regex(/^[A-Za-z]{1,30}$/)), z.number())
    .check(
      z.refine(
        (values) => Object.keys(values).length > 0 && Object.keys(values).length <= KIT_LIMITS.values,
        'no values'
      )
    )
});

/** One thing that has a number of its own. */
const UnitSchema = z.strictObject({
  /** As it is written on it: `DI 3`, `12`. */
  label: saidText(KIT_LIMITS.label).check(z.regex(/\S/, 'needs a label')),
  serial: saidText(KIT_LIMITS.serial),
  /** How often it has failed. */
  failed: z.int().check(z.minimum(0), z.maximum(KIT_LIMITS.count)),
  /** The day its battery was changed, and the hours it has run since; null where it has none, or nobody has said. */
  battery: z.nullable(
    z.strictObject({
      changed: day,
      hours: z.number().check(z.minimum(0), z.maximum(9999))
    })
  ),
  /** Left out where nobody has measured it. */
  measured: z.optional(MeasuredSchema)
});
export type Unit = z.infer<typeof UnitSchema>;
const unit = z.optional(UnitSchema);
/** What has a number of its own is one thing. */
const alone = ({ count, unit: u }: { count: number; unit?: Unit }): boolean => u === undefined || count === 1;
const ONE = { message: 'a numbered thing is one', path: ['count'] };

/** Whether every value that was measured is one that its kind can have. */
const isMeasurable = (unit: Unit | undefined, takes: (name: string, value: number) => boolean): boolean =>
  Object.entries(unit?.measured?.values ?? {}).every(([name, value]) => takes(name, value));
const NO_VALUE = { message: 'a measured value that it cannot have', path: ['unit', 'measured'] };

const isOwned = (id: string): boolean => ['box', 'joint'].includes(findModel(id)?.family ?? '');

const DeviceItem = z
  .strictObject({
    kind: z.literal('device'),
    model: z.string().check(z.refine(isOwned, 'no box or adapter of that name')),
    unit,
    ...common
  })
  .check(
    z.refine(alone, ONE),
    z.refine(({ model, unit: u }) => {
      const found = findModel(model);
      return isMeasurable(u, (name, value) => found !== undefined && !checkSetting(found, name, value));
    }, NO_VALUE)
  );
const LeadItem = z
  .strictObject({
    kind: z.literal('lead'),
    cable: z.pipe(
      z.enum(OWNED_CABLES as unknown as [string, ...string[]]),
      z.transform((k) => k as (typeof OWNED_CABLES)[number])
    ),
    metres: z.number().check(z.minimum(0.1), z.maximum(MAX_METRES)),
    plugs: z.tuple([plug, plug]),
    unit,
    ...common
  })
  .check(
    z.refine(alone, ONE),
    z.refine(
      ({ unit: u }) => isMeasurable(u, (name, value) => name in CABLES.mic.params && value >= 0 && value < 1e3),
      NO_VALUE
    )
  );
const BatteryItem = z.strictObject({ kind: z.literal('battery'), ...common });

export const KitItemSchema = z.discriminatedUnion('kind', [DeviceItem, LeadItem, BatteryItem]);
export type KitItem = z.infer<typeof KitItemSchema>;

/** What somebody owns, by id. */
export type Kit = Readonly<Record<string, KitItem>>;

/** The number of a thing that has one. */
export const unitOf = (item: KitItem): Unit | undefined => (item.kind === 'battery' ? undefined : item.unit);

/** Fields that every item has, as they are when nothing is said. */
export const PLAIN = { name: '', count: 1, condition: 'works', place: '', note: '' } as const;
