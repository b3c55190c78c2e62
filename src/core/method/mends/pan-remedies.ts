import { nth } from '../../nth';
import { changedStep, movedStep, withStepAt } from '../edit-steps';
import type { HeatWord, MethodStep } from '../step';
import { coolTo, step } from '../ways/parts';
import { type Case, hereOf, type Remedy } from './remedy';

const ABOVE_KITCHEN_C = 3;
/** Share of the starch that is gelatinised when it no longer tastes floury. */
const COOKED = 0.9;

const LOWER: Readonly<Record<HeatWord, HeatWord>> = { high: 'medium', medium: 'low', low: 'low', bath: 'bath' };
const HIGHER: Readonly<Record<HeatWord, HeatWord>> = { low: 'medium', medium: 'high', high: 'high', bath: 'low' };

/** Warms what is in a vessel, over the flame or over steam, until it is so warm. */
const warmTo = (temperatureC: number, where: MethodStep['where']): MethodStep =>
  step('warm', where, { kind: 'temperature', temperatureC }, { heat: 'low', stir: 0.4, tool: 'spatula' });

/** Cooled or warmed just before a step. */
export const before = ({ steps, at }: Case, kind: 'coolFirst' | 'warmFirst', temperatureC: number): Remedy => {
  const where = nth(steps, at).where;
  return [
    kind,
    withStepAt(steps, at, kind === 'coolFirst' ? coolTo(temperatureC, where) : warmTo(temperatureC, where)),
  ];
};

/** Warmed again at the end, gently, to where it pours. */
export const warmedAgain = ({ steps, at }: Case, pourC: number): Remedy => [
  'warmAgain',
  withStepAt(steps, at + 1, warmTo(pourC, nth(steps, at).where)),
];

/** Put off, step by step, until it is cool enough by itself. */
export const putOff = ({ steps, at }: Case): Remedy[] =>
  steps.slice(at + 1).map((_, i) => ['whenItIsCooler', movedStep(steps, at, at + 1 + i)] as const);

/** Less heat under it, more of the spoon in it. */
export function gentler(which: Case): Remedy[] {
  const { steps, at } = which;
  const { heat, stir, kind, end } = hereOf(which);
  const lower = heat && LOWER[heat];
  return [
    ['stirMore', changedStep(steps, at, { stir: Math.max(stir, 0.8) })],
    ['stirMore', changedStep(steps, at, { stir: 1 })],
    // Starch is cooked before a thick pan boils.
    ...(kind === 'slurry' && end.kind === 'boil'
      ? [['onceCooked', changedStep(steps, at, { end: { kind: 'cooked', share: COOKED } })] as const]
      : []),
    ['lowerHeat', changedStep(steps, at, { heat: lower })],
    ['lowerHeat', changedStep(steps, at, { heat: lower, stir: Math.max(stir, 0.8) })],
    ['lowerHeat', changedStep(steps, at, { heat: 'low', stir: Math.max(stir, 0.8) })],
  ];
}

/** An end that never comes: more heat for one above, a nearer end for one below the kitchen. */
export function reaching(which: Case): Remedy[] {
  const { steps, at, kitchen } = which;
  const { heat, end } = hereOf(which);
  const hotter = heat ? HIGHER[heat] : 'medium';
  const nearest = kitchen.kitchenC + ABOVE_KITCHEN_C;
  return [
    ...('temperatureC' in end && end.temperatureC < nearest
      ? [['nearerEnd', changedStep(steps, at, { end: { ...end, temperatureC: nearest }, heat: undefined })] as const]
      : []),
    ['moreHeat', changedStep(steps, at, { heat: hotter })],
    ['moreHeat', changedStep(steps, at, { heat: 'high', stir: Math.max(hereOf(which).stir, 0.6) })],
    ['offTheHeat', changedStep(steps, at, { heat: undefined })],
  ];
}
