import type { ThermalHistory } from '../matter/process';
import { nth } from '../nth';
import { type Batch, stateAt } from '../predict/state';
import { taste } from '../taste/taste';

/** How sweet something is between bitter and sweet, with the balance each word stands for, 0-1 (J). */
export const TASTED = { bitter: 0.15, dark: 0.28, rounded: 0.4, sweet: 0.55, verySweet: 0.72 } as const;
export type Tasted = keyof typeof TASTED;

/** What the tongue feels of sugar, with the risk of grain each stands for, 0-1 (J). */
export const FELT = { smooth: 0.1, fewGrains: 0.5, sandy: 0.9 } as const;
export type Felt = keyof typeof FELT;

/** The word of a ladder that lies nearest to a value. */
function nearest<Word extends string>(ladder: Readonly<Record<Word, number>>, value: number): Word {
  const rungs = Object.entries(ladder) as [Word, number][];
  return nth(
    rungs.toSorted(([, a], [, b]) => Math.abs(a - value) - Math.abs(b - value)),
    0,
  )[0];
}

/**
 * How a batch tastes by the book, in the word a cook would choose.
 *
 * @example tastedByTheBook(ganache) // 'rounded'
 * @see relative sweetness (published), words and balance (judgement)
 */
export const tastedByTheBook = ({ mixture }: Batch): Tasted => nearest(TASTED, taste(mixture).balance);

/**
 * What the tongue feels of the sugar by the book: all dissolved, a few grains, or sandy.
 *
 * @param temperatureC of the batch when it is tasted
 * @param history how it came there
 */
export const feltByTheBook = (batch: Batch, temperatureC: number, history: ThermalHistory): Felt =>
  nearest(FELT, stateAt(batch, temperatureC, history).risks.grainy);
