import type { Brief } from '@/core/brief/brief';
import { type BriefPlan, briefSize } from '@/core/brief/plan';
import type { Candidate } from '@/core/brief/proposals';
import { startingPoints } from '@/core/brief/starting-points';
import { type Formula, finishedComponents } from '@/core/formula/formula';
import { calibrationOf, type KitchenKnowledge } from '@/core/learn/kitchen';
import { partOf } from '@/core/matter/component-vector';
import { roundToScale } from '@/core/matter/scale-rounding';
import { predictFormula } from '@/core/predict/predict-formula';
import { isFreeOf } from '@/core/swap/restrictions';
import type { BatchSize } from '@/core/yields/batch-size';
import { type ScaledBatch, scaleBatch } from '@/core/yields/scaling';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { processHere } from '@/formats/process-here';
import { resolveFormula } from '@/formats/resolve-formula';
import { itemsIn } from '../known-item';
import { FAMILY_NAMES } from '../words/family-words';

/** A formula of the kitchen that a brief may start from. */
export interface OwnFormula {
  readonly id: string;
  readonly file: FormulaFile;
}

/** All that is at hand. */
export interface Shelf {
  readonly formulas: readonly OwnFormula[];
  readonly ingredients: readonly Ingredient[];
  /** what the kitchen's own tests taught; nothing for the standard figures */
  readonly knowledge: KitchenKnowledge | undefined;
}

/** What is asked of the worker. */
export interface Asked {
  readonly brief: Brief;
  /** the formula the brief is for: it comes first */
  readonly pinned?: string | undefined;
}

/** What a proposal was made from. */
export interface Source {
  /** how much to make of it, by its own density */
  readonly size: BatchSize;
  readonly id: string;
  readonly name: string;
  readonly own: FormulaFile | undefined;
  readonly lines: FormulaFile['lines'];
  readonly process: FormulaFile['process'];
  readonly scaled?: ScaledBatch | undefined;
  readonly evaporationG: number;
}

/** How much a brief asks for of a formula: jars and coats are filled by volume, so that its own density counts. */
function sizeOf(brief: Brief, formula: Formula): BatchSize {
  return briefSize(brief, predictFormula(formula)?.densityKgM3);
}

/** What a formula is thickened with, beside its chocolate. */
function thickenerOf(formula: Formula): 'chocolate' | 'starch' | 'gelatin' {
  const parts = finishedComponents(formula);
  const mass = parts.reduce((sum, grams) => sum + grams, 0);
  const share = (name: 'starch' | 'gelatin') => partOf(parts, name) / mass;
  return share('gelatin') > 0.002 ? 'gelatin' : share('starch') > 0.004 ? 'starch' : 'chocolate';
}

/** Own formulas that break no wish, scaled to the batch, with the gates of the brief. */
export function ownCandidates(
  { brief, pinned }: Asked,
  { targets }: BriefPlan,
  shelf: Shelf,
  larder: ReadonlyMap<string, Ingredient>,
) {
  const gates = targets.gates.map(({ gate }) => gate);
  let leftOut = 0;
  const candidates = shelf.formulas.flatMap(({ id, file }): Candidate<Source>[] => {
    const rows = file.lines.filter((line) => line.grams > 0);
    if (rows.length === 0) return [];
    const { items, unknown } = itemsIn({ ...file, lines: rows }, larder);
    if (unknown.length > 0) return [];
    const isWelcome = brief.wishes.without.every((wish) => items.every((item) => isFreeOf(wish, item)));
    const resolved = resolveFormula({ ...file, lines: rows }, larder, calibrationOf(shelf.knowledge, id));
    const suits = brief.wishes.thickener === 'any' || brief.wishes.thickener === thickenerOf(resolved);
    if ((!isWelcome || !suits) && id !== pinned) {
      leftOut += 1;
      return [];
    }
    const size = sizeOf(brief, resolved);
    const weighedG = rows.reduce((sum, line) => sum + line.grams, 0);
    const boiled = file.yield?.evaporationGrams ?? 0;
    const scaled = scaleBatch(
      resolved.lines,
      { finishedG: weighedG - boiled, evaporationG: boiled, wantedG: size.finishedG },
      brief.making,
    );
    const lines = rows.map((line, i) => {
      const factor = (scaled.grams[i] ?? line.grams) / line.grams;
      const limit = (grams: number | undefined) => (grams === undefined ? undefined : roundToScale(grams * factor));
      return {
        ...line,
        grams: roundToScale(scaled.grams[i] ?? line.grams),
        minGrams: limit(line.minGrams),
        maxGrams: limit(line.maxGrams),
      };
    });
    const water = larder.get('water');
    const withWater =
      scaled.extraWaterG >= 0.5 && water
        ? [...lines, { ingredient: 'water', grams: roundToScale(scaled.extraWaterG), locked: false }]
        : lines;
    const formula = {
      ...resolveFormula({ ...file, lines: withWater }, larder, calibrationOf(shelf.knowledge, id)),
      moments: targets.moments,
      gates,
      evaporationG: scaled.evaporationG,
    };
    const of = {
      id,
      name: file.name,
      own: file,
      lines: withWater,
      process: file.process,
      scaled,
      size,
      evaporationG: scaled.evaporationG,
    };
    return [{ of, formula }];
  });
  return { candidates: candidates.sort((a, b) => Number(b.of.id === pinned) - Number(a.of.id === pinned)), leftOut };
}

/** Families built from the larder for these gates. */
export function familyCandidates({ brief }: Asked, { targets, size }: BriefPlan, shelf: Shelf) {
  const { points, missing } = startingPoints(brief, targets, shelf.ingredients, size);
  const candidates = points.map(({ family, rows, formula: asBuilt }): Candidate<Source> => {
    const own = sizeOf(brief, asBuilt);
    const factor = own.weighedG / size.weighedG;
    const formula: Formula = {
      ...asBuilt,
      lines: asBuilt.lines.map((line) => ({ ...line, grams: roundToScale(line.grams * factor) })),
      evaporationG: own.evaporationG,
      process: processHere(
        asBuilt.process,
        asBuilt.lines.map((line, i) => ({ ...line, ingredient: rows[i]?.ingredient ?? '' })),
        calibrationOf(shelf.knowledge, undefined),
      ),
    };
    const lines = rows.map(({ ingredient, stage }, i) => ({
      ingredient,
      grams: formula.lines[i]?.grams ?? 0,
      locked: false,
      stage,
    }));
    const of = {
      id: `family:${family.id}`,
      name: FAMILY_NAMES[family.id],
      own: undefined,
      lines,
      process: asBuilt.process,
      size: own,
      evaporationG: own.evaporationG,
    };
    return { of, formula };
  });
  return { candidates, missing };
}
