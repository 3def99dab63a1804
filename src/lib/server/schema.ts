import type { Reading } from '$core/linecheck/reading';
import type { KitItem } from '$core/kit/schema';
import {
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid
} from 'drizzle-orm/pg-core';
import type { Edit, Op, OwnModel, Plan } from '$core/plan/schema';
import type { Instrument, Player } from '$core/players/schema';
import type { EntryFacts, EntryKind } from '$core/log/entry';
import type { Setup } from '$core/log/setup';
import type { Venue } from '$core/venue/schema';
import type { ListeningSet } from '$lib/protocol/listenings';
import type { PictureOf } from '$lib/protocol/pictures';
import { sql } from 'drizzle-orm';
import type { Role } from '../crew/roles';
import type { Counted } from '$lib/protocol/shows';
import type { TraceRecord } from '$lib/protocol/trace-record';
import { user } from './schema-auth';

const made = () => timestamp('made_at', { withTimezone: true }).notNull().defaultNow();
const ofCrew = () =>
  uuid('crew_id')
    .notNull()
    .references(() => crew.id);
const ofShow = () =>
  uuid('show_id')
    .notNull()
    .references(() => show.id);
/** Who did it; null where nobody is signed in. */
const byPerson = () => uuid('person_id').references(() => person.id);
/** By whom it was done, as others read it; null for what is older than this. */
const madeBy = () => text('made_by');

/** A group of people who share their shows. Everything else belongs to one. */
export const crew = pgTable('crew', {
  id: uuid('id').primaryKey().defaultRandom(),
  name: text('name').notNull(),
  madeAt: made()
});

export const person = pgTable(
  'person',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: ofCrew(),
    name: text('name').notNull(),
    /** The account; null for one that left, and for everybody as long as there are no accounts. */
    userId: text('user_id').references(() => user.id, { onDelete: 'set null' }),
    role: text('role').$type<Role>().notNull().default('owner'),
    madeAt: made()
  },
  (t) => [index('person_crew').on(t.crewId), unique('person_user').on(t.userId, t.crewId)]
);

/** A link by which somebody comes into a crew, once. Only the hash of what the link holds is kept. */
export const invite = pgTable(
  'invite',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: ofCrew(),
    role: text('role').$type<Role>().notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    personId: byPerson(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
    usedAt: timestamp('used_at', { withTimezone: true }),
    madeAt: made()
  },
  (t) => [index('invite_crew').on(t.crewId)]
);

/** A link by which anybody may look at one show, until it is taken back. */
export const share = pgTable(
  'share',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: ofCrew(),
    showId: ofShow(),
    tokenHash: text('token_hash').notNull().unique(),
    personId: byPerson(),
    madeAt: made()
  },
  (t) => [index('share_show').on(t.crewId, t.showId)]
);

/** What a show's lines come to, as it is kept: of which revision, and by which build, for another one may judge otherwise. */
export interface KeptGlance {
  readonly revision: number;
  readonly build: string;
  /** Null where it was too large. */
  readonly counted: Counted | null;
  /** When, milliseconds since 1970. */
  readonly at?: number;
}

/** A place where a crew plays, with what it knows of it. */
export const venue = pgTable(
  'venue',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    venue: jsonb('venue').$type<Venue>().notNull(),
    madeAt: made(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow()
  },
  (t) => [index('venue_crew').on(t.crewId)]
);

/** Something that is played, as a crew knows it. */
export const instrument = pgTable(
  'instrument',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    instrument: jsonb('instrument').$type<Instrument>().notNull(),
    madeAt: made(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow()
  },
  (t) => [index('instrument_crew').on(t.crewId)]
);

/** Somebody who plays, as a crew knows them. */
export const player = pgTable(
  'player',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    player: jsonb('player').$type<Player>().notNull(),
    madeAt: made(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow()
  },
  (t) => [index('player_crew').on(t.crewId)]
);

/** Models with values of their own that a crew made at any of its shows: the newest of each name. */
export const ownModel = pgTable(
  'own_model',
  {
    crewId: ofCrew(),
    /** Its name, as names are compared. */
    name: text('name').notNull(),
    model: jsonb('model').$type<OwnModel>().notNull(),
    showId: ofShow(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow()
  },
  (t) => [primaryKey({ columns: [t.crewId, t.name] })]
);

export const show = pgTable(
  'show',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: ofCrew(),
    name: text('name').notNull(),
    plan: jsonb('plan').$type<Plan>().notNull(),
    revision: integer('revision').notNull().default(0),
    madeAt: made(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
    /** Set when put aside; such a show can be brought back. */
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
    /** What its lines come to, of the revision and by the build that it names. */
    glance: jsonb('glance').$type<KeptGlance>(),
    /** Up to which revision its edits are told in its log. */
    logged: integer('logged').notNull().default(0),
    /** Where it is played. */
    venueId: uuid('venue_id').references(() => venue.id),
    /** The other place of a show that travels between two. */
    otherVenueId: uuid('other_venue_id').references(() => venue.id)
  },
  (t) => [index('show_crew').on(t.crewId)]
);

/** Append-only: an undo is an edit too, and says which edit it takes back. */
export const edit = pgTable(
  'edit',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    /** Revision of the show after this edit. */
    revision: integer('revision').notNull(),
    /** The browser it was made in: what one takes back is one's own, names or no names. */
    device: uuid('device'),
    madeBy: madeBy(),
    kind: text('kind').$type<'do' | 'undo' | 'redo'>().notNull(),
    ofEdit: uuid('of_edit'),
    label: jsonb('label').$type<Edit['label']>().notNull(),
    ops: jsonb('ops').$type<Op[]>().notNull(),
    madeAt: made()
  },
  (t) => [unique('edit_revision').on(t.showId, t.revision), index('edit_crew').on(t.crewId)]
);

/** What a crew owns. */
export const kitItem = pgTable(
  'kit_item',
  {
    crewId: ofCrew(),
    id: text('id').notNull(),
    item: jsonb('item').$type<KitItem>().notNull(),
    madeAt: made(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow()
  },
  (t) => [primaryKey({ columns: [t.crewId, t.id] })]
);

/** Append-only: what was changed about an item, when and by whom. */
export const kitChange = pgTable(
  'kit_change',
  {
    id: integer('id').primaryKey().generatedAlwaysAsIdentity(),
    crewId: ofCrew(),
    itemId: text('item_id').notNull(),
    personId: byPerson(),
    before: jsonb('before').$type<KitItem | null>(),
    after: jsonb('after').$type<KitItem | null>(),
    madeBy: madeBy(),
    /** What somebody said became of it. */
    said: text('said'),
    /** The show at which it happened. */
    showId: uuid('show_id').references(() => show.id),
    madeAt: made()
  },
  (t) => [index('kit_change_item').on(t.crewId, t.itemId), index('kit_change_show').on(t.showId)]
);

/** A show as it was when it was printed: what has changed since is marked on the next paper. */
export const print = pgTable(
  'print',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    revision: integer('revision').notNull(),
    plan: jsonb('plan').$type<Plan>().notNull(),
    kit: jsonb('kit').$type<Record<string, KitItem> | null>(),
    madeAt: made()
  },
  (t) => [index('print_show').on(t.crewId, t.showId, t.madeAt)]
);

/** What has been ticked off a list of a show. */
export const tick = pgTable(
  'tick',
  {
    crewId: ofCrew(),
    showId: ofShow(),
    /** Sheet and row. */
    key: text('key').notNull(),
    personId: byPerson(),
    madeAt: made()
  },
  (t) => [primaryKey({ columns: [t.showId, t.key] }), index('tick_crew').on(t.crewId)]
);

/** What was read off lines. Its id is made where it was read, so that a repeat does no harm. */
export const reading = pgTable(
  'reading',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    madeBy: madeBy(),
    reading: jsonb('reading').$type<Reading>().notNull(),
    madeAt: made()
  },
  (t) => [index('reading_show').on(t.crewId, t.showId, t.madeAt)]
);

/** What was found behind a noise, and by which answers. Its id is made where it was found. */
export const trace = pgTable(
  'trace',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    madeBy: madeBy(),
    record: jsonb('record').$type<TraceRecord>().notNull(),
    madeAt: made()
  },
  (t) => [index('trace_show').on(t.crewId, t.showId, t.madeAt)]
);

/** Stops of a crew: a tingle, smoke, heat. Kept after they were cleared, with who did it. */
export const stop = pgTable(
  'stop',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    madeBy: madeBy(),
    lineId: text('line_id'),
    madeAt: made(),
    clearedAt: timestamp('cleared_at', { withTimezone: true }),
    clearedBy: text('cleared_by'),
    found: text('found')
  },
  (t) => [index('stop_show').on(t.crewId, t.showId, t.madeAt)]
);

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' });

/** The log: what happened, in words as they were then. Append-only; what corrects an entry points at it. */
export const entry = pgTable(
  'entry',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    kind: text('kind').$type<EntryKind>().notNull(),
    /** What it tells of, by the id of that: told twice it is there once. */
    ref: text('ref').notNull(),
    /** When it happened. */
    at: timestamp('at', { withTimezone: true }).notNull(),
    personId: byPerson(),
    madeBy: madeBy(),
    text: text('text').notNull(),
    tags: text('tags').array().notNull(),
    /** The show, as it was called then. */
    place: text('place').notNull(),
    facts: jsonb('facts').$type<EntryFacts>().notNull(),
    ofEntry: uuid('of_entry'),
    /** Words that it is found by. */
    search: tsvector('search')
      .notNull()
      .generatedAlwaysAs(
        sql`to_tsvector('simple', text || ' ' || coalesce(made_by, '') || ' ' || place || ' ' || kind)`
      ),
    madeAt: made()
  },
  (t) => [
    unique('entry_ref').on(t.showId, t.kind, t.ref),
    index('entry_show').on(t.crewId, t.showId, t.at),
    index('entry_crew').on(t.crewId, t.at),
    index('entry_of').on(t.ofEntry),
    index('entry_search').using('gin', t.search),
    // Few entries are about a thing of the kit.
    index('entry_units')
      .using('gin', sql`(facts -> 'units')`)
      .where(sql`facts ? 'units'`)
  ]
);

/** How a line was set when it worked: kept apart from shows, so that it is found when the same comes again. Its id is that of the reading. */
export const worked = pgTable(
  'worked',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    lineId: text('line_id').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull(),
    personId: byPerson(),
    madeBy: madeBy(),
    /** The show, as it was called then. */
    place: text('place').notNull(),
    /** The line's name, as names are compared. */
    name: text('name').notNull(),
    /** Model of its source. */
    source: text('source').notNull(),
    /** The instrument, where it is one that the crew knows; it may be gone since. */
    instrumentId: uuid('instrument_id'),
    setup: jsonb('setup').$type<Setup>().notNull(),
    madeAt: made()
  },
  (t) => [
    index('worked_name').on(t.crewId, t.name, t.at),
    index('worked_source').on(t.crewId, t.source, t.at),
    index('worked_instrument').on(t.crewId, t.instrumentId, t.at),
    index('worked_show').on(t.showId, t.lineId)
  ]
);

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** A set of sounds that several people listen to, each blind on their own phone. Kept with the show on purpose. */
export const listening = pgTable(
  'listening',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    personId: byPerson(),
    set: jsonb('set').$type<ListeningSet>().notNull(),
    madeAt: made()
  },
  (t) => [index('listening_show').on(t.crewId, t.showId, t.madeAt)]
);
/** A part of one of its sounds, which are WAV files. */
export const listeningPart = pgTable(
  'listening_part',
  {
    crewId: ofCrew(),
    listeningId: uuid('listening_id')
      .notNull()
      .references(() => listening.id, { onDelete: 'cascade' }),
    sound: integer('sound').notNull(),
    part: integer('part').notNull(),
    last: boolean('last').notNull(),
    bytes: bytea('bytes').notNull()
  },
  (t) => [primaryKey({ columns: [t.listeningId, t.sound, t.part] })]
);
/** What somebody liked of it. */
export const listened = pgTable(
  'listened',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    listeningId: uuid('listening_id')
      .notNull()
      .references(() => listening.id, { onDelete: 'cascade' }),
    who: text('who').notNull(),
    liked: jsonb('liked').$type<number[]>().notNull(),
    madeAt: made()
  },
  (t) => [index('listened_of').on(t.listeningId, t.madeAt)]
);

/** A picture of what a crew knows: a place, an instrument, a thing with a number. Its id is made where it was taken. */
export const picture = pgTable(
  'picture',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    of: text('of').$type<PictureOf>().notNull(),
    ofId: text('of_id').notNull(),
    personId: byPerson(),
    type: text('type').notNull(),
    bytes: bytea('bytes').notNull(),
    madeAt: made()
  },
  (t) => [index('picture_of').on(t.crewId, t.of, t.ofId, t.madeAt)]
);

/** A picture of how a line is plugged or set. Its id is made where it was taken. */
export const photo = pgTable(
  'photo',
  {
    id: uuid('id').primaryKey(),
    crewId: ofCrew(),
    showId: ofShow(),
    lineId: text('line_id').notNull(),
    personId: byPerson(),
    type: text('type').notNull(),
    bytes: bytea('bytes').notNull(),
    madeAt: made()
  },
  (t) => [index('photo_show').on(t.crewId, t.showId, t.madeAt)]
);
