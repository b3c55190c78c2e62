import type { ProbeReading, ScaleReading } from '@/formats/device';

/** A scale beside the pan: real ones and the practice one are asked the same. */
export interface Scale {
  readonly read: () => ScaleReading;
  /** what stands on it counts as nothing from now on */
  readonly tare: () => void;
}

/** A probe in the pan. */
export interface Probe {
  readonly read: () => ProbeReading;
}

/** s since some beginning, on a clock that is never put back. */
export type DeviceClock = () => number;
