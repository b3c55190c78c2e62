import { partOf } from '@/core/matter/component-vector';
import type { ComponentVector } from '@/core/matter/components';
import type { LabelSchool } from '@/core/matter/nutrition';

const WORDS: Readonly<Record<LabelSchool, string>> = {
  eu: 'Allulose counts as a sugar with 4 kcal/g, unless your food code says otherwise.',
  us: 'Allulose counts 0.4 kcal/g and is not among the sugars.',
};

/** How allulose was counted, where there is some: codes differ. */
export const alluloseWords = (components: ComponentVector, school: LabelSchool): string =>
  partOf(components, 'allulose') > 0 ? WORDS[school] : '';
