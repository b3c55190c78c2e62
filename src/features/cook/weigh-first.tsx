import { roundToScale } from '@/core/matter/scale-rounding';
import { preparationOf } from '@/core/method/preparation';
import { utensilsOf } from '@/core/method/utensils';
import { UTENSIL_WORDS } from '@/kitchen/words/utensil-words';
import { Button } from '@/ui/button';
import { listed, weight } from '@/ui/format';
import type { Cook } from './use-cook';
import { WeighRow } from './weigh-row';

/** In how many parts a row goes in, where it is more than one. */
function partsWords({ cooked }: Cook, row: number): string | undefined {
  const parts = cooked.method.followed.flatMap(({ step }) => step.adds.filter((each) => each.row === row));
  if (parts.length < 2) return undefined;
  const grams = cooked.formula.lines[row]?.grams ?? 0;
  return `goes in in ${parts.length} parts: ${parts.map(({ share }) => weight(roundToScale(grams * share))).join(' and ')}`;
}

/** Before anything is heated: everything that is needed, weighed and set beside the stove, ticked once. */
export function WeighFirst({ cook }: { cook: Cook }) {
  const { cooked, state, log } = cook;
  const { rows, followed } = cooked.method;
  const needed = cooked.formula.lines.flatMap(({ grams }, row) => (grams > 0 ? [row] : []));
  const open = needed.filter((row) => !state.setOut.has(row));
  const { cutRows } = preparationOf(rows, followed);
  const utensils = utensilsOf(followed, cutRows.length > 0).map((each) => UTENSIL_WORDS[each]);
  return (
    <>
      <div className="flex-1 px-6 pt-5 pb-6">
        <h1 className="text-[40px] leading-tight">Weigh first</h1>
        <p className="mt-1 text-[20px] text-mute">
          Weigh everything and set it beside the stove. Then heat. You need: {listed(utensils)}.
        </p>
        <ul aria-label="Weigh first" className="mt-4 grid gap-2">
          {needed.map((row) => (
            <WeighRow
              key={row}
              cook={cook}
              row={row}
              wanted={roundToScale(cooked.formula.lines[row]?.grams ?? 0)}
              weighed={state.setOut.get(row)}
              elsewhere={0}
              press="It is weighed"
              isNext={row === open[0]}
              canSpoonOut
              note={[cutRows.includes(row) ? 'chop or cut it' : undefined, partsWords(cook, row)]
                .filter((words) => words !== undefined)
                .join('; ')}
              onWeigh={(grams, by) => log.tell({ kind: 'setOut', row, grams, by })}
            />
          ))}
        </ul>
      </div>
      <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-rule border-t bg-bench px-6 py-3">
        <p className="text-[18px] text-mute">
          {open.length === 0 ? 'All is weighed.' : `${open.length} of ${needed.length} to weigh.`}
        </p>
        <Button
          look={open.length === 0 ? 'primary' : 'quiet'}
          className="ml-auto min-h-16 min-w-64 text-[22px]"
          onClick={() => log.tell({ kind: 'weighedOut' })}
        >
          {open.length === 0 ? 'To the stove' : 'Weigh the rest as I go'}
        </Button>
      </div>
    </>
  );
}
