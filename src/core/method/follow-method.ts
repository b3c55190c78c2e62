import { partOf } from '../matter/component-vector';
import { type Addition, add } from '../pan/add';
import type { Doing } from '../pan/advance';
import { inBursts, type PlannedBurst } from '../pan/burst-plan';
import { follow, type Stopped } from '../pan/follow';
import { emptyPan, liquidG, massG, type PanState } from '../pan/pan';
import { bowlOf, type StandingReading, settle } from '../pan/settle';
import { type Together, together } from '../pan/together';
import type { Vessel } from '../pan/vessel';
import { COOLING_PLACES } from '../set/cooling';
import type { MethodKitchen } from './kitchen';
import { rowAddition } from './row-addition';
import { isPale } from './row-role';
import type { MethodRows } from './rows';
import { HEAT_LEVELS, type Method, type MethodStep } from './step';

/** A step as it goes for this batch. */
export interface FollowedStep {
  readonly step: MethodStep;
  /** what goes in at its beginning, aside or not */
  readonly additions: readonly Addition[];
  /** before anything goes in, once it is in, and at the end; an aside step has no pan of its own */
  readonly before: PanState;
  readonly start: PanState;
  readonly end: PanState;
  readonly seconds: number;
  readonly reached: boolean;
  /** why it did not come to its end, of a step on or off the heat */
  readonly stopped?: Stopped | undefined;
  /** what the heat of all parts comes to, where pieces meet something warm */
  readonly together?: Together | undefined;
  /** burst by burst, and °C of the hottest place of all */
  readonly bursts?: readonly PlannedBurst[] | undefined;
  readonly hottestC?: number | undefined;
  /** edge and centre at the end of a stand */
  readonly standing?: StandingReading | undefined;
  /** s and °C along the way, at most some dozens */
  readonly curve: readonly (readonly [seconds: number, temperatureC: number])[];
}

/** Points of a step's curve. */
const CURVE_POINTS = 40;
/** °C no place of a bowl may pass in a microwave (J). */
const HOTTEST_C = { dark: 50, pale: 45, watery: 85 };
const WATERY = 0.6;

function vesselOf(where: MethodStep['where'], kitchen: MethodKitchen): Vessel {
  const { kitchenC, humidity, altitudeM } = kitchen;
  return { diameterM: where === 'pan' ? kitchen.panM : kitchen.bowlM, kitchenC, humidity, altitudeM };
}

/** °C the hottest place of a bowl may have in a burst. */
function burstLimit(pan: PanState): number {
  const chocolates = pan.lumps.filter(({ kind }) => kind === 'piece');
  const all = massG(pan);
  if (chocolates.length === 0 || partOf(pan.liquid, 'water') > WATERY * all) return HOTTEST_C.watery;
  return chocolates.some(({ perGram }) => isPale(perGram)) ? HOTTEST_C.pale : HOTTEST_C.dark;
}

function doingOf(step: MethodStep, kitchen: MethodKitchen): Doing {
  const { stir, tool, cover, heat } = step;
  const { powerW, efficiency } = kitchen;
  if (heat === 'bath') return { stir, tool, cover, bath: true };
  return { stir, tool, cover, hob: heat && { powerW, efficiency, level: HEAT_LEVELS[heat] } };
}

/** What the parts of a step come to by their heat, where pieces go into something warm. */
function togetherOf(before: PanState, additions: readonly Addition[]): Together | undefined {
  const pieces = additions.filter(({ as }) => as === 'piece');
  if (pieces.length === 0 || liquidG(before) === 0) return undefined;
  const perGram = before.liquid.map((grams) => grams / liquidG(before));
  const liquids = additions.filter(({ as }) => as !== 'piece');
  return together([{ perGram, grams: liquidG(before), temperatureC: before.temperatureC }, ...liquids], pieces);
}

/** Keeps every so many points, and the last. */
function thinned<T>(points: readonly T[]): readonly T[] {
  const every = Math.ceil(points.length / CURVE_POINTS);
  return points.filter((_, i) => i % every === 0 || i === points.length - 1);
}

/** Follows what happens in a step once everything is in. */
function happens(step: MethodStep, start: PanState, kitchen: MethodKitchen) {
  const curve: (readonly [number, number])[] = [[start.seconds, start.temperatureC]];
  const { end } = step;
  if (end.kind === 'stand') {
    const place = { surface: COOLING_PLACES.fridge, aroundC: kitchen.fridgeC };
    const quarters = Array.from({ length: 8 }, () => ({ ...place, hours: end.hours / 8 }));
    const { after, readings } = settle(start, bowlOf(start), quarters, kitchen.offsets);
    const along = readings.map(({ hours, centre }) => [start.seconds + 3600 * hours, centre.temperatureC] as const);
    return {
      end: after,
      seconds: after.seconds - start.seconds,
      reached: true,
      standing: readings.at(-1),
      curve: [...curve, ...along],
    };
  }
  if (end.kind === 'bursts') {
    const { pan, seconds, reached, hottestC, plan } = inBursts(start, kitchen.microwaveW, burstLimit(start), end.toC);
    return {
      end: pan,
      seconds,
      reached,
      hottestC,
      bursts: plan,
      curve: [...curve, [pan.seconds, pan.temperatureC] as const],
    };
  }
  const doing = doingOf(step, kitchen);
  const note = ({ seconds, temperatureC }: PanState) => curve.push([seconds, temperatureC]);
  const first = follow(start, doing, end, note);
  const more = Math.max((step.leastSeconds ?? 0) - first.seconds, 0);
  const last = more > 0 ? follow(first.pan, doing, { kind: 'seconds', seconds: more }, note) : first;
  const { reached, stopped = last.stopped } = first;
  return {
    end: last.pan,
    seconds: last.pan.seconds - start.seconds,
    reached: reached && last.reached,
    stopped,
    curve: thinned(curve),
  };
}

/**
 * Follows a method step by step for this batch, in this kitchen.
 *
 * @param rows of the formula
 * @param method its steps; those `aside` wait until a step of kind `slurry` or `gelatin` takes what they made
 * @returns one entry a step, in order
 */
export function followMethod(rows: MethodRows, method: Method, kitchen: MethodKitchen): FollowedStep[] {
  let pan = emptyPan(vesselOf('pan', kitchen));
  let aside: readonly Addition[] = [];
  return method.steps.map((step): FollowedStep => {
    // A row that is to be left out puts nothing in.
    const own = step.adds.map((each) => rowAddition(rows, each, kitchen)).filter(({ grams }) => grams > 0);
    if (step.where === 'aside') {
      aside = [...aside, ...own.map((each): Addition => ({ ...each, as: 'liquid', temperatureC: kitchen.kitchenC }))];
      const seconds = step.end.kind === 'seconds' ? step.end.seconds : 0;
      return { step, additions: own, before: pan, start: pan, end: pan, seconds, reached: true, curve: [] };
    }
    const takes = step.kind === 'slurry' || step.kind === 'gelatin';
    const cold =
      step.where === 'jar'
        ? own.map((each): Addition => ({ ...each, as: 'liquid', temperatureC: kitchen.fridgeC }))
        : own;
    const additions = takes ? [...aside, ...cold] : cold;
    if (takes) aside = [];
    const before: PanState = { ...pan, vessel: vesselOf(step.where, kitchen) };
    const start = additions.reduce(add, before);
    const after =
      massG(start) > 0 ? happens(step, start, kitchen) : { end: start, seconds: 0, reached: false, curve: [] };
    pan = after.end;
    return { step, additions, before, start, together: togetherOf(before, additions), ...after };
  });
}
