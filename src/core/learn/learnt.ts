import type { Offset } from './calibration';

/**
 * What a kitchen's tests tell of: how it flows warm, how firm fat sets it, how firm gels and starch set it, how long that takes, how it shines.
 * The order is that of the rows of {@link KitchenKnowledge.covariance}.
 */
export const LEARNT = ['warm', 'cold', 'gel', 'time', 'shine'] as const;
export type Learnt = (typeof LEARNT)[number];

/** One number for each thing a kitchen learns. */
export type PerLearnt = Readonly<Record<Learnt, number>>;

/** Before any test of this kitchen, natural logarithms; shine on its index before the curve (J). */
export const KITCHEN_PRIOR: Readonly<Record<Learnt, Offset>> = {
  warm: { mean: 0, sd: 0.45 },
  cold: { mean: 0, sd: 0.65 },
  gel: { mean: 0, sd: 0.5 },
  time: { mean: 0, sd: 0.4 },
  shine: { mean: 0, sd: 0.8 },
};

/** How much chocolates differ beside what the label says, ln of any flow (J). */
export const CHOCOLATE_SD = 0.2;
/** How much formulas differ beside what the model says of them, ln of any flow: ten tests of one do not know the kitchen (J). */
export const FORMULA_SD = 0.3;
