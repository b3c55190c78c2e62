import { usualHistory } from '../matter/process';
import { type Batch, flowAt } from '../predict/state';

/** A sauce is still itself while its viscosity is within this factor of what it is at its pour (J). */
const STILL_ITSELF = 1.6;
const STEP_C = 0.5;
const FARTHEST_C = 30;

/** °C between which it pours as it should. */
export interface PourWindow {
  readonly leastC: number;
  readonly mostC: number;
}

/**
 * Between which temperatures a sauce pours much as at its own pour.
 *
 * @param pourC °C it is meant to be poured at
 * @returns both edges, no farther than 30 °C from it
 */
export function pourWindow(batch: Batch, pourC: number): PourWindow {
  const at = (temperatureC: number) => flowAt(batch, temperatureC, usualHistory(temperatureC)).apparentViscosityPaS;
  const wanted = at(pourC);
  const edge = (step: number) => {
    let temperatureC = pourC;
    while (
      Math.abs(temperatureC + step - pourC) <= FARTHEST_C &&
      Math.abs(Math.log(at(temperatureC + step) / wanted)) <= Math.log(STILL_ITSELF)
    ) {
      temperatureC += step;
    }
    return temperatureC;
  };
  return { leastC: edge(-STEP_C), mostC: edge(STEP_C) };
}
