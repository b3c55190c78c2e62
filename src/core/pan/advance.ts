import { partOf } from '../matter/component-vector';
import { COMPONENT_INDEX, type ComponentVector } from '../matter/components';
import { catchingRate, wallTemperature } from './catching';
import { DRY_G, warmDry } from './dry';
import { giveWay } from './give-way';
import { bathHeat, type Hob, hobHeat, microwaveHeat } from './heat-source';
import { type LiquidReading, readLiquid } from './liquid-reading';
import { liquidG, massG, type PanState, TOOL_MIX, type Tool } from './pan';
import { starchGoal } from './starch-cooking';
import { baseArea, lossToKitchen } from './vessel';
import { STEAM_HEAT, surfaceLoss } from './water';

/** What is done to the pan while time passes. */
export interface Doing {
  readonly hob?: Hob | undefined;
  /** over simmering water: nothing catches there */
  readonly bath?: boolean | undefined;
  /** W of the microwave it stands in */
  readonly microwaveW?: number | undefined;
  /** 0 left alone, 0.3 now and then, 0.6 whisked, 1 hard */
  readonly stir: number;
  readonly tool?: Tool | undefined;
  /** 0 open, 1 covered */
  readonly cover: number;
}

/** Alcohol leaves with the water: its share falls with this power of the water's (F). */
const ALCOHOL_POWER = 6;
/** s in which starch cooks, and in which stirring brings the emulsion to what a tool can (J). */
const STARCH_SECONDS = 42;
const STIR_SECONDS = 20;
/** Below this a surface stands still. */
const STILL = 0.05;
/** Most a step warms or cools the liquid, °C, and the most parts a second is cut into for it. */
const MOST_STEP_C = 4;
const MOST_PARTS = 50;

/** W that come in. */
export function heatIn(pan: PanState, { hob, bath, microwaveW }: Doing): number {
  const steam = bath ? bathHeat(pan.temperatureC, pan.vessel) : 0;
  return (hob ? hobHeat(hob, pan.vessel) : 0) + steam + (microwaveW ? microwaveHeat(microwaveW, massG(pan)) : 0);
}

/** W that leave to the kitchen, steam apart. */
export function heatLost({ vessel, temperatureC }: PanState): number {
  return lossToKitchen(temperatureC, vessel);
}

/** Takes water out of a liquid, in place; alcohol goes with it. */
function loseWater(liquid: ComponentVector, grams: number): { waterG: number; ethanolG: number } {
  const water = partOf(liquid, 'water');
  const ethanol = partOf(liquid, 'ethanol');
  const waterG = Math.min(grams, water);
  liquid[COMPONENT_INDEX.water] = water - waterG;
  const left = ethanol > 0 && water > 0 ? ethanol * ((water - waterG) / water) ** ALCOHOL_POWER : ethanol;
  liquid[COMPONENT_INDEX.ethanol] = left;
  return { waterG, ethanolG: ethanol - left };
}

/** Reads the liquid of a pan. */
export const readPan = (pan: PanState): LiquidReading =>
  readLiquid(pan.liquid, pan.temperatureC, pan, pan.vessel.altitudeM);

/** Comes nearer to a goal that lies above, never away from it. */
const towards = (now: number, goal: number, share: number) => now + Math.max(goal - now, 0) * share;

/**
 * Lets a moment pass.
 *
 * @param pan something in it
 * @param doing what is done meanwhile
 * @param seconds 1 or less; up to 5 where it only cools slowly
 * @param reading of its liquid, now or a little earlier
 */
export function advance(pan: PanState, doing: Doing, seconds: number, reading: LiquidReading): PanState {
  const grams = liquidG(pan);
  const heatW = heatIn(pan, doing);
  if (grams < DRY_G) return warmDry(pan, heatW, seconds);
  const capacity = (grams / 1000) * reading.heatCapacity;
  const swing = (Math.abs(heatW - heatLost(pan)) * seconds) / capacity;
  const parts = Math.min(Math.ceil(swing / MOST_STEP_C), MOST_PARTS);
  if (parts <= 1) return advancePart(pan, doing, seconds, reading, capacity);
  let next = pan;
  for (let i = 0; i < parts; i++) {
    const now = i === 0 ? reading : readPan(next);
    next = advancePart(next, doing, seconds / parts, now, (liquidG(next) / 1000) * now.heatCapacity);
  }
  return { ...next, seconds: pan.seconds + seconds };
}

/** One part of a moment. `capacity` is that of the liquid, J/K. */
function advancePart(pan: PanState, doing: Doing, seconds: number, reading: LiquidReading, capacity: number): PanState {
  const { vessel, temperatureC } = pan;
  const { stir, cover, tool, bath, microwaveW } = doing;
  const heatW = heatIn(pan, doing);
  const most = partOf(pan.liquid, 'water') / 1000 / seconds;
  const evaporates = Math.min(surfaceLoss(temperatureC, reading.waterActivity, vessel, cover), most);
  const netJ = (heatW - heatLost(pan) - STEAM_HEAT * evaporates) * seconds;

  const liquid = pan.liquid.slice();
  const spareJ = (meltsAtC: number) => capacity * (temperatureC - meltsAtC) + Math.max(netJ, 0);
  const joined = giveWay(pan.lumps, liquid, { temperatureC, stir, reading }, spareJ, seconds);

  const warmed = temperatureC + (netJ - joined.heatJ) / capacity;
  const surplusJ = Math.max(warmed - reading.boilsAtC, 0) * capacity;
  const surfaceG = 1000 * evaporates * seconds;
  const { waterG, ethanolG } = loseWater(liquid, surfaceG + (1000 * surplusJ) / STEAM_HEAT);
  // What boils off carries the surplus away; a pan boiled dry has no more to carry it, and warms on.
  const carriedJ = (STEAM_HEAT * Math.max(waterG - surfaceG, 0)) / 1000;
  const next = warmed - Math.min(carriedJ, surplusJ) / capacity;

  const minutes = seconds / 60;
  const wall =
    microwaveW || bath ? undefined : wallTemperature(temperatureC, heatW, reading.baseViscosityPaS, stir, vessel);
  const hasStarch = partOf(liquid, 'starch') > 0;
  return {
    ...pan,
    seconds: pan.seconds + seconds,
    temperatureC: next,
    hottestC: Math.max(pan.hottestC, next),
    liquid,
    lumps: joined.lumps,
    cook: hasStarch
      ? towards(pan.cook, starchGoal(next, reading.sugar), 1 - Math.exp(-seconds / STARCH_SECONDS))
      : pan.cook,
    mix: tool ? towards(pan.mix, TOOL_MIX[tool], 1 - Math.exp((-seconds * stir) / STIR_SECONDS)) : pan.mix,
    catching: pan.catching + (wall === undefined ? 0 : minutes * catchingRate(wall, reading.waterContinuous)),
    skin: stir < STILL ? pan.skin + (1000 * evaporates * seconds) / baseArea(vessel) : 0,
    lostWaterG: pan.lostWaterG + waterG,
    lostEthanolG: pan.lostEthanolG + ethanolG,
  };
}
