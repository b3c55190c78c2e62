import { describe, expect, it } from 'vitest';
import { type Plot, yOf } from '@/ui/chart-geometry';
import { type ChartGate, placeNames } from '@/ui/chart-marks';

const gate = (name: string, temperatureC: number, lowPa: number, highPa: number, side: -1 | 0 | 1 = 0): ChartGate => ({
  name,
  temperatureC,
  lowPa,
  highPa,
  side,
});

/** Room a name takes, px, with letters of usual width. */
function boxes(gates: readonly ChartGate[], plot: Plot) {
  return placeNames(gates, plot).map(({ x, y, anchor }, i) => {
    const width = 6.8 * ((gates[i]?.name.length ?? 0) + 2);
    return { left: anchor === 'end' ? x - width : x - width / 2, right: anchor === 'end' ? x : x + width / 2, y };
  });
}

describe('names of gates', () => {
  const gates = [
    gate('At the pour', 32, 15, 40),
    gate('On the bench', 18, 150, 20_000),
    gate('From the fridge', 4, 150, 2_500, 1),
  ];

  it.each([200, 242, 320, 440, 700])('do not write over each other on a chart %i px wide', (width) => {
    const placed = boxes(gates, { left: 0, top: 0, width, height: 320 });
    placed.forEach((a, i) => {
      for (const b of placed.slice(i + 1)) {
        expect(a.right < b.left || b.right < a.left || Math.abs(a.y - b.y) >= 12).toBe(true);
      }
    });
  });

  it('stand where the curve is not: below what is too stiff, above what is too loose', () => {
    const plot = { left: 0, top: 0, width: 440, height: 320 };
    const [stiff, loose] = placeNames([gate('a', 50, 15, 40, 1), gate('b', 10, 150, 2_500, -1)], plot);
    expect(stiff?.y).toBeGreaterThan(yOf(15, plot));
    expect(loose?.y).toBeLessThan(yOf(2_500, plot));
  });

  it('leave the mark of what is too stiff free even beside a name on nearly the same line', () => {
    const plot = { left: 0, top: 0, width: 440, height: 320 };
    const beside = [gate('On the bench', 18, 150, 20_000), gate('From the fridge', 4, 165, 2_500, 1)];
    expect(placeNames(beside, plot)[1]?.y).toBeGreaterThan(yOf(165, plot));
  });
});
