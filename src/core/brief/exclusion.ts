import { SLOW_STIR } from '../flow/casson';
import { resistanceBands } from './resistance-bands';
import type { BriefTargets } from './targets';

/** What cannot both be had from one batch, and why. */
export interface Exclusion {
  readonly kind: 'sameMoment' | 'colderThinner' | 'tooSteep';
  /** names of the moments */
  readonly warmer: string;
  readonly colder: string;
  /** Pa: least asked of the warmer, most allowed of the colder (or the other way round for `tooSteep`) */
  readonly leastPa: number;
  readonly mostPa: number;
}

/** Steepest rise on cooling any formula can show, ln(resistance) per °C, and what setting with time can add (J). */
const STEEPEST_PER_C = 0.65;
const SETTING = 3;

/** Bands asked twice of one quantity at one moment that do not meet. */
function apart({ moments, gates }: BriefTargets): Exclusion[] {
  return moments.flatMap(({ name }) =>
    (['apparentViscosityPaS', 'yieldStressPa'] as const).flatMap((quantity): Exclusion[] => {
      const own = gates.map(({ gate }) => gate).filter((gate) => gate.moment === name && gate.quantity === quantity);
      const low = Math.max(0, ...own.map((gate) => gate.low ?? 0));
      const high = Math.min(Number.POSITIVE_INFINITY, ...own.map((gate) => gate.high ?? Number.POSITIVE_INFINITY));
      const times = quantity === 'apparentViscosityPaS' ? SLOW_STIR : 1;
      return low > high
        ? [{ kind: 'sameMoment', warmer: name, colder: name, leastPa: times * low, mostPa: times * high }]
        : [];
    }),
  );
}

/**
 * Whether the gates of a brief exclude each other on any curve there can be: a batch is never stiffer warm than cold, and none stiffens
 * faster on cooling than cocoa butter sets. What passes here may still be beyond the larder: only a balance tells that.
 *
 * @returns the pairs that exclude each other; none when one batch may do it all
 */
export function exclusions(targets: BriefTargets): Exclusion[] {
  const bands = resistanceBands(targets).sort((a, b) => b.moment.temperatureC - a.moment.temperatureC);
  const pairs = bands.flatMap((warm, i) => bands.slice(i + 1).map((cold) => ({ warm, cold })));
  const found = pairs.flatMap(({ warm, cold }): Exclusion[] => {
    const apartC = warm.moment.temperatureC - cold.moment.temperatureC;
    const names = { warmer: warm.moment.name, colder: cold.moment.name };
    if (apartC > 1 && warm.low > cold.high) {
      return [{ kind: 'colderThinner', ...names, leastPa: warm.low, mostPa: cold.high }];
    }
    const steepest = Math.exp(STEEPEST_PER_C * apartC + SETTING);
    return cold.low > warm.high * steepest
      ? [{ kind: 'tooSteep', ...names, leastPa: cold.low, mostPa: warm.high }]
      : [];
  });
  return [...apart(targets), ...found];
}
