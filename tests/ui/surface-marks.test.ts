import { describe, expect, it } from 'vitest';
import { markedAt, type SurfaceMarks } from '@/ui/sauce/surface-marks';

/** Shades over a pan of 12 cm, a millimetre apart. */
function over(marks: SurfaceMarks): readonly number[] {
  const places = Array.from({ length: 120 }, (_, i) => (i - 60) / 1000);
  return places.flatMap((x) => places.map((y) => markedAt(marks, x, y)));
}
const partOf = (shades: readonly number[], is: (shade: number) => boolean) => shades.filter(is).length / shades.length;

describe('what lies on a sauce', () => {
  it('is nothing where nothing does', () => {
    expect(new Set(over({}))).toEqual(new Set([0]));
  });

  it('flecks are few and dark, grains more and light, at the same places each time', () => {
    const [flecks, grains] = [over({ grit: 'flecks' }), over({ grit: 'sandy' })];
    expect(partOf(flecks, (shade) => shade < 0)).toBeGreaterThan(0.02);
    expect(partOf(flecks, (shade) => shade < 0)).toBeLessThan(0.12);
    expect(partOf(grains, (shade) => shade > 0)).toBeGreaterThan(partOf(flecks, (shade) => shade < 0));
    expect(over({ grit: 'flecks' })).toEqual(flecks);
  });

  it('a skin folds in lines, bubbles stand apart, and no shade is beyond black or white', () => {
    const all = over({ grit: 'sandy', hasBubbles: true, hasSkin: true });
    expect(Math.max(...all)).toBeLessThanOrEqual(1);
    expect(Math.min(...all)).toBeGreaterThanOrEqual(-1);
    expect(partOf(over({ hasSkin: true }), (shade) => shade > 0)).toBeGreaterThan(0.08);
    expect(partOf(over({ hasBubbles: true }), (shade) => shade > 0)).toBeLessThan(0.1);
  });
});
