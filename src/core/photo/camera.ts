/** A point or a direction in space. */
export type Vec = readonly [x: number, y: number, z: number];

export const dotProduct = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const times = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const vectorSum = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const unit = (a: Vec): Vec => times(a, 1 / Math.hypot(...a));

/** A lens without distortion: where its axis meets the picture, and its focal length in px. */
export interface Lens {
  readonly width: number;
  readonly height: number;
  readonly focalPx: number;
}

/** Diagonal of the small film that focal lengths are told by, mm. */
const FILM_DIAGONAL_MM = Math.hypot(36, 24);
/** What most tablets and telephones take pictures with, where a photo does not say, mm as on small film. */
export const USUAL_FOCAL_MM = 27;

/**
 * The lens of a picture.
 *
 * @param focalMm as on small film (36 x 24 mm), by the diagonal; above 0
 */
export const lensOf = (width: number, height: number, focalMm = USUAL_FOCAL_MM): Lens => ({
  width,
  height,
  focalPx: (focalMm / FILM_DIAGONAL_MM) * Math.hypot(width, height),
});

/**
 * The way a point of the picture is seen: right, down, and forward 1.
 *
 * @param x px from the left
 * @param y px from the top
 */
export const rayOf = ({ width, height, focalPx }: Lens, x: number, y: number): Vec => [
  (x - width / 2) / focalPx,
  (y - height / 2) / focalPx,
  1,
];

/** A flat ground in front of a camera: its unit normal, towards the camera, and how far the camera stands above it. */
export interface GroundPlane {
  readonly normal: Vec;
  readonly above: number;
}

/** Where a way that is seen meets a ground, in the camera's own directions; nothing where it does not. */
export function meet({ normal, above }: GroundPlane, ray: Vec): Vec | undefined {
  const down = -dotProduct(normal, ray);
  return down > 1e-6 ? times(ray, above / down) : undefined;
}

/** Two directions within a ground: across the view, and away from the camera. */
export function axesOf({ normal }: GroundPlane): readonly [across: Vec, away: Vec] {
  const forward: Vec = [0, 0, 1];
  const along = vectorSum(forward, times(normal, -dotProduct(normal, forward)));
  // Seen straight from above any direction will do.
  const away = Math.hypot(...along) > 1e-3 ? unit(along) : unit(vectorSum([0, -1, 0], times(normal, normal[1])));
  return [cross(normal, away), away];
}

/** How far a ground is seen from straight above, rad. */
export const slantOf = ({ normal }: GroundPlane): number => Math.acos(Math.min(Math.abs(normal[2]), 1));
