import { planBrief } from '@/core/brief/plan';
import { compareProposals, judge, type Proposal } from '@/core/brief/proposals';
import type { MissingPart } from '@/core/brief/starting-points';
import { atThePour } from '@/core/formula/moment-role';
import { curveClimates, resistanceCurve } from '@/core/predict/curve';
import { chocolateColour } from '@/core/shine/colour';
import type { BatchSize } from '@/core/yields/batch-size';
import type { ScaledBatch } from '@/core/yields/scaling';
import type { FormulaFile } from '@/formats/formula-file';
import { larderOf } from '../known-item';
import { type Asked, familyCandidates, ownCandidates, type Shelf, type Source } from './brief-candidates';

export type { Asked, OwnFormula, Shelf } from './brief-candidates';

/** A proposal as the screen shows it and the bench takes it over. */
export interface Start {
  readonly id: string;
  readonly name: string;
  /** one of the kitchen's formulas; otherwise a family built from the larder */
  readonly isOwn: boolean;
  readonly lands: boolean;
  /** that every gate lands, 0-1 */
  readonly chance: number;
  readonly moved: number;
  readonly change: number;
  /** names of the gates' moments it misses */
  readonly misses: readonly string[];
  readonly lines: FormulaFile['lines'];
  /** what only the formula knows of its rows */
  readonly ingredients: FormulaFile['ingredients'];
  readonly process: FormulaFile['process'];
  readonly evaporationG: number;
  /** how much to make of it: by its own density, and with the water that boils off it */
  readonly size: BatchSize;
  readonly scaled?: ScaledBatch | undefined;
  readonly densityKgM3: number;
  readonly colour: string;
  readonly shine: number;
  readonly costPerKg: number;
  readonly alcoholPercentVol: number;
  readonly puddles: readonly {
    readonly moment: string;
    readonly temperatureC: number;
    readonly diameterMm: number;
    readonly resistancePa: number;
    /** a gate of the brief is read here */
    readonly isAsked: boolean;
  }[];
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
const CLIMATES = curveClimates(RESTED_H);

/** Of two that stand alike, what the kitchen knows comes first. */
const ownFirst = (a: Proposal<Source>, b: Proposal<Source>) =>
  Number(a.of.own === undefined) - Number(b.of.own === undefined);

const thinned = (values: Float64Array) => Array.from(values).filter((_, i) => i % CURVE_STEP === 0);

function startOf({ of, grams, prediction, lands, chance, moved, change }: Proposal<Source>): Start {
  const curve = resistanceCurve(prediction.batch, CLIMATES);
  return {
    id: of.id,
    name: of.name,
    isOwn: of.own !== undefined,
    lands,
    chance,
    moved,
    change,
    misses: [...new Set(prediction.gates.filter((gate) => !gate.lands).map((gate) => gate.moment))],
    lines: of.lines.map((line, i) => ({ ...line, grams: grams[i] ?? line.grams })),
    ingredients: of.own?.ingredients ?? {},
    process: of.process,
    evaporationG: of.evaporationG,
    size: { ...of.size, evaporationG: of.evaporationG, weighedG: grams.reduce((sum, g) => sum + g, 0) },
    scaled: of.scaled,
    densityKgM3: prediction.densityKgM3,
    colour: chocolateColour(prediction.batch.mixture),
    shine: atThePour(prediction.moments)?.state.shine ?? prediction.asKept.shine,
    costPerKg: prediction.costPerKg,
    alcoholPercentVol: prediction.alcoholPercentVol,
    puddles: prediction.moments.map(({ moment, plateDiameterMm, state }) => ({
      moment: moment.name,
      temperatureC: moment.temperatureC,
      diameterMm: plateDiameterMm,
      resistancePa: state.flow.resistancePa,
      isAsked: prediction.gates.some((gate) => gate.moment === moment.name),
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
  const larder = larderOf(shelf.ingredients);
  const plan = planBrief(asked.brief);
  const own = ownCandidates(asked, plan, shelf, larder);
  const families = familyCandidates(asked, plan, shelf);
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
