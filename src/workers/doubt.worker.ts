import { expose } from 'comlink';
import type { Formula } from '@/core/formula/formula';
import { type Doubt, type DoubtOptions, drawDoubt } from '@/core/predict/monte-carlo';

/** The newest question; older ones are left off. */
let newest = 0;

const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

const door = {
  /** Draws a formula's doubt; nothing when a newer question came meanwhile. */
  async draw(formula: Formula, options: DoubtOptions): Promise<Doubt | undefined> {
    newest += 1;
    const mine = newest;
    const drawing = drawDoubt(formula, options);
    for (;;) {
      const step = drawing.next();
      if (step.done) return step.value;
      await breathe();
      if (mine !== newest) return undefined;
    }
  },
};

export type DoubtDoor = typeof door;

expose(door);
