import type { Formula } from '../formula/formula';
import type { GateReading } from '../formula/gates';
import { predictFormula } from '../predict/predict-formula';

/** One edge of the band within which it does not matter how much of a row goes in. */
export interface BandEdge {
  readonly grams: number;
  /** the gate that is missed beyond it; nothing where the band ends by itself */
  readonly gate: GateReading | undefined;
}

/** How much of a row may go in without anything that lands being missed. */
export interface WeighBand {
  readonly low: BandEdge;
  readonly high: BandEdge;
}

/** As far as a row is looked at either way, times its grams. */
const REACH = 0.6;
const HALVINGS = 12;
/** ln of the resistance that may change where no gate says anything (J). */
const FELT_LN = 0.1;

type Miss = (grams: number) => GateReading | 'felt' | undefined;

/** What is missed at some grams of a row that was not missed as planned. */
function missOf(formula: Formula, row: number): Miss {
  const withGrams = (grams: number) =>
    predictFormula({ ...formula, lines: formula.lines.map((line, i) => (i === row ? { ...line, grams } : line)) });
  const planned = predictFormula(formula);
  const landed = (planned?.gates ?? []).map(({ lands }) => lands);
  const resistance = planned?.moments.map(({ state }) => state.flow.resistancePa) ?? [];
  return (grams) => {
    const now = withGrams(grams);
    if (!now) return undefined;
    const missed = now.gates.find((gate, g) => landed[g] === true && !gate.lands);
    if (missed || landed.includes(true)) return missed;
    const moved = now.moments.some(
      ({ state }, m) =>
        Math.abs(Math.log(state.flow.resistancePa / (resistance[m] ?? state.flow.resistancePa))) > FELT_LN,
    );
    return moved ? 'felt' : undefined;
  };
}

/** The last grams on the way from what is planned to an end at which nothing is missed. */
function edgeTowards(miss: Miss, planned: number, end: number): BandEdge {
  if (miss(end) === undefined) return { grams: end, gate: undefined };
  let [inside, outside] = [planned, end];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (inside + outside) / 2;
    if (miss(middle) === undefined) inside = middle;
    else outside = middle;
  }
  const gate = miss(outside);
  return { grams: inside, gate: gate === 'felt' ? undefined : gate };
}

/**
 * The band within which the weight of a row does not matter: everything that lands still lands. Where no gate lands, within which the flow is not
 * felt to change.
 *
 * @param formula mass above 0
 * @param row with grams above 0
 * @returns at most {@link REACH} either way
 */
export function weighBand(formula: Formula, row: number): WeighBand {
  const planned = formula.lines[row]?.grams ?? 0;
  const miss = missOf(formula, row);
  return {
    low: edgeTowards(miss, planned, planned * (1 - REACH)),
    high: edgeTowards(miss, planned, planned * (1 + REACH)),
  };
}

/**
 * The band of the part of a row that goes in at one time.
 *
 * @param elsewhere g of the row that go in at other times, 0 or more
 */
export function bandOfPart({ low, high }: WeighBand, elsewhere: number): WeighBand {
  const part = (edge: BandEdge) => ({ ...edge, grams: Math.max(edge.grams - elsewhere, 0) });
  return { low: part(low), high: part(high) };
}
