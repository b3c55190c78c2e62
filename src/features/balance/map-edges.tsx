import { type FailingRegion, failingRegions } from '@/core/balance/failing-regions';
import type { FieldMap } from '@/core/balance/field-map';
import type { Gate } from '@/core/balance/gates';
import type { Moment } from '@/core/predict/moments';
import { momentTitle, wordsForUse } from '@/ui/cook-words';
import { POUR_ABOVE_C, QUANTITY_WORDS } from '@/ui/quantity-words';
import { placeLabels } from './map-labels';

/** A region smaller than this share of the field is too small to write into. */
const LEAST_SHARE = 0.03;

/** What happens in a part of the field. */
export interface MapRegion {
  readonly key: string;
  /** `too thin to coat` */
  readonly words: string;
  /** `at the pour` */
  readonly where: string;
  /** middle of the label */
  readonly x: number;
  readonly y: number;
}

/** What is wrong beyond an edge, as in the verdict. */
function beyond(gate: Gate, edge: FailingRegion['edge'], moment: Moment | undefined, use: string | undefined): string {
  const { tooLow, tooHigh } = QUANTITY_WORDS[gate.quantity];
  if (!/^(apparentViscosity|yieldStress|resistance)Pa/.test(gate.quantity)) return edge === 'low' ? tooLow : tooHigh;
  const { toPour, toSet } = wordsForUse(use);
  return (moment?.temperatureC ?? POUR_ABOVE_C) >= POUR_ABOVE_C
    ? `too ${edge === 'low' ? 'thin' : 'thick'} to ${toPour}`
    : `too ${edge === 'low' ? 'soft' : 'stiff'} to ${toSet}`;
}

/**
 * What happens in the parts of the field where something fails, those around the landing region first; each label where there is room for it, none over
 * another.
 */
export function mapRegions(
  map: FieldMap,
  { gates, moments }: { readonly gates: readonly Gate[]; readonly moments: readonly Moment[] },
  use: string | undefined,
): MapRegion[] {
  const labels = failingRegions(map)
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((a, b) => Number(b.bordersLanding) - Number(a.bordersLanding))
    .flatMap((region) => {
      const gate = gates[region.gate];
      if (!gate) return [];
      const words = beyond(
        gate,
        region.edge,
        moments.find(({ name }) => name === gate.moment),
        use,
      );
      const where = momentTitle(gate.moment).replace(/^./, (first) => first.toLowerCase());
      return [{ key: `${region.gate}${region.edge}`, words, where, cells: region.cells }];
    });
  return placeLabels(map, labels);
}

/** The labels of the regions. */
export function RegionMarks({ regions }: { regions: readonly MapRegion[] }) {
  return regions.map(({ key, words, where, x, y }) => (
    <text
      key={key}
      x={x}
      y={y}
      textAnchor="middle"
      className="text-[14px]"
      fill="var(--color-off)"
      stroke="var(--color-field)"
      strokeWidth={5}
      paintOrder="stroke"
    >
      <tspan className="font-semibold">{words}</tspan>
      <tspan x={x} dy={15} className="text-[12px]" fill="var(--color-mute)">
        {where}
      </tspan>
    </text>
  ));
}
