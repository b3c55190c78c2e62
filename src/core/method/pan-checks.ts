import { partOf } from '../matter/component-vector';
import { readPan } from '../pan/advance';
import { fillOf } from '../pan/fill';
import { liquidG, massG, type PanState, undissolvedG, unmeltedG } from '../pan/pan';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';

/** °C (J). */
const SETTING_C = 31;
const NEAR_BOIL_C = 2;
/** °C below its boil at which nothing simmers any more (J). */
const BELOW_SIMMER_C = 8;
/** g below which nothing is felt any more. */
export const LEFT_G = 0.5;

/** °C at which a pan boils; nothing where hardly anything liquid is in it. */
export const boilsAt = (pan: PanState) => (liquidG(pan) > 1 ? readPan(pan).boilsAtC : undefined);

/** Whether a pan is at the boil, or all but. */
export function isAtTheBoil(pan: PanState): boolean {
  const boilsAtC = boilsAt(pan);
  return boilsAtC !== undefined && pan.temperatureC > boilsAtC - NEAR_BOIL_C;
}

/** Why a step does not come to its end. */
function noEnd({ end: { temperatureC }, step, stopped, seconds }: FollowedStep, i: number): MethodFault {
  if (stopped === 'dry') return { kind: 'boilsDry', step: i, seconds };
  if (step.end.kind === 'boil' && step.heat) return { kind: 'neverBoils', step: i, temperatureC, heat: step.heat };
  return { kind: 'neverEnds', step: i, temperatureC, seconds };
}

/** A simmer that steams and does not bubble. */
function simmerFaults({ end, step }: FollowedStep, i: number): MethodFault[] {
  const boilsAtC = boilsAt(end);
  if (step.kind !== 'simmer' || !step.heat || boilsAtC === undefined) return [];
  const { temperatureC } = end;
  return temperatureC < boilsAtC - BELOW_SIMMER_C
    ? [{ kind: 'neverBoils', step: i, temperatureC, heat: step.heat }]
    : [];
}

/** Chocolate that nothing hot is poured over. */
const pouredFaults = ({ before, step }: FollowedStep, i: number): MethodFault[] =>
  step.kind === 'pourOver' && liquidG(before) <= 1 ? [{ kind: 'nothingPoured', step: i }] : [];

/** Faults of the pan itself: too small, catching, an end that never comes. */
export function panFaults(followed: FollowedStep, i: number): MethodFault[] {
  const { end, reached, start, step, stopped } = followed;
  const faults: MethodFault[] = [];
  const fill = fillOf(start);
  const boils = step.heat !== undefined && isAtTheBoil(end);
  if (fill === 'overflows' || (fill === 'boilsOver' && boils)) faults.push({ kind: fill, step: i });
  const caught = end.catching - start.catching;
  if (caught > 1) faults.push({ kind: 'catches', step: i });
  else if (caught > 0.3) faults.push({ kind: 'nearlyCatches', step: i });
  faults.push(...simmerFaults(followed, i), ...pouredFaults(followed, i));
  // What is left to melt or dissolve is told by itself.
  const { kind } = step.end;
  const left = kind === 'dissolved' ? undissolvedG(end) : kind === 'melted' || kind === 'bursts' ? unmeltedG(end) : 0;
  if (!reached && (left <= LEFT_G || stopped === 'dry')) faults.push(noEnd(followed, i));
  return faults;
}

/** Stirring on while the fat sets breaks an emulsion; whipping does so on purpose. */
export function settingFaults({ step, end }: FollowedStep, i: number): MethodFault[] {
  const stirs = step.stir > 0.3 && step.kind !== 'whip' && step.adds.length === 0;
  if (!stirs || end.temperatureC >= SETTING_C || massG(end) === 0) return [];
  const fat = partOf(end.liquid, 'cocoa_butter') / liquidG(end);
  return fat > 0.05 ? [{ kind: 'stirredWhileSetting', step: i, temperatureC: end.temperatureC }] : [];
}

/** °C off its pour at which a batch no longer pours as it should (J). */
export const OFF_POUR_C = 2.5;

/** A batch that has cooled past its pour before it is poured; what has set in the cold is not poured. */
export function pourFaults(followed: readonly FollowedStep[], pourC: number): MethodFault[] {
  const last = followed.at(-1);
  if (!last || massG(last.end) === 0 || followed.some(({ step }) => step.end.kind === 'stand')) return [];
  const { temperatureC } = last.end;
  const step = followed.length - 1;
  return temperatureC < pourC - OFF_POUR_C ? [{ kind: 'belowPour', step, temperatureC, pourC }] : [];
}
