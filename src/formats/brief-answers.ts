import type { Brief } from '@/core/brief/brief';
import { planBrief } from '@/core/brief/plan';
import { type Candidate, compareProposals, judge, type Proposal } from '@/core/brief/proposals';
import { type MissingPart, startingPoints } from '@/core/brief/starting-points';
import { COMPONENT_INDEX } from '@/core/matter/components';
import { resistanceCurve } from '@/core/predict/curve';
import { type Formula, finishedComponents } from '@/core/predict/formula';
import { chocolateColour } from '@/core/shine/colour';
import { breaks } from '@/core/swap/restrictions';
import { type ScaledBatch, scaleBatch } from '@/core/yields/scaling';
import type { FormulaFile } from './formula-file';
import type { Ingredient } from './ingredient';
import { resolveFormula } from './resolve-formula';

/** A formula of the kitchen that a brief may start from. */
export interface OwnFormula {
  readonly id: string;
  readonly file: FormulaFile;
}

/** All that is at hand. */
export interface Shelf {
  readonly formulas: readonly OwnFormula[];
  readonly ingredients: readonly Ingredient[];
}

/** What is asked of the worker. */
export interface Asked {
  readonly brief: Brief;
  /** the formula the brief is for: it comes first */
  readonly pinned?: string | undefined;
}

/** What a proposal was made from. */
interface Source {
  readonly id: string;
  readonly name: string;
  readonly own: FormulaFile | undefined;
  readonly lines: FormulaFile['lines'];
  readonly process: FormulaFile['process'];
  readonly scaled?: ScaledBatch | undefined;
  readonly evaporationG: number;
}

/** A proposal as the screen shows it and the bench takes it over. */
export interface Start {
  readonly id: string;
  readonly name: string;
  /** one of the kitchen's formulas; otherwise a family built from the larder */
  readonly isOwn: boolean;
  readonly lands: boolean;
  readonly moved: number;
  readonly change: number;
  /** names of the gates' moments it misses */
  readonly misses: readonly string[];
  readonly lines: FormulaFile['lines'];
  readonly process: FormulaFile['process'];
  readonly evaporationG: number;
  readonly scaled?: ScaledBatch | undefined;
  readonly colour: string;
  readonly shine: number;
  readonly costEurPerKg: number;
  readonly alcoholPercentVol: number;
  readonly puddles: readonly { readonly moment: string; readonly diameterMm: number }[];
  readonly curve: { readonly temperatureC: readonly number[]; readonly resistancePa: readonly number[] };
}

/** What is found so far, the best first. */
export interface Answer {
  readonly starts: readonly Start[];
  /** formulas that break a wish, and were left out */
  readonly leftOut: number;
  readonly missing: readonly MissingPart[];
}

/** Most proposals that are shown. */
const MOST_SHOWN = 8;
/** Beyond this much change it is another recipe, not that one balanced. */
const MOST_CHANGE = 6;
/** The curve on a card: every so many of its points. */
const CURVE_STEP = 3;
const RESTED_H = 24;

/** What a formula is thickened with, beside its chocolate. */
function thickenerOf(formula: Formula): 'chocolate' | 'starch' | 'gelatin' {
  const parts = finishedComponents(formula);
  const mass = parts.reduce((sum, grams) => sum + grams, 0);
  const share = (name: 'starch' | 'gelatin') => (parts[COMPONENT_INDEX[name]] as number) / mass;
  return share('gelatin') > 0.002 ? 'gelatin' : share('starch') > 0.004 ? 'starch' : 'chocolate';
}

/** Own formulas that break no wish, scaled to the batch, with the gates of the brief. */
function ownCandidates({ brief, pinned }: Asked, shelf: Shelf, larder: ReadonlyMap<string, Ingredient>) {
  const { targets, size } = planBrief(brief);
  const gates = targets.gates.map(({ gate }) => gate);
  let leftOut = 0;
  const candidates = shelf.formulas.flatMap(({ id, file }): Candidate<Source>[] => {
    const rows = file.lines.filter((line) => line.grams > 0);
    if (rows.length === 0) return [];
    const known = rows.map(({ ingredient }) => larder.get(ingredient));
    if (known.some((item, i) => !item && !Object.hasOwn(file.ingredients, rows[i]?.ingredient ?? ''))) return [];
    const isWelcome = brief.wishes.without.every((wish) => known.every((item) => !item || !breaks(wish, item)));
    const resolved = resolveFormula({ ...file, lines: rows }, larder);
    const suits = brief.wishes.thickener === 'any' || brief.wishes.thickener === thickenerOf(resolved);
    if ((!isWelcome || !suits) && id !== pinned) {
      leftOut += 1;
      return [];
    }
    const weighedG = rows.reduce((sum, line) => sum + line.grams, 0);
    const boiled = file.yield?.evaporationGrams ?? 0;
    const scaled = scaleBatch(
      resolved.lines,
      { finishedG: weighedG - boiled, evaporationG: boiled, wantedG: size.finishedG },
      brief.making,
      brief.kitchenC,
    );
    const lines = rows.map((line, i) => {
      const factor = (scaled.grams[i] ?? line.grams) / line.grams;
      const limit = (grams: number | undefined) => (grams === undefined ? undefined : tenth(grams * factor));
      return {
        ...line,
        grams: tenth(scaled.grams[i] ?? line.grams),
        minGrams: limit(line.minGrams),
        maxGrams: limit(line.maxGrams),
      };
    });
    const water = larder.get('water');
    const withWater =
      scaled.extraWaterG >= 0.5 && water
        ? [...lines, { ingredient: 'water', grams: tenth(scaled.extraWaterG), locked: false }]
        : lines;
    const formula = {
      ...resolveFormula({ ...file, lines: withWater }, larder),
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
      evaporationG: scaled.evaporationG,
    };
    return [{ of, formula }];
  });
  return { candidates: candidates.sort((a, b) => Number(b.of.id === pinned) - Number(a.of.id === pinned)), leftOut };
}

const tenth = (grams: number) => Math.round(grams * 10) / 10;

/** Families built from the larder for these gates. */
function familyCandidates({ brief }: Asked, shelf: Shelf) {
  const { targets, size } = planBrief(brief);
  const { points, missing } = startingPoints(brief, targets, shelf.ingredients, size);
  const candidates = points.map(({ family, rows, formula }): Candidate<Source> => {
    const lines = rows.map(({ ingredient, stage }, i) => ({
      ingredient,
      grams: formula.lines[i]?.grams ?? 0,
      locked: false,
      stage,
    }));
    const of = {
      id: `family:${family.id}`,
      name: family.name,
      own: undefined,
      lines,
      process: formula.process,
      evaporationG: size.evaporationG,
    };
    return { of, formula };
  });
  return { candidates, missing };
}

/** Of two that stand alike, what the kitchen knows comes first. */
const ownFirst = (a: Proposal<Source>, b: Proposal<Source>) =>
  Number(a.of.own === undefined) - Number(b.of.own === undefined);

const thinned = (values: Float64Array) => Array.from(values).filter((_, i) => i % CURVE_STEP === 0);

function startOf({ of, grams, prediction, lands, moved, change }: Proposal<Source>): Start {
  const curve = resistanceCurve(prediction.batch, RESTED_H);
  return {
    id: of.id,
    name: of.name,
    isOwn: of.own !== undefined,
    lands,
    moved,
    change,
    misses: [...new Set(prediction.gates.filter((gate) => !gate.lands).map((gate) => gate.moment))],
    lines: of.lines.map((line, i) => ({ ...line, grams: grams[i] ?? line.grams })),
    process: of.process,
    evaporationG: of.evaporationG,
    scaled: of.scaled,
    colour: chocolateColour(prediction.batch.mixture),
    shine: prediction.moments[1]?.state.shine ?? prediction.asKept.shine,
    costEurPerKg: prediction.costEurPerKg,
    alcoholPercentVol: prediction.alcoholPercentVol,
    puddles: prediction.moments.map(({ moment, plateDiameterMm }) => ({
      moment: moment.name,
      diameterMm: plateDiameterMm,
    })),
    curve: { temperatureC: thinned(curve.temperatureC), resistancePa: thinned(curve.resistancePa) },
  };
}

/**
 * Everything a brief could start from, ranked: own formulas as they stand or balanced to land, and families built from the larder.
 *
 * @yields what is found so far, and the share of the work that is done
 */
export function* answersTo(asked: Asked, shelf: Shelf): Generator<{ readonly answer: Answer; readonly share: number }> {
  const larder = new Map(shelf.ingredients.map((ingredient) => [ingredient.id, ingredient]));
  const own = ownCandidates(asked, shelf, larder);
  const families = familyCandidates(asked, shelf);
  const pinned = own.candidates.filter(({ of }) => of.id === asked.pinned);
  const others = own.candidates.filter(({ of }) => of.id !== asked.pinned);
  const found = new Map<string, Proposal<Source>>();
  const starts = new Map<Proposal<Source>, Start>();
  const shown = (proposal: Proposal<Source>) => {
    const start = starts.get(proposal) ?? startOf(proposal);
    starts.set(proposal, start);
    return start;
  };
  const answer = (): Answer => {
    const ranked = [...found.values()]
      .filter(({ of, change }) => of.id === asked.pinned || change < MOST_CHANGE)
      .sort(
        (a, b) =>
          Number(b.of.id === asked.pinned) - Number(a.of.id === asked.pinned) ||
          compareProposals(a, b) ||
          ownFirst(a, b),
      );
    return { starts: ranked.slice(0, MOST_SHOWN).map(shown), leftOut: own.leftOut, missing: families.missing };
  };
  const candidates = [...pinned, ...families.candidates, ...others];
  for (const { proposal, share } of judge(candidates, pinned.length + families.candidates.length)) {
    found.set(proposal.of.id, proposal);
    yield { answer: answer(), share };
  }
  yield { answer: answer(), share: 1 };
}
