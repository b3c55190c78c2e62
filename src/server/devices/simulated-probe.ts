import { normalNumbers, seededNumbers } from '@/core/random';
import type { ProbeReading } from '@/formats/device';
import type { DeviceClock, Probe } from './device';

/** s a probe lags behind its pan, and °C of its noise (J). */
const LAG_S = 4;
const NOISE_C = 0.15;

/** A probe for practice. */
export interface SimulatedProbe extends Probe {
  readonly lose: (isLost: boolean) => void;
}

/**
 * A probe that follows a pan with its own lag and noise.
 *
 * @param pan °C of the pan now
 * @param clock of the practice set
 */
export function simulatedProbe(pan: () => number, clock: DeviceClock, seed: number): SimulatedProbe {
  const gauss = normalNumbers(seededNumbers(seed));
  let felt: number | undefined;
  let at = clock();
  let isLost = false;
  return {
    read: (): ProbeReading => {
      const now = clock();
      const share = 1 - Math.exp(-(now - at) / LAG_S);
      const there = pan();
      felt = felt === undefined ? there : felt + (there - felt) * share;
      at = now;
      if (isLost) return { kind: 'lost' };
      return { kind: 'celsius', temperatureC: Math.round((felt + NOISE_C * gauss()) * 10) / 10 };
    },
    lose: (lost) => {
      isLost = lost;
    },
  };
}
