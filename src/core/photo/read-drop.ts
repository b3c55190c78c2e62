import { nth } from '../nth';
import {
  axesOf,
  dot,
  type Ground,
  type Lens,
  lensOf,
  meet,
  plus,
  rayOf,
  slantOf,
  times,
  USUAL_FOCAL_MM,
} from './camera';
import { circleThrough } from './circle-fit';
import { type Ellipse, groundOfCircle, pointsOn } from './circle-pose';
import { type FoundPlate, findPlate, isWithin } from './find-plate';
import { linear, type Pixels, shrunk } from './pixels';
import type { PhotoPlate } from './plate';

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
/** Cells of the plate's middle as it is laid flat. */
const CELLS = 200;
/** This part of the flat middle is looked at: beyond it the rim begins. */
const LOOKED_AT = 0.98;
/** Its outer part is taken for bare plate. */
const BARE_FROM = 0.84;
/** What is darker than the plate by no more than a shadow is plate, ln (J); what differs in colour by more than its noise is not. */
const SHADOW_LN = 1.1;
const LEAST_COLOUR_SD = 0.025;
const DARK_SD = 0.15;
const IS_SAUCE = 5;
const DARKEST = 0.025;
/** Ways from the middle of the sauce along which its edge is read, and mm to either side by which it is. */
const WAYS = 144;
const EDGE_MM = { near: 2, far: 7 } as const;
const LEAST_SAUCE_MM = 20;

/** The plate's flat middle as seen from above: light of each channel by cell, mm a cell. */
interface Flat {
  readonly cellMm: number;
  readonly light: Float32Array;
}

/** A plate's flat middle in front of the camera: mm from its middle to picture and back. */
interface OnFlat {
  readonly ground: Ground;
  readonly toPicture: (x: number, y: number) => readonly [x: number, y: number];
  /** nothing where the ground is not seen */
  readonly toFlat: (x: number, y: number) => readonly [x: number, y: number] | undefined;
}

/** The flat of a plate whose rim was found: as much lower as its rim stands over it. */
function flatOf(lens: Lens, rim: Ellipse, { acrossMm, rimMm }: PhotoPlate): OnFlat | undefined {
  const rimGround = groundOfCircle(lens, rim, acrossMm / 2);
  if (!rimGround) return undefined;
  const ground: Ground = { normal: rimGround.normal, above: rimGround.above + rimMm };
  const centre = plus(rimGround.middle, times(ground.normal, -rimMm));
  const [across, away] = axesOf(ground);
  return {
    ground,
    toPicture: (x, y) => {
      const at = plus(centre, plus(times(across, x), times(away, y)));
      return [lens.width / 2 + (lens.focalPx * at[0]) / at[2], lens.height / 2 + (lens.focalPx * at[1]) / at[2]];
    },
    toFlat: (x, y) => {
      const at = meet(ground, rayOf(lens, x, y));
      if (!at) return undefined;
      const from = plus(at, times(centre, -1));
      return [dot(from, across), dot(from, away)];
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
function laidFlat(pixels: Pixels, { toPicture }: OnFlat, radiusMm: number): Flat {
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

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
};

/** Colour and lightness of a cell that a shadow leaves apart: ratios of its channels, and ln of its green. */
function toneOf(light: Float32Array, k: number): readonly [red: number, blue: number, lightness: number] {
  const ln = (channel: number) => Math.log(Math.max(light[3 * k + channel] as number, 1e-3));
  const green = ln(1);
  return [ln(0) - green, ln(2) - green, green];
}

/** The cells in a ring of the flat middle, from one part of its radius to another. */
function ringCells(from: number, to: number): number[] {
  const cells: number[] = [];
  for (let k = 0; k < CELLS * CELLS; k++) {
    const part = Math.hypot((k % CELLS) + 0.5 - CELLS / 2, Math.floor(k / CELLS) + 0.5 - CELLS / 2) / (CELLS / 2);
    if (part >= from && part <= to) cells.push(k);
  }
  return cells;
}

/** How unlike bare plate each cell is: in colour, and darker than a shadow makes it. */
function unlikePlate({ light }: Flat): { readonly unlike: Float32Array; readonly plateLight: number } {
  const bare = ringCells(BARE_FROM, 1).map((k) => toneOf(light, k));
  const middle = [0, 1, 2].map((i) => median(bare.map((tone) => tone[i] as number))) as [number, number, number];
  const spread = [0, 1].map((i) =>
    Math.max(1.5 * median(bare.map((tone) => Math.abs((tone[i] as number) - (middle[i] as number)))), LEAST_COLOUR_SD),
  ) as [number, number];
  const unlike = new Float32Array(CELLS * CELLS);
  for (const k of ringCells(0, 1)) {
    const [red, blue, lightness] = toneOf(light, k);
    const dark = Math.max(Math.abs(lightness - middle[2]) - SHADOW_LN, 0) / DARK_SD;
    unlike[k] = Math.hypot((red - middle[0]) / spread[0], (blue - middle[1]) / spread[1], dark);
  }
  return { unlike, plateLight: Math.exp(middle[2]) };
}

/** The largest patch of cells that are sauce: its cells, none where there is none. */
function largestPatch(unlike: Float32Array): number[] {
  const seen = new Uint8Array(CELLS * CELLS);
  let largest: number[] = [];
  for (let from = 0; from < CELLS * CELLS; from++) {
    if (seen[from] || (unlike[from] as number) < IS_SAUCE) continue;
    const patch = [from];
    seen[from] = 1;
    for (let i = 0; i < patch.length; i++) {
      const k = nth(patch, i);
      const x = k % CELLS;
      for (const next of [x > 0 ? k - 1 : -1, x < CELLS - 1 ? k + 1 : -1, k - CELLS, k + CELLS]) {
        if (next < 0 || next >= CELLS * CELLS || seen[next] || (unlike[next] as number) < IS_SAUCE) continue;
        seen[next] = 1;
        patch.push(next);
      }
    }
    if (patch.length > largest.length) largest = patch;
  }
  return largest;
}

/** The edge of the sauce along a way from its middle: mm, how wide it is, and how much lighter it is beyond. */
interface EdgeRead {
  readonly mm: number;
  readonly wideMm: number;
  readonly contrast: number;
}

/** Light of all channels along a way over the flat, weighed so that sauce and plate differ most. */
function edgeAlong(flat: Flat, from: readonly [number, number], angle: number, roughMm: number): EdgeRead | undefined {
  const stepMm = flat.cellMm / 2;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const half = (CELLS * flat.cellMm) / 2;
  const at = (mm: number, channel: number) => {
    const x = (from[0] + mm * dx + half) / flat.cellMm - 0.5;
    const y = (from[1] + mm * dy + half) / flat.cellMm - 0.5;
    const [i, j] = [Math.floor(x), Math.floor(y)];
    if (i < 0 || j < 0 || i >= CELLS - 1 || j >= CELLS - 1) return Number.NaN;
    const k = 3 * (j * CELLS + i) + channel;
    const [fx, fy] = [x - i, y - j];
    const row = (base: number) => (flat.light[base] as number) * (1 - fx) + (flat.light[base + 3] as number) * fx;
    return row(k) * (1 - fy) + row(k + 3 * CELLS) * fy;
  };
  const mean = (a: number, b: number, channel: number) => {
    const values: number[] = [];
    for (let mm = a; mm <= b; mm += stepMm) values.push(at(mm, channel));
    return median(values);
  };
  const within = [0, 1, 2].map((c) => mean(Math.max(roughMm - EDGE_MM.far, 1), roughMm - EDGE_MM.near, c));
  const beyond = [0, 1, 2].map((c) => mean(roughMm + EDGE_MM.near, roughMm + EDGE_MM.far, c));
  const weights = [0, 1, 2].map((c) => (beyond[c] as number) - (within[c] as number));
  const scale = weights.reduce((sum, w) => sum + w * w, 0);
  if (!(scale > 0)) return undefined;
  const level = (mm: number) =>
    [0, 1, 2].reduce((sum, c) => sum + ((weights[c] as number) * (at(mm, c) - (within[c] as number))) / scale, 0);
  const cross = (wanted: number) => {
    for (let mm = Math.max(roughMm - EDGE_MM.far, 1); mm < roughMm + EDGE_MM.far; mm += stepMm) {
      const [here, next] = [level(mm), level(mm + stepMm)];
      if (here <= wanted && next > wanted) return mm + (stepMm * (wanted - here)) / (next - here);
    }
    return undefined;
  };
  const [low, middle, high] = [cross(0.25), cross(0.5), cross(0.75)];
  if (middle === undefined) return undefined;
  const plate = Math.hypot(...(beyond as [number, number, number]));
  return { mm: middle, wideMm: (high ?? middle) - (low ?? middle), contrast: Math.sqrt(scale) / Math.max(plate, 1e-6) };
}

/** The edge of the sauce all round, mm on the flat; what does not fit between its neighbours is left out. */
function outlineOf(flat: Flat, patch: readonly number[]) {
  const half = CELLS / 2;
  const mmOf = (k: number) =>
    [((k % CELLS) + 0.5 - half) * flat.cellMm, (Math.floor(k / CELLS) + 0.5 - half) * flat.cellMm] as const;
  const middle = [0, 1].map((i) => patch.reduce((sum, k) => sum + (mmOf(k)[i] as number), 0) / patch.length) as [
    number,
    number,
  ];
  // As far as the patch reaches along each way.
  const rough = new Float64Array(WAYS);
  for (const k of patch) {
    const [x, y] = mmOf(k);
    const way = Math.floor((((Math.atan2(y - middle[1], x - middle[0]) / (2 * Math.PI) + 1) % 1) * WAYS) % WAYS);
    rough[way] = Math.max(rough[way] as number, Math.hypot(x - middle[0], y - middle[1]));
  }
  const edges = Array.from({ length: WAYS }, (_, way) => {
    const angle = (2 * Math.PI * (way + 0.5)) / WAYS;
    const read = edgeAlong(flat, middle, angle, rough[way] as number);
    return read && { ...read, angle };
  }).filter((each) => each !== undefined);
  const usual = median(edges.map(({ mm }) => mm));
  const fitting = edges.filter(({ mm }) => Math.abs(mm - usual) < 0.25 * usual);
  const points = fitting.map(
    ({ mm, angle }) => [middle[0] + mm * Math.cos(angle), middle[1] + mm * Math.sin(angle)] as const,
  );
  return { middle, points, edges: fitting, part: fitting.length / WAYS };
}

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
  const points = pointsOn(sauce, WAYS).map(([x, y]) => on.toFlat(x, y));
  if (points.some((point) => !point)) return undefined;
  const mm = 2 * circleThrough(points as (readonly [number, number])[]).radius;
  return mm > 0 && mm < plate.acrossMm ? mm : undefined;
}
