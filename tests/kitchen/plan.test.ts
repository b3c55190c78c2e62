import { describe, expect, it } from 'vitest';
import { planOn, planText, readPlan } from '@/kitchen/method/plan';

describe('a plan', () => {
  it.each([
    ['2026-11-28', 848, '2026-11-28T14:08'],
    ['2026-11-28', -30, '2026-11-27T23:30'],
    ['2026-12-31', 1500, '2027-01-01T01:00'],
    ['2028-02-28', 1440, '2028-02-29T00:00'],
  ])('%s and %d min is %s, and is read back', (day, minutes, text) => {
    const plan = planOn(day, minutes);
    expect(plan && planText(plan)).toBe(text);
    expect(readPlan(text)).toEqual(plan);
    expect(plan?.start).toBe(60 * Number(text.slice(11, 13)) + Number(text.slice(14)));
  });

  it.each(['', 'soon', '2026-02-30T10:00', '2026-11-28T24:00', '2026-11-28'])('%j is none', (text) => {
    expect(readPlan(text)).toBeUndefined();
  });
});
