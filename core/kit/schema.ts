// Kit: what a crew owns, as data: generic classes with own names, leads by kind and length, batteries. Computes nothing electrical.
import * as z from 'zod';
import { CABLE_KIND_IDS, CABLES, MAX_METRES } from '../gear/cables';
import { checkSetting, findModel } from '../gear/catalogue';
import { PLUGS } from '../gear/sockets';
import { saidText } from '../text/schema';

export const KIT_LIMITS = { items: 500, count: 999, text: 80, note: 500, label: 20, serial: 60, values: 30 } as const;

export const CONDITIONS = ['works', 'suspect', 'repair'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** Kinds of cable that belong to a crew; multicore pairs belong to the house. */
export const OWNED_CABLES = CABLE_KIND_IDS.filter((kind) => kind !== 'multicore');

const plug = z.enum(PLUGS as [string, ...string[]]).transform((p) => p as (typeof PLUGS)[number]);
const common = {
  /** The crew's own name for it; empty when the class says enough. */
  name: saidText(KIT_LIMITS.text),
  count: z.number().int().min(1).max(KIT_LIMITS.count),
  condition: z.enum(CONDITIONS),
  /** Case, shelf or person. */
  place: saidText(KIT_LIMITS.text),
  note: saidText(KIT_LIMITS.note)
};
const day = z.string().regex(/^\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])$/);
/** What was measured of one thing: values of its model's, or a cable's, as a plan sets them. */
const MeasuredSchema = z.strictObject({
  at: day,
  values: z
    .record(z.string().regex(/^[A-Za-z]{1,30}$/), z.number())
    .refine((values) => Object.keys(values).length > 0 && Object.keys(values).length <= KIT_LIMITS.values, 'no values')
});

/** One thing that has a number of its own. */
const UnitSchema = z.strictObject({
  /** As it is written on it: `DI 3`, `12`. */
  label: saidText(KIT_LIMITS.label).regex(/\S/, 'needs a label'),
  serial: saidText(KIT_LIMITS.serial),
  /** How often it has failed. */
  failed: z.number().int().min(0).max(KIT_LIMITS.count),
  /** The day its battery was changed, and the hours it has run since; null where it has none, or nobody has said. */
  battery: z
    .strictObject({
      changed: day,
      hours: z.number().min(0).max(9999)
    })
    .nullable(),
  /** Left out where nobody has measured it. */
  measured: MeasuredSchema.optional()
});
export type Unit = z.infer<typeof UnitSchema>;
const unit = UnitSchema.optional();
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
    model: z.string().refine(isOwned, 'no box or adapter of that name'),
    unit,
    ...common
  })
  .refine(alone, ONE)
  .refine(({ model, unit: u }) => {
    const found = findModel(model);
    return isMeasurable(u, (name, value) => found !== undefined && !checkSetting(found, name, value));
  }, NO_VALUE);
const LeadItem = z
  .strictObject({
    kind: z.literal('lead'),
    cable: z
      .enum(OWNED_CABLES as unknown as [string, ...string[]])
      .transform((k) => k as (typeof OWNED_CABLES)[number]),
    metres: z.number().min(0.1).max(MAX_METRES),
    plugs: z.tuple([plug, plug]),
    unit,
    ...common
  })
  .refine(alone, ONE)
  .refine(
    ({ unit: u }) => isMeasurable(u, (name, value) => name in CABLES.mic.params && value >= 0 && value < 1e3),
    NO_VALUE
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
