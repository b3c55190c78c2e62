import { partOf } from '../../matter/component-vector';
import type { ComponentVector } from '../../matter/components';
import { nth } from '../../nth';
import { isCondensed, isCultured, isEgg, mustBoil } from '../row-kind';
import type { MethodRows } from '../rows';
import { isSour, mayCurdle } from '../sourness';

/** The rows of a formula, by when a cook reaches for them. */
export interface RowGroups {
  readonly chocolate: readonly number[];
  readonly cocoa: readonly number[];
  /** what is brought to the boil: liquids, syrups, salt, helpers that need water */
  readonly liquids: readonly number[];
  /** those of them that dissolve sugar well, being thin; all of them where none is */
  readonly thin: readonly number[];
  readonly sugars: readonly number[];
  /** whisked in cold at the end, unless noted otherwise */
  readonly butter: readonly number[];
  /** °C it is whisked in from */
  readonly butterFromC: number;
  /** oils and nut pastes, stirred in with the chocolate */
  readonly oils: readonly number[];
  readonly starch: readonly number[];
  readonly gelatin: readonly number[];
  /** water the gelatin soaks in */
  readonly soak: readonly number[];
  /** bought glazes and jellies: liquids and syrups that set by themselves, which are warmed, not boiled */
  readonly jellies: readonly number[];
  /** off the heat: spirits, and what is noted so */
  readonly late: readonly number[];
  /** of the liquids: egg, which is cooked by itself */
  readonly eggs: readonly number[];
  /** of the liquids: condensed milk, which is warmed and not boiled */
  readonly condensed: readonly number[];
  /** of what goes in late: cultured dairy */
  readonly cultured: readonly number[];
  /** something in the liquids sets only once it has boiled */
  readonly mustBoil: boolean;
  /** what goes in late is a pinch: an extract, which needs no stop of its own */
  readonly isLatePinch: boolean;
}

/** °C at which cold butter still makes body and does not oil out: it goes in from here down (J). */
const BUTTER_FROM_C = 48;
/** Share of a batch below which what goes in late is a pinch (J). */
const LATE_PINCH = 0.015;

/** Whether a row is a jelly: it must be warmed to melt, sour or not. */
const sets = (perGram: ComponentVector) => partOf(perGram, 'pectin') + partOf(perGram, 'agar') > 0.003;

/** Sorts the rows. Each stands in one group alone. */
export function groupsOf({ lines, hints, roles, of, gramsOf }: MethodRows): RowGroups {
  const hasGelatin = of('gelatin').length > 0;
  // Together with hot milk what is sour would curdle it: it goes in when that has cooled.
  const boiled = of('liquid', 'syrup', 'flavour', 'sugar').map((row) => nth(lines, row));
  const curdles = boiled.length > 0 && mayCurdle(boiled);
  const isSourHere = (row: number) => curdles && isSour(nth(lines, row)) && !sets(nth(lines, row).perGram);
  const isLate = (row: number) =>
    nth(roles, row) === 'spirit' || nth(hints, row).stage === 'offHeat' || isSourHere(row);
  const soaks = (row: number) => hasGelatin && nth(roles, row) !== 'gelatin' && nth(hints, row).soaks === true;
  const isFree = (row: number) => !isLate(row) && !soaks(row);
  const inPan = (row: number) => nth(hints, row).stage === 'pan';
  // Where there is no chocolate, gianduja, praline and pastes stand for it.
  const chocolates = of('chocolate').filter(isFree);
  const pastes = of('paste').filter(isFree);
  const fats = of('butter').filter(isFree);
  const liquids = [...of('liquid', 'syrup', 'flavour', 'helper').filter(isFree), ...fats.filter(inPan)];
  const thin = of('liquid').filter(isFree);
  const all = lines.flatMap(({ grams }, row) => (grams > 0 ? [row] : []));
  const late = all.filter((row) => isLate(row) && !soaks(row) && nth(roles, row) !== 'gelatin');
  return {
    chocolate: chocolates.length > 0 ? chocolates : pastes,
    cocoa: of('cocoa').filter(isFree),
    liquids,
    thin: thin.length > 0 ? thin : liquids,
    sugars: of('sugar').filter(isFree),
    butter: fats.filter((row) => !inPan(row)),
    butterFromC: BUTTER_FROM_C,
    oils: of('oil', 'paste').filter((row) => isFree(row) && (chocolates.length > 0 || !pastes.includes(row))),
    starch: of('starch').filter(isFree),
    gelatin: of('gelatin'),
    soak: all.filter(soaks),
    jellies: of('liquid', 'syrup').filter((row) => sets(nth(lines, row).perGram)),
    eggs: liquids.filter((row) => isEgg(nth(lines, row))),
    condensed: liquids.filter((row) => isCondensed(nth(lines, row))),
    cultured: late.filter((row) => isCultured(nth(lines, row))),
    mustBoil: liquids.some((row) => mustBoil(nth(lines, row))),
    late,
    isLatePinch: gramsOf(late) < LATE_PINCH * gramsOf(all),
  };
}

/** Whether any of some rows holds a part of something, by its share of the row. */
export function anyHolds(
  { lines }: MethodRows,
  rows: readonly number[],
  name: Parameters<typeof partOf>[1],
  least: number,
): boolean {
  return rows.some((row) => partOf(nth(lines, row).perGram, name) >= least);
}
