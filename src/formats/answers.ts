import { balanceFor } from '@/core/balance/goal';
import type { BalanceResult } from '@/core/balance/result';
import { PLATE_TEST, spreadDiameter } from '@/core/flow/ring-spread';
import { componentGrams } from '@/core/matter/mixing';
import { type Prediction, predictFormula } from '@/core/predict/predict-formula';
import type { State } from '@/core/predict/state';
import type { FormulaFile } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { type LarderComposition, resolveFormula } from './resolve-formula';

const EMPTY_PAN = 'nothing is in the pan: every line is 0 g';

/** s after which a ring of 20 mL from 50 mm is told. */
const RING_SECONDS = [10, 30, 180] as const;

/** mm across a ring of 20 mL from 50 mm, by the seconds after it is lifted. */
const ringsOf = ({ flow }: State) =>
  RING_SECONDS.map((seconds) => ({
    seconds,
    diameterMm: spreadDiameter({ ...flow, densityKgM3: flow.phases.densityKgM3 }, PLATE_TEST.volumeMl, seconds),
  }));

/** A prediction as the shell prints it. */
function predictionAnswer(name: string, prediction: Prediction) {
  return {
    name,
    massG: prediction.massG,
    densityKgM3: prediction.densityKgM3,
    components: componentGrams(prediction.components),
    waterActivity: prediction.asKept.waterActivity,
    sweetness: prediction.taste.sweetness,
    alcoholPercentVol: prediction.alcoholPercentVol,
    lands: prediction.lands,
    gates: prediction.gates.map(({ moment, quantity, low, high, value, lands }) => ({
      moment,
      quantity,
      low,
      high,
      value,
      lands,
    })),
    moments: prediction.moments.map(({ moment, state, plateDiameterMm }) => ({
      name: moment.name,
      temperatureC: moment.temperatureC,
      resistancePa: state.flow.resistancePa,
      apparentViscosityPaS: state.flow.apparentViscosityPaS,
      plasticViscosityPaS: state.flow.plasticViscosityPaS,
      yieldStressPa: state.flow.yieldStressPa,
      solidFatFraction: state.flow.solidFatFraction,
      shine: state.shine,
      waterActivity: state.waterActivity,
      plateDiameterMm,
      rings: ringsOf(state),
      risks: state.risks,
    })),
  };
}

export type PredictionAnswer = ReturnType<typeof predictionAnswer>;

/**
 * Answers `predict` for one formula file.
 *
 * @throws {FormulaFileError} unknown ingredient, or nothing in the pan
 */
export function answerPredict(file: FormulaFile, larder: LarderComposition): PredictionAnswer {
  const prediction = predictFormula(resolveFormula(file, larder, 'standard'));
  if (!prediction) throw new FormulaFileError(EMPTY_PAN);
  return predictionAnswer(file.name, prediction);
}

/** A balance as the shell prints it. */
function balanceAnswer(file: FormulaFile, result: BalanceResult) {
  return {
    ...predictionAnswer(file.name, result.prediction),
    status: result.status,
    change: result.change,
    lines: file.lines.map((line, i) => ({
      ingredient: line.ingredient,
      from: line.grams,
      to: result.grams[i] ?? line.grams,
    })),
    inTheWay: result.inTheWay,
  };
}

/**
 * Answers `balance` for one formula file.
 *
 * @throws {FormulaFileError} unknown ingredient, or nothing in the pan
 */
export function answerBalance(file: FormulaFile, larder: LarderComposition) {
  if (!file.lines.some((line) => line.grams > 0)) throw new FormulaFileError(EMPTY_PAN);
  return balanceAnswer(file, balanceFor(resolveFormula(file, larder, 'standard'), 'close'));
}
