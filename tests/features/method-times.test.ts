import { describe, expect, it } from 'vitest';
import { isWait } from '@/core/method/hands';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { timedSteps } from '@/features/method/timed-steps';
import { resolveFormula } from '@/formats/resolve-formula';
import { panLooks } from '@/kitchen/method/pan-look';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { duration } from '@/ui/duration';
import { larder } from '../support/kitchen';

const worked = (name: string, way?: NonNullable<Parameters<typeof workMethod>[0]['method']>['way']) => {
  const file = lanternMillFormulas().find((each) => each.name === name);
  if (!file) throw new Error(name);
  const method = workMethod(
    { ...file, method: way && { way } },
    resolveFormula(file, larder, 'standard'),
    USUAL_METHOD_KITCHEN,
  );
  if (!method) throw new Error('no method');
  return method;
};

describe('times as a cook says them', () => {
  it.each([
    [0, '0\u202fs'],
    [13, '15\u202fs'],
    [80, '80\u202fs'],
    [150, '2½\u202fmin'],
    [185, '3\u202fmin'],
    [1140, '19\u202fmin'],
    [7200, '2\u202fh'],
    [43_500, '12\u202fh 5\u202fmin'],
  ])('%s s is %s', (seconds, words) => {
    expect(duration(seconds)).toBe(words);
  });
});

describe('the line of the work', () => {
  it('runs without a gap, and what is done beside the pan is not on it', () => {
    const { followed, seconds } = worked('Snowmelt mirror, white');
    const timed = timedSteps(followed);
    expect(timed).toHaveLength(followed.length - 1);
    for (let i = 1; i < timed.length; i++) expect(timed[i]?.from).toBe(timed[i - 1]?.to);
    expect(60 * (timed.at(-1)?.to ?? 0)).toBeCloseTo(seconds, 6);
    for (const { points, from, to } of timed) {
      for (const [minutes] of points) expect(minutes >= from - 1e-9 && minutes <= to + 1e-9).toBe(true);
    }
  });

  it('draws a night in the fridge as minutes, so that the work is still seen', () => {
    const timed = timedSteps(worked('Feast day gloss', 'whipped').followed);
    const chill = timed.find(({ followed }) => followed.step.kind === 'chill');
    expect((chill?.to ?? 0) - (chill?.from ?? 0)).toBeCloseTo(12, 6);
    expect(chill && isWait(chill.followed)).toBe(true);
  });

  it('shows the pan boiling, with pieces, then without', () => {
    const { followed } = worked('Feast day gloss');
    const looks = panLooks(followed);
    expect(looks[0]?.boils).toBe(true);
    expect(looks.at(-1)).toMatchObject({ boils: false, pieces: 0, grains: 0 });
    for (const { level } of looks) expect(level > 0 && level < 1).toBe(true);
  });
});

describe('a chosen way', () => {
  it('is kept while it suits, and the proposed one takes its place when it does not', () => {
    expect(worked('Feast day gloss', 'microwave')).toMatchObject({ way: 'microwave', proposal: undefined });
    expect(worked('Feast day gloss', 'starchSauce')).toMatchObject({ way: 'pouredOver', proposal: { why: 'notedSo' } });
  });

  it('is worked in the pan and on the hob of the brief', () => {
    const file = lanternMillFormulas().find(({ name }) => name === 'Feast day gloss');
    expect(file && kitchenOf(file, 26)).toMatchObject({ panM: 0.24, bowlM: 0.24, kitchenC: 26 });
  });
});
