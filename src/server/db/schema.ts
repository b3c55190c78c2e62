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
} from 'drizzle-orm/pg-core';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
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
  /** null while nobody has said what it contains */
  allergens: jsonb().$type<Ingredient['allergens']>(),
  mayContain: jsonb('may_contain').$type<Ingredient['mayContain']>().notNull().default([]),
  vegan: boolean().notNull(),
  pricePerKg: doublePrecision('price_per_kg'),
  stockG: doublePrecision('stock_g'),
  keeps: text().notNull(),
  caution: text().notNull(),
  note: text().notNull().default(''),
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

/** Named states of a formula that can be looked at, compared and brought back. */
export const formulaVersions = pgTable(
  'formula_versions',
  {
    id: text().primaryKey(),
    formulaId: text('formula_id').notNull(),
    name: text().notNull(),
    note: text().notNull(),
    file: jsonb().$type<FormulaFile>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
  },
  (table) => [
    foreignKey({ columns: [table.formulaId], foreignColumns: [formulas.id] }).onDelete('cascade'),
    index('formula_versions_formula').on(table.formulaId, table.createdAt),
  ],
);
