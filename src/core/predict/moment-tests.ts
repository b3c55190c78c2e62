import { filmThickness, spoonCoat, yieldForSpoonLine } from '../flow/film';
import { HAND_LIMIT_PA, standingHeight } from '../flow/piping';
import { spreadDiameter } from '../flow/ring-spread';
import { ballDepth } from '../set/indentation';
import type { State } from './state';

/** What kitchen tests would show at a moment. */
export interface MomentTests {
  /** mm, 50 ml from a 5 cm ring after 30 s */
  readonly ringMm: number;
  /** mm left on a vertical side 5 cm below the rim after 5 s */
  readonly sideMm: number;
  /** mm on the back of a spoon after 5 s, and whether a line drawn through it holds */
  readonly spoonMm: number;
  readonly lineHolds: boolean;
  /** mm a piped mound can be high and stand */
  readonly standsMm: number;
  /** whether a hand can squeeze it through a 10 mm tip */
  readonly pipes: boolean;
  /** mm a spoon's bowl of 22 g sinks in; nothing where it sinks right in */
  readonly spoonSinksMm: number | undefined;
}

const SPOON_BOWL = { weightG: 22, radiusMm: 19 };

/** Works out what the kitchen tests would show in a state. */
export function momentTests({ flow }: State): MomentTests {
  const part = {
    plasticViscosityPaS: flow.plasticViscosityPaS,
    apparentViscosityPaS: flow.apparentViscosityPaS,
    yieldStressPa: flow.yieldStressPa,
    densityKgM3: flow.phases.densityKgM3,
  };
  const sinks = ballDepth(flow.yieldStressPa, SPOON_BOWL.weightG, SPOON_BOWL.radiusMm);
  return {
    ringMm: spreadDiameter(part, 50, 30),
    sideMm: filmThickness(part, 0.05, 5),
    spoonMm: spoonCoat(part),
    lineHolds: flow.yieldStressPa >= yieldForSpoonLine(part),
    standsMm: standingHeight(flow.yieldStressPa, part.densityKgM3),
    pipes: flow.yieldStressPa <= HAND_LIMIT_PA,
    spoonSinksMm: sinks < SPOON_BOWL.radiusMm ? sinks : undefined,
  };
}
