import { nth } from '../nth';
import { nearestStep, somebodysPan, type Tomorrow, truthOf } from './exercises';
import { observe } from './observe';

/** Pans that might have been drawn instead. */
const PANS = 240;
/** mm a ring is read to, and how near a ring must lie to be the same to a cook, sd (J). */
const RING_READ_MM = 2.5;
/** A weight that no longer counts, and the least of all weights together that says something. */
const NOTHING = 1e-3;
const FEW = 4;
/** Seeds of these pans lie far from those that are drawn. */
const OTHER_SEEDS = 1_000_003;

/**
 * How likely each step of a call was by what the pan showed: of pans disturbed in the same ways those weigh most whose ring is the same.
 *
 * @returns a part of 1 for each step; nothing where hardly any pan shows the same
 * @see importance sampling from the prior of the draw
 */
export function likelySteps(exercise: Tomorrow): readonly number[] | undefined {
  const { pan, atC, steps, seed } = exercise;
  const shownMm = observe(pan, atC).ringMm;
  const weights = steps.map(() => 0);
  for (let i = 0; i < PANS; i++) {
    const other = somebodysPan(pan.base, seed + OTHER_SEEDS + i);
    const off = (observe(other, atC).ringMm - shownMm) / RING_READ_MM;
    const weight = Math.exp(-(off ** 2) / 2);
    if (weight < NOTHING) continue;
    const step = nearestStep(truthOf({ ...exercise, pan: other }), steps);
    weights[step] = nth(weights, step) + weight;
  }
  const sum = weights.reduce((all, each) => all + each, 0);
  return sum < FEW ? undefined : weights.map((weight) => weight / sum);
}
