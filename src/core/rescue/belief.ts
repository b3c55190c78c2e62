import { normalCdf } from '../normal';

/** What is believed of a pan: how likely each ln of true over predicted is. */
export interface Belief {
  /** ln, evenly spaced */
  readonly nodes: readonly number[];
  /** sum 1 */
  readonly weights: readonly number[];
}

/** A band a quantity should lie in, in its own unit, both above 0. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

/** How a cook sees a pan beside the band it should lie in. */
export const SEEN = ['farTooThin', 'bitThin', 'right', 'bitThick', 'farTooThick'] as const;
export type Seen = (typeof SEEN)[number];

/** On which side of its band a pan is seen; nothing where it is seen right. */
export const sideSeen = (seen: Seen): 'thick' | 'thin' | undefined =>
  seen === 'right' ? undefined : seen === 'bitThick' || seen === 'farTooThick' ? 'thick' : 'thin';

const NODES = 61;
const REACH_SD = 4;
/** From here on it is far too thick or thin: times the band's edge. */
const FAR = 2.2;
/** Doubt of an eye, in ln (J). */
export const EYE_SD = 0.35;

function normalised(nodes: readonly number[], weights: readonly number[]): Belief {
  const sum = weights.reduce((all, each) => all + each, 0);
  // What cannot be is believed as little as what was believed before: evidence against everything is none.
  return { nodes, weights: sum > 0 ? weights.map((each) => each / sum) : nodes.map(() => 1 / nodes.length) };
}

/**
 * What is believed before anything is seen.
 *
 * @param mean ln, the kitchen's own offset
 * @param sd ln, above 0: that of the model, wider where weights are not sure
 */
export function priorBelief(mean: number, sd: number): Belief {
  const nodes = Array.from({ length: NODES }, (_, i) => mean + sd * REACH_SD * ((2 * i) / (NODES - 1) - 1));
  return normalised(
    nodes,
    nodes.map((s) => Math.exp(-(((s - mean) / sd) ** 2) / 2)),
  );
}

const learnt = ({ nodes, weights }: Belief, likelihood: (s: number) => number): Belief =>
  normalised(
    nodes,
    weights.map((weight, i) => weight * likelihood(nodes[i] ?? 0)),
  );

/** ln of the edges between what is seen as one and as the next. */
export function seenEdges({ low, high }: Band): readonly [number, number, number, number] {
  return [Math.log(low / FAR), Math.log(low), Math.log(high), Math.log(high * FAR)];
}

/**
 * What is believed once a cook said what it looks like.
 *
 * @param lnPredicted ln of what is predicted of the pan as it is now
 */
export function afterSeeing(belief: Belief, seen: Seen, lnPredicted: number, band: Band): Belief {
  const edges = [Number.NEGATIVE_INFINITY, ...seenEdges(band), Number.POSITIVE_INFINITY];
  const at = SEEN.indexOf(seen);
  const [from, to] = [edges[at] ?? 0, edges[at + 1] ?? 0];
  return learnt(belief, (s) => {
    const x = lnPredicted + s;
    return normalCdf((to - x) / EYE_SD) - normalCdf((from - x) / EYE_SD);
  });
}

/**
 * What is believed once it was measured.
 *
 * @param lnMeasured ln of what was measured
 * @param sd ln, standard error of the test
 */
export function afterMeasuring(belief: Belief, lnMeasured: number, lnPredicted: number, sd: number): Belief {
  return learnt(belief, (s) => Math.exp(-(((lnMeasured - lnPredicted - s) / sd) ** 2) / 2));
}

export const beliefMean = ({ nodes, weights }: Belief) => nodes.reduce((sum, s, i) => sum + s * (weights[i] ?? 0), 0);

/** ln below which a share of what is believed lies. */
export function beliefQuantile({ nodes, weights }: Belief, share: number): number {
  let below = 0;
  for (const [i, s] of nodes.entries()) {
    const weight = weights[i] ?? 0;
    if (below + weight >= share) {
      const step = (nodes[1] ?? 0) - (nodes[0] ?? 0);
      return s + step * ((share - below) / Math.max(weight, 1e-12) - 0.5);
    }
    below += weight;
  }
  return nodes.at(-1) ?? 0;
}

/** How likely the pan lies in its band, 0-1. */
export function chanceInBand({ nodes, weights }: Belief, lnPredicted: number, { low, high }: Band): number {
  const [from, to] = [Math.log(low), Math.log(high)];
  return nodes.reduce((sum, s, i) => {
    const x = lnPredicted + s;
    return x >= from && x <= to ? sum + (weights[i] ?? 0) : sum;
  }, 0);
}
