import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { axesOf, dotProduct, type GroundPlane, type Lens, meet, rayOf, times, type Vec, vectorSum } from './camera';
import { circleThrough } from './circle-fit';

/** An ellipse a x² + b x y + c y² + d x + e y + f = 0. */
export type Conic = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/**
 * The ellipse nearest to some points.
 *
 * @param points six or more
 * @returns nothing where no ellipse fits
 * @see Fitzgibbon, Pilu & Fisher 1999 in the stable form of Halíř & Flusser 1998 (published)
 */
export function fitEllipse(points: readonly (readonly [x: number, y: number])[]): Conic | undefined {
  if (points.length < 6) return undefined;
  const mx = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const size = Math.sqrt(points.reduce((sum, [x, y]) => sum + (x - mx) ** 2 + (y - my) ** 2, 0) / points.length) || 1;
  const s1 = Matrix.zeros(3, 3);
  const s2 = Matrix.zeros(3, 3);
  const s3 = Matrix.zeros(3, 3);
  for (const [px, py] of points) {
    const [x, y] = [(px - mx) / size, (py - my) / size];
    const square = [x * x, x * y, y * y];
    const plain = [x, y, 1];
    for (let i = 0; i < 3; i++) {
      for (let j = 0; j < 3; j++) {
        s1.set(i, j, s1.get(i, j) + (square[i] as number) * (square[j] as number));
        s2.set(i, j, s2.get(i, j) + (square[i] as number) * (plain[j] as number));
        s3.set(i, j, s3.get(i, j) + (plain[i] as number) * (plain[j] as number));
      }
    }
  }
  let bent: number[] | undefined;
  let t: Matrix;
  try {
    t = inverse3(s3).mmul(s2.transpose()).mul(-1);
    const m = s1.add(s2.mmul(t));
    // Times the inverse of the constraint 4ac - b² = 1.
    const reduced = new Matrix([
      m.getRow(2).map((v) => v / 2),
      m.getRow(1).map((v) => -v),
      m.getRow(0).map((v) => v / 2),
    ]);
    // Points on a line leave nothing to decompose.
    if (!reduced.to1DArray().every(Number.isFinite)) return undefined;
    const { eigenvectorMatrix } = new EigenvalueDecomposition(reduced);
    for (let k = 0; k < 3; k++) {
      const [a, b, c] = eigenvectorMatrix.getColumn(k) as [number, number, number];
      if (4 * a * c - b * b > 0) bent = [a, b, c];
    }
  } catch {
    return undefined;
  }
  if (!bent) return undefined;
  const [a, b, c] = bent as [number, number, number];
  const [d, e, f] = t.mmul(Matrix.columnVector(bent)).to1DArray() as [number, number, number];
  return backToPicture([a, b, c, d, e, f], mx, my, size);
}

/** The inverse of a matrix of three. */
function inverse3(m: Matrix): Matrix {
  const [a, b, c, d, e, f, g, h, i] = m.to1DArray() as number[] as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return new Matrix([
    [(e * i - f * h) / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [(f * g - d * i) / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [(d * h - e * g) / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ]);
}

/** A conic that was fitted about a middle and at a size, in px again. */
function backToPicture([a, b, c, d, e, f]: Conic, mx: number, my: number, size: number): Conic {
  const [A, B, C] = [a, b, c].map((v) => v / (size * size)) as [number, number, number];
  const [D, E] = [d / size, e / size];
  return [
    A,
    B,
    C,
    D - 2 * A * mx - B * my,
    E - 2 * C * my - B * mx,
    f + A * mx * mx + B * mx * my + C * my * my - D * mx - E * my,
  ];
}

/** Middle and half axes of an ellipse, px; nothing where it is none. */
export function ellipseOf(conic: Conic) {
  // The same ellipse by its form turned over: one sign of it.
  const sign = conic[0] + conic[2] < 0 ? -1 : 1;
  const [a, b, c, d, e, f] = conic.map((each) => sign * each) as [number, number, number, number, number, number];
  const bent = 4 * a * c - b * b;
  if (bent <= 0) return undefined;
  const x = (b * e - 2 * c * d) / bent;
  const y = (b * d - 2 * a * e) / bent;
  const rest = -(f + (d * x + e * y) / 2);
  const half = Math.hypot(a - c, b);
  const [large, small] = [(a + c + half) / 2, (a + c - half) / 2];
  const [first, second] = [rest / small, rest / large];
  if (!(first > 0 && second > 0)) return undefined;
  // Direction of the longer axis: where the form is least.
  const turn = 0.5 * Math.atan2(-b, c - a);
  return { x, y, longer: Math.sqrt(first), shorter: Math.sqrt(second), turn };
}

export type Ellipse = NonNullable<ReturnType<typeof ellipseOf>>;

/** Points round an ellipse, px. */
export const pointsOn = ({ x, y, longer, shorter, turn }: Ellipse, count: number): (readonly [number, number])[] =>
  Array.from({ length: count }, (_, i) => {
    const t = (2 * Math.PI * i) / count;
    const [p, q] = [longer * Math.cos(t), shorter * Math.sin(t)];
    return [x + p * Math.cos(turn) - q * Math.sin(turn), y + p * Math.sin(turn) + q * Math.cos(turn)] as const;
  });

/**
 * The ground on which a circle of known size lies, from the ellipse it is seen as.
 *
 * A circle seen as an ellipse can lie in two ways; that one is taken whose far side is up in the picture, as on a table in front of one.
 *
 * @param ellipse as it is seen, px
 * @param radius of the circle, in any unit: the answer is in it too
 * @returns the ground, and where on it the middle of the circle lies, in the camera's directions
 * @see the pose of a circle by the eigenvectors of its cone (published)
 */
export function groundOfCircle(
  lens: Lens,
  ellipse: Ellipse,
  radius: number,
): (GroundPlane & { readonly middle: Vec }) | undefined {
  const rays = pointsOn(ellipse, 72).map(([x, y]) => rayOf(lens, x, y));
  const conic = fitEllipse(rays.map(([x, y]) => [x, y] as const));
  if (!conic?.every(Number.isFinite)) return undefined;
  const [a, b, c, d, e, f] = conic;
  const cone = new Matrix([
    [a, b / 2, d / 2],
    [b / 2, c, e / 2],
    [d / 2, e / 2, f],
  ]);
  const sign = a + c > 0 ? 1 : -1;
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(cone.mul(sign), { assumeSymmetric: true });
  const order = [0, 1, 2].sort((i, j) => (realEigenvalues[j] as number) - (realEigenvalues[i] as number));
  const [l1, l2, l3] = order.map((i) => realEigenvalues[i] as number) as [number, number, number];
  const [first, , last] = order.map((i) => eigenvectorMatrix.getColumn(i) as unknown as Vec) as [Vec, Vec, Vec];
  if (!(l2 > 0 && l3 < 0)) return undefined;
  const u = Math.sqrt(Math.max((l1 - l2) / (l1 - l3), 0));
  const v = Math.sqrt(Math.max((l2 - l3) / (l1 - l3), 0));
  const normals = [1, -1].map((side): Vec => {
    const n: Vec = [
      side * u * first[0] + v * last[0],
      side * u * first[1] + v * last[1],
      side * u * first[2] + v * last[2],
    ];
    // Towards the camera: against the way it looks.
    return n[2] > 0 ? [-n[0], -n[1], -n[2]] : n;
  });
  // What lies on a table and is looked at from the front: its normal leans up in the picture (y is down).
  const normal = normals.reduce((best, each) => (each[1] < best[1] ? each : best));
  return groundAt(rays, normal, radius);
}

/** How far above a ground of a normal the camera stands, so that what is seen lies on a circle of a radius; and where its middle is. */
function groundAt(
  rays: readonly Vec[],
  normal: Vec,
  radius: number,
): (GroundPlane & { readonly middle: Vec }) | undefined {
  const near: GroundPlane = { normal, above: 1 };
  const points = rays.map((ray) => meet(near, ray));
  if (points.some((point) => !point)) return undefined;
  const [across, away] = axesOf(near);
  const foot = times(normal, -1);
  const circle = circleThrough(
    (points as Vec[]).map((point) => {
      const on = vectorSum(point, times(foot, -1));
      return [dotProduct(on, across), dotProduct(on, away)] as const;
    }),
  );
  if (!(circle.radius > 0)) return undefined;
  const above = radius / circle.radius;
  const middle = vectorSum(foot, vectorSum(times(across, circle.x), times(away, circle.y)));
  return { normal, above, middle: times(middle, above) };
}
