import type { FaultNumbers } from '@/kitchen/words/method-fault-words';
import { duration } from './duration';
import { celsius, percent, significant, weight } from './format';

/** How numbers of a method's faults are written on screens. */
export const faultNumbers = (names: readonly string[]): FaultNumbers => ({
  celsius: (c) => celsius(Math.round(c)),
  weight: (g) => weight(Math.round(g * 10) / 10),
  percent,
  ratio: (value) => significant(value),
  duration,
  row: (row) => names[row] ?? '',
});
