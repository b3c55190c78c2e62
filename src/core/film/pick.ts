import type { Spot } from './fill-round';

/** The outline of a second sauce that lies in the surface: x, y, x, y… in m, the last point joined to the first. */
export type Outline = Float64Array<ArrayBuffer>;

/** A pick as wide as a skewer, m. */
const PICK_M = 0.002;
/** How far its drag reaches, in its own widths (J). */
const REACH = 1.3;
/** Part of the reach it is moved at a time: areas stay within 1 %. */
const STEP = 0.06;
/** Steps of a pick after which points are put in where they have parted: they part by far less than their distance in one. */
const FILLED_EVERY = 4;
/** Beyond so many reaches nothing moves. */
const FAR = 4;
/** Points of a fresh outline are this far apart, and one is put between two that have parted by more, m. */
const APART_M = 0.0003;
const PARTED_M = 0.0005;
/** Most points of one outline: past it a stroke smears. */
const MOST_POINTS = 20_000;

/** A round dot. */
export function roundDot({ x, y }: Spot, radiusM: number): Outline {
  const count = Math.max(12, Math.ceil((2 * Math.PI * radiusM) / APART_M));
  const points = new Float64Array(2 * count);
  for (let i = 0; i < count; i++) {
    const angle = (2 * Math.PI * i) / count;
    points[2 * i] = x + radiusM * Math.cos(angle);
    points[2 * i + 1] = y + radiusM * Math.sin(angle);
  }
  return points;
}

/** A line of sauce as wide as it is drawn, along a path of two points or more. */
export function ribbon(path: readonly Spot[], widthM: number): Outline {
  const dense = finely(path, 2 * APART_M);
  const side = (turn: 1 | -1) =>
    dense.map((at, i): Spot => {
      const [before, after] = [dense[Math.max(i - 1, 0)] ?? at, dense[Math.min(i + 1, dense.length - 1)] ?? at];
      const length = Math.hypot(after.x - before.x, after.y - before.y) || 1;
      const away = (turn * widthM) / 2;
      return { x: at.x - (away * (after.y - before.y)) / length, y: at.y + (away * (after.x - before.x)) / length };
    });
  return Float64Array.from([...side(1), ...side(-1).reverse()].flatMap(({ x, y }) => [x, y]));
}

/** A path with points no further apart than asked. */
function finely(path: readonly Spot[], apartM: number): Spot[] {
  return path.flatMap((to, i) => {
    const from = path[i - 1];
    if (!from) return [to];
    const parts = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / apartM));
    return Array.from({ length: parts }, (_, k) => ({
      x: from.x + ((to.x - from.x) * (k + 1)) / parts,
      y: from.y + ((to.y - from.y) * (k + 1)) / parts,
    }));
  });
}

/** Area within an outline, m². */
export function areaOf(outline: Outline): number {
  let twice = 0;
  const n = outline.length;
  for (let i = 0; i < n; i += 2) {
    const next = (i + 2) % n;
    twice +=
      (outline[i] as number) * (outline[next + 1] as number) - (outline[next] as number) * (outline[i + 1] as number);
  }
  return Math.abs(twice) / 2;
}

/** Whether two points next to each other have parted. */
function hasParted(outline: Outline): boolean {
  const n = outline.length;
  for (let i = 0; i < n; i += 2) {
    const next = (i + 2) % n;
    const dx = (outline[next] as number) - (outline[i] as number);
    const dy = (outline[next + 1] as number) - (outline[i + 1] as number);
    if (dx * dx + dy * dy > PARTED_M * PARTED_M) return true;
  }
  return false;
}

/** Puts points in where two have parted. */
function filled(outline: Outline): Outline {
  if (!hasParted(outline)) return outline;
  const n = outline.length;
  const points: number[] = [];
  for (let i = 0; i < n; i += 2) {
    const [x, y] = [outline[i] as number, outline[i + 1] as number];
    const next = (i + 2) % n;
    const [dx, dy] = [(outline[next] as number) - x, (outline[next + 1] as number) - y];
    points.push(x, y);
    const parts = Math.floor(Math.hypot(dx, dy) / PARTED_M);
    for (let k = 1; k <= parts && points.length < 2 * MOST_POINTS; k++) {
      points.push(x + (dx * k) / (parts + 1), y + (dy * k) / (parts + 1));
    }
  }
  return points.length === n ? outline : Float64Array.from(points);
}

/** Moves every point of an outline near the pick while it goes from one place a short way on. */
function drag(outline: Outline, at: Spot, along: Spot, way: number, reach: number): boolean {
  const { x: ax, y: ay } = along;
  const cx = at.x + (ax * way) / 2;
  const cy = at.y + (ay * way) / 2;
  const far = (FAR * reach) ** 2;
  const square = reach * reach;
  let moved = false;
  for (let i = 0; i < outline.length; i += 2) {
    const x0 = outline[i] as number;
    const y0 = outline[i + 1] as number;
    if ((x0 - cx) ** 2 + (y0 - cy) ** 2 > far) continue;
    let px = x0;
    let py = y0;
    // Midpoint rule: the drag is read where the point is half way, the pick half way too.
    for (let half = 0; half < 2; half++) {
      const rx = px - (half === 0 ? at.x : cx);
      const ry = py - (half === 0 ? at.y : cy);
      const x = rx * ax + ry * ay;
      const y = ry * ax - rx * ay;
      const length = (half === 0 ? way / 2 : way) * Math.exp(-(x * x + y * y) / (2 * square));
      const u = length * (1 - (y * y) / square);
      const v = (length * x * y) / square;
      px = x0 + u * ax - v * ay;
      py = y0 + u * ay + v * ax;
    }
    outline[i] = px;
    outline[i + 1] = py;
    moved = true;
  }
  return moved;
}

/**
 * Draws a pick through sauces that lie in a surface: what is near is dragged along, areas stay as they are.
 *
 * @param outlines of the second sauce; they stay as they are
 * @param stroke two points or more, m
 * @param widthM of the pick
 * @returns the outlines after it, in their order
 * @see science-film.md section 4: a divergence-free disturbance (judgement), moved by the midpoint rule
 */
export function pickThrough(outlines: readonly Outline[], stroke: readonly Spot[], widthM = PICK_M): Outline[] {
  const reach = REACH * widthM;
  const path = finely(stroke, STEP * reach);
  const moved = outlines.map((outline) => Float64Array.from(outline));
  const touched = new Set<number>();
  for (let k = 1; k < path.length; k++) {
    const [from, to] = [path[k - 1] as Spot, path[k] as Spot];
    const way = Math.hypot(to.x - from.x, to.y - from.y);
    if (way === 0) continue;
    const along = { x: (to.x - from.x) / way, y: (to.y - from.y) / way };
    for (const [i, outline] of moved.entries()) {
      if (drag(outline, from, along, way, reach)) touched.add(i);
    }
    if (k % FILLED_EVERY !== 0 && k < path.length - 1) continue;
    for (const i of touched) moved[i] = filled(moved[i] as Outline);
    touched.clear();
  }
  return moved;
}
