import { seededNumbers } from '../random';
import { discArea, dotVolume, lineVolume } from '../yields/surfaces';

/** What is poured or drawn on a plate. */
export const PLATE_PATTERNS = [
  'pool',
  'mirror',
  'swirl',
  'dots',
  'line',
  'star',
  'hearts',
  'feather',
  'random',
  'own',
] as const;
export type PlatePattern = (typeof PLATE_PATTERNS)[number];

/** cm from the middle of the plate. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** One movement of the hand: a line of a width, in its order. */
export interface Stroke {
  readonly points: readonly Point[];
  readonly widthMm: number;
}

/** A guide drawn to scale: what is poured first, then strokes and dots, then where a pick is dragged. */
export interface PlateGuide {
  /** cm across the pool under it; 0 for none */
  readonly poolCm: number;
  readonly strokes: readonly Stroke[];
  readonly dots: readonly (Point & { readonly acrossMm: number })[];
  /** the way of the pick, wiped between each */
  readonly picks: readonly (readonly Point[])[];
  /** mL of the sauce that is poured, and of the one that draws */
  readonly pouredMl: number;
  readonly drawnMl: number;
}

/** What a cook draws by hand: dots, and the ways of a pick, in their order; cm from the middle. */
export interface OwnDrawing {
  readonly dots: readonly Point[];
  readonly picks: readonly (readonly Point[])[];
}

const NOTHING_DRAWN: OwnDrawing = { dots: [], picks: [] };

/** A plate: its flat across (a square one by its side), and what is drawn with. */
export interface Plate {
  readonly flatCm: number;
  readonly isSquare: boolean;
  /** mm a pool stands deep */
  readonly depthMm: number;
  /** mm of a line or a dot */
  readonly drawnMm: number;
}

/** A line stands half as high as it is wide; a drop is half a ball (J). */
const LINE_HEIGHT = 0.5;
const DOT_HEIGHT = 0.5;
/** Part of the flat that a pool takes; a mirror takes nearly all (J). */
const POOL_PART = 0.6;
const MIRROR_PART = 0.96;
const TURNS = 4;
const RAYS = 8;
const HEARTS = 6;
/** Lines of a feather, and drags across them. */
const FEATHER = { lines: 5, drags: 7 } as const;
/** Steps a turn of a curve is drawn in. */
const FINE = 48;

const polar = (radius: number, angle: number): Point => ({ x: radius * Math.cos(angle), y: radius * Math.sin(angle) });

/** cm of a way. */
export function lengthOf(points: readonly Point[]): number {
  return points.slice(1).reduce((sum, { x, y }, i) => {
    const before = points[i];
    return sum + (before ? Math.hypot(x - before.x, y - before.y) : 0);
  }, 0);
}

/** A spiral of even distance from the middle out. */
const spiral = (radiusCm: number, turns: number): Point[] =>
  Array.from({ length: turns * FINE + 1 }, (_, i) => polar((radiusCm * i) / (turns * FINE), (2 * Math.PI * i) / FINE));

const ring = (radiusCm: number, count: number, turn = 0): Point[] =>
  Array.from({ length: count }, (_, i) => polar(radiusCm, turn + (2 * Math.PI * i) / count - Math.PI / 2));

/** A loop that wanders within a circle and never leaves it: three slow waves with phases of a seed. */
function wander(radiusCm: number, seed: number): Point[] {
  const dice = seededNumbers(seed);
  const phases = Array.from({ length: 4 }, () => 2 * Math.PI * dice());
  const wave = (t: number, a: number, b: number, i: number) =>
    0.6 * Math.sin(a * t + (phases[i] ?? 0)) + 0.4 * Math.sin(b * t + (phases[i + 1] ?? 0));
  return Array.from({ length: 6 * FINE + 1 }, (_, i) => {
    const t = (2 * Math.PI * i) / (6 * FINE);
    return { x: (radiusCm / Math.SQRT2) * wave(t, 3, 7, 0), y: (radiusCm / Math.SQRT2) * wave(t, 2, 5, 2) };
  });
}

/** Places side by side across a circle, the outermost well inside it: how far from its middle, and half the chord there. */
const across = (radiusCm: number, count: number) =>
  Array.from({ length: count }, (_, i) => {
    const off = 0.75 * radiusCm * ((2 * i) / (count - 1) - 1);
    return { off, half: 0.9 * Math.sqrt(radiusCm * radiusCm - off * off) };
  });

/** Lines side by side, and drags across them, each against the one before. */
const feather = (radiusCm: number): { readonly lines: Point[][]; readonly picks: Point[][] } => ({
  lines: across(radiusCm, FEATHER.lines).map(({ off, half }) => [
    { x: -half, y: off },
    { x: half, y: off },
  ]),
  picks: across(radiusCm, FEATHER.drags).map(({ off, half }, i) => {
    const way = [
      { x: off, y: -half },
      { x: off, y: half },
    ];
    return i % 2 === 0 ? way : way.reverse();
  }),
});

/** What is drawn over a pool or on the bare plate, by pattern. */
function drawn(
  pattern: PlatePattern,
  radiusCm: number,
  drawnMm: number,
  seed: number,
  own: OwnDrawing,
): Pick<PlateGuide, 'strokes' | 'dots' | 'picks'> {
  const stroke = (points: readonly Point[]): Stroke => ({ points, widthMm: drawnMm });
  switch (pattern) {
    case 'swirl':
      return { strokes: [stroke(spiral(0.85 * radiusCm, TURNS))], dots: [], picks: [] };
    case 'line':
      return {
        strokes: [
          stroke([
            { x: -0.8 * radiusCm, y: 0 },
            { x: 0.8 * radiusCm, y: 0 },
          ]),
        ],
        dots: [],
        picks: [],
      };
    case 'dots':
      return {
        strokes: [],
        // The largest first, at the top; each smaller than the one before, as hands do it.
        dots: ring(0.72 * radiusCm, 12).map((point, i) => ({ ...point, acrossMm: drawnMm * (1 - 0.05 * i) })),
        picks: [],
      };
    case 'star':
      return {
        strokes: [0.3, 0.55, 0.8].map((part) =>
          stroke([...ring(part * radiusCm, FINE), polar(part * radiusCm, -Math.PI / 2)]),
        ),
        dots: [],
        // From the middle out, then from the rim in, between.
        picks: Array.from({ length: 2 * RAYS }, (_, i) => {
          const angle = (Math.PI * i) / RAYS - Math.PI / 2;
          const way = [polar(0.12 * radiusCm, angle), polar(0.92 * radiusCm, angle)];
          return i % 2 === 0 ? way : way.toReversed();
        }),
      };
    case 'hearts': {
      const dots = ring(0.6 * radiusCm, HEARTS).map((point) => ({ ...point, acrossMm: drawnMm }));
      // One drag through all of them makes a wreath of hearts.
      return { strokes: [], dots, picks: [[...ring(0.6 * radiusCm, FINE), polar(0.6 * radiusCm, -Math.PI / 2)]] };
    }
    case 'feather': {
      const { lines, picks } = feather(radiusCm);
      return { strokes: lines.map(stroke), dots: [], picks };
    }
    case 'own':
      return { strokes: [], dots: own.dots.map((point) => ({ ...point, acrossMm: drawnMm })), picks: own.picks };
    case 'random':
      return { strokes: [stroke(wander(0.9 * radiusCm, seed))], dots: [], picks: [] };
    case 'pool':
    case 'mirror':
      return { strokes: [], dots: [], picks: [] };
  }
}

/** Patterns that are drawn into a pool of the first sauce. */
const ON_A_POOL: ReadonlySet<PlatePattern> = new Set(['pool', 'mirror', 'star', 'hearts', 'feather', 'own']);

/**
 * A guide for a plate, drawn to scale, with what it takes.
 *
 * @param plate 4 to 60 cm of flat
 * @param seed of the pattern that wanders
 * @param own what is drawn by hand, where the pattern is one's own
 * @returns mL; areas and volumes by closed forms: discs, half-oval lines, half balls
 */
export function plateGuide(pattern: PlatePattern, plate: Plate, seed = 1, own = NOTHING_DRAWN): PlateGuide {
  const { flatCm, isSquare, depthMm, drawnMm } = plate;
  const part = pattern === 'mirror' ? MIRROR_PART : POOL_PART;
  const hasPool = ON_A_POOL.has(pattern);
  const poolCm = hasPool ? part * flatCm : 0;
  const radiusCm = (hasPool ? poolCm : flatCm) / 2;
  const shapes = drawn(pattern, radiusCm, drawnMm, seed, own);
  // A mirror follows the plate: a square one fills its square.
  const area = pattern === 'mirror' && isSquare ? poolCm ** 2 : discArea(poolCm);
  const strokesMl = shapes.strokes.reduce((sum, { points, widthMm }) => {
    const cm = widthMm / 10;
    return sum + lineVolume(lengthOf(points), cm, LINE_HEIGHT * cm);
  }, 0);
  const dotsMl = shapes.dots.reduce(
    (sum, { acrossMm }) => sum + dotVolume(acrossMm / 10, (DOT_HEIGHT * acrossMm) / 10),
    0,
  );
  return { poolCm, ...shapes, pouredMl: (area * depthMm) / 10, drawnMl: strokesMl + dotsMl };
}
