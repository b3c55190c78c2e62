import { finishedComponents } from '@/core/formula/formula';
import { ingredientOrder } from '@/core/label/ingredient-order';
import { type FactsLine, nutritionFacts, nutritionPanel, type PanelLine } from '@/core/label/nutrition-schools';
import { type PortionSum, portionSum } from '@/core/label/portion-sum';
import { nth } from '@/core/nth';
import { predictFormula } from '@/core/predict/predict-formula';
import type { BatchHead } from '@/formats/batch';
import type { LabelQuery } from '@/formats/label';
import type { KitchenSettings } from '@/formats/settings';
import type { KnownItem } from '../known-item';
import type { WorkedMethod } from '../method/work-method';
import { panContents } from '../pan-contents';
import type { AsMade } from '../record/as-made';
import { alluloseWords } from '../words/nutrition-words';
import { reheatAdvice } from './reheat-advice';
import { allergenRuns, asksForPercent, type Run } from './statement';

/** What stands on a label, in its order. Runs in bold are emphasised. */
export interface LabelContent {
  readonly name: string;
  readonly ingredients: readonly Run[];
  readonly contains: readonly string[];
  readonly mayContain: readonly string[];
  /** rows of which nobody has said what they hold, or what they are made of */
  readonly unknown: readonly string[];
  readonly alcoholPercentVol: number | undefined;
  readonly hasPolyols: boolean;
  /** EU-style figures; empty where none are asked for */
  readonly panel: readonly PanelLine[];
  /** US-style figures; empty where none are asked for */
  readonly facts: readonly FactsLine[];
  /** by the larder, in a portion */
  readonly byLarder: Readonly<Record<LarderExtra, PortionSum>>;
  /** a portion in spoons, `2 tbsp` */
  readonly spoons: string;
  readonly maker: Maker;
  /** how allulose was counted; empty without any */
  readonly alluloseWords: string;
  readonly portionG: number;
  readonly netG: number | undefined;
  readonly batchNumber: number;
  readonly madeOn: string;
  readonly reheat: ReturnType<typeof reheatAdvice>;
}

/** What US-style figures ask for and the larder knows: g of trans fat, mg of cholesterol. */
export type LarderExtra = 'transG' | 'cholesterolMg';

/** Who makes it, as the kitchen keeps it; empty where it is not set. */
export type Maker = Pick<KitchenSettings, 'makerName' | 'makerAddress' | 'makerCountry'>;

type Statement = ReturnType<typeof allergenRuns> & { readonly isAsked: boolean };

/** g that are warmed again where nobody says how much is in one (J). */
const USUAL_NET_G = 200;
/** % vol above which alcohol is named (Regulation (EU) 1169/2011, article 9). */
const ALCOHOL_NAMED = 1.2;
/** Share of added polyols above which their effect is named (annex III). */
const POLYOLS_NAMED = 0.1;

/** mL of a tablespoon and a teaspoon of the United States (21 CFR 101.9(b)(5)(viii)). */
const TABLESPOON_ML = 15;
const TEASPOON_ML = 5;

/** A volume in spoons, to the nearest half, at least half a teaspoon. */
function spoonsOf(millilitres: number): string {
  const isSmall = millilitres < 0.75 * TABLESPOON_ML;
  const halves = Math.max(Math.round((2 * millilitres) / (isSmall ? TEASPOON_ML : TABLESPOON_ML)), 1);
  const whole = Math.floor(halves / 2);
  return `${whole > 0 ? whole : ''}${halves % 2 === 1 ? '½' : ''} ${isSmall ? 'tsp' : 'tbsp'}`;
}

/** What a portion holds by the larder, of what no component says. */
function extrasOf(
  { lines }: Pick<AsMade['file'], 'lines'>,
  byId: ReadonlyMap<string, KnownItem>,
  finishedG: number,
  portionG: number,
): LabelContent['byLarder'] {
  const sumOf = (field: 'transFatG' | 'cholesterolMg') => {
    const rows = lines.map(({ ingredient, grams }) => {
      const item = byId.get(ingredient);
      return { name: item?.name ?? ingredient, grams, in100: item?.[field] ?? null };
    });
    return portionSum(rows, finishedG, portionG);
  };
  return { transG: sumOf('transFatG'), cholesterolMg: sumOf('cholesterolMg') };
}

/** What a batch's label says: by what really went into it, weighed and put in besides, and by the water that is gone. */
export function labelContent(
  head: Pick<BatchHead, 'name' | 'number'>,
  { file, formula }: AsMade,
  method: WorkedMethod,
  madeOn: string,
  query: LabelQuery,
  maker: Maker,
): LabelContent | undefined {
  const prediction = predictFormula(formula);
  if (!prediction) return undefined;
  const contents = panContents(file, new Map());
  const byId = new Map(contents.items.map((item) => [item.id, item]));
  // Packs that are listed in the same words are one ingredient.
  const listed = new Map<string, Statement>();
  const rows = formula.lines.map((line, i) => {
    const id = nth(file.lines, i).ingredient;
    const item = byId.get(id);
    if (!item) return { ...line, name: id };
    const runs = allergenRuns(item);
    const words = [...runs.name, ...runs.madeOf].map(({ text }) => text).join('');
    const isAsked = asksForPercent(head.name, item) || (listed.get(words)?.isAsked ?? false);
    listed.set(words, { ...runs, isAsked });
    return { ...line, name: words };
  });
  const finished = finishedComponents(formula);
  const finishedG = finished.reduce((sum, grams) => sum + grams, 0);
  const wentIn = formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const ingredients = [...ingredientOrder(rows, wentIn - finishedG)].flatMap(([words, { percent }], i): Run[] => {
    const statement = listed.get(words);
    if (!statement) return [];
    const { name, madeOf, isAsked } = statement;
    const share = isAsked ? [{ text: ` ${Math.round(percent)} %`, isBold: false }] : [];
    return [...(i > 0 ? [{ text: ', ', isBold: false }] : []), ...name, ...share, ...madeOf];
  });
  const { mixture } = prediction.batch;
  const asks = query.nutrition === 'yes';
  const byLarder = extrasOf(file, byId, finishedG, query.portionG);
  const said = (extra: LarderExtra) => {
    const sum = byLarder[extra];
    return query[extra] ?? ('amount' in sum ? sum.amount : undefined);
  };
  return {
    name: head.name,
    ingredients,
    contains: contents.contains,
    mayContain: contents.mayContain,
    unknown: contents.undecided.map(({ name }) => name),
    alcoholPercentVol: prediction.alcoholPercentVol > ALCOHOL_NAMED ? prediction.alcoholPercentVol : undefined,
    hasPolyols: mixture.solidPolyolG + mixture.glycerolG > POLYOLS_NAMED * mixture.massG,
    panel: asks && query.school === 'eu' ? nutritionPanel(finished, query.portionG, 'eu') : [],
    facts:
      asks && query.school === 'us'
        ? nutritionFacts(finished, query.portionG, {
            addedSugarsG: query.addedSugarsG,
            transG: said('transG'),
            cholesterolMg: said('cholesterolMg'),
          })
        : [],
    byLarder,
    spoons: spoonsOf((1000 * query.portionG) / prediction.densityKgM3),
    maker,
    alluloseWords: alluloseWords(finished, query.school),
    portionG: query.portionG,
    netG: query.netG,
    batchNumber: head.number,
    madeOn,
    reheat: reheatAdvice({ formula, method }, query.netG ?? Math.min(finishedG, USUAL_NET_G), query.place),
  };
}
