import type { StepKind } from '@/core/method/step';
import type { CheckKind } from '@/formats/batch';

/** What is looked for, how, and what either answer is called. */
export interface CheckWords {
  readonly ask: string;
  readonly how: string;
  readonly good: string;
  readonly bad: string;
}

export const CHECK_WORDS: Readonly<Record<CheckKind, CheckWords>> = {
  grains: {
    ask: 'Does anything grit?',
    how: 'Rub a drop between two fingers, or draw the spatula over the base.',
    good: 'Smooth',
    bad: 'It grits',
  },
  lumps: {
    ask: 'Are there lumps?',
    how: 'Lift the spatula: nothing stands out, nothing knocks.',
    good: 'None',
    bad: 'Lumps',
  },
  smooth: {
    ask: 'Is it smooth and shining?',
    how: 'Tilt the pan: it flows as one, with no oil at the rim and no tear.',
    good: 'It shines',
    bad: 'Dull, oily or torn',
  },
  coats: {
    ask: 'Does it coat the spoon?',
    how: 'Draw a finger through the back of the spoon: the line stays.',
    good: 'The line holds',
    bad: 'It runs, or lies too thick',
  },
  skin: {
    ask: 'Has it a skin?',
    how: 'Touch the surface with the spatula: it follows, nothing wrinkles.',
    good: 'None',
    bad: 'A skin',
  },
  edgeSet: {
    ask: 'Is the edge set, the centre soft?',
    how: 'Press the rim, then the middle, with a fingertip.',
    good: 'As it should be',
    bad: 'Soft, or hard through',
  },
};

/** What is looked for at the end of a step. */
export const CHECKS_OF: Partial<Record<StepKind, readonly CheckKind[]>> = {
  warm: ['grains'],
  melt: ['lumps'],
  stir: ['lumps', 'smooth'],
  bursts: ['lumps', 'smooth'],
  slurry: ['lumps'],
  cookOut: ['smooth'],
  butter: ['smooth'],
  blend: ['smooth'],
  strain: ['lumps'],
  cool: ['skin', 'coats'],
  chill: ['edgeSet'],
  whip: ['smooth'],
};
