import { nth } from '../../nth';
import { movedRow, withStepAt } from '../edit-steps';
import { isSour } from '../sourness';
import type { MethodStep } from '../step';
import { coolTo, step } from '../ways/parts';
import { type Case, hereOf, type Remedy, rowsIn } from './remedy';

/** °C sour things go in at (J), below what milk curdles at. */
const SOUR_C = 55;
/** °C spirits go in at (J). */
const SPIRIT_C = 60;

/** What went in so far and must not be so hot goes in when it has cooled: with a step of its own, at the end, or before the pour. */
function later(
  { steps, at }: Case,
  kind: 'sourLast' | 'whenItIsCooler',
  is: (row: number) => boolean,
  { as, temperatureC }: { readonly as: 'stir' | 'spirit'; readonly temperatureC: number },
): Remedy[] {
  const found = steps.flatMap((each, from) =>
    from <= at && each.where !== 'aside' ? each.adds.flatMap(({ row }) => (is(row) ? [{ row, from }] : [])) : [],
  );
  if (found.length === 0) return [];
  const last = steps.length - 1;
  const { where } = nth(steps, last);
  const stirIn = step(as, where, { kind: 'seconds', seconds: 60 }, { stir: 0.5, tool: 'spatula' });
  return [last, last + 1].map((place): Remedy => {
    const cooler = withStepAt(withStepAt(steps, place, coolTo(temperatureC, where)), place + 1, stirIn);
    const moved = found.reduce<readonly MethodStep[]>(
      (now, { row, from }) => movedRow(now, row, from, place + 1),
      cooler,
    );
    return [kind, moved];
  });
}

/** What is sour goes in when it has cooled. */
export const sourLast = (which: Case): Remedy[] =>
  later(which, 'sourLast', (row) => isSour(nth(which.rows.lines, row)), { as: 'stir', temperatureC: SOUR_C });

/** A spirit goes in off the heat, when it has cooled. */
export const spiritLast = (which: Case): Remedy[] =>
  later(which, 'whenItIsCooler', (row) => which.rows.roles[row] === 'spirit', { as: 'spirit', temperatureC: SPIRIT_C });

/** Cocoa goes in with sugar or fat, wherever that is, else with the first liquid, cold. */
export function cocoaElsewhere(which: Case): Remedy[] {
  const { steps, at } = which;
  const cocoa = rowsIn(which, hereOf(which), 'cocoa');
  const places = [
    steps.findIndex((each) => each.where !== 'aside' && rowsIn(which, each, 'sugar').length > 0),
    steps.findIndex((each) => each.where !== 'aside' && rowsIn(which, each, 'chocolate', 'butter', 'oil').length > 0),
    steps.findIndex((each) => each.where !== 'aside' && rowsIn(which, each, 'liquid').length > 0),
  ].filter((place) => place >= 0 && place !== at);
  return places.map((place) => [
    'cocoaWithSugar',
    cocoa.reduce<readonly MethodStep[]>((now, row) => movedRow(now, row, at, place), steps),
  ]);
}
