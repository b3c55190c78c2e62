import type { DoubtKind, Formula } from '../formula/formula';
import { type ComponentVector, type Composition, compositionVector } from '../matter/components';
import { DEFAULT_PROCESS } from '../matter/process';
import type { Brief } from './brief';
import { FAMILIES, type Family, type FamilyStage } from './families';
import { bestFor, type Role, type StockItem } from './stock';
import type { BriefTargets } from './targets';

/** A stock item with what a prediction needs beside its composition. */
export interface PricedItem extends StockItem {
  readonly pricePerKg: number | null;
  readonly gelatinBloomG: number | null;
}

/** A family built from what is on the shelf, with the gates of a brief. */
export interface StartingPoint {
  readonly family: Family;
  readonly rows: readonly { readonly ingredient: string; readonly stage: FamilyStage }[];
  readonly formula: Formula;
}

/** A family that cannot be built, and the part nothing on the shelf can play. */
export interface MissingPart {
  readonly family: Family;
  readonly role: Role;
}

const vectors = new WeakMap<Composition, ComponentVector>();

/** 1 g of an item, worked out once for each composition object. */
function vectorOf(components: Composition): ComponentVector {
  let vector = vectors.get(components);
  if (!vector) {
    vector = compositionVector(components);
    vectors.set(components, vector);
  }
  return vector;
}

const KIND: Readonly<Record<string, DoubtKind>> = { chocolate: 'chocolate', dairy: 'dairy' };

/** Builds one family, or tells the part that is missing. */
function build(
  family: Family,
  brief: Brief,
  targets: BriefTargets,
  stock: readonly PricedItem[],
  batch: { readonly weighedG: number; readonly evaporationG: number },
): StartingPoint | MissingPart {
  const rows: { item: PricedItem; grams: number; stage: FamilyStage }[] = [];
  for (const { role, grams, stage, optional } of family.rows) {
    const item = bestFor(role, stock, brief.wishes.without);
    if (item) rows.push({ item, grams, stage });
    else if (!optional) return { family, role };
  }
  const total = rows.reduce((sum, row) => sum + row.grams, 0);
  const bloomG = rows.flatMap(({ item }) => item.gelatinBloomG ?? [])[0] ?? DEFAULT_PROCESS.bloomG;
  return {
    family,
    rows: rows.map(({ item, stage }) => ({ ingredient: item.id, stage })),
    formula: {
      lines: rows.map(({ item, grams }) => ({
        ingredient: item.id,
        perGram: vectorOf(item.components),
        grams: Math.round((grams * batch.weighedG * 10) / total) / 10,
        locked: false,
        pricePerKg: item.pricePerKg ?? undefined,
        kind: KIND[item.group] ?? 'other',
      })),
      process: { ...DEFAULT_PROCESS, cook: family.cook ?? DEFAULT_PROCESS.cook, bloomG },
      moments: targets.moments,
      gates: targets.gates.map(({ gate }) => gate),
      evaporationG: batch.evaporationG,
    },
  };
}

/**
 * Every family that suits all the jobs and that the thickener allows, built from the shelf at the size of the batch.
 *
 * @param batch g to weigh in, above 0, and g of water that boil off
 * @returns what can be built, and what is missing for the rest
 */
export function startingPoints(
  brief: Brief,
  targets: BriefTargets,
  stock: readonly PricedItem[],
  batch: { readonly weighedG: number; readonly evaporationG: number },
): { readonly points: StartingPoint[]; readonly missing: MissingPart[] } {
  const { thickener } = brief.wishes;
  const built = FAMILIES.filter(
    (family) =>
      (thickener === 'any' || family.thickener === thickener) &&
      brief.jobs.every(({ use }) => family.suits.includes(use)),
  ).map((family) => build(family, brief, targets, stock, batch));
  return {
    points: built.filter((each): each is StartingPoint => 'formula' in each),
    missing: built.filter((each): each is MissingPart => 'role' in each),
  };
}
