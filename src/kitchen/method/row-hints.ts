import type { RowHint } from '@/core/method/rows';
import { foldWords } from '@/formats/fold-words';
import type { FileLine } from '@/formats/formula-file';

/** What a note beside a row says it does: soak gelatin, slake starch, be poured over. English, German, French, Spanish, Italian. */
const SOAKS = /\b(soak|einweich|tremp|remoj|ammoll)/;
const POURED = /\b(pour|giess|verse|verser|verter|versa)/;
const SLAKES = /\b(slak|slurry|anruhr|delay|disuel|stemper)/;

/** How small it is, by its note or its name; the first that is found. */
const SIZES: readonly (readonly [NonNullable<RowHint['size']>, RegExp])[] = [
  ['grated', /\b(grated|gerieben|rape|rallad|grattug)/],
  ['choppedFine', /\b(fine chop|finely|fein gehackt|finement|finamente)/],
  ['choppedCoarse', /\b(coarsely|coarse chop|rough|grob|grossier|grues|grossolan)/],
  ['pieces', /\b(pieces|broken|block|stucke|morceaux|trozos|pezzi)\b/],
  ['icing', /\b(icing|powdered|puder|glace|velo\b)/],
  ['caster', /\b(caster|superfine|feinster)/],
  ['brown', /\b(brown|muscovado|demerara|rohr|cassonade|moreno|canna)/],
  ['coarse', /\b(pearl|coarse sugar|hagel|perle)/],
];

/** What is noted beside the rows of a formula, as far as a method reads it. */
export function rowHints(lines: readonly Pick<FileLine, 'stage' | 'form' | 'ingredient'>[]): RowHint[] {
  return lines.map(({ stage, form, ingredient }) => {
    const note = foldWords(form ?? '');
    const whole = `${note} ${ingredient.replaceAll('-', ' ')}`;
    return {
      stage,
      soaks: SOAKS.test(note),
      slakes: SLAKES.test(note),
      poured: POURED.test(note),
      size: SIZES.find(([, says]) => says.test(whole))?.[0],
    };
  });
}
