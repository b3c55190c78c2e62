import { balance } from '../balance/balance';
import type { Formula } from '../formula/formula';
import { linearChance } from '../predict/linear-chance';
import { type Prediction, predictFormula } from '../predict/predict-formula';
import { onScale } from '../predict/quantities';

/** Something a brief could start from. */
export interface Candidate<Of> {
  readonly of: Of;
  /** with the gates and moments of the brief, mass above 0 */
  readonly formula: Formula;
}

/** A candidate judged by the gates: as it stands, or balanced. */
export interface Proposal<Of> {
  readonly of: Of;
  readonly grams: readonly number[];
  readonly prediction: Prediction;
  readonly lands: boolean;
  /** that every gate lands, 0-1 */
  readonly chance: number;
  /** rows that moved, and how far in the sum of their relative changes squared */
  readonly moved: number;
  readonly change: number;
  /** how far it is from landing, in weighted logarithms; 0 when it lands */
  readonly miss: number;
}

/** Most of the candidates that are balanced: those that miss by least. */
const MOST_BALANCED = 24;
/** Starts of each search: one that needs more is no near proposal. */
const STARTS = 2;

/** How far a prediction is outside its gates, squared and summed on their scales. */
export function missOf(prediction: Prediction): number {
  return prediction.gates.reduce((sum, { quantity, value, low, high }) => {
    const at = onScale(quantity, value);
    const under = low === undefined ? 0 : Math.max(onScale(quantity, low) - at, 0);
    const over = high === undefined ? 0 : Math.max(at - onScale(quantity, high), 0);
    return sum + under ** 2 + over ** 2;
  }, 0);
}

function asItStands<Of>({ of, formula }: Candidate<Of>, prediction: Prediction): Proposal<Of> {
  return {
    of,
    grams: formula.lines.map((line) => line.grams),
    prediction,
    lands: prediction.lands,
    chance: linearChance(formula, prediction).chance,
    moved: 0,
    change: 0,
    miss: missOf(prediction),
  };
}

function balanced<Of>({ of, formula }: Candidate<Of>): Proposal<Of> {
  const {
    grams,
    formula: moved,
    prediction,
    change,
    status,
  } = balance(formula, { explain: false, starts: STARTS, margin: true });
  return {
    of,
    grams,
    prediction,
    lands: status === 'lands',
    chance: linearChance(moved, prediction).chance,
    moved: grams.filter((g, i) => Math.abs(g - (formula.lines[i]?.grams ?? 0)) > 0.05).length,
    change,
    miss: missOf(prediction),
  };
}

/** Chances closer than this are the same: the draws tell no more. */
const CHANCE_STEP = 0.05;
const chanceStep = ({ chance }: { readonly chance: number }) => Math.round(chance / CHANCE_STEP);

/** The better first: what lands before what does not, by chance; of two as likely the one that is moved least, then the nearest. */
export function compareProposals<Of>(a: Proposal<Of>, b: Proposal<Of>): number {
  if (a.lands !== b.lands) return a.lands ? -1 : 1;
  return a.lands ? chanceStep(b) - chanceStep(a) || a.change - b.change : a.miss - b.miss;
}

/**
 * Judges candidates one after the other: all as they stand first, then those that miss by least are balanced. What is yielded last for a
 * candidate counts.
 *
 * @param candidates any number
 * @param always how many at the head of the list are told of and balanced whatever they miss by
 * @yields proposals with the share of the work that is done
 */
export function* judge<Of>(
  candidates: readonly Candidate<Of>[],
  always: number,
): Generator<{ readonly proposal: Proposal<Of>; readonly share: number }> {
  const standing: { candidate: Candidate<Of>; proposal: Proposal<Of>; pinned: boolean }[] = [];
  for (const [i, candidate] of candidates.entries()) {
    const prediction = predictFormula(candidate.formula);
    if (!prediction) continue;
    const proposal = asItStands(candidate, prediction);
    standing.push({ candidate, proposal, pinned: i < always });
    if (proposal.lands || i < always) yield { proposal, share: 0 };
  }
  const open = standing
    .filter(({ proposal }) => !proposal.lands)
    .sort((a, b) => Number(b.pinned) - Number(a.pinned) || a.proposal.miss - b.proposal.miss);
  const tried = open.slice(0, Math.max(MOST_BALANCED, open.filter(({ pinned }) => pinned).length));
  // What cannot be balanced to land is told of as it stands, the nearest first.
  for (const { proposal } of tried) yield { proposal, share: 0 };
  for (const [i, { candidate }] of tried.entries()) {
    yield { proposal: balanced(candidate), share: (i + 1) / tried.length };
  }
}
