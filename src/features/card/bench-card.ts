import { formIn, kitchenAmount, type MeasureSystem } from '@/core/matter/measures';
import { predictFormula } from '@/core/predict/formula';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import type { Stage } from '@/formats/stages';
import { celsius, grams, hours, listed, stress } from '@/ui/format';
import { jobThings } from '@/ui/job-words';
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
  readonly cautions: readonly string[];
}

const STAGE_TITLES: Record<Stage, string> = {
  pan: 'In the pan',
  overChocolate: 'Over the chocolate',
  offHeat: 'Off the heat',
  coldAtEnd: 'Cold, at the end',
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Cautions that always belong on paper, and those this pan asks for. */
function cautionsOf(inPan: readonly Ingredient[]): string[] {
  const has = (part: (ingredient: Ingredient) => boolean) => inPan.some(part);
  return [
    'Hot sugar, cream and steam scald: dry cloths, pour away from you.',
    ...(has(({ components }) => (components.ethanol ?? 0) > 0)
      ? ['Spirit near a flame can light: heat off first. Alcohol stays in: not for children.']
      : []),
    ...(has(({ allergens }) => allergens.includes('milk')) ? ['Cool dairy fast and keep it at 5 °C or under.'] : []),
    ...(has(({ components }) => (components.xylitol ?? 0) > 0) ? ['Xylitol is poisonous to dogs.'] : []),
    ...(has(
      ({ components }) => (components.maltitol ?? 0) + (components.sorbitol ?? 0) + (components.erythritol ?? 0) > 0,
    )
      ? ['Polyols: large servings are laxative.']
      : []),
    'Your local food code and practice decide.',
  ];
}

/**
 * Writes a formula as a bench card.
 *
 * @param system measures that stand beside the grams
 */
export function benchCard(
  file: FormulaFile,
  larder: ReadonlyMap<string, Ingredient>,
  system: MeasureSystem,
): BenchCard {
  const known = {
    ...file,
    lines: file.lines.filter(({ ingredient }) => larder.has(ingredient) || file.ingredients[ingredient]),
  };
  const prediction = predictFormula(resolveFormula(known, larder));
  const inPan = [
    ...new Set(file.lines.filter((line) => line.grams > 0).flatMap((line) => larder.get(line.ingredient) ?? [])),
  ];
  const rowOf = ({ ingredient, grams: g, form }: FormulaFile['lines'][number]): CardRow => {
    const each = larder.get(ingredient);
    const measure = each && kitchenAmount(each, g, system === 'grams' ? 'cups' : system, formIn(each, form));
    return {
      grams: `${grams(g)} g`,
      measure: measure ? measureText(measure) : '',
      name: each?.name ?? file.ingredients[ingredient]?.name ?? ingredient,
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
    total: `${grams(total)} g in the pan, ${grams(Math.max(total - lost, 0))} g on the table`,
    moments: (prediction?.moments ?? []).map(({ moment, state, plateDiameterMm }) => ({
      name: capital(moment.name),
      at: `${celsius(moment.temperatureC)}, ${hours(moment.history.reduce((sum, [h]) => sum + h, 0))}`,
      like: `${behaviour(state.flow.resistancePa)}; 20 ml spread to ${Math.round(plateDiameterMm)} mm; resistance ${Object.values(stress(state.flow.resistancePa)).join(' ')}`,
    })),
    gates: (prediction?.gates ?? []).map(({ moment, quantity, low, high, value, lands }) => {
      const show = (each: number) => Object.values(QUANTITY_WORDS[quantity].show(each)).join(' ').trim();
      const edges = [low && `from ${show(low)}`, high !== undefined && `to ${show(high)}`].filter(Boolean).join(' ');
      return `${lands ? '✓' : '✕'} ${capital(moment)}, ${QUANTITY_WORDS[quantity].short}: ${show(value)} (${edges})`;
    }),
    allergens: [...new Set(inPan.flatMap((each) => each.allergens))].sort().join(', ') || 'no declared allergen',
    cautions: cautionsOf(inPan),
  };
}
