import type { RowHint } from '@/core/method/rows';
import { foldWords } from '@/formats/fold-words';
import type { FileLine } from '@/formats/formula-file';

/** What a note beside a row says it does: soak gelatin, slake starch, be poured over. English, German, French, Spanish, Italian. */
const SOAKS = /\b(soak|einweich|tremp|remoj|ammoll)/;
const POURED = /\b(pour|giess|verse|verser|verter|versa)/;
const SLAKES = /\b(slak|slurry|anruhr|delay|disuel|stemper)/;

/** What is noted beside the rows of a formula, as far as a method reads it. */
export function rowHints(lines: readonly Pick<FileLine, 'stage' | 'form'>[]): RowHint[] {
  return lines.map(({ stage, form }) => {
    const note = foldWords(form ?? '');
    return { stage, soaks: SOAKS.test(note), slakes: SLAKES.test(note), poured: POURED.test(note) };
  });
}
