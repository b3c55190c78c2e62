import type { FieldMap } from '@/core/balance/field-map';
import type { Gate } from '@/core/balance/gates';
import { momentTitle } from '@/ui/cook-words';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { contourPath } from './map-geometry';

/** A line on the map: beyond it a gate is missed on one side. */
export interface MapEdge {
  readonly key: string;
  /** the line as drawn */
  readonly path: string;
  /** `At the pour: too thin beyond` */
  readonly words: string;
}

const DASHES = [undefined, '6 3', '2 3'];
const COLOURS = ['var(--color-enamel)', 'var(--color-ink)', 'var(--color-near)', 'var(--color-mute)'];

/** Lines are told apart by colour, and by dashes where the colours have run out. */
const stroke = (i: number) => ({
  stroke: COLOURS[i % COLOURS.length],
  strokeDasharray: DASHES[Math.floor(i / COLOURS.length) % DASHES.length],
});

/** The edges of all gates that cross the field. */
export function mapEdges(map: FieldMap, gates: readonly Gate[]): MapEdge[] {
  return map.gates.flatMap((field, g) =>
    (['low', 'high'] as const).flatMap((edge) => {
      const [values, gate] = [field[edge], gates[g]];
      const path = values && contourPath(map, values, 0);
      if (!path || !gate) return [];
      const missed = QUANTITY_WORDS[gate.quantity][edge === 'low' ? 'tooLow' : 'tooHigh'];
      return [{ key: `${g}${edge}`, path, words: `${momentTitle(gate.moment)}: ${missed} beyond` }];
    }),
  );
}

/** The lines in the field. */
export function EdgeLines({ edges }: { edges: readonly MapEdge[] }) {
  return edges.map(({ key, path, words }, i) => (
    <path key={key} d={path} fill="none" strokeWidth={1.4} {...stroke(i)}>
      <title>{words}</title>
    </path>
  ));
}

/** What each line says. */
export function EdgeLegend({ edges }: { edges: readonly MapEdge[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 text-[12.5px] text-mute">
      {edges.map(({ key, words }, i) => (
        <li key={key} className="flex items-center gap-1.5">
          <svg viewBox="0 0 20 4" className="h-1 w-5" aria-hidden="true">
            <line x1={0} x2={20} y1={2} y2={2} strokeWidth={2.5} {...stroke(i)} />
          </svg>
          {words}
        </li>
      ))}
    </ul>
  );
}
