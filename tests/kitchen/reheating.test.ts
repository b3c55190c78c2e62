import { describe, expect, it } from 'vitest';
import { holdWarm } from '@/core/pan/hold-warm';
import { massG } from '@/core/pan/pan';
import { readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { reheatingSplash } from '@/kitchen/method/reheating';
import { workFile } from '@/kitchen/method/work-method';
import { larder } from '../support/kitchen';

const jar = (high: number | undefined, cream = 200) =>
  readFormula({
    format: 'dark-pour/formula',
    version: 1,
    name: 'Weir jar',
    lines: [
      { ingredient: 'cream-35', grams: cream },
      { ingredient: 'dark-couverture-60', grams: 200 },
    ],
    moments: [{ name: 'pour', temperatureC: 40, history: [[0.3, 40]] }],
    gates: high === undefined ? [] : [{ moment: 'pour', quantity: 'resistancePa', low: 1, high }],
    method: { way: 'reheated' },
  });
function splashOf(file: ReturnType<typeof jar>) {
  const worked = workFile(file, larder, 'standard');
  const lostG = worked?.followed.at(-1)?.end.lostWaterG ?? 0;
  return worked && reheatingSplash(resolveFormula(file, larder, 'standard'), worked.pourC, lostG);
}

describe('warmed again', () => {
  it('takes a splash where it is thicker than its gate; more milk than water; more for a thinner gate', () => {
    const [thin, thinner] = [splashOf(jar(8)), splashOf(jar(5))];
    expect(thin?.water).toBeGreaterThan(1);
    expect(thin?.milk).toBeGreaterThan(thin?.water ?? 0);
    expect(thinner?.water).toBeGreaterThan(thin?.water ?? 0);
  });

  it('takes none where it pours as it is, or nobody said how it must', () => {
    expect(splashOf(jar(400))).toBeUndefined();
    expect(splashOf(jar(undefined))).toBeUndefined();
  });

  it('held warm it loses water and skins sooner the hotter it is, and less in a damp kitchen', () => {
    const pan = workFile({ ...jar(20), method: { way: 'pouredOver' } }, larder, 'standard')?.followed.at(-1)?.end;
    if (!pan) throw new Error('nothing was made');
    const [cool, hot] = [holdWarm(pan, 35), holdWarm(pan, 60)];
    expect(hot.lostGPerHour).toBeGreaterThan(3 * cool.lostGPerHour);
    expect(cool.lostGPerHour).toBeGreaterThan(0.5);
    expect(hot.lostGPerHour).toBeLessThan(massG(pan));
    // A skin is there once 60 g of water have left a square metre of it.
    const areaM2 = Math.PI * (pan.vessel.diameterM / 2) ** 2;
    expect(((cool.skinMinutes ?? 0) / 60) * (cool.lostGPerHour / areaM2)).toBeCloseTo(60, 0);
    expect(hot.skinMinutes ?? 0).toBeLessThan(cool.skinMinutes ?? Number.POSITIVE_INFINITY);
    expect(holdWarm({ ...pan, vessel: { ...pan.vessel, humidity: 0.9 } }, 35).lostGPerHour).toBeLessThan(
      cool.lostGPerHour,
    );
    expect(holdWarm({ ...pan, liquid: pan.liquid.map(() => 0) }, 35).skinMinutes).toBeUndefined();
  });
});
