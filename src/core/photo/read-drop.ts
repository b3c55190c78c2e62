import { nth } from '../nth';
import { lensOf, slantOf, USUAL_FOCAL_MM } from './camera';
import { circleThrough } from './circle-fit';
import type { Ellipse } from './circle-pose';
import { type FoundPlate, findPlate, isWithin } from './find-plate';
import { flatOf, laidFlat, type OnFlat } from './flat-plate';
import { linear, type Pixels, shrunk } from './pixels';
import type { PhotoPlate } from './plate';
import { largestPatch, median, outlineOf, unlikePlate } from './sauce-outline';

/** Why a photo is not read. */
export const PHOTO_REFUSALS = [
  'dark',
  'noPlate',
  'plateCut',
  'noSauce',
  'sameColour',
  'blurred',
  'runsOver',
  'notRound',
] as const;
export type PhotoRefusal = (typeof PHOTO_REFUSALS)[number];

/** What was read of a drop on a plate. */
export interface DropReading {
  readonly kind: 'read';
  /** mm, and its standard deviation */
  readonly diameterMm: number;
  readonly sdMm: number;
  /** smallest over largest width, 0-1 */
  readonly roundness: number;
  /** degrees from straight above */
  readonly slantDeg: number;
  /** what was found, px of the photo: the rim of the plate, and the outline of the sauce */
  readonly rim: Ellipse;
  readonly outline: readonly (readonly [x: number, y: number])[];
}

export type PhotoAnswer = DropReading | { readonly kind: 'refused'; readonly why: PhotoRefusal };

/** The picture is looked through for its plate at so many px, and read at so many. */
const FIND_PX = 480;
const READ_PX = 1280;
/** This part of the flat middle is looked at: beyond it the rim begins. */
const LOOKED_AT = 0.98;
/** The lightest there is, and a drop, are at least so light and so wide, mm. */
const DARKEST = 0.025;
const LEAST_SAUCE_MM = 20;

/** Seen from more than so far beside it, a drop's far edge stands behind its own height: its near side is read, rad. */
const NEAR_SIDE_FROM = 0.2;

/** Points further beside a circle than this part of its radius, or this many usual distances, do not belong to it: a lamp's reflection at the edge. */
const BESIDE = { part: 0.012, usual: 2.5 } as const;
const ROUNDS = 5;

/** The circle most points lie on: those that a reflection cut off are left out. */
function steadyCircle(points: readonly (readonly [number, number])[]) {
  let circle = circleThrough(points);
  for (let round = 0; round < ROUNDS; round++) {
    const { x, y, radius } = circle;
    const beside = points.map((point) => Math.abs(Math.hypot(point[0] - x, point[1] - y) - radius));
    const most = Math.max(BESIDE.part * radius, BESIDE.usual * median(beside));
    const kept = points.filter((_, i) => nth(beside, i) <= most);
    if (kept.length < points.length / 2) break;
    circle = circleThrough(kept);
  }
  return circle;
}

/** mm across a drop by its outline: all of it from above, its near side from beside it. */
function diameterOf(points: readonly (readonly [number, number])[], slant: number): number {
  const all = steadyCircle(points);
  if (slant < NEAR_SIDE_FROM) return 2 * all.radius;
  // Away from the camera is up: only its near side stands on its own edge.
  return 2 * steadyCircle(points.filter((point) => point[1] < all.y - 0.05 * all.radius)).radius;
}

/** How light the lightest tenth of a picture is at least, 0-1. */
function lightestOf({ data }: Pixels): number {
  const light: number[] = [];
  for (let k = 0; k < data.length; k += 4) light.push(data[k + 1] as number);
  light.sort((a, b) => a - b);
  return linear(light[Math.floor(0.9 * light.length)] ?? 0);
}

const refused = (why: PhotoRefusal): PhotoAnswer => ({ kind: 'refused', why });

/** A focal length that a photo does not tell may be off by this part; one that it tells by less. */
const FOCAL_OFF = { told: 0.02, usual: 0.12 } as const;
const CUT_PX = 2;
const LEAST_CONTRAST = 0.06;
const WIDEST_EDGE = 0.09;
const LEAST_ROUND_PART = 0.8;
const LEAST_ROUNDNESS = 0.89;

/** What is said of a plate's middle with a drop on it, once laid flat. */
function readFlat(pixels: Pixels, on: OnFlat, plate: PhotoPlate) {
  const radiusMm = (LOOKED_AT * plate.flatMm) / 2;
  const flat = laidFlat(pixels, on, radiusMm);
  const { unlike, plateLight } = unlikePlate(flat);
  // Bare plate is the lightest there is: where it is dark, it is no plate.
  if (plateLight < DARKEST) return 'noPlate';
  const patch = largestPatch(unlike);
  if (Math.sqrt((4 * patch.length) / Math.PI) * flat.cellMm < LEAST_SAUCE_MM) return 'noSauce';
  const { points, edges, part } = outlineOf(flat, patch);
  if (points.length < 12) return 'notRound';
  if (median(edges.map(({ contrast }) => contrast)) < LEAST_CONTRAST) return 'sameColour';
  if (points.some(([x, y]) => Math.hypot(x, y) > 0.97 * radiusMm)) return 'runsOver';
  const slant = slantOf(on.ground);
  const diameterMm = diameterOf(points, slant);
  if (median(edges.map(({ wideMm }) => wideMm)) > WIDEST_EDGE * diameterMm) return 'blurred';
  const { x, y, radius } = circleThrough(points);
  const off = points.map((point) => Math.hypot(point[0] - x, point[1] - y) / radius);
  const sorted = off.toSorted((a, b) => a - b);
  const roundness =
    (sorted[Math.floor(0.03 * sorted.length)] ?? 0) / (sorted[Math.floor(0.97 * (sorted.length - 1))] ?? 1);
  if (part < LEAST_ROUND_PART || roundness < LEAST_ROUNDNESS) return 'notRound';
  return { diameterMm, roundness, slant, points, cellMm: flat.cellMm };
}

/**
 * Reads how wide a drop has run, from a photo of the plate it lies on.
 *
 * @param photo as decoded, upright
 * @param plate whose size is known
 * @param focalMm as on small film, where the photo tells it
 * @returns mm with their doubt, what was found, or why it cannot be trusted
 */
export function readDrop(photo: Pixels, plate: PhotoPlate, focalMm?: number): PhotoAnswer {
  const small = shrunk(photo, FIND_PX);
  if (lightestOf(small.pixels) < DARKEST) return refused('dark');
  const found = findPlate(small.pixels);
  if (!found) return refused('noPlate');
  if (!isWithin(found.rim, small.pixels, CUT_PX)) return refused('plateCut');
  const fine = shrunk(photo, READ_PX);
  const by = small.times / fine.times;
  const { x, y, longer, shorter, turn } = found.rim;
  const rim: Ellipse = { x: x * by, y: y * by, longer: longer * by, shorter: shorter * by, turn };
  const flatAt = (focal: number) => flatOf(lensOf(fine.pixels.width, fine.pixels.height, focal), rim, plate);
  const on = flatAt(focalMm ?? USUAL_FOCAL_MM);
  if (!on) return refused('noPlate');
  const read = readFlat(fine.pixels, on, plate);
  if (typeof read === 'string') return refused(read);
  const sdMm = doubtOf(read, found, focalMm === undefined ? FOCAL_OFF.usual : FOCAL_OFF.told);
  return {
    kind: 'read',
    diameterMm: read.diameterMm,
    sdMm,
    roundness: read.roundness,
    slantDeg: (read.slant * 180) / Math.PI,
    rim: scaled(rim, fine.times),
    outline: read.points.map(([px, py]) => {
      const [u, v] = on.toPicture(px, py);
      return [u * fine.times, v * fine.times] as const;
    }),
  };
}

const scaled = ({ x, y, longer, shorter, turn }: Ellipse, by: number): Ellipse => ({
  x: x * by,
  y: y * by,
  longer: longer * by,
  shorter: shorter * by,
  turn,
});

/** mm of doubt: of the plate's rim, of the lens, of the drop's own edge and shape. */
function doubtOf(
  { diameterMm, roundness, slant, cellMm }: { diameterMm: number; roundness: number; slant: number; cellMm: number },
  { offPx, rim }: FoundPlate,
  focalOff: number,
): number {
  const plate = (0.4 * offPx + 0.25) / rim.longer;
  const lens = 0.25 * focalOff * Math.sin(slant) ** 2;
  const shape = 0.1 * (1 - roundness);
  const edge = (0.4 * cellMm) / diameterMm;
  return diameterMm * Math.hypot(plate, lens, shape, edge, 0.006 * (1 + slant));
}
