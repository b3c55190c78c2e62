import { usualHistory } from '../matter/process';
import { stateAt } from '../predict/state';
import { type HiddenPan, hiddenPan, type PracticeBase, type PracticeRow, UNDISTURBED } from './hidden-pan';

/** How far either way of what a formula should pour like is still right. */
const GATE = 1.35;

/** Resistance of a pan as it stands warm, Pa. */
export const resistanceAt = (pan: Pick<HiddenPan, 'batch'>, temperatureC: number) =>
  stateAt(pan.batch, temperatureC, usualHistory(temperatureC)).flow.resistancePa;

/** The pan as it should be: nothing disturbed, a kitchen as the book has it. */
export const asMeant = (base: PracticeBase) => hiddenPan(base, 1, UNDISTURBED);

/** Resistance that is right at the pour, Pa. */
export interface PourGate {
  readonly low: number;
  readonly high: number;
}

/** What a formula should pour like. */
export function pourGate(base: PracticeBase): PourGate {
  const meant = resistanceAt(asMeant(base), base.pourC);
  return { low: meant / GATE, high: meant * GATE };
}

/** Places of rows of some roles in a base, in the order of its rows. */
export const rowsOf = ({ rows }: PracticeBase, roles: readonly PracticeRow['role'][]) =>
  rows.flatMap(({ role, grams }, i) => (roles.includes(role) && grams > 0 ? [i] : []));

/** Places of the rows that may mend a pan. */
export const mendingRows = (base: PracticeBase) => rowsOf(base, ['liquid', 'chocolate', 'syrup', 'butter']).slice(0, 3);
