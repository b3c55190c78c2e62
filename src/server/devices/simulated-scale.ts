import { normalNumbers, seededNumbers } from '@/core/random';
import type { ScaleReading } from '@/formats/device';
import type { DeviceClock, Scale } from './device';

/** g/s a hand pours, g of noise, g/s of drift, g the scale bears, and s it rests until it calls itself still (J). */
const POURS_G_S = 40;
const NOISE_G = 0.06;
const DRIFT_G_S = 0.002;
const BEARS_G = 6000;
const STILL_S = 0.8;

/** A scale for practice: what is poured comes at a hand's pace, with noise, drift, steps, overload and a connection that can be lost. */
export interface SimulatedScale extends Scale {
  readonly pour: (grams: number) => void;
  /** takes everything off */
  readonly clear: () => void;
  readonly setResolution: (grams: number) => void;
  readonly lose: (isLost: boolean) => void;
}

/**
 * @param clock of the practice set
 * @param seed of its noise
 */
export function simulatedScale(clock: DeviceClock, seed: number): SimulatedScale {
  const gauss = normalNumbers(seededNumbers(seed));
  const born = clock();
  let [from, to, since] = [0, 0, born];
  let tare = 0;
  let resolution = 1;
  let isLost = false;
  const loadNow = () => {
    const way = to - from;
    const poured = Math.min(Math.abs(way), POURS_G_S * (clock() - since));
    return from + Math.sign(way) * poured;
  };
  /** What it feels, drift and all; the noise comes with each reading. */
  const feels = () => loadNow() + DRIFT_G_S * (clock() - born);
  const goTo = (grams: number) => {
    from = loadNow();
    to = grams;
    since = clock();
  };
  return {
    read: (): ScaleReading => {
      if (isLost) return { kind: 'lost' };
      if (loadNow() > BEARS_G) return { kind: 'overload' };
      const shown = Math.round((feels() - tare + NOISE_G * gauss()) / resolution) * resolution;
      const endsAt = since + Math.abs(to - from) / POURS_G_S;
      return { kind: 'grams', grams: Math.round(shown * 10) / 10, isStill: clock() > endsAt + STILL_S };
    },
    tare: () => {
      tare = feels();
    },
    pour: (grams) => goTo(to + grams),
    clear: () => {
      [from, to, since] = [0, 0, clock()];
      tare = feels();
    },
    setResolution: (grams) => {
      resolution = grams;
    },
    lose: (lost) => {
      isLost = lost;
    },
  };
}
