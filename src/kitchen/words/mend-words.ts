import type { Mend } from '@/core/method/mends/mend';
import type { MendPreview } from '../method/mend-preview';
import type { FaultNumbers } from './method-fault-words';

/** What the press beside a fault does. */
const MEND_WORDS: Readonly<Record<Exclude<Mend['kind'], 'widerPan'>, string>> = {
  dissolveFirst: 'Dissolve it in the liquid first, then boil',
  withTheLiquid: 'Put the sugar in with the liquid',
  warmUntilDissolved: 'Warm it until no grain is left',
  boilFirst: 'Bring it to the boil first',
  finer: 'Chop it finer',
  warmUntilMelted: 'Warm it gently until all is melted',
  liquidFirst: 'Put the liquid first',
  allAtOnce: 'Put all of the liquid in at once',
  offTheHeat: 'Take it off the heat',
  lowerHeat: 'Turn it down',
  moreHeat: 'Turn it up',
  stirMore: 'Stir it more',
  moreLiquidAside: 'Take more of the liquid for it',
  longer: 'A minute longer',
  cookOut: 'Cook it out',
  sourLast: 'Put what is sour in when it is cooler',
  cocoaWithSugar: 'Put the cocoa in with the sugar or the fat',
  coolFirst: 'Let it cool first',
  whenItIsCooler: 'Put it off until it is cooler',
  warmAgain: 'Warm it again to its pour',
  warmFirst: 'Warm it first',
  afterTheBoil: 'Put it after the boil',
  stopStirring: 'Leave it alone as it sets',
  nearerEnd: 'Stop where this kitchen lets it come',
  belowScrambling: 'Stop before the egg scrambles',
  cookTheEgg: 'Warm it until it coats the spoon',
  boilAMinute: 'Boil it for a minute',
  chillFirst: 'Chill it overnight first',
  slakeFirst: 'Mix it with cold liquid first',
  onceCooked: 'Stop once its starch is cooked',
  putWhereItBelongs: 'Put it where it belongs',
  onlyOnce: 'Put it in only once',
};

/**
 * What a mend is called on its press.
 *
 * @param centimetres how a width is written
 */
export function mendSentence(mend: Mend, centimetres: (cm: number) => string): string {
  return mend.kind === 'widerPan' ? `Take a pan ${centimetres(100 * mend.panM)} wide` : MEND_WORDS[mend.kind];
}

/** s below which a difference is no difference. */
const SAME_S = 15;

/** What a mend does, before it is taken. */
export function previewSentence(
  { added, removed, longerS, endC, left }: MendPreview,
  { duration, celsius }: Pick<FaultNumbers, 'duration' | 'celsius'>,
): string {
  const parts = [
    ...added.map((name) => `adds “${name}”`),
    ...removed.map((name) => `takes out “${name}”`),
    Math.abs(longerS) < SAME_S ? 'as long as now' : `${duration(Math.abs(longerS))} ${longerS > 0 ? 'longer' : 'less'}`,
    ...(endC === undefined ? [] : [`ends at ${celsius(endC)}`]),
  ];
  const rest = left === 0 ? 'Then nothing is wrong.' : `${left} ${left === 1 ? 'problem is' : 'problems are'} left.`;
  return `What it does: ${parts.join(', ')}. ${rest}`;
}
