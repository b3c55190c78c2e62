import { ticks } from 'd3-array';
import { shownUnit } from './shown-units';

/**
 * Round temperatures for an axis, in what is kept, the hottest first: tens of °C, or of °F where those are shown.
 *
 * @param hottest of the axis, °C
 * @param coldest of the axis, °C
 * @param step between two, °C
 */
export function roundDegrees(hottest: number, coldest: number, step: number): number[] {
  const unit = shownUnit('°C');
  const from = unit?.toShown(coldest) ?? coldest;
  const to = unit?.toShown(hottest) ?? hottest;
  return ticks(from, to, (hottest - coldest) / step)
    .map((shown) => unit?.toKept(shown) ?? shown)
    .reverse();
}
