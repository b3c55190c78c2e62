import { finishedComponents } from '@/core/formula/formula';
import { ingredientOrder } from '@/core/label/ingredient-order';
import { nutritionPanel, type PanelLine } from '@/core/label/nutrition-schools';
import { nutrition } from '@/core/matter/nutrition';
import { nth } from '@/core/nth';
import { predictFormula } from '@/core/predict/predict-formula';
import type { BatchHead } from '@/formats/batch';
import type { LabelQuery } from '@/formats/label';
import type { WorkedMethod } from '../method/work-method';
import { panContents } from '../pan-contents';
import type { AsMade } from '../record/as-made';
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
  readonly panel: readonly PanelLine[];
  readonly portionG: number;
  readonly netG: number | undefined;
  readonly batchNumber: number;
  readonly madeOn: string;
  readonly reheat: ReturnType<typeof reheatAdvice>;
}

/** g that are warmed again where nobody says how much is in one (J). */
const USUAL_NET_G = 200;
/** % vol above which alcohol is named (Regulation (EU) 1169/2011, article 9). */
const ALCOHOL_NAMED = 1.2;
/** Share of added polyols above which their effect is named (annex III). */
const POLYOLS_NAMED = 0.1;

/** What a batch's label says: by what really went into it, weighed and put in besides, and by the water that is gone. */
export function labelContent(
  head: Pick<BatchHead, 'name' | 'number'>,
  { file, formula }: AsMade,
  method: WorkedMethod,
  madeOn: string,
  query: LabelQuery,
): LabelContent | undefined {
  const prediction = predictFormula(formula);
  if (!prediction) return undefined;
  const contents = panContents(file, new Map());
  const rows = formula.lines.map((line, i) => ({ ...line, name: nth(file.lines, i).ingredient }));
  const finished = finishedComponents(formula);
  const finishedG = finished.reduce((sum, grams) => sum + grams, 0);
  const wentIn = rows.reduce((sum, { grams }) => sum + grams, 0);
  const byId = new Map(contents.items.map((item) => [item.id, item]));
  const ingredients = [...ingredientOrder(rows, wentIn - finishedG)].flatMap(([id, { percent }], i): Run[] => {
    const item = byId.get(id);
    if (!item) return [];
    const words = allergenRuns(item);
    const share = asksForPercent(head.name, item) ? [{ text: ` ${Math.round(percent)} %`, isBold: false }] : [];
    return [...(i > 0 ? [{ text: ', ', isBold: false }] : []), ...words.name, ...share, ...words.madeOf];
  });
  const { mixture } = prediction.batch;
  return {
    name: head.name,
    ingredients,
    contains: contents.contains,
    mayContain: contents.mayContain,
    unknown: contents.undecided.map(({ name }) => name),
    alcoholPercentVol: prediction.alcoholPercentVol > ALCOHOL_NAMED ? prediction.alcoholPercentVol : undefined,
    hasPolyols: mixture.solidPolyolG + mixture.glycerolG > POLYOLS_NAMED * mixture.massG,
    panel: query.nutrition === 'yes' ? nutritionPanel(nutrition(finished), query.portionG, query.school) : [],
    portionG: query.portionG,
    netG: query.netG,
    batchNumber: head.number,
    madeOn,
    reheat: reheatAdvice({ formula, method }, query.netG ?? Math.min(finishedG, USUAL_NET_G), query.place),
  };
}
