import { describe, expect, it } from 'vitest';
import type { BalanceGoal } from '@/core/balance/goal';
import { otherWay } from '@/features/balance/verdict/other-way';

const pan = (cream: number, chocolate: number) => ({
  grams: new Map([
    ['cream', cream],
    ['chocolate', chocolate],
  ]),
});

/** Goals that want other grams than 200 and 180, in the order they are asked. */
function asking(others: Partial<Record<BalanceGoal, number>>) {
  const asked: BalanceGoal[] = [];
  const ask = async (goal: BalanceGoal) => {
    asked.push(goal);
    return { ...pan(200, others[goal] ?? 180), goal };
  };
  return { asked, ask };
}

describe('another way', () => {
  it('is the next goal that wants other grams; those that want the same are passed over', async () => {
    const { asked, ask } = asking({ bestShine: 190, mostRobust: 170 });
    expect((await otherWay('cheapest', pan(200, 180), ask)).goal).toBe('bestShine');
    expect(asked).toEqual(['leastSugar', 'bestShine']);
  });

  it('goes round to the goals before, never to its own', async () => {
    const { asked, ask } = asking({ mostRobust: 170, close: 165 });
    expect((await otherWay('mostRobust', pan(200, 180), ask)).goal).toBe('close');
    expect(asked).toEqual(['close']);
  });

  it('that does not exist is said', async () => {
    const { asked, ask } = asking({});
    await expect(otherWay('close', pan(200, 180), ask)).rejects.toThrow('no other way');
    expect(asked).toEqual(['cheapest', 'leastSugar', 'bestShine', 'mostRobust']);
  });
});
