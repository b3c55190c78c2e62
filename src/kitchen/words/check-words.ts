import type { StepKind } from '@/core/method/step';
import type { Sign } from '@/core/rescue/signs';
import type { CheckKind } from '@/formats/batch';

/** What is looked for, how, and what either answer is called. */
export interface CheckWords {
  readonly ask: string;
  readonly how: string;
  readonly good: string;
  /** each with the sign a rescue begins with */
  readonly bad: readonly (readonly [words: string, sign: Sign])[];
}

export const CHECK_WORDS: Readonly<Record<CheckKind, CheckWords>> = {
  grains: {
    ask: 'Does anything grit?',
    how: 'Rub a drop between two fingers, or draw the spatula over the base.',
    good: 'Smooth',
    bad: [['It grits', 'sandy']],
  },
  lumps: {
    ask: 'Are there lumps?',
    how: 'Lift the spatula: nothing stands out, nothing knocks.',
    good: 'None',
    bad: [['Lumps', 'lumps']],
  },
  smooth: {
    ask: 'Is it smooth and shining?',
    how: 'Tilt the pan: it flows as one, with no oil at the rim and no tear.',
    good: 'It shines',
    bad: [
      ['Dull or streaked', 'dull'],
      ['Oily or torn', 'oily'],
    ],
  },
  coats: {
    ask: 'How thick is it?',
    how: 'Draw a spoon through the pan and wait three seconds. Tap what you see.',
    good: 'Like this',
    bad: [
      ['Thinner', 'bitThin'],
      ['Thicker', 'bitThick'],
    ],
  },
  skin: {
    ask: 'Has it a skin?',
    how: 'Touch the surface with the spatula: it follows, nothing wrinkles.',
    good: 'None',
    bad: [['A skin', 'skin']],
  },
  edgeSet: {
    ask: 'Is the edge set, the centre soft?',
    how: 'Press the rim, then the middle, with a fingertip.',
    good: 'As it should be',
    bad: [
      ['Soft all over', 'softAfterNight'],
      ['Hard all through', 'hardAfterNight'],
    ],
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

/** What was answered, in words; of an answer that does not say which, all that it can have been. */
export function checkAnswer(check: CheckKind, isGood: boolean, sign: Sign | undefined): string {
  const { good, bad } = CHECK_WORDS[check];
  if (isGood) return good;
  return bad.find((each) => each[1] === sign)?.[0] ?? bad.map(([words]) => words).join(', or ');
}
