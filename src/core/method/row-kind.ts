import { partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { MixingLine } from '../matter/mixing';
import { roleOfRow } from './row-role';
import { isSour } from './sourness';

/** Shares of a gram from which a row is what it is called. */
const EGG_PROTEIN = 0.08;
const WET = 0.4;
const POWDER = 0.4;
const MILKY = 0.01;
const MILK_SUGAR = 0.05;

/** Whether a row is egg, by what it is made of: much protein that is not milk's, and water. */
export const isEgg = ({ perGram }: Pick<MixingLine, 'perGram'>) =>
  partOf(perGram, 'other_protein') >= EGG_PROTEIN && partOf(perGram, 'water') >= WET;

/** Whether a row is cultured dairy: wet, of milk, and sour. */
export const isCultured = (line: Pick<MixingLine, 'perGram' | 'ph'>) =>
  isSour(line) && partOf(line.perGram, 'milk_protein') > MILKY && partOf(line.perGram, 'water') >= WET;

/** Whether a row is condensed milk: a syrup with milk's own sugar. */
export const isCondensed = ({ perGram }: Pick<MixingLine, 'perGram'>) =>
  roleOfRow(perGram) === 'syrup' && partOf(perGram, 'lactose') >= MILK_SUGAR;

/** Whether a row is agar or pectin powder, and not a jelly made with it. */
export const isPowderOf = (perGram: ComponentVector, gel: 'agar' | 'pectin') => partOf(perGram, gel) >= POWDER;

/** Whether a row is a powder that sets only once it has boiled. */
export const mustBoil = ({ perGram }: Pick<MixingLine, 'perGram'>) =>
  isPowderOf(perGram, 'agar') || isPowderOf(perGram, 'pectin');
