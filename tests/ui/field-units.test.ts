import { describe, expect, it } from 'vitest';
import { inlineRules } from '@/ui/inline-rules';
import { type AmountRules, parseAmount } from '@/ui/parse-amount';
import { KITCHEN_RULES } from '@/ui/use-kitchen-temperature';

const read = (typed: string, rules: AmountRules) => {
  const parsed = parseAmount(typed, rules);
  return parsed.ok ? parsed.value : parsed.message;
};

describe('what is typed with its unit', () => {
  it('is understood in a field of °C: Fahrenheit has another zero', () => {
    expect(read('90 °F', KITCHEN_RULES)).toBe(32.2);
    expect(read('72f', KITCHEN_RULES)).toBe(22.2);
    expect(read('22 C', KITCHEN_RULES)).toBe(22);
    expect(read('22', KITCHEN_RULES)).toBe(22);
    expect(read('14 °F', { ...KITCHEN_RULES, least: -20 })).toBe(-10);
    expect(read('-4 °F', { ...KITCHEN_RULES, least: -30 })).toBe(-20);
    expect(read('22 °F', KITCHEN_RULES)).toMatch(/below 5 °C/);
  });

  it('is understood in fields of mm and cm: inches too, with their sign', () => {
    const [pan, thick] = [inlineRules([8, 80], 'cm', '24'), inlineRules([0.2, 30], 'mm', '2')];
    expect(read('9 in', pan)).toBeCloseTo(22.86, 9);
    expect(read('9 1/2 inches', pan)).toBeCloseTo(24.13, 9);
    expect(read('10"', pan)).toBeCloseTo(25.4, 9);
    expect(read('240 mm', pan)).toBe(24);
    expect(read('1/8 in', thick)).toBeCloseTo(3.175, 9);
    expect(read('0,2 cm', thick)).toBeCloseTo(2, 9);
    expect(read('2 furlongs', pan)).toMatch(/^Only .*can be read here/);
  });

  it('is understood in a field of hours', () => {
    const rested = inlineRules([0.1, 2000], 'h', '24');
    expect(read('90 min', rested)).toBeCloseTo(1.5, 9);
    expect(read('2 d', rested)).toBe(48);
  });
});
