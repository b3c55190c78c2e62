import { partOf } from '../matter/component-vector';
import { readPan } from '../pan/advance';
import { isDissolved } from '../pan/follow';
import { liquidG, undissolvedG, unmeltedG } from '../pan/pan';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { LEFT_G } from './pan-checks';
import { isPale } from './row-role';
import { neededAgainstSeizing } from './seize-window';

/** °C chocolate takes while fat surrounds its sugar (J). */
const DARK_MOST_C = 55;
const PALE_MOST_C = 48;
const WATER_OUTSIDE = 0.5;

/** What stays unmelted or undissolved. */
function leftFaults({ end, step, together, reached }: FollowedStep, i: number, isLast: boolean): MethodFault[] {
  const faults: MethodFault[] = [];
  const ends = step.end.kind;
  const unmelted = unmeltedG(end);
  if (unmelted > LEFT_G && (isLast || ((ends === 'melted' || ends === 'bursts') && !reached))) {
    faults.push({ kind: 'unmelted', step: i, grams: unmelted, togetherC: together?.temperatureC });
  }
  const undissolved = undissolvedG(end);
  if (undissolved > LEFT_G && !isDissolved(end) && (isLast || (ends === 'dissolved' && !reached))) {
    faults.push({ kind: 'undissolved', step: i, grams: undissolved });
  }
  return faults;
}

/** Chocolate that is heated while no water surrounds its fat. */
function heatFaults({ end, start }: FollowedStep, i: number): MethodFault[] {
  const chocolate = start.lumps.find(
    ({ kind, perGram }) => kind === 'piece' && partOf(perGram, 'cocoa_solids') + partOf(perGram, 'sucrose') > 0.1,
  );
  if (!chocolate || liquidG(end) <= 1) return [];
  const mostC = isPale(chocolate.perGram) ? PALE_MOST_C : DARK_MOST_C;
  const isBare = readPan(end).waterContinuous < WATER_OUTSIDE;
  return end.temperatureC > mostC && isBare
    ? [{ kind: 'chocolateTooHot', step: i, temperatureC: end.temperatureC, mostC }]
    : [];
}

/** Water that goes into melted chocolate, too little at a time. */
function seizeFaults({ start, additions }: FollowedStep, i: number): MethodFault[] {
  const wet = additions.filter(({ as, perGram }) => as === 'liquid' && partOf(perGram, 'water') > 0.2);
  const neededG = wet.length > 0 ? neededAgainstSeizing(start, wet) : undefined;
  return neededG === undefined ? [] : [{ kind: 'seizes', step: i, neededG }];
}

/** Faults of melting, dissolving and seizing. */
export function lumpFaults(followed: FollowedStep, i: number, isLast: boolean): MethodFault[] {
  return [...leftFaults(followed, i, isLast), ...heatFaults(followed, i), ...seizeFaults(followed, i)];
}
