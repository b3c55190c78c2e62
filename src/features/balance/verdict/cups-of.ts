import { type CupSystem, formIn } from '@/core/matter/measures';
import { itemOf, type Larder } from '@/kitchen/known-item';
import type { KnownPan } from '@/kitchen/known-pan';
import type { Household } from '@/workers/balance.worker';
import type { FormulaDraft } from '../draft/edit';

/** The cups and spoons a balance rounds to, for each line of the known pan. */
export function cupsOf(draft: FormulaDraft, { keys }: KnownPan, larder: Larder, cups: CupSystem): Household {
  const lines = new Map(draft.lines.map((line) => [line.key, line]));
  return {
    system: 'cups',
    cups,
    lines: keys.map((key) => {
      const line = lines.get(key);
      const known = line && itemOf(draft, larder, line.ingredient)?.stocked;
      if (!known) return undefined;
      const { measures, pieces, densityGPerMl } = known;
      const measurable = { measures, pieces, densityGPerMl };
      return { measurable, form: formIn(measurable, line.form) };
    }),
  };
}
