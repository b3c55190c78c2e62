import {
  axesOf,
  dotProduct,
  type GroundPlane,
  type Lens,
  lensOf,
  meet,
  rayOf,
  times,
  USUAL_FOCAL_MM,
  vectorSum,
} from './camera';
import { circleThrough } from './circle-fit';
import { type Ellipse, groundOfCircle, pointsOn } from './circle-pose';
import { linear, type Pixels } from './pixels';
import type { PhotoPlate } from './plate';

/** Cells on a side of the plate's middle as it is laid flat. */
export const CELLS = 200;
/** Points round an ellipse that a hand laid. */
const HAND_POINTS = 72;

/** The plate's flat middle as seen from above: light of each channel by cell, mm a cell. */
export interface Flat {
  readonly cellMm: number;
  readonly light: Float32Array;
}

/** A plate's flat middle in front of the camera: mm from its middle to picture and back. */
export interface OnFlat {
  readonly ground: GroundPlane;
  readonly toPicture: (x: number, y: number) => readonly [x: number, y: number];
  /** nothing where the ground is not seen */
  readonly toFlat: (x: number, y: number) => readonly [x: number, y: number] | undefined;
}

/** The flat of a plate whose rim was found: as much lower as its rim stands over it. */
export function flatOf(lens: Lens, rim: Ellipse, { acrossMm, rimMm }: PhotoPlate): OnFlat | undefined {
  const rimGround = groundOfCircle(lens, rim, acrossMm / 2);
  if (!rimGround) return undefined;
  const ground: GroundPlane = { normal: rimGround.normal, above: rimGround.above + rimMm };
  const centre = vectorSum(rimGround.middle, times(ground.normal, -rimMm));
  const [across, away] = axesOf(ground);
  return {
    ground,
    toPicture: (x, y) => {
      const at = vectorSum(centre, vectorSum(times(across, x), times(away, y)));
      return [lens.width / 2 + (lens.focalPx * at[0]) / at[2], lens.height / 2 + (lens.focalPx * at[1]) / at[2]];
    },
    toFlat: (x, y) => {
      const at = meet(ground, rayOf(lens, x, y));
      if (!at) return undefined;
      const from = vectorSum(at, times(centre, -1));
      return [dotProduct(from, across), dotProduct(from, away)];
    },
  };
}

/** Light of a channel between pixels. */
function lightAt({ width, height, data }: Pixels, x: number, y: number, channel: number): number {
  const px = Math.min(Math.max(x - 0.5, 0), width - 1.001);
  const py = Math.min(Math.max(y - 0.5, 0), height - 1.001);
  const i = Math.floor(px);
  const j = Math.floor(py);
  const k = 4 * (j * width + i) + channel;
  const [fx, fy] = [px - i, py - j];
  const top = linear(data[k] as number) * (1 - fx) + linear(data[k + 4] as number) * fx;
  const low = linear(data[k + 4 * width] as number) * (1 - fx) + linear(data[k + 4 * width + 4] as number) * fx;
  return top * (1 - fy) + low * fy;
}

/** Lays the plate's middle flat: as it would be seen from straight above. */
export function laidFlat(pixels: Pixels, { toPicture }: OnFlat, radiusMm: number): Flat {
  const cellMm = (2 * radiusMm) / CELLS;
  const light = new Float32Array(3 * CELLS * CELLS);
  for (let k = 0; k < CELLS * CELLS; k++) {
    const x = ((k % CELLS) + 0.5) * cellMm - radiusMm;
    const y = (Math.floor(k / CELLS) + 0.5) * cellMm - radiusMm;
    if (Math.hypot(x, y) > radiusMm) continue;
    const [px, py] = toPicture(x, y);
    for (let channel = 0; channel < 3; channel++) light[3 * k + channel] = lightAt(pixels, px, py, channel);
  }
  return { cellMm, light };
}

/**
 * How wide a drop is by two ellipses a hand laid over a photo: the rim of its plate, and the sauce.
 *
 * @param photo px wide and high
 * @returns mm, nothing where the ellipses cannot be a plate and what lies on it
 */
export function measureByHand(
  photo: { readonly width: number; readonly height: number },
  rim: Ellipse,
  sauce: Ellipse,
  plate: PhotoPlate,
  focalMm = USUAL_FOCAL_MM,
): number | undefined {
  const lens = lensOf(photo.width, photo.height, focalMm);
  const on = flatOf(lens, rim, plate);
  if (!on) return undefined;
  const points = pointsOn(sauce, HAND_POINTS).map(([x, y]) => on.toFlat(x, y));
  if (points.some((point) => !point)) return undefined;
  const mm = 2 * circleThrough(points as (readonly [number, number])[]).radius;
  return mm > 0 && mm < plate.acrossMm ? mm : undefined;
}
