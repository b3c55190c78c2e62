import { describe, expect, it } from 'vitest';
import { JOB_FACTS, JOB_USES, type JobUse } from '@/core/uses/catalogue';
import { type BodyPart, bodyOfUse, type TurnedOutline } from '@/ui/sauce/use-bodies';

/** Volume of a turned outline, m³: by Pappus's rule, for a closed outline. */
function turnedM3(outline: TurnedOutline): number {
  let sum = 0;
  for (const [i, [r, y]] of outline.entries()) {
    const [nextR, nextY] = outline[(i + 1) % outline.length] ?? [r, y];
    sum += (nextY - y) * (r * r + r * nextR + nextR * nextR);
  }
  return Math.abs((Math.PI / 3) * sum);
}

/** ml of sauce in a picture, before anything is cut out of it and without its drips. */
function sauceMl(parts: readonly BodyPart[]): number {
  let sum = 0;
  for (const part of parts) {
    if (part.kind === 'drips' || part.stuff !== 'sauce') continue;
    sum += part.kind === 'block' ? part.size[0] * part.size[1] * part.size[2] : turnedM3(part.outline);
  }
  return 1e6 * sum;
}

/** Uses that ask for so many mm of something. */
const MEASURED = JOB_USES.filter((use) => JOB_FACTS[use].extent !== undefined);

const outlines = (use: JobUse, mm: number) =>
  bodyOfUse(use, mm).flatMap((part) => (part.kind === 'turned' || part.kind === 'lying' ? [part.outline] : []));

describe('a use in true size', () => {
  it.each(JOB_USES)('%s shows its sauce, and nothing on the wrong side of the axis', (use) => {
    const mm = JOB_FACTS[use].mm || 2;
    expect(sauceMl(bodyOfUse(use, mm))).toBeGreaterThan(0);
    for (const [radius, along] of outlines(use, mm).flat()) {
      expect(radius).toBeGreaterThanOrEqual(-1e-12);
      expect(Number.isFinite(along)).toBe(true);
    }
  });

  it.each(MEASURED)('%s shows more sauce the more of it is asked', (use) => {
    const [least, most] = JOB_FACTS[use].reach;
    const steps = Array.from({ length: 8 }, (_, i) => least + ((most - least) * i) / 7);
    const ml = steps.map((mm) => sauceMl(bodyOfUse(use, mm)));
    for (const [i, each] of ml.entries()) if (i > 0) expect(each).toBeGreaterThan(ml[i - 1] ?? 0);
  });

  it('shows a depth as deep as it is: a slab of 15 mm, and two layers of 4 mm', () => {
    expect(sauceMl(bodyOfUse('cut', 15))).toBeCloseTo(3 * 3 * 3 * 1.5, 6);
    expect(sauceMl(bodyOfUse('layers', 4))).toBeCloseTo(2 * Math.PI * 3.6 ** 2 * 0.4, 6);
  });

  it('lets drips run as far as they are said to, on a glaze alone', () => {
    const drips = bodyOfUse('glaze', 2.5, [20, 60]).find(({ kind }) => kind === 'drips');
    expect(drips).toMatchObject({ shortestM: 0.02, longestM: 0.06 });
    expect(bodyOfUse('cover', 3, [20, 60]).some(({ kind }) => kind === 'drips')).toBe(false);
  });
});
