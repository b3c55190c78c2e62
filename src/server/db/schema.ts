import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  doublePrecision,
  foreignKey,
  index,
  integer,
  json,
  jsonb,
  pgSequence,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Evidence } from '@/core/learn/evidence';
import type { Learnt } from '@/core/learn/learnt';
import type { BatchHead, FrozenBatch, Happening } from '@/formats/batch';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { PracticeTry } from '@/formats/practice';
import type { Container, Keeping, ShelfPlace } from '@/formats/shelf';
import type { Stage } from '@/formats/stages';
import type { Variation } from '@/formats/variation';

/** The larder: what ingredients are made of. */
export const ingredients = pgTable('ingredients', {
  id: text().primaryKey(),
  position: integer().notNull(),
  name: text().notNull(),
  group: text().$type<Ingredient['group']>().notNull(),
  components: jsonb().$type<Ingredient['components']>().notNull(),
  /** `json` keeps the order of the forms: the usual one comes first */
  measures: json().$type<Ingredient['measures']>().notNull(),
  pieces: json().$type<Ingredient['pieces']>().notNull(),
  densityGPerMl: doublePrecision('density_g_per_ml'),
  cocoaPercent: doublePrecision('cocoa_percent'),
  gelatinBloomG: doublePrecision('gelatin_bloom_g'),
  ph: doublePrecision(),
  /** g and mg in 100 g; null while nobody has said */
  transFatG: doublePrecision('trans_fat_g'),
  cholesterolMg: doublePrecision('cholesterol_mg'),
  /** null while nobody has said what it contains */
  allergens: jsonb().$type<Ingredient['allergens']>(),
  mayContain: jsonb('may_contain').$type<Ingredient['mayContain']>().notNull().default([]),
  vegan: boolean().notNull(),
  pricePerKg: doublePrecision('price_per_kg'),
  stockG: doublePrecision('stock_g'),
  keeps: text().notNull(),
  caution: text().notNull(),
  note: text().notNull().default(''),
  madeOf: text('made_of').notNull().default(''),
  source: text().notNull(),
  origin: text().$type<Ingredient['origin']>().notNull().default('typical'),
  /** counts changes, so that a stale one is told */
  revision: integer().notNull().default(1),
});

/** How the kitchen writes what it measures, a row each; what is not there is as usual. */
export const settings = pgTable('settings', {
  name: text().primaryKey(),
  value: jsonb().$type<unknown>().notNull(),
});

/** Counts what is done to formulas, whatever the clock says. */
export const formulasTouched = pgSequence('formulas_touched');

/** Formulas. `revision` counts saves, so that a stale save is told. `deletedAt` keeps a deleted formula for undo. */
export const formulas = pgTable(
  'formulas',
  {
    id: text().primaryKey(),
    name: text().notNull(),
    use: text(),
    note: text(),
    tags: jsonb().$type<string[]>(),
    process: jsonb().$type<FormulaFile['process']>().notNull(),
    moments: jsonb().$type<FormulaFile['moments']>().notNull(),
    gates: jsonb().$type<FormulaFile['gates']>().notNull(),
    ownIngredients: jsonb('own_ingredients').$type<FormulaFile['ingredients']>().notNull(),
    yieldTarget: jsonb('yield_target').$type<NonNullable<FormulaFile['yield']>>(),
    brief: jsonb().$type<NonNullable<FormulaFile['brief']>>(),
    method: jsonb().$type<NonNullable<FormulaFile['method']>>(),
    revision: integer().notNull(),
    /** revision of the model whose figures a cook has seen of it */
    modelRevision: integer('model_revision').notNull().default(1),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull(),
    /** the order in which they were last changed: a clock may jump */
    touched: bigint({ mode: 'number' }).notNull().default(sql`nextval('formulas_touched')`),
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
    archivedAt: timestamp('archived_at', { withTimezone: true }),
    /** the formula this one is a variant of, and what it does differently */
    baseId: text('base_id'),
    variation: jsonb().$type<Variation>(),
  },
  (table) => [index('formulas_live').on(table.deletedAt, table.touched), index('formulas_base').on(table.baseId)],
);

/** The rows of a formula's pan, in order. */
export const formulaLines = pgTable(
  'formula_lines',
  {
    formulaId: text('formula_id').notNull(),
    position: integer().notNull(),
    ingredient: text().notNull(),
    form: text(),
    grams: doublePrecision().notNull(),
    locked: boolean().notNull(),
    minGrams: doublePrecision('min_grams'),
    maxGrams: doublePrecision('max_grams'),
    tie: text(),
    stage: text().$type<Stage>(),
    byVolume: boolean('by_volume'),
  },
  (table) => [
    primaryKey({ columns: [table.formulaId, table.position] }),
    foreignKey({ columns: [table.formulaId], foreignColumns: [formulas.id] }).onDelete('cascade'),
    index('formula_lines_ingredient').on(table.ingredient),
  ],
);

/** What is to be made on a day, and when it is to be ready: minutes of that day. */
export const dayTasks = pgTable(
  'day_tasks',
  {
    id: text().primaryKey(),
    /** 2026-11-28 */
    day: text().notNull(),
    formulaId: text('formula_id').notNull(),
    readyMinutes: integer('ready_minutes').notNull(),
    /** when it was promised, where it is ready earlier */
    servedMinutes: integer('served_minutes'),
  },
  (table) => [
    foreignKey({ columns: [table.formulaId], foreignColumns: [formulas.id] }).onDelete('cascade'),
    index('day_tasks_day').on(table.day),
  ],
);

/** Batches that were begun: what they were begun with never changes, what happened stands in their log. */
export const batches = pgTable(
  'batches',
  {
    id: text().primaryKey(),
    /** of the kitchen, from 1 on */
    number: integer().notNull().unique(),
    /** the formula may go; its batches stay */
    formulaId: text('formula_id').notNull(),
    name: text().notNull(),
    frozen: jsonb().$type<FrozenBatch>().notNull(),
    state: text().$type<BatchHead['state']>().notNull(),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
    /** revision of the model its tests were held against; nothing before there were any */
    testedBy: integer('tested_by'),
    // What its log comes to, once it is over: worked out anew whenever the log grows.
    /** number of the last event that was read for it; nothing before it is over */
    summarisedSeq: integer('summarised_seq'),
    overAt: timestamp('over_at', { withTimezone: true }),
    madeBy: text('made_by'),
    hasLanded: boolean('has_landed'),
    isRescued: boolean('is_rescued'),
    weighedG: doublePrecision('weighed_g'),
    yieldG: doublePrecision('yield_g'),
    cost: doublePrecision(),
    /** small letters of all words in it */
    words: text(),
  },
  (table) => [
    index('batches_started').on(table.startedAt),
    index('batches_state').on(table.state, table.startedAt),
    index('batches_formula').on(table.formulaId),
  ],
);

/** The log of a batch: only ever added to. */
export const batchEvents = pgTable(
  'batch_events',
  {
    batchId: text('batch_id').notNull(),
    seq: integer().notNull(),
    /** made by the tablet: the same event told twice is kept once */
    key: text().notNull(),
    tablet: text().notNull(),
    /** who worked at that tablet */
    madeBy: text('made_by'),
    /** ms since 1970 when it happened: on the tablet's clock, and on the server's */
    tabletMs: bigint('tablet_ms', { mode: 'number' }).notNull(),
    serverMs: bigint('server_ms', { mode: 'number' }).notNull(),
    /** when the server heard of it, where that was later */
    heardMs: bigint('heard_ms', { mode: 'number' }),
    what: jsonb().$type<Happening>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.batchId, table.seq] }),
    foreignKey({ columns: [table.batchId], foreignColumns: [batches.id] }).onDelete('cascade'),
    uniqueIndex('batch_events_key').on(table.batchId, table.key),
  ],
);

/** What kitchen tests say of this kitchen, worked out from the logs. */
export const kitchenTests = pgTable(
  'kitchen_tests',
  {
    batchId: text('batch_id').notNull(),
    key: text().notNull(),
    about: text().$type<Learnt>().notNull(),
    residual: doublePrecision().notNull(),
    se: doublePrecision().notNull(),
    /** what holds it against the model with any offsets; nothing in rows of before it was kept */
    evidence: jsonb().$type<Evidence>(),
    /** ms since 1970 when it was made */
    madeMs: bigint('made_ms', { mode: 'number' }),
    chocolate: text(),
    isDoubted: boolean('is_doubted').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.batchId, table.key] }),
    foreignKey({ columns: [table.batchId], foreignColumns: [batches.id] }).onDelete('cascade'),
  ],
);

/** What has been put away, and what of it is left. */
export const shelfItems = pgTable(
  'shelf_items',
  {
    id: text().primaryKey(),
    /** the batch may go; what was made of it stays on the shelf */
    batchId: text('batch_id'),
    batchNumber: integer('batch_number'),
    name: text().notNull(),
    container: text().$type<Container>().notNull(),
    count: integer().notNull(),
    grams: doublePrecision().notNull(),
    leftG: doublePrecision('left_g').notNull(),
    thrownG: doublePrecision('thrown_g').notNull().default(0),
    place: text().$type<ShelfPlace>().notNull(),
    /** 2026-11-26 */
    madeOn: text('made_on').notNull(),
    useBy: text('use_by'),
    keeping: jsonb().$type<Keeping>(),
    putAt: timestamp('put_at', { withTimezone: true }).notNull(),
  },
  (table) => [index('shelf_items_left').on(table.leftG, table.madeOn)],
);

/** Exercises somebody did: kept apart from batches, and nothing is learnt of the kitchen from them. */
export const practiceTries = pgTable(
  'practice_tries',
  {
    /** as its tablet named it: told twice, it is kept once */
    key: text().primaryKey(),
    learner: text().notNull(),
    kind: text().$type<PracticeTry['kind']>().notNull(),
    formula: text().notNull(),
    isRight: boolean('is_right').notNull(),
    called: text().$type<PracticeTry['called']>(),
    miss: doublePrecision(),
    panC: doublePrecision('pan_c'),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [index('practice_tries_learner').on(table.learner, table.at)],
);

/** Named states of a formula that can be looked at, compared and brought back. */
export const formulaVersions = pgTable(
  'formula_versions',
  {
    id: text().primaryKey(),
    formulaId: text('formula_id').notNull(),
    name: text().notNull(),
    note: text().notNull(),
    file: jsonb().$type<FormulaFile>().notNull(),
    /** kept by itself before many rows were changed: only the newest of these stay */
    automatic: boolean().notNull().default(false),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
  },
  (table) => [
    foreignKey({ columns: [table.formulaId], foreignColumns: [formulas.id] }).onDelete('cascade'),
    index('formula_versions_formula').on(table.formulaId, table.createdAt),
  ],
);

/** Writes that were answered, by the key their tablet made for them: told again, they are answered the same and done once. */
export const answeredWrites = pgTable(
  'answered_writes',
  {
    key: text().primaryKey(),
    /** hash of what was asked: a key is good for one thing */
    asked: text().notNull(),
    answer: json().$type<unknown>().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [index('answered_writes_at').on(table.at)],
);
