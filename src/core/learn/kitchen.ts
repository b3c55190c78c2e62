import type { Process } from '../matter/process';
import { type Offset, PRIOR } from './calibration';
import type { TestReading } from './kitchen-tests';
import { LEARNT, type Learnt } from './learnt';

/** A reading with the chocolate it was read of, if there was one. */
export interface KitchenReading extends TestReading {
  /** id of the ingredient */
  readonly chocolate?: string | undefined;
}

/** An offset with the number of tests it rests on. */
export interface LearntOffset extends Offset {
  readonly tests: number;
}

/** What a kitchen's own tests taught: one offset for each quantity, and one a chocolate where there are enough of it. */
export interface KitchenKnowledge {
  readonly offsets: Readonly<Record<Learnt, LearntOffset>>;
  /** of the warm flow, beside the kitchen's own, by ingredient */
  readonly chocolates: Readonly<Record<string, LearntOffset>>;
  /** tests that count */
  readonly tests: number;
}

/** Before any test. The time it takes to set has an sd of 0.4 on the ln of its half time (J). */
export const KITCHEN_PRIOR: Readonly<Record<Learnt, Offset>> = { ...PRIOR, time: { mean: 0, sd: 0.4 } };

/** How much chocolates differ beside what the label says, ln (J). */
const CHOCOLATE_SD = 0.2;
/** Tests of a chocolate from which on it has an offset of its own, and other chocolates there must be. */
const ENOUGH = 3;
/** From so many tests on the kitchen's own figures are shown. */
export const KITCHEN_FROM_TESTS = 3;

/** Nothing learnt yet. */
export const NOTHING_LEARNT: KitchenKnowledge = {
  offsets: {
    warm: { ...KITCHEN_PRIOR.warm, tests: 0 },
    cold: { ...KITCHEN_PRIOR.cold, tests: 0 },
    shine: { ...KITCHEN_PRIOR.shine, tests: 0 },
    time: { ...KITCHEN_PRIOR.time, tests: 0 },
  },
  chocolates: {},
  tests: 0,
};

/** Sums that do not hang on the order things come in. */
const sumOf = (values: readonly number[]) => values.toSorted((a, b) => a - b).reduce((sum, value) => sum + value, 0);

/** Posterior of a normal mean. */
function posterior(
  prior: Offset,
  readings: readonly { readonly residual: number; readonly variance: number }[],
): LearntOffset {
  if (readings.length === 0) return { ...prior, tests: 0 };
  const precision = 1 / prior.sd ** 2 + sumOf(readings.map(({ variance }) => 1 / variance));
  const weighted = prior.mean / prior.sd ** 2 + sumOf(readings.map(({ residual, variance }) => residual / variance));
  return { mean: weighted / precision, sd: 1 / Math.sqrt(precision), tests: readings.length };
}

/** Readings of one chocolate as one: their mean, with what a chocolate may be off. */
function asGroup(readings: readonly KitchenReading[]) {
  const precision = sumOf(readings.map(({ se }) => 1 / se ** 2));
  const mean = sumOf(readings.map(({ residual, se }) => residual / se ** 2)) / precision;
  return { mean, variance: 1 / precision };
}

/**
 * Learns what a kitchen's tests teach, from all of them at once: their order makes no difference, to the last digit.
 *
 * Warm readings of the same chocolate share what that chocolate is off: they count as one group, so that a kitchen that tests a single chocolate
 * often is not surer of itself than it may be.
 *
 * @param readings any number; those set aside left out
 * @see Bayes' rule for normal means, chocolates as a random effect
 */
export function learnKitchen(readings: readonly KitchenReading[]): KitchenKnowledge {
  const of = (about: Learnt) => readings.filter((each) => each.about === about);
  const plain = (about: Learnt) =>
    posterior(
      KITCHEN_PRIOR[about],
      of(about).map(({ residual, se }) => ({ residual, variance: se ** 2 })),
    );
  const groups = new Map<string, KitchenReading[]>();
  for (const reading of of('warm')) {
    const key = reading.chocolate ?? '';
    const group = groups.get(key);
    if (group) group.push(reading);
    else groups.set(key, [reading]);
  }
  const known = [...groups].filter(([key]) => key !== '').length > 1;
  const warm = !known
    ? plain('warm')
    : {
        ...posterior(
          KITCHEN_PRIOR.warm,
          [...groups.values()].map((group) => {
            const { mean, variance } = asGroup(group);
            return { residual: mean, variance: variance + CHOCOLATE_SD ** 2 };
          }),
        ),
        tests: of('warm').length,
      };
  const chocolates = Object.fromEntries(
    [...groups].flatMap(([key, group]): [string, LearntOffset][] => {
      if (key === '' || !known || group.length < ENOUGH) return [];
      const { mean, variance } = asGroup(group);
      const own = posterior({ mean: 0, sd: CHOCOLATE_SD }, [
        { residual: mean - warm.mean, variance: variance + warm.sd ** 2 },
      ]);
      return [[key, { ...own, tests: group.length }]];
    }),
  );
  return {
    offsets: { warm, cold: plain('cold'), shine: plain('shine'), time: plain('time') },
    chocolates,
    tests: readings.filter(({ about }) => LEARNT.includes(about)).length,
  };
}

/** A test so far from what is believed that it is rather a slip: a wrong figure, another batch. */
const GROSS_SD = 3;

/** Whether a reading lies so far off that the cook is asked about it. */
export function isGross({ residual, se }: TestReading, believed: Offset): boolean {
  return Math.abs(residual - believed.mean) > GROSS_SD * Math.hypot(se, believed.sd);
}

/** A process as the book has it: without any offset. */
export const inAnyKitchen = (process: Process): Process => ({
  ...process,
  warmOffset: 0,
  coldOffset: 0,
  learnt: undefined,
});

/** A process as it goes in this kitchen: its offsets on top of the formula's own, and how sure they are. */
export function inThisKitchen(
  process: Process,
  { offsets, chocolates }: KitchenKnowledge,
  chocolate?: string,
): Process {
  const own = chocolate !== undefined && Object.hasOwn(chocolates, chocolate) ? chocolates[chocolate] : undefined;
  return {
    ...process,
    warmOffset: process.warmOffset + offsets.warm.mean + (own?.mean ?? 0),
    coldOffset: process.coldOffset + offsets.cold.mean,
    learnt: {
      warmSd: own ? Math.hypot(offsets.warm.sd, own.sd) : offsets.warm.sd,
      coldSd: offsets.cold.sd,
      shine: { mean: offsets.shine.mean, sd: offsets.shine.sd },
    },
  };
}
