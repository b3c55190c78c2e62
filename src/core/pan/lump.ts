import type { ComponentVector } from '../matter/components';

/** Pieces of something fatty that still melt, or grains of something sweet that still dissolve. */
export interface Lump {
  readonly kind: 'piece' | 'grain';
  /** which row it came from: names it in checks */
  readonly key: string;
  /** g per g */
  readonly perGram: ComponentVector;
  /** g there were, and are still left */
  readonly startG: number;
  readonly grams: number;
  /** m, as it went in */
  readonly radiusM: number;
  /** °C it went in at */
  readonly temperatureC: number;
}

/** g of lumps below which they are gone. */
export const GONE_G = 1e-3;

/** Radii as a cook says them, m (J). */
export const PIECE_RADII_M = {
  grated: 0.001,
  choppedFine: 0.003,
  callets: 0.004,
  choppedCoarse: 0.006,
  pieces: 0.01,
  butterCubes: 0.008,
} as const;

export type PieceSize = keyof typeof PIECE_RADII_M;

export const GRAIN_RADII_M = {
  icing: 0.02e-3,
  caster: 0.12e-3,
  brown: 0.2e-3,
  granulated: 0.25e-3,
  coarse: 0.4e-3,
} as const;

export type GrainSize = keyof typeof GRAIN_RADII_M;

/** Radius now, m: it shrinks with the cube root of what is left. */
export const radiusNow = ({ radiusM, grams, startG }: Lump) => radiusM * Math.cbrt(grams / startG);
