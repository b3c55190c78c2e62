import type { LabelFault, LabelField } from '@/core/matter/from-label';
import { fixed } from '../settings/numerals';

/** What stands on a label, and its unit. */
export const LABEL_WORDS: Readonly<Record<LabelField, readonly [name: string, unit: string]>> = {
  energyKcal: ['Energy', 'kcal'],
  fat: ['Fat', 'g'],
  saturates: ['of which saturates', 'g'],
  carbohydrate: ['Carbohydrate', 'g'],
  sugars: ['of which sugars', 'g'],
  polyols: ['of which polyols', 'g'],
  fibre: ['Fibre', 'g'],
  protein: ['Protein', 'g'],
  salt: ['Salt', 'g'],
  cocoaPercent: ['Cocoa', '%'],
};

/** What a field is called where it is a part of another one. */
const PART_NAMES: Partial<Record<LabelField, string>> = {
  sugars: 'Sugars',
  polyols: 'Polyols',
  saturates: 'Saturates',
};

/** What is wrong with a value of a label. */
export function labelFaultWords(fault: LabelFault): string {
  switch (fault.kind) {
    case 'notAnAmount':
      return 'It must be a number, 0 or more.';
    case 'tooMuch':
      return fault.field === 'energyKcal'
        ? `Nothing has more than ${fault.most} kcal in 100 g.`
        : `It cannot be more than ${fault.most}.`;
    case 'moreThanWhole': {
      const whole = LABEL_WORDS[fault.whole][0].toLowerCase();
      return `${PART_NAMES[fault.field] ?? LABEL_WORDS[fault.field][0]} are a part of ${whole}: they cannot be more.`;
    }
    case 'sum':
      return `Fat, carbohydrate, protein, fibre and salt add up to ${fixed(fault.sum, 1)} g in 100 g.`;
  }
}
