import type { Calibration } from '@/core/learn/kitchen';
import { type CupSystem, formIn, kitchenAmount, type MeasureSystem } from '@/core/matter/measures';
import { capital } from '@/formats/capital';
import type { FormulaFile } from '@/formats/formula-file';
import type { Stage } from '@/formats/stages';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { cautionLines, panCautions } from '@/kitchen/words/cautions';
import { jobThings } from '@/kitchen/words/job-words';
import { celsius, hours, listed, millimetres, stress, weight } from '@/ui/format';
import { measureText } from '@/ui/kitchen-measure';
import { behaviour } from '@/ui/landmarks';
import { QUANTITY_WORDS } from '@/ui/quantity-words';

/** One row of the bench card. */
export interface CardRow {
  readonly grams: string;
  readonly measure: string;
  readonly name: string;
  readonly how: string;
}

/** A bench card: all a cook needs at the stove, as texts, for paper and for PDF. */
export interface BenchCard {
  readonly name: string;
  readonly note: string;
  /** what its brief asks for; empty without one */
  readonly job: string;
  readonly stages: readonly { readonly title: string; readonly rows: readonly CardRow[] }[];
  readonly total: string;
  readonly moments: readonly { readonly name: string; readonly at: string; readonly like: string }[];
  readonly gates: readonly string[];
  readonly allergens: string;
  /** whose figures these are */
  readonly figures: string;
  /** '' when no pack says so */
  readonly mayContain: string;
  /** what nobody knows, a sentence each */
  readonly notKnown: readonly string[];
  readonly cautions: readonly string[];
}

const STAGE_TITLES: Record<Stage, string> = {
  pan: 'In the pan',
  overChocolate: 'Over the chocolate',
  offHeat: 'Off the heat',
  coldAtEnd: 'Cold, at the end',
};

/** Whose figures stand on a card. */
const figuresSentence = (calibration: Calibration) =>
  calibration === 'standard'
    ? 'Standard figures.'
    : `Figures adjusted to ${calibration.knowledge.tests} tests of this kitchen.`;

/**
 * Writes a formula as a bench card.
 *
 * @param calibration whose figures it tells
 * @param system measures that stand beside the grams
 * @param cups whose cups and spoons
 */
export function benchCard(
  file: FormulaFile,
  larder: Larder,
  calibration: Calibration,
  system: MeasureSystem,
  cups: CupSystem = 'metric',
): BenchCard {
  const prediction = predictPan(keyed(file), larder, calibration)?.prediction;
  const contents = panContents(file, larder);
  const declared = allergenWords(contents);
  const rowOf = ({ ingredient, grams: g, form }: FormulaFile['lines'][number]): CardRow => {
    const item = itemOf(file, larder, ingredient);
    const each = item?.stocked;
    const measure = each && kitchenAmount(each, g, system === 'grams' ? 'cups' : system, formIn(each, form), cups);
    return {
      grams: `${weight(g)}`,
      measure: measure ? measureText(measure) : '',
      name: item?.name ?? `${ingredient} (not in the larder)`,
      how: form ?? '',
    };
  };
  const stages: { title: string; rows: CardRow[] }[] = [];
  let last: Stage | undefined | null = null;
  for (const line of file.lines) {
    if (line.stage !== last) stages.push({ title: line.stage ? STAGE_TITLES[line.stage] : '', rows: [] });
    last = line.stage;
    stages.at(-1)?.rows.push(rowOf(line));
  }
  const total = file.lines.reduce((sum, line) => sum + line.grams, 0);
  const lost = (file.yield?.bowlLossGrams ?? 0) + (file.yield?.evaporationGrams ?? 0);
  return {
    name: file.name,
    note: file.note ?? '',
    job: file.brief ? `For ${listed(file.brief.jobs.map(jobThings))}` : '',
    stages,
    total: `${weight(total)} in the pan, ${weight(Math.max(total - lost, 0))} on the table`,
    moments: (prediction?.moments ?? []).map(({ moment, state, plateDiameterMm }) => ({
      name: capital(moment.name),
      at: `${celsius(moment.temperatureC)}, ${hours(moment.history.reduce((sum, [h]) => sum + h, 0))}`,
      like: `${behaviour(state.flow.resistancePa)}; 20 ml spread to ${millimetres(Math.round(plateDiameterMm))}; resistance ${Object.values(stress(state.flow.resistancePa)).join(' ')}`,
    })),
    gates: (prediction?.gates ?? []).map(({ moment, quantity, low, high, value, lands }) => {
      const show = (each: number) => Object.values(QUANTITY_WORDS[quantity].show(each)).join(' ').trim();
      const edges = [low && `from ${show(low)}`, high !== undefined && `to ${show(high)}`].filter(Boolean).join(' ');
      return `${lands ? '✓' : '✕'} ${capital(moment)}, ${QUANTITY_WORDS[quantity].short}: ${show(value)} (${edges})`;
    }),
    figures: figuresSentence(calibration),
    allergens: declared.contains,
    mayContain: declared.mayContain,
    notKnown: declared.unknown,
    cautions: prediction ? cautionLines(panCautions(prediction, contents)) : [],
  };
}
