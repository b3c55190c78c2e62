import { nutrition } from '@/core/matter/nutrition';
import type { Prediction } from '@/core/predict/formula';
import { momentTitle } from '@/ui/cook-words';
import { celsius, type Quantity, stress } from '@/ui/format';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import type { PanLine } from './formula-draft';
import type { Larder } from './use-formula';

/** One thing a swap changed, before and after, ready to read. */
export interface Change {
  readonly name: string;
  readonly before: string;
  readonly after: string;
  /** for the worse: an allergen came in, a gate is missed that was met */
  readonly off: boolean;
}

const text = ({ number, unit }: Quantity) => (unit ? `${number} ${unit}` : number);

function allergensOf(lines: readonly PanLine[], larder: Larder): string[] {
  const all = lines
    .filter(({ grams }) => grams > 0)
    .flatMap(({ ingredient }) => larder.get(ingredient)?.allergens ?? []);
  return [...new Set(all)].sort();
}

/** What a swap changes in flow, set, shine, keeping, sweetness, allergens, energy and cost. */
export function swapChanges(
  linesBefore: readonly PanLine[],
  linesAfter: readonly PanLine[],
  before: Prediction,
  after: Prediction,
  larder: Larder,
): Change[] {
  const row = (name: string, was: string, is: string, off = false): Change[] =>
    was === is ? [] : [{ name, before: was, after: is, off }];
  const flow = before.moments.flatMap(({ moment, state }, m) =>
    row(
      `${momentTitle(moment.name)} (${celsius(moment.temperatureC)}), resistance`,
      text(stress(state.flow.resistancePa)),
      text(stress(after.moments[m]?.state.flow.resistancePa ?? 0)),
    ),
  );
  const was = before.moments.find(({ moment }) => moment.name === 'pour') ?? before.moments[0];
  const same = after.moments.find(({ moment }) => moment.name === was?.moment.name);
  const shine = was && same ? row('Shine', was.state.shine.toFixed(0), same.state.shine.toFixed(0)) : [];
  const { waterActivity, sweetness, alcoholPercentVol, costEurPerKg } = QUANTITY_WORDS;
  const allergens = [allergensOf(linesBefore, larder), allergensOf(linesAfter, larder)] as const;
  const gates = [before, after].map((each) => each.gates.filter((gate) => gate.lands).length) as [number, number];
  const energy = [before, after].map((each) => Math.round(nutrition(each.components).energyKcal));
  return [
    ...flow,
    ...shine,
    ...row(
      'Water activity',
      text(waterActivity.show(before.asKept.waterActivity)),
      text(waterActivity.show(after.asKept.waterActivity)),
    ),
    ...row('Sweetness', text(sweetness.show(before.taste.sweetness)), text(sweetness.show(after.taste.sweetness))),
    ...row(
      'Alcohol',
      text(alcoholPercentVol.show(before.alcoholPercentVol)),
      text(alcoholPercentVol.show(after.alcoholPercentVol)),
    ),
    ...row('Energy', `${energy[0]} kcal/100 g`, `${energy[1]} kcal/100 g`),
    ...row('Cost', text(costEurPerKg.show(before.costEurPerKg)), text(costEurPerKg.show(after.costEurPerKg))),
    ...row(
      'Allergens',
      allergens[0].join(', ') || 'none declared',
      allergens[1].join(', ') || 'none declared',
      allergens[1].some((name) => !allergens[0].includes(name)),
    ),
    ...row(
      'Gates passed',
      `${gates[0]} of ${before.gates.length}`,
      `${gates[1]} of ${after.gates.length}`,
      gates[1] < gates[0],
    ),
  ];
}
