import { normalCdf } from '../normal';
import { type Offset, READING_SD } from './calibration';

/** What an eye says of a flow beside how it was drawn. */
export const SEEN_CLASSES = ['thinner', 'like', 'thicker'] as const;
export type SeenClass = (typeof SEEN_CLASSES)[number];

/** Points of the grid an offset is summed over, and how many sd it reaches either way. */
const POINTS = 161;
const REACH_SD = 5;

/** How likely an eye says a class of a flow that is thicker by so much, in ln: two thresholds with the doubt of an eye (probit). */
function likelihood(seen: SeenClass, thickerLn: number, thresholdLn: number): number {
  const above = (edge: number) => normalCdf((thickerLn - edge) / READING_SD.threshold);
  if (seen === 'thicker') return above(thresholdLn);
  return seen === 'thinner' ? 1 - above(-thresholdLn) : above(-thresholdLn) - above(thresholdLn);
}

/**
 * Learns one offset from classes that were seen: Bayes' rule over a grid, then the normal of the same mean and spread.
 *
 * @param prior what was known, ln
 * @param seen any number
 * @param thresholdLn ln of the factor from which a flow counts as another, above 0
 * @see ordered probit (McCullagh 1980); the doubt of an eye is judgement
 */
export function learnSeen(prior: Offset, seen: readonly SeenClass[], thresholdLn: number): Offset {
  if (seen.length === 0) return prior;
  let [sum, first, second] = [0, 0, 0];
  for (let i = 0; i < POINTS; i++) {
    const z = REACH_SD * ((2 * i) / (POINTS - 1) - 1);
    const at = prior.mean + z * prior.sd;
    const weight = seen.reduce((all, each) => all * likelihood(each, at, thresholdLn), Math.exp(-(z * z) / 2));
    sum += weight;
    first += weight * at;
    second += weight * at * at;
  }
  if (!(sum > 0)) return prior;
  const mean = first / sum;
  return { mean, sd: Math.sqrt(Math.max(second / sum - mean * mean, 1e-12)) };
}
