import { costOfLines } from '@/core/formula/formula';
import type { BatchState } from '@/formats/batch-state';
import type { CookedBatch } from '@/kitchen/cook/cook-batch';
import type { BatchSummary } from '@/kitchen/record/summary';
import { money, percent, weight } from '@/ui/format';

const whole = (grams: number) => weight(Math.round(grams));

function Figure({ name, figure, note }: { name: string; figure: string; note?: string | undefined }) {
  return (
    <div className="flex items-baseline gap-3 border-rule border-t py-2">
      <dt className="flex-1">
        {name}
        {note && <span className="block text-[13px] text-mute">{note}</span>}
      </dt>
      <dd className="read text-[1.2rem]">{figure}</dd>
    </div>
  );
}

/** What came of a batch: weighed, in the bowl, used and left, and what it cost. */
export function BatchFigures({
  summary: { weighedG, yieldG, cost },
  cooked,
  state,
}: {
  summary: BatchSummary;
  cooked: CookedBatch;
  state: BatchState;
}) {
  const end = cooked.method.followed.at(-1)?.end;
  const reckoned = end?.liquid.reduce((sum, grams) => sum + grams, 0) ?? 0;
  const plannedCost = costOfLines(cooked.formula.lines) / 1000;
  const used = state.used.reduce((sum, { grams }) => sum + grams, 0);
  const left = state.leftovers.reduce((sum, { grams }) => sum + grams, 0);
  const gone = used + left;
  return (
    <section aria-label="What came of it">
      <h2 className="text-[1.2rem]">What came of it</h2>
      <dl className="mt-2">
        {weighedG > 0 && (
          <Figure
            name="Went in"
            figure={whole(weighedG)}
            note={`planned ${whole(cooked.formula.lines.reduce((sum, { grams }) => sum + grams, 0))}`}
          />
        )}
        <Figure
          name="In the bowl"
          figure={yieldG === null ? 'not weighed' : whole(yieldG)}
          note={`reckoned ${whole(reckoned)}`}
        />
        {gone > 0 && (
          <Figure
            name="Used"
            figure={whole(used)}
            note={[
              left > 0 ? `${whole(left)} was left` : '',
              yieldG !== null && yieldG > gone ? `${percent((yieldG - gone) / yieldG)} stands nowhere` : '',
              yieldG !== null && gone > 1.02 * yieldG ? 'that is more than came into the bowl' : '',
            ]
              .filter(Boolean)
              .join('; ')}
          />
        )}
        {(cost > 0 || plannedCost > 0) && (
          <Figure name="Cost" figure={money(cost > 0 ? cost : plannedCost)} note={`planned ${money(plannedCost)}`} />
        )}
      </dl>
    </section>
  );
}
