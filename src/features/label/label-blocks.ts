import type { LabelQuery } from '@/formats/label';
import type { LabelContent, LarderExtra } from '@/kitchen/label/label-content';
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
  us: '% Daily Value, 2,000 calories a day. Calculated; US-style (21 CFR 101.9).',
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
  const { makerName, makerAddress, makerCountry } = content.maker;
  const maker = [makerName, makerAddress, makerCountry].filter(Boolean).join(', ');
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
    ...(maker === '' ? [] : [text(plain(`Made by ${maker}.`))]),
    ...(content.panel.length > 0
      ? [panelOf(content), text(plain(`${RULE_WORDS.eu} ${content.alluloseWords}`.trim()))]
      : []),
    ...(content.facts.length > 0
      ? [factsOf(content), text(plain(`${RULE_WORDS.us} ${content.alluloseWords}`.trim()))]
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

/** The lines of a Nutrition Facts panel: amount, and per cent of a daily value. */
const factsOf = ({ facts, spoons, portionG }: LabelContent): Block => ({
  kind: 'panel',
  head: [bold('Nutrition Facts'), plain(` Serving size ${spoons} (${portionG} g)`)],
  rows: facts.map(({ name, inward, amount, daily }) => ({ name, figures: [amount, daily], isInner: inward > 0 })),
});

const EXTRA_WORDS: readonly (readonly [LarderExtra, string])[] = [
  ['transG', 'trans fat'],
  ['cholesterolMg', 'cholesterol'],
];

/** What a label of a school of law usually has to say and does not say yet. */
export function labelMissing(content: LabelContent, query: LabelQuery): readonly string[] {
  const { makerName, makerAddress, makerCountry } = content.maker;
  const missing: readonly (readonly [isMissing: boolean, what: string])[] = [
    [makerName === '', 'no maker'],
    [makerAddress === '', 'no address of the maker'],
    [query.school === 'eu' && makerCountry === '', 'no country'],
    [content.netG === undefined, 'no net weight'],
    [query.school === 'eu' && query.useBy === undefined, 'no use-by date'],
    [content.unknown.length > 0, `allergens not declared: ${content.unknown.join(', ')}`],
    [query.nutrition === 'no', 'no nutrition figures'],
    ...EXTRA_WORDS.map(([extra, words]) => {
      const sum = content.byLarder[extra];
      const unknown = 'unknown' in sum ? sum.unknown : [];
      const isMissing = query.school === 'us' && query[extra] === undefined && unknown.length > 0;
      return [isMissing, `no ${words}: not known of ${unknown.join(', ')}`] as const;
    }),
    [query.school === 'us' && query.addedSugarsG === undefined, 'no added sugars'],
  ];
  return missing.flatMap(([isMissing, what]) => (isMissing ? [what] : []));
}
