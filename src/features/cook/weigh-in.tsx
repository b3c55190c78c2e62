import { roleOfRow } from '@/core/method/row-role';
import { nth } from '@/core/nth';
import { weighedKey } from '@/formats/batch-state';
import { gramsAsTheyAre, openRows, rowsAt, type StepRow } from '@/kitchen/cook/rows-open';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { Button } from '@/ui/button';
import type { Cook } from './use-cook';
import { WeighRow } from './weigh-row';

/** What lies on top and can be spooned out again; what is poured in runs into the rest. */
const LIES_APART = new Set(['chocolate', 'cocoa', 'sugar', 'butter', 'starch', 'gelatin', 'helper']);

/** g of a row that go in at other times: as they are by now, without this part of it. */
function elsewhereOf({ cooked, state }: Cook, { step, row, wantedG }: StepRow): number {
  const all = gramsAsTheyAre(cooked, state)[row] ?? 0;
  return Math.max(all - (state.weighed.get(weighedKey(step, row)) ?? wantedG), 0);
}

/** What goes in with this step, row by row: nothing is in that is not said to be. */
export function WeighIn({ cook, place }: { cook: Cook; place: number }) {
  const { cooked, state } = cook;
  const rows = rowsAt(cooked, state, place);
  if (rows.length === 0) return null;
  const open = openRows(cooked, state, place);
  const next = open[0];
  const isReady = open.length > 1 && open.every(({ row }) => state.setOut.has(row));
  return (
    <ul aria-label="Weigh in" className="mt-4 grid gap-2">
      {isReady && (
        <li>
          <Button look="primary" className="min-h-14 w-full text-[18px]" onClick={() => cook.putAllIn(place)}>
            All {open.length} are in
          </Button>
        </li>
      )}
      {rows.map((part) => {
        const { step, row, wantedG } = part;
        const from = cooked.method.followed[step];
        const isSetOut = state.setOut.has(row);
        return (
          <WeighRow
            key={`${step} ${row}`}
            cook={cook}
            row={row}
            wanted={wantedG}
            weighed={state.weighed.get(weighedKey(step, row))}
            elsewhere={elsewhereOf(cook, part)}
            press="It is in"
            isNext={next?.row === row && next.step === step && !isSetOut}
            canSpoonOut={LIES_APART.has(roleOfRow(nth(cooked.formula.lines, row).perGram))}
            note={
              step !== place && from
                ? `put off from “${wordsOfStep(from).name}”`
                : isSetOut
                  ? 'weighed, beside the stove'
                  : undefined
            }
            onWeigh={(grams, by) => cook.putIn(place, part, grams, by)}
          />
        );
      })}
    </ul>
  );
}
