import { atThePour } from '@/core/formula/moment-role';
import { nutrition } from '@/core/matter/nutrition';
import type { Prediction } from '@/core/predict/predict-formula';
import type { PanContents } from '@/kitchen/pan-contents';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { celsius, type Quantity, stress } from '@/ui/format';
import { momentTitle } from '@/ui/moment-words';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { fixed } from '@/ui/settings/numerals';

/** One thing a swap changed, before and after, ready to read. */
export interface Change {
  readonly name: string;
  readonly before: string;
  readonly after: string;
  /** for the worse: an allergen came in, a gate is missed that was met */
  readonly off: boolean;
}

const text = ({ number, unit }: Quantity) => (unit ? `${number} ${unit}` : number);

/** All that is declared of a pan, in a line. */
function declaredText(contents: PanContents): string {
  const { contains, mayContain, unknown } = allergenWords(contents);
  const unknownRows = unknown.length > 0 ? [`${unknown.length} may contain anything`] : [];
  return [contains, ...(mayContain ? [`may contain ${mayContain}`] : []), ...unknownRows].join('; ');
}

/** Whether something that was not in it, or not known to be in doubt, is now. */
function isWorse(before: PanContents, after: PanContents): boolean {
  const was = new Set<string>([...before.contains, ...before.mayContain]);
  return (
    [...after.contains, ...after.mayContain].some((each) => !was.has(each)) ||
    after.undecided.length > before.undecided.length
  );
}

/** What a swap changes in flow, set, shine, keeping, sweetness, allergens, energy and cost. */
export function swapChanges(
  contentsBefore: PanContents,
  contentsAfter: PanContents,
  before: Prediction,
  after: Prediction,
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
  const was = atThePour(before.moments);
  const same = after.moments.find(({ moment }) => moment.name === was?.moment.name);
  const shine = was && same ? row('Shine', fixed(was.state.shine, 0), fixed(same.state.shine, 0)) : [];
  const { waterActivity, sweetness, alcoholPercentVol, costPerKg } = QUANTITY_WORDS;
  const landed = ({ gates }: Prediction) => gates.filter((gate) => gate.lands).length;
  const gates = [landed(before), landed(after)] as const;
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
    ...row('Cost', text(costPerKg.show(before.costPerKg)), text(costPerKg.show(after.costPerKg))),
    ...row(
      'Allergens',
      declaredText(contentsBefore),
      declaredText(contentsAfter),
      isWorse(contentsBefore, contentsAfter),
    ),
    ...row(
      'Gates passed',
      `${gates[0]} of ${before.gates.length}`,
      `${gates[1]} of ${after.gates.length}`,
      gates[1] < gates[0],
    ),
  ];
}
