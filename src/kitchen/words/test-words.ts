import type { LampSeen } from '@/core/learn/lamp';
import type { Learnt } from '@/core/learn/learnt';
import { type Felt, feltByTheBook, type Tasted, tastedByTheBook } from '@/core/learn/tongue';
import type { Batch } from '@/core/predict/state';
import type { FileTest, TestKind } from '@/formats/kitchen-test';

/** How a kitchen test is called, and how it is done. */
export interface TestWords {
  readonly name: string;
  readonly how: string;
}

export const TEST_WORDS: Readonly<Record<TestKind, TestWords>> = {
  ring: {
    name: 'Ring and ruler',
    how: 'Set a ring of 5\u00a0cm on a cold plate, pour 20\u00a0ml in, lift it, wait, and lay a ruler across.',
  },
  film: {
    name: 'Film on an upright slice',
    how: 'Pour it down a slice that stands upright. After 5\u00a0s measure how thick it lies, 5\u00a0cm below the rim.',
  },
  spoonLine: {
    name: 'Line on the back of a spoon',
    how: 'Dip a spoon, hold it level for 5\u00a0s, draw a finger through. The line stays, or it runs shut.',
  },
  handle: {
    name: 'Handle dropped',
    how: 'Hold a spoon’s handle (20\u00a0g, 9\u00a0mm across) 10\u00a0cm above and let it fall. Measure how deep it went.',
  },
  ball: {
    name: 'Ball dropped',
    how: 'Let a ball (46\u00a0g, 43\u00a0mm across) fall from 10\u00a0cm. Measure how deep its print is.',
  },
  spoonRest: {
    name: 'Spoon at rest',
    how: 'Lay the bowl of a spoon (22\u00a0g) on it and let go. Measure how deep it lies.',
  },
  stands: {
    name: 'Piping hold',
    how: 'Pipe a mound and measure its height. After a minute it stands as it was, or it has sunk.',
  },
  feels: {
    name: 'Feels like',
    how: 'Press it, draw a knife through it, and say what everybody knows it is like.',
  },
  lamp: {
    name: 'Lamp in the surface',
    how: 'Hold a bare lamp a hand above it and look at what comes back.',
  },
  taste: {
    name: 'Sweet or bitter',
    how: 'A sip of water, then a little on the tongue, as warm as it is eaten. Say where it lies between bitter and sweet.',
  },
  grains: {
    name: 'Dissolved or sandy',
    how: 'Rub a little between tongue and palate. It is smooth, a few grains are left, or it is sandy.',
  },
  sets: {
    name: 'Time until it sets',
    how: 'Note when you poured it, and when the print of a spoon first stays in its middle.',
  },
};

export const LAMP_WORDS: Readonly<Record<LampSeen, string>> = {
  mirror: 'you could read by it: a mirror',
  edgeClear: 'the edge of the lamp is clear',
  edgeSoft: 'the edge of the lamp is soft',
  glow: 'a glow without an edge',
  dull: 'nothing comes back',
};

export const TASTED_WORDS: Readonly<Record<Tasted, string>> = {
  bitter: 'bitter',
  dark: 'dark, little sweet',
  rounded: 'rounded: neither leads',
  sweet: 'sweet',
  verySweet: 'very sweet',
};

export const FELT_WORDS: Readonly<Record<Felt, string>> = {
  smooth: 'smooth: all dissolved',
  fewGrains: 'a few grains',
  sandy: 'sandy',
};

/** What is learnt, over its figures. */
export const LEARNT_WORDS: Readonly<Record<Learnt, string>> = {
  warm: 'Flow, warm',
  cold: 'Set by fat, cold',
  gel: 'Set by gelatin or starch',
  shine: 'Shine',
  time: 'Time to set',
};

/** Both sides of the book: more and less of it. */
const SIDES: Readonly<Record<Learnt, readonly [less: string, more: string]>> = {
  warm: ['pours {share} thinner than the book', 'pours {share} thicker than the book'],
  cold: ['sets {share} softer than the book', 'sets {share} firmer than the book'],
  gel: ['gels {share} softer than the book', 'gels {share} firmer than the book'],
  shine: ['shines less than the book', 'shines more than the book'],
  time: ['sets in {share} less time than the book', 'takes {share} longer to set than the book'],
};
const AS_THE_BOOK: Readonly<Record<Learnt, string>> = {
  warm: 'pours as the book says',
  cold: 'sets as the book says',
  gel: 'gels as the book says',
  shine: 'shines as the book says',
  time: 'takes as long to set as the book says',
};
/** Less than this is no difference, ln. */
const SAME = 0.03;

/** `pours 18 % thinner than the book`. */
export function missPhrase(about: Learnt, mean: number, percent: (share: number) => string): string {
  return SIDES[about][mean > 0 ? 1 : 0].replace('{share}', percent(Math.abs(Math.exp(mean) - 1)));
}

/** `pours 18 % thinner than the book (± 9 %)`. */
export function learntPhrase(
  about: Learnt,
  { mean, sd }: { readonly mean: number; readonly sd: number },
  percent: (share: number) => string,
): string {
  const doubt = percent(Math.exp(sd) - 1);
  const words = Math.abs(mean) < SAME ? AS_THE_BOOK[about] : SIDES[about][mean > 0 ? 1 : 0];
  const share = percent(Math.abs(Math.exp(mean) - 1));
  return about === 'shine' ? words : `${words.replace('{share}', share)} (±\u00a0${doubt})`;
}

/** What the tongue said beside what the book says; nothing for other tests. */
export function tongueAgainst(batch: Batch, test: FileTest): string | undefined {
  if (test.test === 'taste') {
    const reckoned = tastedByTheBook(batch);
    return reckoned === test.tasted ? 'Just what the book says.' : `By the book it is ${TASTED_WORDS[reckoned]}.`;
  }
  if (test.test !== 'grains') return undefined;
  const reckoned = feltByTheBook(batch, test.temperatureC, [[Math.max(test.hours, 0.05), test.temperatureC]]);
  return reckoned === test.felt ? 'Just what the book says.' : `By the book it is ${FELT_WORDS[reckoned]}.`;
}
