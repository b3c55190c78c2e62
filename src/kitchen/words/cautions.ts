import type { Brief } from '@/core/brief/brief';
import { spoilerOf } from '@/core/keep/keeping';
import { keysOf } from '@/core/keys-of';
import { compositionVector } from '@/core/matter/components';
import { roleOfRow } from '@/core/method/row-role';
import type { Prediction } from '@/core/predict/predict-formula';
import { foldWords } from '@/formats/fold-words';
import type { KnownItem } from '../known-item';
import type { PanContents } from '../pan-contents';
import { ALCOHOL_NOT_FOR_CHILDREN } from './alcohol-words';

/**
 * Every caution the app says, one plain line each, the sharpest first. Common guidance: the local food code and licensed practice decide.
 */
export const CAUTION_WORDS = {
  spirit: 'Spirit near a flame can light: heat off, bottle away, then add. Alcohol stays in: not for children.',
  unknown: 'What nobody has declared may contain anything: read the pack before you serve it.',
  xylitol: 'Xylitol is poisonous to dogs, even a little.',
  polyols: 'Polyols: large servings are laxative, children sooner.',
  egg: 'Use pasteurised egg where it is not cooked through.',
  fruit: 'Fruit purée brings yeasts: boil it first, or use the batch within days.',
  nutPaste: 'Nut paste goes rancid and carries its allergen: keep it closed and cool, smell it first.',
  honey: 'Honey: not for babies under a year.',
  hotDairy: 'Cream rises and scalds: fill the pan no more than half.',
  coolDairy: 'Cool dairy fast and keep it at 5 °C (41 °F) or under.',
  hot: 'Hot sugar, liquid and steam scald: carry with dry cloths, pour away from you.',
  fryer: 'Fried dough: keep hot oil away from wet sauce and hands.',
  warmHolding:
    'Serve a warm pot within the time your food code allows. Throw the rest away. Never leave a burner alone.',
  hotDrink: 'Hot drinks scald: serve children lukewarm.',
  warmHours: 'Cream ganache left in a warm kitchen for hours is a dairy risk: your food code says how long.',
  holdWarm:
    'Between 5 and 60 °C its time adds up: under 2 h use it or chill it again, up to 4 h use it now, after that throw it away.',
  reheat: 'Reheat once only, quickly, all through; a warmer is no place to reheat in.',
  keeping: 'How long it keeps is an index, not a use-by date.',
  traces: 'Packs may hold traces: read each label, and clean tools between batches.',
  code: 'Your local food code and licensed practice decide.',
} as const;

export type Caution = keyof typeof CAUTION_WORDS;

/** Share of the batch from which polyols are worth a word; some codes ask for a warning there. */
const POLYOL_WORD = 0.1;
/** What honey is called where only the formula knows it. */
const HONEY_WORDS = /(^| )(honey|honig|miel|miele|bal|शहद)( |$)/;

/** Whether something is declared to hold nuts or peanuts. */
const isNutty = ({ allergens }: KnownItem) => (allergens ?? []).some((each) => each === 'nuts' || each === 'peanuts');

/** Which cautions hold, in the order of the table. */
const chosen = (holds: Partial<Record<Caution, boolean>>): Caution[] =>
  keysOf(CAUTION_WORDS).filter((each) => holds[each]);

/** The cautions a pan asks for. Every row is seen, whether the larder knows it or only the formula does. */
export function panCautions(
  { batch: { mixture }, alcoholPercentVol }: Pick<Prediction, 'batch' | 'alcoholPercentVol'>,
  pan: PanContents,
): Caution[] {
  const { massG } = mixture;
  const hasMilk = pan.contains.includes('milk');
  return chosen({
    spirit: alcoholPercentVol >= ALCOHOL_NOT_FOR_CHILDREN,
    unknown: pan.undecided.length > 0,
    xylitol: mixture.polyols.xylitol > 0,
    polyols: mixture.solidPolyolG + mixture.glycerolG > POLYOL_WORD * massG,
    egg: pan.contains.includes('eggs'),
    fruit: pan.items.some(({ components }) => spoilerOf(compositionVector(components)) === 'fruit'),
    nutPaste: pan.items.some((each) => isNutty(each) && roleOfRow(compositionVector(each.components)) === 'paste'),
    honey: pan.items.some(({ id, name }) => id === 'honey' || HONEY_WORDS.test(foldWords(name))),
    hotDairy: hasMilk,
    coolDairy: hasMilk,
    hot: true,
    traces: true,
    code: true,
  });
}

/** The cautions a brief asks for before anything is in the pan. */
export function briefCautions({ jobs, wishes, making }: Brief): Caution[] {
  const asks = (...uses: readonly string[]) => jobs.some(({ use }) => uses.includes(use));
  return chosen({
    hotDairy: making.heat !== 'none',
    coolDairy: wishes.keepDays !== undefined,
    fryer: asks('dip'),
    hotDrink: asks('drink'),
    keeping: wishes.keepDays !== undefined,
    traces: wishes.without.some((each) => each === 'nuts' || each === 'dairy' || each === 'soya'),
    warmHours: jobs.some(
      ({ place, hours, use }) => place === 'kitchen' && hours > 4 && use !== 'roll' && use !== 'cut',
    ),
    code: true,
  });
}

/** Cautions as they are said. */
export const cautionLines = (cautions: readonly Caution[]): string[] => cautions.map((each) => CAUTION_WORDS[each]);
