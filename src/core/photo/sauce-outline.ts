import { nth } from '../nth';
import { CELLS, type Flat } from './flat-plate';

/** Its outer part is taken for bare plate. */
const BARE_FROM = 0.84;
/** What is darker than the plate by no more than a shadow is plate, ln (J); what differs in colour by more than its noise is not. */
const SHADOW_LN = 1.1;
const LEAST_COLOUR_SD = 0.025;
const DARK_SD = 0.15;
const IS_SAUCE = 5;
/** Ways from the middle of the sauce along which its edge is read, and mm to either side by which it is. */
const WAYS = 144;
const EDGE_MM = { near: 2, far: 7 } as const;

/** The value in the middle of some. */
export const median = (values: readonly number[]): number => {
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
export function unlikePlate({ light }: Flat): { readonly unlike: Float32Array; readonly plateLight: number } {
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
export function largestPatch(unlike: Float32Array): number[] {
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
export function outlineOf(flat: Flat, patch: readonly number[]) {
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
