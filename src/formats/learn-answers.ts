import { yieldToStand } from '@/core/flow/piping';
import { finishedComponents } from '@/core/formula/formula';
import { recordOf } from '@/core/keys-of';
import { type Evidence, type FlowMeasured, leaningOf } from '@/core/learn/evidence';
import {
  inAnyKitchen,
  inThisKitchen,
  type KitchenKnowledge,
  type KitchenReading,
  kitchenSd,
  learnKitchen,
} from '@/core/learn/kitchen';
import { hoursUntilFirm, readingOf, timeEvidence } from '@/core/learn/kitchen-tests';
import { LEARNT, type PerLearnt } from '@/core/learn/learnt';
import { mainChocolate } from '@/core/method/main-chocolate';
import { type Batch, flowAt, prepareBatch } from '@/core/predict/state';
import type { FormulaFile } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import type { LearnFile, LearnTest } from './learn-file';
import { type LarderComposition, resolveFormula } from './resolve-formula';

const DAYS_A_MONTH = 30.44;

/** A formula of the file, ready to be read: with the standard figures, whatever offsets stand in it. */
interface Prepared {
  readonly batch: Batch;
  readonly chocolate: string | undefined;
  /** the same for every test of the same formula */
  readonly formula: string;
}

/** Prepares the formulas of a file, each once. */
function preparing(larder: LarderComposition) {
  const known = new Map<string, Prepared>();
  return (file: FormulaFile, place: string): Prepared => {
    const { lines, ingredients, process, yield: made } = file;
    const formula = JSON.stringify({ lines, ingredients, process: inAnyKitchen(process), made });
    const before = known.get(formula);
    if (before) return before;
    const resolved = resolveFormula(file, larder, 'standard');
    const batch = prepareBatch(finishedComponents(resolved), inAnyKitchen(resolved.process));
    if (!(batch.mixture.massG > 1e-6))
      throw new FormulaFileError(`${place}.formula: nothing is in the pan: every line is 0 g`);
    const main = mainChocolate(resolved.lines);
    const prepared = {
      batch,
      formula,
      chocolate: main === undefined ? undefined : resolved.lines[main]?.ingredient,
    };
    known.set(formula, prepared);
    return prepared;
  };
}

/** What was measured of a flow, where a flow was. */
function measuredOf(measured: LearnTest['measured'], densityKgM3: number): FlowMeasured | undefined {
  if ('ring' in measured) return { kind: 'ring', ...measured.ring };
  if ('film' in measured) return { kind: 'film', ...measured.film };
  if ('yieldStressPa' in measured) return { kind: 'yieldStress', pa: measured.yieldStressPa };
  if ('apparentViscosityPaS' in measured) return { kind: 'apparentViscosity', paS: measured.apparentViscosityPaS };
  if ('stands' in measured) {
    return { kind: 'stands', neededPa: yieldToStand(measured.stands.mm, densityKgM3), held: measured.stands.held };
  }
  return undefined;
}

function evidenceOf({ batch }: Prepared, test: LearnTest, place: string): Evidence {
  const { temperatureC, history, measured } = test;
  if ('firmAfterHours' in measured) {
    const evidence = timeEvidence(batch, measured.firmAfterHours, (of) => hoursUntilFirm(of, temperatureC));
    if (!evidence)
      throw new FormulaFileError(`${place}.measured: at ${temperatureC} °C no fat makes this formula firm`);
    return evidence;
  }
  const { parts } = flowAt(batch, temperatureC, history);
  const flow = measuredOf(measured, parts.densityKgM3);
  if (!flow) throw new FormulaFileError(`${place}.measured: must be something that is measured`);
  return { of: 'flow', parts, measured: flow };
}

/** Slopes of ln(a figure of the flow) along the offsets, at what was learnt. */
function slopesOf(batch: Batch, at: LearnFile['predict'][number], measured: FlowMeasured, means: PerLearnt): PerLearnt {
  const { parts } = flowAt(batch, at.temperatureC, at.history);
  return leaningOf({ of: 'flow', parts, measured }, means).slopes;
}

/** What is predicted of one formula: the standard figures, and those of this kitchen with what is left in doubt. */
function predictionOf(
  { batch, chocolate, formula }: Prepared,
  at: LearnFile['predict'][number],
  knowledge: KitchenKnowledge,
) {
  const knownBy = { chocolate, formula };
  const here = {
    ...batch,
    mixture: { ...batch.mixture, process: inThisKitchen(batch.mixture.process, knowledge, knownBy) },
  };
  const figures = (of: Batch) => {
    const { apparentViscosityPaS, yieldStressPa } = flowAt(of, at.temperatureC, at.history);
    return { apparentViscosityPaS, yieldStressPa };
  };
  const means = recordOf(LEARNT, (about) => knowledge.offsets[about].mean);
  const sd = (measured: FlowMeasured) => kitchenSd(knowledge, slopesOf(batch, at, measured, means), knownBy);
  return {
    book: figures(batch),
    kitchen: {
      ...figures(here),
      sdFlow: sd({ kind: 'apparentViscosity', paS: 1 }),
      sdSet: sd({ kind: 'yieldStress', pa: 1 }),
    },
  };
}

/**
 * Answers `learn` for one file of tests: what they teach, and what is predicted with it.
 *
 * @throws {FormulaFileError} an unknown ingredient, an empty pan, or a test that this formula cannot give
 */
export function answerLearn(file: LearnFile, larder: LarderComposition) {
  const prepare = preparing(larder);
  const readings = file.tests.map((test, i): KitchenReading => {
    const place = `tests[${i}]`;
    const prepared = prepare(test.formula, place);
    const { about, se, evidence } = readingOf(evidenceOf(prepared, test, place), test.measured.sd);
    const { formula, chocolate } = prepared;
    return { about, se, evidence, formula, chocolate, months: test.daysAgo / DAYS_A_MONTH };
  });
  const knowledge = learnKitchen(readings);
  return {
    tests: knowledge.tests,
    offsets: recordOf(LEARNT, (about) => ({ mean: knowledge.offsets[about].mean, sd: knowledge.offsets[about].sd })),
    predictions: file.predict.map((at, i) => predictionOf(prepare(at.formula, `predict[${i}]`), at, knowledge)),
  };
}
