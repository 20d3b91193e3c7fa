import type { Design, ManyTrips, Part, Patch, PriceItem, Quote, QuoteKey, ShopWeek, Vehicle } from '@meridex/core';
import type { JobSummary } from '../jobs/summary.js';
import { boolean, customType, date, doublePrecision, integer, jsonb, pgTable, primaryKey, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';

const id = () => uuid('id').primaryKey().defaultRandom();
const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' }).notNull().defaultNow();

/** What a workshop says of itself beside its name, and how it works: the rules that a new job begins with; null: the usual ones. */
export interface WorkshopSettings {
  readonly address?: string;
  readonly phone?: string;
  readonly licence?: string;
  readonly logo?: string;
  readonly rules?: Design['settings'] | null;
}

export const workshops = pgTable('workshops', { id: id(), name: text('name').notNull(), settings: jsonb('settings').$type<WorkshopSettings>().notNull().default({}), createdAt: at('created_at') });

const workshopId = () =>
  uuid('workshop_id')
    .notNull()
    .references(() => workshops.id);

export const accounts = pgTable('accounts', {
  id: id(),
  workshopId: workshopId(),
  email: text('email').notNull().unique(),
  name: text('name').notNull(),
  role: text('role').notNull(),
  passwordHash: text('password_hash').notNull(),
  /** Since then nobody signs in by it. */
  endedAt: timestamp('ended_at', { withTimezone: true, mode: 'string' }),
  createdAt: at('created_at'),
});

/** A signed-in browser; only the hash of its token is kept. */
export const sessions = pgTable('sessions', {
  tokenHash: text('token_hash').primaryKey(),
  workshopId: workshopId(),
  accountId: uuid('account_id')
    .notNull()
    .references(() => accounts.id),
  expiresAt: timestamp('expires_at', { withTimezone: true, mode: 'string' }).notNull(),
  /** What the browser said that it is. */
  browser: text('browser').notNull().default(''),
  createdAt: at('created_at'),
});

/** Tries to sign in that failed, by the hash of the typed address, known or not; gone with the next that fits. */
export const failedSignIns = pgTable('failed_sign_ins', { addressHash: text('address_hash').primaryKey(), count: integer('count').notNull(), lastAt: at('last_at') });

/** A link by which somebody joins; only the hash of its token is kept, and it is used once. */
export const invites = pgTable('invites', {
  tokenHash: text('token_hash').primaryKey(),
  workshopId: workshopId(),
  role: text('role').notNull(),
  author: text('author').notNull(),
  expiresAt: timestamp('expires_at', { withTimezone: true, mode: 'string' }).notNull(),
  usedAt: timestamp('used_at', { withTimezone: true, mode: 'string' }),
  createdAt: at('created_at'),
});

/** Its one row is there once a workshop was made. */
export const installation = pgTable('installation', { id: integer('id').primaryKey().default(1), madeAt: at('made_at') });

const words = (column: string) => text(column).notNull().default('');

export const customers = pgTable(
  'customers',
  { id: id(), workshopId: workshopId(), name: text('name').notNull(), phone: words('phone'), email: words('email'), address: words('address'), note: words('note'), createdAt: at('created_at') },
  (t) => [unique('customers_by_name').on(t.workshopId, t.name)],
);

export const vehicles = pgTable('vehicles', {
  id: id(),
  workshopId: workshopId(),
  customerId: uuid('customer_id')
    .notNull()
    .references(() => customers.id),
  kind: text('kind').notNull(),
  plate: text('plate').notNull(),
  createdAt: at('created_at'),
});

export const jobs = pgTable('jobs', {
  id: id(),
  workshopId: workshopId(),
  customerId: uuid('customer_id')
    .notNull()
    .references(() => customers.id),
  vehicleId: uuid('vehicle_id')
    .notNull()
    .references(() => vehicles.id),
  promisedOn: date('promised_on', { mode: 'string' }),
  state: text('state').notNull().default('planning'),
  note: text('note').notNull().default(''),
  /** Since then it stands on no list; it is kept, and can be taken back. */
  deletedAt: timestamp('deleted_at', { withTimezone: true, mode: 'string' }),
  createdAt: at('created_at'),
});

const jobId = () =>
  uuid('job_id')
    .notNull()
    .references(() => jobs.id);

/** Append-only: the patch, on what it was based, and the document that came of it. */
export const designRevisions = pgTable(
  'design_revisions',
  {
    jobId: jobId(),
    number: integer('number').notNull(),
    workshopId: workshopId(),
    base: integer('base').notNull(),
    patch: jsonb('patch').$type<Patch>().notNull(),
    document: jsonb('document').$type<Design>().notNull(),
    /** Made by the client, so that sending twice stores once. */
    clientId: uuid('client_id').notNull().unique(),
    author: text('author').notNull(),
    /** What was done, in the words of the edit. */
    label: text('label').notNull().default(''),
    createdAt: at('created_at'),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.number] })],
);

/** What lists say of a job, worked out when it was last asked for; `of` names what it was worked out from. */
export const jobSummaries = pgTable('job_summaries', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => jobs.id),
  workshopId: workshopId(),
  of: text('of').notNull(),
  summary: jsonb('summary').$type<JobSummary>().notNull(),
});

/** Append-only: a step was ticked or its tick taken back. */
export const ticks = pgTable('ticks', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  stepId: text('step_id').notNull(),
  done: boolean('done').notNull(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** Append-only: what a meter showed. */
export const readings = pgTable('readings', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  rowId: text('row_id').notNull(),
  value: doublePrecision('value').notNull(),
  unit: text('unit').notNull(),
  /** Revision of the design that the reading was judged by. */
  revision: integer('revision').notNull(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Photos of a job, as the page made them: never changed, taken off the lists and back. */
export const photos = pgTable('photos', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  /** What it shows: a step of the fitting, a reading; empty: the job as a whole. */
  about: text('about').notNull(),
  caption: text('caption').notNull(),
  image: bytea('image').notNull(),
  small: bytea('small').notNull(),
  author: text('author').notNull(),
  takenAwayAt: timestamp('taken_away_at', { withTimezone: true, mode: 'string' }),
  createdAt: at('created_at'),
});

/** What people say of a job and of things in it: it stays as it was said, and is settled by somebody. */
export const comments = pgTable('comments', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  /** A run, a finding; empty: the job as a whole. */
  about: text('about').notNull(),
  text: text('text').notNull(),
  author: text('author').notNull(),
  settledBy: text('settled_by'),
  createdAt: at('created_at'),
});

/** That somebody looked a plan through, as it was at a revision: never changed. */
export const reviews = pgTable('reviews', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  revision: integer('revision').notNull(),
  note: text('note').notNull(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** Quotes as they were sent: never changed, only withdrawn, accepted, or found by another link. */
export const quotes = pgTable('quotes', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  jobId: jobId(),
  tokenHash: text('token_hash').notNull().unique(),
  /** Revision of the design that it was made from. */
  revision: integer('revision').notNull(),
  document: jsonb('document').$type<Quote>().notNull(),
  /** The last day on which it may be accepted. */
  validUntil: date('valid_until', { mode: 'string' }).notNull(),
  author: text('author').notNull(),
  withdrawnAt: timestamp('withdrawn_at', { withTimezone: true, mode: 'string' }),
  acceptedOption: text('accepted_option').$type<QuoteKey>(),
  acceptedBy: text('accepted_by'),
  acceptedAt: timestamp('accepted_at', { withTimezone: true, mode: 'string' }),
  createdAt: at('created_at'),
});

/** The bay's week of a workshop: what was said of it, changed in place. */
export const bayWeeks = pgTable('bay_weeks', {
  workshopId: uuid('workshop_id')
    .primaryKey()
    .references(() => workshops.id),
  document: jsonb('document').$type<ShopWeek>().notNull(),
  /** How many times it was changed. */
  revision: integer('revision').notNull(),
  author: text('author').notNull(),
  changedAt: timestamp('changed_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
});

/** Many trips on the server: asked for, under way, done or stopped. Only its own progress is ever written over. */
export const tripRuns = pgTable('trip_runs', {
  id: uuid('id').primaryKey().defaultRandom(),
  workshopId: workshopId(),
  jobId: jobId(),
  /** The vehicle of the job whose trip it is. */
  vehicle: text('vehicle').notNull().default('own'),
  /** Revision whose design was run. */
  revision: integer('revision').notNull(),
  trips: integer('trips').notNull(),
  oneByOne: boolean('one_by_one').notNull(),
  state: text('state').$type<'waiting' | 'running' | 'done' | 'stopped' | 'failed'>().notNull().default('waiting'),
  done: integer('done').notNull().default(0),
  result: jsonb('result').$type<ManyTrips>(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** Vehicles with the workshop's own dimensions, for the next job of the kind. Append-only: the newest of a name counts. */
export const ownVehicles = pgTable('own_vehicles', {
  id: id(),
  workshopId: workshopId(),
  name: text('name').notNull(),
  document: jsonb('document').$type<Vehicle>().notNull(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** The workshop's own parts, never changed: the newest row of a part is what it is now; a retired one is offered no more. */
export const ownParts = pgTable('own_parts', {
  id: id(),
  workshopId: workshopId(),
  partId: text('part_id').notNull(),
  document: jsonb('document').$type<Part>().notNull(),
  retired: boolean('retired').notNull().default(false),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** What was counted on the shelf; append-only, the newest of a line counts. `base` has what jobs had taken by then on top. */
export const shelfCounts = pgTable('shelf_counts', {
  id: id(),
  workshopId: workshopId(),
  key: text('key').notNull(),
  what: text('what').notNull(),
  unit: text('unit').$type<'pc' | 'm'>().notNull(),
  base: doublePrecision('base').notNull(),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** Suppliers' price lists; append-only, the newest of a supplier counts. */
export const priceLists = pgTable('price_lists', {
  id: uuid('id').primaryKey(),
  workshopId: workshopId(),
  supplier: text('supplier').notNull(),
  listedOn: date('listed_on').notNull(),
  items: jsonb('items').$type<PriceItem[]>().notNull(),
  retired: boolean('retired').notNull().default(false),
  author: text('author').notNull(),
  createdAt: at('created_at'),
});

/** What of a supplier's list a line of an order is, where a person said so. */
export const priceChoices = pgTable(
  'price_choices',
  {
    workshopId: workshopId(),
    supplier: text('supplier').notNull(),
    key: text('key').notNull(),
    code: text('code').notNull(),
    author: text('author').notNull(),
    createdAt: at('created_at'),
  },
  (t) => [primaryKey({ columns: [t.workshopId, t.supplier, t.key] })],
);
