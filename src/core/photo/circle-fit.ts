/** A circle by least squares through points: middle and radius (Kåsa 1976, published). */
export function circleThrough(points: readonly (readonly [number, number])[]): {
  x: number;
  y: number;
  radius: number;
} {
  const n = points.length;
  const mx = points.reduce((sum, [x]) => sum + x, 0) / n;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let [suu, suv, svv, sr, su, sv] = [0, 0, 0, 0, 0, 0];
  for (const [x, y] of points) {
    const [u, v] = [x - mx, y - my];
    const r = u * u + v * v;
    suu += u * u;
    suv += u * v;
    svv += v * v;
    su += u * r;
    sv += v * r;
    sr += r;
  }
  const det = suu * svv - suv * suv;
  const [a, b] = [(su * svv - sv * suv) / (2 * det), (sv * suu - su * suv) / (2 * det)];
  return { x: mx + a, y: my + b, radius: Math.sqrt(a * a + b * b + sr / n) };
}
