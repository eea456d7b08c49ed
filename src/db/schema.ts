import { sql } from 'drizzle-orm';
import { boolean, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { BladeModel } from '../core/blade/schema';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { SharpeningDay } from '../core/formats/sharpeningDays';
import type { ShownPlan } from '../core/formats/shownPlan';

const created = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow();
/** Length of the row's document as text, bytes: what it counts against the room of its workspace. */
const bytes = (of: string) =>
  integer('bytes')
    .notNull()
    .generatedAlwaysAs(sql.raw(`octet_length(${of}::text)`));

/** An anonymous owner: everything that belongs to someone hangs from one. */
export const workspace = pgTable('workspace', {
  id: uuid('id').primaryKey().defaultRandom(),
  /** Hash of the code that opens it in another browser, once one was asked for. */
  recoveryHash: text('recovery_hash').unique(),
  createdAt: created(),
  /** Last day it was used. */
  seenAt: timestamp('seen_at', { withTimezone: true }).notNull().defaultNow(),
});

/** A browser's key to a workspace. Only the hash of its token is kept. */
export const workspaceKey = pgTable(
  'workspace_key',
  {
    tokenHash: text('token_hash').primaryKey(),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    createdAt: created(),
  },
  (table) => [index('workspace_key_workspace').on(table.workspaceId)],
);

/** A kitchen as its owner wrote it. `version` rises with every save; a save that names an older one is refused. */
export const kitchen = pgTable(
  'kitchen',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    document: jsonb('document').$type<KitchenFile>().notNull(),
    bytes: bytes('document'),
    version: integer('version').notNull().default(1),
    createdAt: created(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
    /** Set when it was deleted: it can be had back for a while. */
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
  },
  (table) => [index('kitchen_workspace').on(table.workspaceId)],
);

/** A kitchen as it was or might be, kept beside it: a dated snapshot or a named scenario. */
export const snapshot = pgTable(
  'kept',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    kitchenId: uuid('kitchen_id')
      .notNull()
      .references(() => kitchen.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['snapshot', 'scenario'] }).notNull(),
    name: text('name').notNull(),
    document: jsonb('document').$type<KitchenFile>().notNull(),
    bytes: bytes('document'),
    createdAt: created(),
  },
  (table) => [index('kept_kitchen').on(table.workspaceId, table.kitchenId)],
);

/** The shipped catalogue: one invented model a row. */
export const catalogueModel = pgTable('catalogue_model', {
  id: text('id').primaryKey(),
  type: text('type').notNull(),
  maker: text('maker').notNull(),
  lengthMm: integer('length_mm').notNull(),
  priceMinor: integer('price_minor').notNull(),
  model: jsonb('model').$type<BladeModel>().notNull(),
});

/** Models a workspace brought in or described itself; they stand beside the shipped ones for that workspace alone. */
export const workspaceModel = pgTable(
  'workspace_model',
  {
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    model: jsonb('model').$type<BladeModel>().notNull(),
    bytes: bytes('model'),
    createdAt: created(),
  },
  (table) => [primaryKey({ columns: [table.workspaceId, table.id] })],
);

/** What a workspace said of lines of recipes: the task a line of these words comes to, null where nothing is cut. */
export const recipeCorrection = pgTable(
  'recipe_correction',
  {
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    words: text('words').notNull(),
    task: text('task'),
    createdAt: created(),
  },
  (table) => [primaryKey({ columns: [table.workspaceId, table.words] })],
);

/** A plan shown to whoever has its link, as it was when the link was made. Only the hash of the link's token is kept. */
export const shownPlan = pgTable(
  'shown_plan',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    kitchenId: uuid('kitchen_id')
      .notNull()
      .references(() => kitchen.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull().unique(),
    withPrices: boolean('with_prices').notNull(),
    document: jsonb('document').$type<ShownPlan>().notNull(),
    bytes: bytes('document'),
    createdAt: created(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  (table) => [index('shown_plan_kitchen').on(table.workspaceId, table.kitchenId)],
);

/** Days on which edges are due, for a calendar that asks for them again and again by a private address. Only the hash of its token is kept. */
export const edgeCalendar = pgTable(
  'edge_calendar',
  {
    kitchenId: uuid('kitchen_id')
      .primaryKey()
      .references(() => kitchen.id, { onDelete: 'cascade' }),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull().unique(),
    document: jsonb('document').$type<SharpeningDay[]>().notNull(),
    bytes: bytes('document'),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('edge_calendar_workspace').on(table.workspaceId)],
);

/**
 * Parts of a workspace file that is being imported, kept until the whole file is read: `position` is that of the kitchen in the file, `beside` that of
 * a snapshot or scenario beside it (0 for the kitchen itself).
 */
export const importPart = pgTable(
  'import_part',
  {
    importId: uuid('import_id').notNull(),
    workspaceId: uuid('workspace_id')
      .notNull()
      .references(() => workspace.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    beside: integer('beside').notNull(),
    kind: text('kind', { enum: ['kitchen', 'snapshot', 'scenario'] }).notNull(),
    name: text('name').notNull(),
    at: timestamp('at', { withTimezone: true }),
    document: jsonb('document').$type<KitchenFile>().notNull(),
    createdAt: created(),
  },
  (table) => [
    primaryKey({ columns: [table.importId, table.position, table.beside] }),
    index('import_part_workspace').on(table.workspaceId),
  ],
);

/** Sample kitchens anyone may open a copy of. */
export const sampleKitchen = pgTable('sample_kitchen', {
  id: text('id').primaryKey(),
  position: integer('position').notNull(),
  about: text('about').notNull(),
  document: jsonb('document').$type<KitchenFile>().notNull(),
});
