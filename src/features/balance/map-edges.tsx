import { type FailingRegion, failingRegions } from '@/core/balance/failing-regions';
import type { FieldMap } from '@/core/balance/field-map';
import type { Gate } from '@/core/balance/gates';
import type { Moment } from '@/core/predict/moments';
import { momentTitle, wordsForUse } from '@/ui/cook-words';
import { POUR_ABOVE_C, QUANTITY_WORDS } from '@/ui/quantity-words';
import { contourPath, placeOf, textPlace } from './map-geometry';

/** A region smaller than this share of the field is too small to write into. */
const LEAST_SHARE = 0.04;
/** More words than these fill the field. */
const MOST_WORDS = 5;

/** What happens in a part of the field, and the edge it begins at, where that is an edge of the landing region. */
export interface MapRegion {
  readonly key: string;
  /** `too thin to coat` */
  readonly words: string;
  /** `at the pour` */
  readonly where: string;
  readonly x: number;
  readonly y: number;
  /** the edge of the gate as a line, where it borders the landing region */
  readonly path: string | undefined;
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

/** The parts of the field where something fails, each with its words. */
export function mapRegions(
  map: FieldMap,
  { gates, moments }: { readonly gates: readonly Gate[]; readonly moments: readonly Moment[] },
  use: string | undefined,
): MapRegion[] {
  return failingRegions(map)
    .filter(({ share, bordersLanding }) => share >= LEAST_SHARE || bordersLanding)
    .slice(0, MOST_WORDS)
    .flatMap((region) => {
      const gate = gates[region.gate];
      if (!gate) return [];
      const moment = moments.find(({ name }) => name === gate.moment);
      const values = map.gates[region.gate]?.[region.edge];
      const words = beyond(gate, region.edge, moment, use);
      return [
        {
          key: `${region.gate}${region.edge}`,
          words,
          where: momentTitle(gate.moment).replace(/^./, (first) => first.toLowerCase()),
          ...textPlace(placeOf(map, region.cell), words.length),
          path: region.bordersLanding && values ? contourPath(map, values, 0) : undefined,
        },
      ];
    });
}

/** The edges of the landing region as far as they reach, and what is wrong beyond each of them. */
export function RegionMarks({ regions }: { regions: readonly MapRegion[] }) {
  return (
    <>
      {regions.map(
        ({ key, path }) =>
          path && (
            <path key={key} d={path} fill="none" stroke="var(--color-mute)" strokeWidth={1.2} strokeDasharray="5 4" />
          ),
      )}
      {regions.map(({ key, words, where, x, y }) => (
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
      ))}
    </>
  );
}
