import { expose } from 'comlink';
import { type BalanceResult, balance } from '@/core/balance/balance';
import type { Formula } from '@/core/predict/formula';

/** What a balance came to, as far as the screen needs it. */
export type BalanceAnswer = Pick<BalanceResult, 'status' | 'grams' | 'change' | 'inTheWay'>;

const door = {
  balance(formula: Formula): BalanceAnswer {
    const { status, grams, change, inTheWay } = balance(formula);
    return { status, grams, change, inTheWay };
  },
};

export type BalanceDoor = typeof door;

expose(door);
