import { yieldForSpoonLine } from '../flow/film';
import { type Ribbon, ribbonOf } from '../flow/ribbon';
import { plateDiameter } from '../flow/ring-spread';
import { type Tasted, tastedByTheBook } from '../learn/tongue';
import { usualHistory } from '../matter/process';
import { stateAt } from '../predict/state';
import { chocolateColour } from '../shine/colour';
import type { HiddenPan } from './hidden-pan';

/** What a cook has of a pan: nothing that is not seen, felt, read or tasted. */
export interface Seen {
  readonly temperatureC: number;
  /** mm across, 20 ml on a plate after 30 s */
  readonly ringMm: number;
  /** a line drawn through the back of a spoon stays */
  readonly lineStays: boolean;
  readonly ribbon: Ribbon;
  /** 0-100 */
  readonly shine: number;
  readonly grit: 'smooth' | 'flecks' | 'sandy';
  /** a rim has dried on above the sauce */
  readonly driedRim: boolean;
  /** a skin has formed while it stood */
  readonly hasSkin: boolean;
  readonly hasBubbles: boolean;
  readonly taste: Tasted;
  readonly colour: string;
  /** how it is drawn moving: Pa·s, Pa, kg/m³ */
  readonly plasticViscosityPaS: number;
  readonly yieldStressPa: number;
  readonly densityKgM3: number;
}

/** min after which a warm pan that gives off water skins, and how moist it must be (J). */
const SKIN_AFTER_MIN = 14;
const SKIN_FROM_AW = 0.85;
/** Part of all water that must have gone so that the pan shows a rim, or min that it stood (J): the one looks like the other. */
const RIM_SHOWS = 0.12;
const RIM_AFTER_MIN = 16;

/**
 * What is seen of a hidden pan at a temperature.
 *
 * @param temperatureC 0-100 °C
 */
export function observe(pan: HiddenPan, temperatureC: number): Seen {
  const { flow, shine, waterActivity } = stateAt(pan.batch, temperatureC, usualHistory(temperatureC));
  const densityKgM3 = flow.phases.densityKgM3;
  const moving = { plasticViscosityPaS: flow.plasticViscosityPaS, yieldStressPa: flow.yieldStressPa, densityKgM3 };
  const water = pan.batch.mixture.waterG + pan.lostWaterG;
  return {
    temperatureC,
    ringMm: plateDiameter(moving),
    lineStays: flow.yieldStressPa >= yieldForSpoonLine(moving),
    ribbon: ribbonOf(flow.resistancePa),
    shine: pan.cause === 'sugarLate' ? 0.6 * shine : shine,
    grit: pan.cause === 'notHot' ? 'flecks' : pan.cause === 'sugarLate' ? 'sandy' : 'smooth',
    driedRim: pan.lostWaterG > RIM_SHOWS * water || pan.stoodMin > RIM_AFTER_MIN,
    hasSkin: pan.stoodMin > SKIN_AFTER_MIN && waterActivity > SKIN_FROM_AW,
    hasBubbles: pan.isFoamy,
    taste: tastedByTheBook(pan.batch),
    colour: chocolateColour(pan.batch.mixture),
    ...moving,
  };
}
