import { momentOf, readGate } from '../formula/gates';
import type { ComponentVector } from '../matter/components';
import type { Process } from '../matter/process';
import { quantityOf } from '../predict/quantities';
import { prepareBatch, stateAt } from '../predict/state';
import type { UseId } from '../uses/catalogue';
import { USES } from '../uses/ready-gates';

/** Uses whose gates a pan passes as it is: what it can still become. */
export function becomes(components: ComponentVector, process: Process): UseId[] {
  const batch = prepareBatch(components, process);
  return USES.filter(({ gates, moments }) =>
    gates.every((gate) => {
      const { temperatureC, history } = momentOf(gate, moments);
      const subject = { mixture: batch.mixture, state: stateAt(batch, temperatureC, history), costPerKg: 0 };
      return readGate(gate, quantityOf(subject, gate.quantity)).lands;
    }),
  ).map(({ id }) => id);
}
