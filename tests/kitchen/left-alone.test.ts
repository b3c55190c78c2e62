import { describe, expect, it } from 'vitest';
import { resolveFormula } from '@/formats/resolve-formula';
import { leftAloneSeconds } from '@/kitchen/method/left-alone';
import { settingTimes } from '@/kitchen/method/setting-bodies';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const worked = lanternMillFormulas().flatMap((file) => {
  const found = workMethod(file, resolveFormula(file, larder, 'standard'), kitchenOf(file, 22));
  return found ? [found] : [];
});

describe('cooling that nobody stirs', () => {
  it('takes longer than stirred, for every step of cooling that takes a while', () => {
    const long = worked
      .flatMap(({ followed }) => followed)
      .filter(({ step, seconds }) => step.kind === 'cool' && seconds > 120);
    expect(long.length).toBeGreaterThan(8);
    for (const each of long) expect(leftAloneSeconds(each)).toBeGreaterThan(each.seconds);
  });

  it('is not asked of steps that do not cool', () => {
    for (const each of worked.flatMap(({ followed }) => followed)) {
      if (each.step.kind !== 'cool') expect(leftAloneSeconds(each)).toBeUndefined();
    }
  });
});

describe('setting', () => {
  it('is never sooner in a kitchen where fat sets slowly, and later wherever fat sets it', () => {
    const never = Number.POSITIVE_INFINITY;
    const later = worked.slice(0, 6).map((method) => {
      const offsets = { ...method.kitchen.offsets, time: Math.log(1.5) };
      const slow = settingTimes({ ...method, kitchen: { ...method.kitchen, offsets } });
      return settingTimes(method).some(({ edgeH = never, centreH = never }, i) => {
        expect(slow[i]?.edgeH ?? never).toBeGreaterThanOrEqual(edgeH);
        expect(slow[i]?.centreH ?? never).toBeGreaterThanOrEqual(centreH);
        return (slow[i]?.centreH ?? never) > centreH;
      });
    });
    expect(later.filter(Boolean).length).toBeGreaterThan(2);
  });

  it('a small piece before a bowl, the edge before the centre', () => {
    for (const method of worked) {
      const times = new Map(settingTimes(method).map((each) => [each.which, each]));
      const never = Number.POSITIVE_INFINITY;
      const centre = (which: 'piped' | 'bowl' | 'tray' | 'jar') => times.get(which)?.centreH ?? never;
      expect(centre('piped')).toBeLessThanOrEqual(centre('bowl'));
      for (const { edgeH, centreH } of times.values()) expect(edgeH ?? never).toBeLessThanOrEqual(centreH ?? never);
    }
  });
});
