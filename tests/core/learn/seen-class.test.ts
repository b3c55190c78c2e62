import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learnSeen, SEEN_CLASSES, type SeenClass } from '@/core/learn/seen-class';
import { normalNumbers, seededNumbers } from '@/core/random';

const PRIOR = { mean: 0, sd: 0.6 };
const APART = Math.log(Math.sqrt(3));

describe('what an eye teaches of a pan', () => {
  it('law: thicker moves it up, thinner down, alike draws it in, and none leaves it wider', () => {
    const offset = fc.record({
      mean: fc.double({ min: -1, max: 1, noNaN: true }),
      sd: fc.double({ min: 0.05, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(offset, fc.double({ min: 0.2, max: 1.5, noNaN: true }), (prior, threshold) => {
        const [thinner, like, thicker] = SEEN_CLASSES.map((seen) => learnSeen(prior, [seen], threshold));
        if (!thinner || !like || !thicker) throw new Error('three');
        expect(thicker.mean).toBeGreaterThanOrEqual(prior.mean - 1e-9);
        expect(thinner.mean).toBeLessThanOrEqual(prior.mean + 1e-9);
        expect(Math.abs(like.mean)).toBeLessThanOrEqual(Math.abs(prior.mean) + 1e-9);
        for (const after of [thinner, like, thicker]) expect(after.sd).toBeLessThanOrEqual(prior.sd + 1e-6);
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  it('is even: thinner is thicker the other way round; nothing seen teaches nothing', () => {
    const up = learnSeen(PRIOR, ['thicker'], APART);
    const down = learnSeen(PRIOR, ['thinner'], APART);
    expect(up.mean).toBeCloseTo(-down.mean, 9);
    expect(up.sd).toBeCloseTo(down.sd, 9);
    expect(learnSeen(PRIOR, [], APART)).toEqual(PRIOR);
  });

  it('holds what it says: of hidden pans that were seen so, as many lie in its 80 % as it says', () => {
    const normal = normalNumbers(seededNumbers(41));
    let inside = 0;
    const pans = 4000;
    for (let i = 0; i < pans; i++) {
      const truth = PRIOR.sd * normal();
      const felt = truth + 0.3 * normal();
      const seen: SeenClass = felt > APART ? 'thicker' : felt < -APART ? 'thinner' : 'like';
      const { mean, sd } = learnSeen(PRIOR, [seen], APART);
      if (Math.abs(truth - mean) < 1.2816 * sd) inside++;
    }
    expect(inside / pans).toBeGreaterThan(0.76);
    expect(inside / pans).toBeLessThan(0.85);
  });
});
