import type { LabelQuery } from '@/formats/label';
import type { LabelContent } from '@/kitchen/label/label-content';
import type { Run } from '@/kitchen/label/statement';
import { PLACE_WORDS } from '@/kitchen/words/keeping-words';
import { batchNumber } from '@/ui/batch-number';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { fixed } from '@/ui/settings/numerals';
import type { Block } from './layout';

const DAY = { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' } as const;
const dayWords = (day: string) => new Date(`${day}T00:00Z`).toLocaleDateString('en-GB', DAY);

const plain = (text: string): Run => ({ text, isBold: false });
const bold = (text: string): Run => ({ text, isBold: true });

/** Which rule figures are rounded by, as it stands under them. */
const RULE_WORDS = {
  eu: 'Typical values, calculated; EU-style (1169/2011).',
  us: 'Calculated; US-style (21 CFR 101.9). Trans fat, cholesterol, added sugars not known.',
} as const;

/** How it is warmed again, in a line. */
function reheatWords({ reheat }: LabelContent): string | undefined {
  if (!reheat || reheat.bursts.length === 0) return undefined;
  const { bursts, splashG, toC, powerW, grams } = reheat;
  const seconds = bursts.reduce((sum, each) => sum + each, 0);
  const splash =
    splashG !== undefined && splashG >= 0.5 ? ` with ${weight(Math.round(splashG))} of hot water stirred in` : '';
  return `${reheat.isThawed ? 'Thaw in the fridge first. ' : ''}To pour again at ${celsius(Math.round(toC))}: ${weight(Math.round(grams))} take ${duration(seconds)} at ${powerW} W in ${bursts.length} ${bursts.length === 1 ? 'burst' : 'bursts'}, stirred after each${splash}. Once only.`;
}

/** What a label says, block by block. */
export function labelBlocks(content: LabelContent, query: LabelQuery): readonly Block[] {
  const text = (...runs: Run[]): Block => ({ kind: 'runs', runs });
  const dates = [
    `made ${dayWords(content.madeOn)}`,
    ...(query.useBy ? [`use by ${dayWords(query.useBy)}`] : []),
    `batch ${batchNumber(content.batchNumber)}`,
  ];
  const reheat = reheatWords(content);
  return [
    text(...(content.netG === undefined ? [] : [bold(weight(content.netG)), plain(' · ')]), plain(dates.join(' · '))),
    text(plain(`Keep ${PLACE_WORDS[query.place]}${query.place === 'fridge' ? `, at ${celsius(5)} or under` : ''}.`)),
    text(bold('Ingredients: '), ...content.ingredients, plain('.')),
    ...(query.school === 'us' && content.contains.length > 0
      ? [text(bold(`Contains: ${content.contains.join(', ')}.`))]
      : []),
    ...(content.mayContain.length > 0 ? [text(plain(`May contain ${content.mayContain.join(', ')}.`))] : []),
    ...(content.unknown.length > 0
      ? [text(bold(`Not declared: ${content.unknown.join(', ')} may contain anything.`))]
      : []),
    ...(content.alcoholPercentVol === undefined
      ? []
      : [text(bold(`Alcohol ${fixed(content.alcoholPercentVol, 1)} % vol.`), plain(' Not for children.'))]),
    ...(content.hasPolyols ? [text(bold('Excessive consumption may produce laxative effects.'))] : []),
    ...(reheat === undefined ? [] : [text(plain(reheat))]),
    ...(content.panel.length > 0
      ? [panelOf(content), text(plain(`${RULE_WORDS[query.school]} ${content.alluloseWords}`.trim()))]
      : []),
  ];
}

/** Figures of 100 g and of a portion under their heads. */
const panelOf = ({ panel, portionG }: LabelContent): Block => ({
  kind: 'panel',
  rows: [
    { name: '', figures: ['100 g', `${portionG} g`], isInner: false },
    ...panel.map(({ name, isInner, per100, perPortion }) => ({ name, isInner, figures: [per100, perPortion] })),
  ],
});
