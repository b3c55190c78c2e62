import { type Standing, standingOf } from '@/core/balance/standing';
import type { BriefPlan } from '@/core/brief/plan';
import type { Calibration } from '@/core/learn/kitchen';
import { curveClimates, resistanceCurve } from '@/core/predict/curve';
import { linearChance } from '@/core/predict/linear-chance';
import { predictFormula } from '@/core/predict/predict-formula';
import { chocolateColour } from '@/core/shine/colour';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';

/** How a formula's own pan stands to the gates of a brief, with no row touched. */
export interface PanAsItIs {
  readonly standing: Standing;
  /** that every gate lands, 0-1 */
  readonly chance: number;
  /** names of the moments whose gates it misses */
  readonly misses: readonly string[];
  readonly densityKgM3: number;
  /** g that leave the stove */
  readonly finishedG: number;
  readonly colour: string;
  readonly curve: { readonly temperatureC: readonly number[]; readonly resistancePa: readonly number[] };
}

const RESTED_H = 24;
const CLIMATES = curveClimates(RESTED_H);

/** Predicts the pan as it is; nothing while it is empty or an ingredient is unknown. */
export function panAsItIs(
  file: FormulaFile,
  { targets }: BriefPlan,
  larder: ReadonlyMap<string, Ingredient>,
  calibration: Calibration,
): PanAsItIs | undefined {
  const isKnown = (id: string) => Object.hasOwn(file.ingredients, id) || larder.has(id);
  if (!file.lines.every(({ ingredient }) => isKnown(ingredient))) return undefined;
  const gates = targets.gates.map(({ gate }) => gate);
  const formula = { ...resolveFormula(file, larder, calibration), moments: targets.moments, gates };
  const prediction = predictFormula(formula);
  if (!prediction) return undefined;
  const { chance } = linearChance(formula, prediction);
  const { temperatureC, resistancePa } = resistanceCurve(prediction.batch, CLIMATES);
  return {
    standing: standingOf(prediction.lands, chance),
    chance,
    misses: [...new Set(prediction.gates.filter((gate) => !gate.lands).map(({ moment }) => moment))],
    densityKgM3: prediction.densityKgM3,
    finishedG: prediction.massG,
    colour: chocolateColour(prediction.batch.mixture),
    curve: { temperatureC: Array.from(temperatureC), resistancePa: Array.from(resistancePa) },
  };
}
