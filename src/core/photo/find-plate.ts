import { nth } from '../nth';
import { seededNumbers } from '../random';
import { type Ellipse, ellipseOf, fitEllipse, pointsOn } from './circle-pose';
import type { Pixels } from './pixels';

/** Ways along which edges are looked for, and how many edges are kept of each. */
const WAYS = 96;
const EDGES_A_WAY = 6;
/** An edge is at least so strong, codes. */
const LEAST_EDGE = 9;
/** px to either side of a place by which its edge is measured. */
const SIDE = 2;
/** Ellipses that are tried, and px within which an edge lies on one. */
const TRIES = 500;
const NEAR_PX = 2;
/** A plate shows its edge along this part of its round at least. */
const LEAST_SUPPORT = 0.68;
/** An ellipse that mixes two edges lies further beside them, px. */
const MOST_OFF_PX = 0.6;
/** A circle on a table is not seen flatter than this. */
const FLATTEST = 0.42;
/** It takes at least this part of the picture's shorter side. */
const LEAST_SIZE = 0.3;

interface Edge {
  readonly x: number;
  readonly y: number;
  /** px from where it is looked for */
  readonly away: number;
  /** codes by which it is lighter beyond it than within */
  readonly rises: number;
}

/** How much a picture changes about a place along a way, codes. */
function changeAt({ width, height, data }: Pixels, x: number, y: number, dx: number, dy: number): number {
  const at = (step: number) => {
    const px = Math.min(Math.max(Math.round(x + step * dx), 0), width - 1);
    const py = Math.min(Math.max(Math.round(y + step * dy), 0), height - 1);
    return 4 * (py * width + px);
  };
  let sum = 0;
  for (let side = 1; side <= SIDE; side++) {
    const [out, within] = [at(side), at(-side)];
    for (let channel = 0; channel < 3; channel++) {
      sum += (data[out + channel] as number) - (data[within + channel] as number);
    }
  }
  return sum / (3 * SIDE);
}

/** The edges along ways from a place outwards, the furthest of each way first. */
function edgesFrom(pixels: Pixels, fromX: number, fromY: number): Edge[][] {
  return Array.from({ length: WAYS }, (_, way) => {
    const [dx, dy] = [Math.cos((2 * Math.PI * way) / WAYS), Math.sin((2 * Math.PI * way) / WAYS)];
    const changes: number[] = [];
    for (let r = 0; ; r++) {
      const [x, y] = [fromX + r * dx, fromY + r * dy];
      if (!(x >= 1 && y >= 1 && x <= pixels.width - 2 && y <= pixels.height - 2)) break;
      changes.push(changeAt(pixels, x, y, dx, dy));
    }
    const edges: Edge[] = [];
    for (let r = SIDE + 1; r < changes.length - 1; r++) {
      const [before, here, after] = [r - 1, r, r + 1].map((i) => Math.abs(nth(changes, i))) as [number, number, number];
      if (here < LEAST_EDGE || here < before || here <= after) continue;
      // The top of a parabola through the three: finer than a pixel.
      const bent = before - 2 * here + after;
      const fine = r + (bent < 0 ? (0.5 * (before - after)) / bent : 0);
      edges.push({ x: fromX + fine * dx, y: fromY + fine * dy, away: fine, rises: nth(changes, r) });
    }
    const strongest = edges.toSorted((a, b) => Math.abs(b.rises) - Math.abs(a.rises)).slice(0, EDGES_A_WAY);
    return strongest.sort((a, b) => b.away - a.away);
  });
}

/** How far a point lies beside an ellipse, px: along the way from its middle. */
function besides(ellipse: Ellipse, { x, y }: Edge): number {
  const [dx, dy] = [x - ellipse.x, y - ellipse.y];
  const [cos, sin] = [Math.cos(ellipse.turn), Math.sin(ellipse.turn)];
  const p = (dx * cos + dy * sin) / ellipse.longer;
  const q = (-dx * sin + dy * cos) / ellipse.shorter;
  const part = Math.hypot(p, q);
  return part > 1e-9 ? Math.hypot(dx, dy) * (1 - 1 / part) : Number.POSITIVE_INFINITY;
}

/** The edges that lie on an ellipse, one of each way at most. */
function onEllipse(ellipse: Ellipse, ways: readonly Edge[][], nearPx: number): Edge[] {
  return ways.flatMap((edges) => {
    let best: Edge | undefined;
    let least = nearPx;
    for (const edge of edges) {
      const beside = Math.abs(besides(ellipse, edge));
      if (beside < least) [best, least] = [edge, beside];
    }
    return best ? [best] : [];
  });
}

function fitted(edges: readonly Edge[]): Ellipse | undefined {
  const conic = fitEllipse(edges.map(({ x, y }) => [x, y] as const));
  return conic && ellipseOf(conic);
}

/** A plate that was found: its rim as it is seen, and how well, px. */
export interface FoundPlate {
  readonly rim: Ellipse;
  /** of its round that shows an edge, 0-1 */
  readonly support: number;
  /** px its edges lie beside the ellipse, root mean square */
  readonly offPx: number;
}

function refined(first: Ellipse, ways: readonly Edge[][]): FoundPlate | undefined {
  let rim = first;
  let on: Edge[] = [];
  for (const near of [1.5 * NEAR_PX, NEAR_PX, 0.75 * NEAR_PX, 0.75 * NEAR_PX]) {
    on = onEllipse(rim, ways, near);
    const better = fitted(on);
    if (!better) return undefined;
    rim = better;
  }
  const square = on.reduce((sum, edge) => sum + besides(rim, edge) ** 2, 0) / Math.max(on.length, 1);
  return { rim, support: on.length / WAYS, offPx: Math.sqrt(square) };
}

const isPlausible = ({ x, y, longer, shorter }: Ellipse, { width, height }: Pixels) =>
  shorter / longer > FLATTEST &&
  2 * longer > LEAST_SIZE * Math.min(width, height) &&
  longer < Math.max(width, height) &&
  x > 0 &&
  y > 0 &&
  x < width &&
  y < height;

/** Whether all of an ellipse lies in a picture, so many px from its border. */
export const isWithin = (ellipse: Ellipse, { width, height }: Pixels, px: number): boolean =>
  pointsOn(ellipse, 48).every(([x, y]) => x > px && y > px && x < width - px && y < height - px);

/** Parts of an ellipse at which a plate is looked at: within its edge, and beyond it. */
const WITHIN_PART = 0.82;
const BEYOND_PART = 1.045;
/** Light and colour that differ by no more than this are of one plate, parts of the lighter. */
const ALIKE = 0.16;
/** Where plate goes on beyond an edge along this part of its round, the edge is painted. */
const MOST_BEYOND = 0.4;

/** Whether plate goes on beyond an ellipse: it is a line painted on it, and the rim lies further out. */
function goesOnBeyond({ width, height, data }: Pixels, ellipse: Ellipse): boolean {
  const at = (part: number, [px, py]: readonly [number, number]) => {
    const x = Math.round(ellipse.x + part * (px - ellipse.x));
    const y = Math.round(ellipse.y + part * (py - ellipse.y));
    return x < 0 || y < 0 || x >= width || y >= height ? undefined : 4 * (y * width + x);
  };
  const points = pointsOn(ellipse, 72);
  const alike = points.filter((point) => {
    const [within, beyond] = [at(WITHIN_PART, point), at(BEYOND_PART, point)];
    if (within === undefined || beyond === undefined) return false;
    return [0, 1, 2].every((channel) => {
      const [a, b] = [data[within + channel] as number, data[beyond + channel] as number];
      return Math.abs(a - b) <= ALIKE * Math.max(a, b);
    });
  });
  return alike.length > MOST_BEYOND * points.length;
}

/** The larger of two plates: what is painted on one shows all round too, and lies within its rim. How well each shows decides between near ones. */
const larger = (a: FoundPlate | undefined, b: FoundPlate | undefined) => {
  const size = ({ rim, support }: FoundPlate) => rim.longer * rim.shorter * support ** 0.3;
  return !a || (b && size(b) > size(a)) ? b : a;
};

/** The largest ellipse that shows its edge all round among edges of one kind. */
function largestAmong(ways: readonly Edge[][], pixels: Pixels): FoundPlate | undefined {
  const random = seededNumbers(7);
  let best: FoundPlate | undefined;
  for (let i = 0; i < TRIES; i++) {
    const start = Math.floor(random() * WAYS);
    // Half of the tries take the same place among the edges of each way, from outside in: the plate is the largest thing that is round.
    const place = random() < 0.5 ? Math.floor(3 * random()) : undefined;
    const chosen = Array.from({ length: 6 }, (_, k) => {
      const edges = nth(ways, (start + Math.floor((k + 0.6 * random()) * (WAYS / 6))) % WAYS);
      return edges[place ?? Math.floor(random() * edges.length)];
    });
    if (chosen.some((edge) => !edge)) continue;
    const first = fitted(chosen as Edge[]);
    if (!first || !isPlausible(first, pixels)) continue;
    if (best && first.longer < 0.9 * best.rim.longer) continue;
    if (onEllipse(first, ways, 1.5 * NEAR_PX).length < 0.5 * WAYS) continue;
    const found = refined(first, ways);
    if (!found || found.support < LEAST_SUPPORT || found.offPx > MOST_OFF_PX || !isPlausible(found.rim, pixels))
      continue;
    if (!goesOnBeyond(pixels, found.rim)) best = larger(best, found);
  }
  return best;
}

/** The largest ellipse from a place within it: where it becomes darker beyond, or lighter. */
function largestFrom(pixels: Pixels, fromX: number, fromY: number): FoundPlate | undefined {
  const ways = edgesFrom(pixels, fromX, fromY);
  const [darker, lighter] = [-1, 1].map((sign) => ways.map((edges) => edges.filter(({ rises }) => sign * rises > 0)));
  return larger(largestAmong(darker as Edge[][], pixels), largestAmong(lighter as Edge[][], pixels));
}

/**
 * Finds the rim of a round plate: the largest ellipse that shows its edge all round, about the middle of the picture.
 *
 * @param pixels some hundred px wide: a larger one is made smaller first
 * @returns nothing where there is none
 */
export function findPlate(pixels: Pixels): FoundPlate | undefined {
  const first = largestFrom(pixels, pixels.width / 2, pixels.height / 2);
  // Once more from its own middle: its edges are met straight on.
  return first && (largestFrom(pixels, first.rim.x, first.rim.y) ?? first);
}
