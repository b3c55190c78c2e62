import { K } from '../model-constants';
import { halfPower } from '../smooth';

/**
 * Warm yield stress of cocoa particles that stick to each other: apparent, on the time scale of a kitchen.
 *
 * The power of the volume share is usual for flocs; that it grows with the serum's viscosity is empirical and explains how syrup
 * thickens a warm ganache although it dilutes the particles (fitted).
 *
 * @param cocoa share of the fat-free volume that is swollen cocoa, 0-1
 * @param serumViscosityPaS Pa·s
 * @param coldFactor from {@link cocoaColdFactor}
 * @returns Pa, before droplets amplify it
 */
export function cocoaYield(cocoa: number, serumViscosityPaS: number, coldFactor: number): number {
  if (cocoa <= 0) return 0;
  const felt = serumViscosityPaS / (1 + serumViscosityPaS / K.cocoaYieldViscosityCap) / 0.004;
  return K.cocoaYield * halfPower(cocoa, K.cocoaYieldPower) * felt * coldFactor;
}

/** How much firmer the flocs are than at 40 °C. */
export function cocoaColdFactor(temperatureC: number): number {
  return Math.exp(-(temperatureC - 40) / K.cocoaYieldTemperatureScale);
}
