import { EDGES_APART } from '@/core/formula/gates';
import type { Edit, FormulaDraft } from './edit';

const tidyEdge = (value: number) => Number(value.toPrecision(4));

/** Moves one edge of a gate, never past the other. */
export function moveEdge(draft: FormulaDraft, edit: Extract<Edit, { type: 'gateEdge' }>): FormulaDraft {
  return {
    ...draft,
    gates: draft.gates.map((gate, i) => {
      if (i !== edit.gate) return gate;
      const value =
        edit.edge === 'low'
          ? Math.min(edit.value, (gate.high ?? Number.POSITIVE_INFINITY) / EDGES_APART)
          : Math.max(edit.value, (gate.low ?? 0) * EDGES_APART);
      return { ...gate, [edit.edge]: tidyEdge(value) };
    }),
  };
}

/** Quantities a gate on the curve stands for. */
export const FLOW_QUANTITIES: ReadonlySet<string> = new Set(['apparentViscosityPaS', 'yieldStressPa', 'resistancePa']);

/** Warmest and coldest a moment may be moved to, °C. */
const MOMENT_RANGE_C = [-5, 110] as const;

/** Moves the flow gates of a moment by a factor, and the moment by °C. */
export function shiftGate(
  draft: FormulaDraft,
  { moment, factor, deltaC }: Extract<Edit, { type: 'shiftGate' }>,
): FormulaDraft {
  const moved = (edge: number | undefined) => (edge === undefined ? undefined : tidyEdge(edge * factor));
  return {
    ...draft,
    gates: draft.gates.map((gate) =>
      gate.moment === moment && FLOW_QUANTITIES.has(gate.quantity)
        ? { ...gate, low: moved(gate.low), high: moved(gate.high) }
        : gate,
    ),
    moments: draft.moments.map((each) => {
      if (each.name !== moment || deltaC === 0) return each;
      const next = Math.min(Math.max(each.temperatureC + deltaC, MOMENT_RANGE_C[0]), MOMENT_RANGE_C[1]);
      const temperatureC = Math.round(next * 10) / 10;
      const last = each.history.at(-1);
      return {
        ...each,
        temperatureC,
        history: [...each.history.slice(0, -1), [last?.[0] ?? 0.3, temperatureC] as const],
      };
    }),
  };
}
