// Plan: the show document, its reversible edits and the tracing of lines. Knows models by their table, computes nothing electrical.
import { LINKS } from '../gear/links';
import * as z from '../text/zod';
import { CABLE_KIND_IDS, MAX_METRES } from '../gear/cables';
import { PLUGS } from '../gear/sockets';
import { KIT_LIMITS, KitItemSchema } from '../kit/schema';
import { saidText } from '../text/schema';

/** Bounds that keep one document small enough to check whole on every edit. */
export const LIMITS = {
  devices: 2000,
  cables: 2000,
  supplies: 50,
  hosts: 50,
  models: 100,
  touches: 200,
  measured: 200,
  response: 400,
  text: 80,
  note: 500,
  ops: 3000
} as const;

const id = z.string().check(
  z.regex(/^[a-z0-9-]{1,40}$/, 'an id is 1 to 40 of a–z, 0–9 and -'),
  // Every object has something of that name already; of what an id can be made of it is the only one.
  z.refine((s) => s !== 'constructor', 'an id cannot be “constructor”')
);
const text = saidText(LIMITS.text).check(z.regex(/\S/, 'needs a name'));
const setting = z.union([z.number(), saidText(LIMITS.text)]);
const feed = z.enum(['mains-1', 'mains-2', 'battery', 'phantom', 'none']);
const end = z.strictObject({ device: id, port: z.string().check(z.regex(/^[a-z0-9-]{1,20}$/)) });
const plug = z.pipe(
  z.enum(PLUGS as [string, ...string[]]),
  z.transform((p) => p as (typeof PLUGS)[number])
);
const kind = z.pipe(
  z.enum(CABLE_KIND_IDS as unknown as [string, ...string[]]),
  z.transform((k) => k as (typeof CABLE_KIND_IDS)[number])
);

const table = <T extends z.ZodMiniType>(row: T, most: number) =>
  z.record(id, row).check(z.refine((rows) => Object.keys(rows).length <= most, `at most ${most}`));

const DeviceSchema = z.strictObject({
  model: id,
  settings: z.record(z.string().check(z.regex(/^[A-Za-z0-9-]{1,20}$/)), setting),
  supply: z.optional(id),
  host: z.optional(id),
  /** The own model it was made from: its name, spread and measured response. */
  own: z.optional(id)
});
/** What is soldered at one end of a lead, where it is not what the plug itself decides. */
export const WIRINGS = ['plain', 'cold-open', 'cold-grounded', 'shield-open', 'swapped'] as const;
const wiring = z.enum(WIRINGS);
const CableSchema = z.strictObject({
  kind,
  from: end,
  to: end,
  metres: z.number().check(z.minimum(0), z.maximum(MAX_METRES)),
  plugs: z.tuple([plug, plug]),
  couplers: z.optional(z.int().check(z.minimum(0), z.maximum(20))),
  wiring: z.optional(z.tuple([wiring, wiring])),
  settings: z.optional(
    z.partialRecord(z.enum(['cShield', 'cCores', 'rShield', 'rCore']), z.number().check(z.minimum(0), z.maximum(1e3)))
  )
});
const SupplySchema = z.strictObject({
  name: text,
  /** Where its sockets are. */
  place: z.optional(saidText(LIMITS.text)),
  /** Which phase it is on; where that is not known, all leaks count as if they were in phase. */
  phase: z.optional(z.union([z.literal(1), z.literal(2), z.literal(3)])),
  /** Voltage of its earth point against the building's, volts RMS. */
  emf: z.number().check(z.minimum(0), z.maximum(50)),
  /** That voltage is known within this factor either way; three where it is not said. */
  spread: z.optional(z.number().check(z.minimum(1), z.maximum(10))),
  /** What was planned before anything was measured; what is measured is reckoned from there. */
  planned: z.optional(
    z.strictObject({
      emf: z.number().check(z.minimum(0), z.maximum(50)),
      spread: z.optional(z.number().check(z.minimum(1), z.maximum(10)))
    })
  ),
  /** Resistance of the protective conductor to the building's earth, ohms. */
  ohm: z.number().check(z.minimum(0.001), z.maximum(100)),
  dimmers: z.boolean()
});
const HostSchema = z.strictObject({
  name: text,
  supply: z.optional(id),
  feed,
  /** What its phantom supply gives to all inputs together, amperes; each is bounded by itself where this is not known. */
  phantomMost: z.optional(z.number().check(z.minimum(0), z.maximum(5)))
});
const LineSchema = z.strictObject({
  name: text,
  channel: z.optional(z.int().check(z.minimum(1), z.maximum(999))),
  exposure: z.enum(['lead', 'normal', 'buried']),
  note: z.optional(saidText(LIMITS.note)),
  /** What is wanted of the source: its direct sound, its amplifier's, both, or a dry track for later. */
  want: z.optional(z.enum(['direct', 'amp', 'both', 'dry'])),
  /** The instrument, of those that a crew knows: what it is, and whose. A show that goes elsewhere takes the name alone along. */
  instrument: z.optional(id),
  /** Class of the DI that was liked best by ear, blind. */
  liked: z.optional(id),
  /** Lines of one name are the two sides of a stereo pair. */
  pair: z.optional(saidText(LIMITS.text)),
  /** Where on the stage it stands. */
  place: z.optional(saidText(LIMITS.text)),
  /** Lines of different acts are never on together and may share boxes. */
  act: z.optional(saidText(LIMITS.text)),
  /** Its way is settled: no proposal changes it. */
  locked: z.optional(z.boolean()),
  /** Distance of a microphone that takes the same source on another channel, metres. */
  micMetres: z.optional(z.number().check(z.minimum(0), z.maximum(100))),
  /** Loudness of the programme that it plays, LUFS over the whole of it (ITU-R BS.1770). */
  loudness: z.optional(z.number().check(z.minimum(-70), z.maximum(0))),
  /** Id of the line that it is to sound as loud as. */
  asLoudAs: z.optional(id)
});
/** A class of the user's own: another's network with other values, and a measured response on top of it where there is one. */
const OwnModelSchema = z.strictObject({
  name: text,
  base: id,
  values: z.record(
    z.string().check(z.regex(/^[A-Za-z0-9-]{1,20}$/)),
    z
      .strictObject({ min: z.number(), typ: z.number(), max: z.number() })
      .check(z.refine((v) => v.min <= v.typ && v.typ <= v.max, 'least, usual and most are out of order'))
  ),
  /** Hertz and decibels, rising in frequency. */
  response: z.optional(
    z
      .array(
        z.tuple([z.number().check(z.minimum(1), z.maximum(100000)), z.number().check(z.minimum(-120), z.maximum(120))])
      )
      .check(
        z.maxLength(LIMITS.response),
        z.refine((r) => r.every(([f], k) => k === 0 || f > r[k - 1][0]), 'frequencies do not rise')
      )
  )
});
const PolicySchema = z.strictObject({
  mainsHz: z.union([z.literal(50), z.literal(60)]),
  bridging: z.union([z.literal(5), z.literal(10), z.literal(20)]),
  unbalanced: z.enum(['computed', 'strict', 'relaxed']),
  /** Stray fields around the rig: none, as on a usual stage, or beside transformers and dimmer racks. */
  ambient: z.optional(z.enum(['none', 'usual', 'strong'])),
  /** In the open: rain and wet ground make a leak to earth deadly. */
  outdoors: z.optional(z.boolean()),
  /** Where it is listened to, which decides what of hum and hiss is heard. */
  room: z.optional(z.enum(['studio', 'theatre', 'club', 'outdoors'])),
  /** Which box, where there is a choice. */
  box: z.optional(z.enum(['computed', 'opposite', 'active', 'passive-media'])),
  /** When a box's ground is lifted. */
  lift: z.optional(z.enum(['predicted', 'joined', 'lifted'])),
  /** What becomes of stereo playback. */
  stereo: z.optional(z.enum(['pair', 'mono'])),
  /** How a bass gets there. */
  bass: z.optional(z.enum(['direct', 'mic', 'both'])),
  /** What may be used: the crew's kit, the show's own list, or whatever can be had. */
  kit: z.optional(z.enum(['any', 'crew', 'own']))
});
/**
 * Metal that touches metal: a chassis or a cable's far plug, and a chassis or what is earthed at a supply; or a cable that is not for sound and joins two
 * grounds. Of what is gone it says nothing.
 */
const TouchSchema = z.strictObject({
  a: z.string().check(z.regex(/^(device|cable):[a-z0-9-]{1,40}$/)),
  b: z.string().check(z.regex(/^(device|host|supply):[a-z0-9-]{1,40}$/)),
  /** What joins them, where they do not just touch. */
  by: z.optional(z.enum(LINKS))
});
/** Something measured on the stage, of which the voltages of earths follow. Of what is gone it says nothing. */
const MeasuredSchema = z.strictObject({
  kind: z.enum(['volts', 'clamp', 'level']),
  /** Two supplies, a cable, or a line. */
  of: z.array(id).check(z.minLength(1), z.maxLength(2)),
  /** Volts, amperes, or volts at the input. */
  value: z.number().check(z.positive(), z.maximum(100)),
  at: z.iso.datetime()
});
/** Raised when what a plan says is said otherwise; older ones are upgraded on their way in. */
const PLAN_VERSION = 2;
export const PlanSchema = z.strictObject({
  format: z.literal('guanxi-plan'),
  version: z.literal(PLAN_VERSION),
  policy: PolicySchema,
  supplies: table(SupplySchema, LIMITS.supplies),
  hosts: table(HostSchema, LIMITS.hosts),
  devices: table(DeviceSchema, LIMITS.devices),
  cables: table(CableSchema, LIMITS.cables),
  lines: table(LineSchema, LIMITS.devices),
  models: z.optional(table(OwnModelSchema, LIMITS.models)),
  touches: z.optional(table(TouchSchema, LIMITS.touches)),
  measured: z.optional(table(MeasuredSchema, LIMITS.measured)),
  /** What there is for this show, where it does not use the crew's kit. */
  kit: z.optional(table(KitItemSchema, KIT_LIMITS.items))
});

export type Plan = z.infer<typeof PlanSchema>;
export type Device = z.infer<typeof DeviceSchema>;
export type Cable = z.infer<typeof CableSchema>;
export type Wiring = (typeof WIRINGS)[number];
export type Touch = z.infer<typeof TouchSchema>;
export type MeasuredRow = z.infer<typeof MeasuredSchema>;
export type OwnModel = z.infer<typeof OwnModelSchema>;
export type LineInfo = z.infer<typeof LineSchema>;
export type Policy = z.infer<typeof PolicySchema>;
export type Exposure = LineInfo['exposure'];

const json: z.ZodMiniType<Json> = z.lazy(() =>
  z.union([
    z.null(),
    z.boolean(),
    z.number(),
    saidText(LIMITS.note),
    z.array(json).check(z.maxLength(LIMITS.response)),
    z.record(z.string().check(z.maxLength(40)), json)
  ])
);
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const tableName = z.enum([
  'supplies',
  'hosts',
  'devices',
  'cables',
  'lines',
  'policy',
  'models',
  'touches',
  'measured',
  'kit'
]);
const pathPart = z.string().check(z.regex(/^(?!__proto__$|constructor$|prototype$)[A-Za-z0-9-]{1,40}$/));
export const OpSchema = z.discriminatedUnion('op', [
  z.strictObject({ op: z.literal('add'), table: tableName, id, value: json }),
  z.strictObject({ op: z.literal('remove'), table: tableName, id, value: json }),
  z.strictObject({
    op: z.literal('set'),
    table: tableName,
    id,
    path: z.array(pathPart).check(z.minLength(1), z.maxLength(3)),
    from: json,
    to: json
  })
]);
export const EditSchema = z.strictObject({
  id: z.uuid(),
  label: z.strictObject({ code: z.string().check(z.regex(/^[a-z-]{1,30}$/)), subject: saidText(LIMITS.text) }),
  ops: z.array(OpSchema).check(z.minLength(1), z.maxLength(LIMITS.ops))
});
/** The form of one row of each table, to check what an edit has touched. */
export const ROWS = {
  supplies: SupplySchema,
  hosts: HostSchema,
  devices: DeviceSchema,
  cables: CableSchema,
  lines: LineSchema,
  policy: PolicySchema,
  models: OwnModelSchema,
  touches: TouchSchema,
  measured: MeasuredSchema,
  kit: KitItemSchema
} as const satisfies Record<z.infer<typeof tableName>, z.ZodMiniType>;

export type TableName = z.infer<typeof tableName>;
export type Op = z.infer<typeof OpSchema>;
export type Edit = z.infer<typeof EditSchema>;
