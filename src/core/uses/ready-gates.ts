import type { Gate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import { usualHistory } from '../matter/process';
import { JOB_FACTS, JOB_USES, type JobUse, type UseId } from './catalogue';
import type { FittedGates } from './job-facts';

/** A use without a brief: the moments to look at and the fitted gates that make a sauce, ganache or glaze fit for it. */
export interface Use {
  readonly id: UseId;
  readonly moments: readonly Moment[];
  readonly gates: readonly Gate[];
}

const PAN_C = 60;

/** The usual four moments: hot in the pan, at the pour, set on the bench, out of the fridge. */
function fourMoments(pourC: number, benchC: number, fridgeC: number): Moment[] {
  return [
    { name: 'pan', role: 'pan', temperatureC: PAN_C, history: usualHistory(PAN_C) },
    { name: 'pour', role: 'pour', temperatureC: pourC, history: usualHistory(pourC) },
    { name: 'bench', role: 'bench', temperatureC: benchC, history: usualHistory(benchC) },
    { name: 'fridge', role: 'fridge', temperatureC: fridgeC, history: [[12, fridgeC]] },
  ];
}

function readyUse(id: UseId, { pour, bench, fridge, bands }: FittedGates): Use {
  return {
    id,
    moments: fourMoments(pour, bench, fridge),
    gates: bands.map(([moment, quantity, low, high]) => ({ moment, quantity, low: low || undefined, high })),
  };
}

/** The fitted sets of all uses of the catalogue, in its order. */
export const USES: readonly Use[] = JOB_USES.flatMap((use) =>
  Object.entries(JOB_FACTS[use].fitted ?? {}).map(([id, gates]) => readyUse(id as UseId, gates)),
);

/** Finds a use by its id. */
export function findUse(id: string | undefined): Use | undefined {
  return USES.find((candidate) => candidate.id === id);
}

/** The use a brief with this job stands for: the last of its fitted sets, or its own name. */
export function briefUseOf(job: JobUse): string {
  return Object.keys(JOB_FACTS[job].fitted ?? {}).at(-1) ?? job;
}
