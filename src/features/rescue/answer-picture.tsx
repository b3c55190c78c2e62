import type { ANSWERS, Question } from '@/core/rescue/diagnosis';
import { type PictureOf, SignPicture } from './sign-picture';

/** What each answer looks like. */
const PICTURES: Readonly<{
  [Asked in Question]: Readonly<Record<keyof (typeof ANSWERS)[Asked], PictureOf>>;
}> = {
  fatAtRim: { yes: 'oily', no: 'plain' },
  rubbed: { crunchy: 'sandy', melts: 'smear', rubbery: 'strings', powdery: 'floury' },
  lumpIs: { paleSoft: 'floury', darkHard: 'lumps', dryInside: 'dryLump', clearRubbery: 'strings' },
  burntSmell: { yes: 'catching', no: 'plain' },
  whileWhipping: { yes: 'noWhip', no: 'plain' },
  coldEnough: { yes: 'coldProbe', no: 'warmProbe' },
};

/** An answer drawn. */
export function AnswerPicture({ question, answer }: { question: Question; answer: string }) {
  const pictures: Readonly<Record<string, PictureOf>> = PICTURES[question];
  return <SignPicture of={pictures[answer] ?? 'plain'} />;
}
