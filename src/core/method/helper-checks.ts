import { partOf } from '../matter/component-vector';
import { massG } from '../pan/pan';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { boilsAt, isAtTheBoil } from './pan-checks';

/** g of liquid a gram of starch is slaked in at least, and a gram of gelatin soaked in (J). */
const SLURRY_LEAST = 4;
const SOAK_LEAST = 3;
/** Share of the starch that is gelatinised when it no longer tastes floury. */
const COOKED_LEAST = 0.85;
/** °C between which each goes in. */
const BUTTER = { from: 35, to: 60 };
const GELATIN = { from: 50, to: 80 };
const BLENDER = { from: 32, to: 45 };
const SPIRIT_MOST_C = 70;
const BELOW_BOIL_C = 5;
/** °C cream with chocolate in it still takes air at (J). */
const WHIP_MOST_C = 10;
/** Shares of the pan and of the alcohol from which a spirit that is heated is told. */
const SPIRITED = 0.005;
const SPIRIT_LOST = 0.05;

/** What is made beside the pan: starch slaked thinly enough, gelatin soaked in enough. */
export function asideFaults({ additions }: FollowedStep, i: number): MethodFault[] {
  const holds = (name: 'starch' | 'gelatin' | 'water') =>
    additions.reduce((sum, { perGram, grams }) => sum + grams * partOf(perGram, name), 0);
  const [starch, gelatin] = [holds('starch'), holds('gelatin')];
  const others = additions.reduce((sum, { grams }) => sum + grams, 0) - starch;
  const faults: MethodFault[] = [];
  if (starch > 0 && others / starch < SLURRY_LEAST) {
    faults.push({ kind: 'slurryThick', step: i, perGram: others / starch });
  }
  if (gelatin > 0 && holds('water') / gelatin < SOAK_LEAST) {
    faults.push({ kind: 'gelatinDry', step: i, perGram: holds('water') / gelatin });
  }
  return faults;
}

function starchFaults({ step, before, end }: FollowedStep, i: number): MethodFault[] {
  if (step.kind === 'slurry' && before.temperatureC < (boilsAt(before) ?? 100) - BELOW_BOIL_C) {
    return [{ kind: 'slurryNotBoiling', step: i, temperatureC: before.temperatureC }];
  }
  const isFloury = step.kind === 'cookOut' && partOf(end.liquid, 'starch') > 0 && end.cook < COOKED_LEAST;
  return isFloury ? [{ kind: 'floury', step: i, cooked: end.cook }] : [];
}

function gelatinFaults({ step, before, start, end }: FollowedStep, i: number): MethodFault[] {
  const { temperatureC } = before;
  if (step.kind === 'gelatin') {
    if (temperatureC < GELATIN.from) return [{ kind: 'gelatinCold', step: i, temperatureC }];
    return temperatureC > GELATIN.to ? [{ kind: 'gelatinHot', step: i, temperatureC }] : [];
  }
  return partOf(start.liquid, 'gelatin') > 0 && isAtTheBoil(end) ? [{ kind: 'gelatinBoiled', step: i }] : [];
}

/** Butter, whisk and blender: each has its warmth. */
function warmthFaults({ step, before, start }: FollowedStep, i: number): MethodFault[] {
  const { temperatureC } = before;
  if (step.kind === 'butter') {
    if (temperatureC > BUTTER.to) return [{ kind: 'butterTooWarm', step: i, temperatureC }];
    return temperatureC < BUTTER.from ? [{ kind: 'butterTooCold', step: i, temperatureC }] : [];
  }
  if (step.kind === 'whip' && start.temperatureC > WHIP_MOST_C) {
    return [{ kind: 'whipWarm', step: i, temperatureC: start.temperatureC }];
  }
  const isOff = start.temperatureC < BLENDER.from || start.temperatureC > BLENDER.to;
  return step.kind === 'blend' && isOff
    ? [{ kind: 'blenderTemperature', step: i, temperatureC: start.temperatureC }]
    : [];
}

/** A spirit that goes into something hot, or is heated with the rest. */
function spiritFaults({ step, before, start, end }: FollowedStep, i: number): MethodFault[] {
  const had = partOf(start.liquid, 'ethanol');
  const lost = had > 0 ? (end.lostEthanolG - start.lostEthanolG) / had : 0;
  const temperatureC = Math.max(before.temperatureC, step.heat ? end.temperatureC : 0);
  if (temperatureC <= SPIRIT_MOST_C || (step.kind !== 'spirit' && had < SPIRITED * massG(start))) return [];
  const isHeated = step.heat !== undefined && lost > SPIRIT_LOST;
  return step.kind === 'spirit' || isHeated ? [{ kind: 'spiritHot', step: i, temperatureC, lost }] : [];
}

/** Faults of what must be cooked, soaked or kept cool, in the pan. */
export function helperFaults(followed: FollowedStep, i: number): MethodFault[] {
  return [
    ...starchFaults(followed, i),
    ...gelatinFaults(followed, i),
    ...warmthFaults(followed, i),
    ...spiritFaults(followed, i),
  ];
}
