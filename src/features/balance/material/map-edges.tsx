import { type FailingRegion, failingRegions } from '@/core/balance/failing-regions';
import type { FieldMap } from '@/core/balance/field-map';
import type { Gate } from '@/core/formula/gates';
import type { Moment } from '@/core/formula/moments';
import { fault, verdictOfUse } from '@/kitchen/words/use-verdicts';
import { flowName } from '@/ui/flow-words';
import { momentPhrase } from '@/ui/moment-words';
import { POUR_ABOVE_C, QUANTITY_WORDS } from '@/ui/quantity-words';
import { type Box, placeLabels } from './map-labels';

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
  const { tooThin, tooThick, tooSoft, tooStiff } = verdictOfUse(use);
  const [low, high] =
    (moment?.temperatureC ?? POUR_ABOVE_C) >= POUR_ABOVE_C ? [tooThin, tooThick] : [tooSoft, tooStiff];
  return fault(edge === 'low' ? low : high);
}

/**
 * What happens in the parts of the field where something fails, those around the landing region first, and what the edges of that region are called;
 * each label where there is room for it, none over another.
 */
export function mapWords(
  map: FieldMap,
  { gates, moments }: { readonly gates: readonly Gate[]; readonly moments: readonly Moment[] },
  use: string | undefined,
): { readonly regions: readonly MapRegion[]; readonly edges: readonly MapRegion[] } {
  const found = failingRegions(map).sort((a, b) => Number(b.border.length > 0) - Number(a.border.length > 0));
  const regions = found
    .filter(({ share }) => share >= LEAST_SHARE)
    .flatMap((region) => {
      const gate = gates[region.gate];
      if (!gate) return [];
      const words = beyond(
        gate,
        region.edge,
        moments.find(({ name }) => name === gate.moment),
        use,
      );
      const where = momentPhrase(gate.moment);
      return [{ key: `${region.gate}${region.edge}`, words, where, cells: region.cells }];
    });
  const edges = found.flatMap(({ gate: at, edge, border }) => {
    const gate = gates[at];
    if (!gate || border.length === 0) return [];
    return [{ key: `${at}${edge}`, words: edgeName(gate, edge, moments), where: '', cells: border }];
  });
  const placed: Box[] = [];
  return { regions: placeLabels(map, regions, placed), edges: placeLabels(map, edges, placed) };
}

/** An edge by what it limits and at which figure: `flow ≤ 4.0 Pa·s`. */
function edgeName(gate: Gate, edge: FailingRegion['edge'], moments: readonly Moment[]): string {
  const moment = moments.find(({ name }) => name === gate.moment);
  const { short, show } = QUANTITY_WORDS[gate.quantity];
  const { number, unit } = show(gate[edge] ?? 0);
  const name = (moment && flowName(gate.quantity, moment.temperatureC)) ?? short;
  return `${name} ${edge === 'low' ? '≥' : '≤'} ${number}${unit && `\u202f${unit}`}`;
}

/** The names of the edges, on the line they name. */
export function EdgeMarks({ edges }: { edges: readonly MapRegion[] }) {
  return edges.map(({ key, words, x, y }) => (
    <text
      key={key}
      x={x}
      y={y}
      textAnchor="middle"
      className="read text-[12.5px] font-semibold"
      fill="var(--color-enamel)"
      stroke="var(--color-field)"
      strokeWidth={5}
      paintOrder="stroke"
      data-testid="map-edge"
    >
      {words}
    </text>
  ));
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
