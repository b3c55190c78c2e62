import { nth } from '@/core/nth';
import type { ResistanceCurve } from '@/core/predict/curve';
import type { ChartBand } from '@/ui/resistance-chart';

/** The band to first order around a curve: shown at once, until the drawing has come to an end. */
export function firstBand(
  { temperatureC, resistancePa }: ResistanceCurve,
  reach: (temperatureC: number) => number,
): ChartBand {
  return {
    temperatureC,
    lowPa: resistancePa.map((pa, i) => pa / reach(nth(temperatureC, i))),
    highPa: resistancePa.map((pa, i) => pa * reach(nth(temperatureC, i))),
  };
}
