import type { Process } from '../matter/process';
import { normalCdf, normalDensity } from '../normal';
import { nth } from '../nth';
import type { Offset } from './calibration';
import { choleskyInverse } from './cholesky-inverse';
import { hasHeld, leaningOf } from './evidence';
import type { TestReading } from './kitchen-tests';
import { CHOCOLATE_SD, FORMULA_SD, KITCHEN_PRIOR, LEARNT, type Learnt, type PerLearnt } from './learnt';

/** A test with what it was made of and how long ago. */
export interface KitchenReading extends Omit<TestReading, 'residual'> {
  /** months since it was made */
  readonly months: number;
  /** id of the main chocolate, and of the formula */
  readonly chocolate?: string | undefined;
  readonly formula?: string | undefined;
}

/** An offset with the number of tests it rests on. */
export interface LearntOffset extends Offset {
  readonly tests: number;
}

/** What one chocolate or one formula adds to any flow of it, and how that hangs together with the rest. */
export interface LearntEffect extends LearntOffset {
  /** covariance with each offset, in the order of {@link LEARNT} */
  readonly withOffsets: readonly number[];
  /** of a formula: its chocolate, and the covariance with that one's effect */
  readonly chocolate?: string | undefined;
  readonly withChocolate: number;
}

/** What a kitchen's own tests taught. */
export interface KitchenKnowledge {
  readonly offsets: Readonly<Record<Learnt, LearntOffset>>;
  /** of the offsets, row by row in the order of {@link LEARNT} */
  readonly covariance: readonly (readonly number[])[];
  /** by ingredient, and by formula */
  readonly chocolates: Readonly<Record<string, LearntEffect>>;
  readonly formulas: Readonly<Record<string, LearntEffect>>;
  /** tests that count */
  readonly tests: number;
}

/** What is predicted: which chocolate is the main one in it, and whether its formula may have been tested. */
export interface KnownBy {
  readonly chocolate?: string | undefined;
  readonly formula?: string | undefined;
}

/** Whose figures are predicted: the standard ones, or those of a kitchen, for a formula it may have tested. */
export type Calibration = 'standard' | { readonly knowledge: KitchenKnowledge; readonly formula: string | undefined };

/** The figures of a kitchen, or the standard ones where it has none of its own. */
export const calibrationOf = (knowledge: KitchenKnowledge | undefined, formula: string | undefined): Calibration =>
  knowledge ? { knowledge, formula } : 'standard';

/** From so many tests on the kitchen's own figures are shown. */
export const KITCHEN_FROM_TESTS = 3;

/** Gauss-Newton turns: the model bends little over a kitchen's offsets. */
const TURNS = 3;
/** Degrees of freedom of Student's t: one gross slip hardly pulls. */
const FREEDOM = 4;
/** Variance a month adds to a test: a kitchen changes its chocolate (J). */
const FADING = 0.02;

const GLOBALS = LEARNT.length;
const PRIORS = LEARNT.map((about) => KITCHEN_PRIOR[about].sd);

/** Nothing learnt yet. */
export const NOTHING_LEARNT: KitchenKnowledge = {
  offsets: Object.fromEntries(LEARNT.map((about) => [about, { ...KITCHEN_PRIOR[about], tests: 0 }])) as Record<
    Learnt,
    LearntOffset
  >,
  covariance: PRIORS.map((sd, i) => PRIORS.map((_, j) => (i === j ? sd * sd : 0))),
  chocolates: {},
  formulas: {},
  tests: 0,
};

/** What a formula adds is one thing to its flow, another to the time it takes, another to its shine. */
const formulaKey = ({ evidence }: KitchenReading, formula: string) => `${evidence.of} ${formula}`;

/** An order of readings that does not hang on the order they came in. */
const placeOf = ({ evidence, se, months, chocolate = '', formula = '' }: KitchenReading) =>
  JSON.stringify([
    formula,
    chocolate,
    se,
    months,
    evidence.of === 'flow' ? Object.values(evidence.measured).map(String).sort() : evidence.away,
    evidence.of === 'flow'
      ? [evidence.parts.crystalAge, evidence.parts.viscosityInWaterPaS, evidence.parts.cocoaYieldPa]
      : 0,
  ]);

interface Told extends KitchenReading {
  /** places of what it hangs on: its chocolate among the offsets, its formula among the formulas; -1 for none */
  readonly chocolatePlace: number;
  readonly formulaPlace: number;
  /** of a test of no known formula: as if of one of its own */
  readonly ownVariance: number;
}

/** Numbers the chocolates and formulas of readings. */
function numbered(readings: readonly KitchenReading[]) {
  const chocolates = new Map<string, number>();
  const formulas = new Map<string, number>();
  const place = (places: Map<string, number>, key: string) => {
    const known = places.get(key) ?? places.size;
    places.set(key, known);
    return known;
  };
  const sorted = readings
    .map((each) => ({ each, at: placeOf(each) }))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const told = sorted.map(({ each }): Told => {
    const { chocolate, formula } = each;
    const hasChocolate = each.evidence.of === 'flow' && chocolate !== undefined;
    return {
      ...each,
      chocolatePlace: hasChocolate ? GLOBALS + place(chocolates, chocolate) : -1,
      formulaPlace: formula === undefined ? -1 : place(formulas, formulaKey(each, formula)),
      ownVariance: formula === undefined ? FORMULA_SD ** 2 : 0,
    };
  });
  return { told, chocolates, formulas };
}

/** How much a reading pulls along its slope, and how much it tells. */
interface Pull {
  readonly score: number;
  readonly information: number;
}

/**
 * A measurement by Student's t, a yes or no by the chance that it came out so: what was certain beforehand teaches nothing.
 *
 * @param away ln(measured or needed) - ln(model)
 * @param variance of one reading
 */
function pullOf(away: number, variance: number, held: boolean | undefined): Pull {
  if (held === undefined) {
    const weight = Math.min(1, (FREEDOM + 1) / (FREEDOM + (away * away) / variance));
    return { score: (weight * away) / variance, information: weight / variance };
  }
  const sd = Math.sqrt(variance);
  const u = (held ? -away : away) / sd;
  // Far below 0 by its series: the share itself would be lost in rounding.
  const ratio = u < -4 ? -u / (1 - u ** -2 + 3 * u ** -4 - 15 * u ** -6) : normalDensity(u) / normalCdf(u);
  return { score: ((held ? 1 : -1) * ratio) / sd, information: Math.max((ratio * (ratio + u)) / variance, 0) };
}

/** Normal equations of one turn, the formulas' own effects apart: each stands in readings of its own only. */
interface Equations {
  readonly matrix: Float64Array[];
  readonly gradient: Float64Array;
  readonly formulaMatrix: Float64Array;
  readonly formulaGradient: Float64Array;
  /** of each formula, with every offset and chocolate */
  readonly between: Float64Array[];
}

function equationsOf(told: readonly Told[], b: Float64Array, f: Float64Array): Equations {
  const size = b.length;
  const priorOf = (i: number) => (i < GLOBALS ? nth(PRIORS, i) : CHOCOLATE_SD) ** -2;
  const matrix = Array.from({ length: size }, (_, i) => {
    const row = new Float64Array(size);
    row[i] = priorOf(i);
    return row;
  });
  const gradient = b.map((value, i) => -value * priorOf(i));
  const formulaMatrix = new Float64Array(f.length).fill(FORMULA_SD ** -2);
  const formulaGradient = f.map((value) => -value / FORMULA_SD ** 2);
  const between = Array.from(f, () => new Float64Array(size));
  const offsets = Object.fromEntries(LEARNT.map((about, i) => [about, nth(b, i)])) as unknown as PerLearnt;
  const slopes = new Float64Array(size);
  for (const reading of told) {
    const { evidence, se, months, chocolatePlace, formulaPlace, ownVariance } = reading;
    const leaning = leaningOf(evidence, offsets);
    slopes.fill(0);
    LEARNT.forEach((about, i) => {
      slopes[i] = leaning.slopes[about];
    });
    const effects = (chocolatePlace < 0 ? 0 : nth(b, chocolatePlace)) + (formulaPlace < 0 ? 0 : nth(f, formulaPlace));
    if (chocolatePlace >= 0) slopes[chocolatePlace] = 1;
    const { score, information } = pullOf(
      leaning.away - effects,
      se * se + FADING * months + ownVariance,
      hasHeld(evidence),
    );
    const felt = [...(chocolatePlace < 0 ? [] : [chocolatePlace]), 0, 1, 2, 3, 4];
    for (const i of felt) {
      const slope = nth(slopes, i);
      if (slope === 0) continue;
      gradient[i] = nth(gradient, i) + score * slope;
      const row = nth(matrix, i);
      for (const j of felt) row[j] = nth(row, j) + information * slope * nth(slopes, j);
      if (formulaPlace < 0) continue;
      const own = nth(between, formulaPlace);
      own[i] = nth(own, i) + information * slope;
    }
    if (formulaPlace < 0) continue;
    formulaMatrix[formulaPlace] = nth(formulaMatrix, formulaPlace) + information;
    formulaGradient[formulaPlace] = nth(formulaGradient, formulaPlace) + score;
  }
  return { matrix, gradient, formulaMatrix, formulaGradient, between };
}

/** A turn solved: moves and covariance of the offsets and chocolates, moves of the formulas. */
function solve({ matrix, gradient, formulaMatrix, formulaGradient, between }: Equations) {
  const size = gradient.length;
  const reduced = matrix.map((row) => row.slice());
  const right = gradient.slice();
  between.forEach((own, k) => {
    const d = nth(formulaMatrix, k);
    const g = nth(formulaGradient, k);
    for (let i = 0; i < size; i++) {
      const share = nth(own, i) / d;
      if (share === 0) continue;
      right[i] = nth(right, i) - share * g;
      const row = nth(reduced, i);
      for (let j = 0; j < size; j++) row[j] = nth(row, j) - share * nth(own, j);
    }
  });
  const covariance = choleskyInverse(reduced);
  const moves = covariance.map((row) => row.reduce((sum, value, j) => sum + value * nth(right, j), 0));
  const formulaMoves = between.map((own, k) => {
    const along = own.reduce((sum, value, i) => sum + value * nth(moves, i), 0);
    return (nth(formulaGradient, k) - along) / nth(formulaMatrix, k);
  });
  return { covariance, moves, formulaMoves };
}

/**
 * Learns what a kitchen's tests teach, from all of them at once: along the slope of each test's own state, gross slips held back, old tests fading.
 * Their order makes no difference, to the last digit.
 *
 * A chocolate and a formula each have an effect of their own, so that a kitchen that tests one often is not surer of itself than it may be.
 *
 * @param readings any number; those set aside left out
 * @see Gauss-Newton on a normal prior; Student's t (Lange, Little & Taylor 1989), probit thresholds, random effects (published forms; priors J)
 */
export function learnKitchen(readings: readonly KitchenReading[]): KitchenKnowledge {
  if (readings.length === 0) return NOTHING_LEARNT;
  const { told, chocolates, formulas } = numbered(readings);
  const b = new Float64Array(GLOBALS + chocolates.size);
  const f = new Float64Array(formulas.size);
  let last: { equations: Equations; covariance: Float64Array[] } | undefined;
  for (let turn = 0; turn < TURNS; turn++) {
    const equations = equationsOf(told, b, f);
    const { covariance, moves, formulaMoves } = solve(equations);
    moves.forEach((move, i) => {
      b[i] = nth(b, i) + move;
    });
    formulaMoves.forEach((move, k) => {
      f[k] = nth(f, k) + move;
    });
    last = { equations, covariance };
  }
  return last ? knowledgeOf(told, { chocolates, formulas, b, f, ...last }) : NOTHING_LEARNT;
}

/** What was learnt, under the names it goes by. */
function knowledgeOf(
  told: readonly Told[],
  {
    chocolates,
    formulas,
    b,
    f,
    equations,
    covariance,
  }: {
    readonly chocolates: ReadonlyMap<string, number>;
    readonly formulas: ReadonlyMap<string, number>;
    readonly b: Float64Array;
    readonly f: Float64Array;
    readonly equations: Equations;
    readonly covariance: readonly Float64Array[];
  },
): KitchenKnowledge {
  const at = (i: number, j: number) => nth(nth(covariance, i), j);
  const count = (counts: (each: Told) => boolean) => told.filter(counts).length;
  const offsetAt = (about: Learnt, i: number): LearntOffset => {
    const tests = count((each) => each.about === about);
    return { mean: nth(b, i), sd: Math.sqrt(at(i, i)), tests };
  };
  const chocolateOf = (place: number): LearntEffect => ({
    mean: nth(b, place),
    sd: Math.sqrt(at(place, place)),
    tests: count((each) => each.chocolatePlace === place),
    withOffsets: LEARNT.map((_, i) => at(i, place)),
    withChocolate: 0,
  });
  const formulaOf = (place: number): LearntEffect => {
    const own = nth(equations.between, place);
    const d = nth(equations.formulaMatrix, place);
    // Block inverse: a formula hangs on the rest only through its own tests.
    const crossed = covariance.map((row) => -row.reduce((sum, value, j) => sum + value * nth(own, j), 0) / d);
    const variance = 1 / d - crossed.reduce((sum, value, i) => sum + value * nth(own, i), 0) / d;
    const first = told.find((each) => each.formulaPlace === place && each.chocolatePlace >= 0);
    return {
      mean: nth(f, place),
      sd: Math.sqrt(variance),
      tests: count((each) => each.formulaPlace === place),
      withOffsets: crossed.slice(0, GLOBALS),
      chocolate: first?.chocolate,
      withChocolate: first ? nth(crossed, first.chocolatePlace) : 0,
    };
  };
  const flowFormulas = [...formulas].filter(([key]) => key.startsWith('flow '));
  return {
    offsets: Object.fromEntries(LEARNT.map((about, i) => [about, offsetAt(about, i)])) as Record<Learnt, LearntOffset>,
    covariance: LEARNT.map((_, i) => LEARNT.map((__, j) => at(i, j))),
    chocolates: Object.fromEntries([...chocolates].map(([id, place]) => [id, chocolateOf(GLOBALS + place)])),
    formulas: Object.fromEntries(flowFormulas.map(([key, place]) => [key.slice('flow '.length), formulaOf(place)])),
    tests: told.length,
  };
}

/** An effect by name, if this kitchen has tested it. */
const effectOf = (effects: Readonly<Record<string, LearntEffect>>, id: string | undefined) =>
  id !== undefined && Object.hasOwn(effects, id) ? effects[id] : undefined;

/**
 * Standard deviation of ln(a flow figure) that a kitchen's tests leave, along the slopes of that figure.
 *
 * @param slopes d ln(figure) / d offset
 * @param knownBy its chocolate, if it holds any, and its formula, if it is one that is kept
 */
export function kitchenSd(knowledge: KitchenKnowledge, slopes: PerLearnt, { chocolate, formula }: KnownBy): number {
  const h = LEARNT.map((about) => slopes[about]);
  const along = (values: readonly number[]) => values.reduce((sum, value, i) => sum + value * nth(h, i), 0);
  let variance = along(knowledge.covariance.map(along));
  const ofChocolate = effectOf(knowledge.chocolates, chocolate);
  if (chocolate !== undefined)
    variance += ofChocolate ? ofChocolate.sd ** 2 + 2 * along(ofChocolate.withOffsets) : CHOCOLATE_SD ** 2;
  const ofFormula = effectOf(knowledge.formulas, formula);
  if (!ofFormula) return Math.sqrt(variance + FORMULA_SD ** 2);
  variance += ofFormula.sd ** 2 + 2 * along(ofFormula.withOffsets);
  if (ofChocolate && ofFormula.chocolate === chocolate) variance += 2 * ofFormula.withChocolate;
  return Math.sqrt(Math.max(variance, 0));
}

/** A reading at least so many times off what is believed is asked about: a wrong figure, another batch. */
const GROSS_TIMES = 2.4;
const GROSS_SD = 2;

/** Whether a reading lies so far off that the cook is asked about it. */
export function isGross({ residual, se }: Pick<TestReading, 'residual' | 'se'>, believed: Offset): boolean {
  return Math.abs(residual - believed.mean) > Math.max(Math.log(GROSS_TIMES), GROSS_SD * Math.hypot(se, believed.sd));
}

/** A process with the standard figures: without any offset. */
export const inAnyKitchen = (process: Process): Process => ({
  ...process,
  warmOffset: 0,
  coldOffset: 0,
  gelOffset: 0,
  timeOffset: 0,
  learnt: undefined,
});

const ONLY: Readonly<Record<'warm' | 'cold' | 'gel', PerLearnt>> = {
  warm: { warm: 1, cold: 0, gel: 0, time: 0, shine: 0 },
  cold: { warm: 0, cold: 1, gel: 0, time: 0, shine: 0 },
  gel: { warm: 0, cold: 0, gel: 1, time: 0, shine: 0 },
};

/** A process as it goes in this kitchen: its offsets on top of the formula's own, and how sure they are. */
export function inThisKitchen(process: Process, knowledge: KitchenKnowledge, knownBy: KnownBy): Process {
  const { offsets, chocolates, formulas } = knowledge;
  const own = (effectOf(chocolates, knownBy.chocolate)?.mean ?? 0) + (effectOf(formulas, knownBy.formula)?.mean ?? 0);
  const sd = (about: 'warm' | 'cold' | 'gel') => kitchenSd(knowledge, ONLY[about], knownBy);
  return {
    ...process,
    warmOffset: process.warmOffset + offsets.warm.mean + own,
    coldOffset: process.coldOffset + offsets.cold.mean + own,
    gelOffset: process.gelOffset + offsets.gel.mean + own,
    timeOffset: process.timeOffset + offsets.time.mean,
    learnt: {
      warmSd: sd('warm'),
      coldSd: sd('cold'),
      gelSd: sd('gel'),
      shine: { mean: offsets.shine.mean, sd: offsets.shine.sd },
    },
  };
}
