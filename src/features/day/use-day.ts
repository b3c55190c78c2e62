import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { calibrationOf } from '@/core/learn/kitchen';
import { type DayTask, dayOverlaps, SMALL_KITCHEN, spreadDay } from '@/core/method/day-plan';
import { stretchesOf } from '@/core/method/hands';
import type { StoredTask } from '@/formats/day';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { moveOnDay, putOnDay, takeOffDay } from '@/kitchen/client/days';
import { itemOf, larderOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { kitchenOf, type WorkedMethod, workMethod } from '@/kitchen/method/work-method';
import { useChanges } from '@/kitchen/use-changes';
import { usePours } from '@/ui/pours/pours-provider';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/** A formula that is on the day. */
export interface DayFormula {
  readonly id: string;
  readonly file: FormulaFile;
}

/** A piece of work as the day shows it; without a method it takes no time that is known. */
export interface DayWork extends DayTask {
  readonly formula: DayFormula;
  readonly method: WorkedMethod | undefined;
}

/** The methods of the day's formulas, in this kitchen; rows nobody knows are left out. */
function useMethods(formulas: readonly DayFormula[], ingredients: readonly Ingredient[]) {
  const [kitchenC] = useKitchenTemperature();
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = useStove();
  const { inUse } = usePours();
  return useMemo(() => {
    const larder = larderOf(ingredients);
    const stove = { panCm, powerW, hob, microwaveW, altitudeM, dampPercent };
    return new Map(
      formulas.map(({ id, file }) => {
        const lines = file.lines.filter(({ ingredient }) => itemOf(file, larder, ingredient) !== undefined);
        const { formula } = knownPan(keyed(file), larder, calibrationOf(inUse, id));
        return [id, workMethod({ ...file, lines }, formula, kitchenOf(file, kitchenC, stove))] as const;
      }),
    );
  }, [formulas, ingredients, inUse, kitchenC, panCm, powerW, hob, microwaveW, altitudeM, dampPercent]);
}

/** A day's work: what is on it, where it gets in its own way, and what can be done about that. */
export function useDay(
  day: string,
  tasks: readonly StoredTask[],
  formulas: readonly DayFormula[],
  ingredients: readonly Ingredient[],
) {
  const router = useRouter();
  const [fault, setFault] = useState<string | undefined>();
  /** times that were set here and are not yet told back by the server */
  const [moved, setMoved] = useState<ReadonlyMap<string, number>>(new Map());
  const methods = useMethods(formulas, ingredients);
  useChanges((change) => {
    if (change.what === 'day' && change.id === day) router.refresh();
  });
  const works = useMemo(
    () =>
      tasks.flatMap(({ id, formulaId, readyMinutes }): DayWork[] => {
        const formula = formulas.find((each) => each.id === formulaId);
        if (!formula) return [];
        const method = methods.get(formulaId);
        const { lasts, stretches } = method ? stretchesOf(method) : { lasts: 0, stretches: [] };
        return [{ id, formula, method, lasts, stretches, ready: moved.get(id) ?? readyMinutes }];
      }),
    [tasks, formulas, methods, moved],
  );
  const overlaps = useMemo(() => dayOverlaps(works, SMALL_KITCHEN), [works]);
  const spread = useMemo(() => (overlaps.length > 0 ? spreadDay(works, SMALL_KITCHEN) : works), [works, overlaps]);

  const ask = async (work: () => Promise<void>) => {
    setFault(undefined);
    try {
      await work();
      router.refresh();
    } catch (error) {
      setFault(messageOf(error));
    }
  };
  const move = (times: readonly { readonly id: string; readonly ready: number }[]) => {
    setMoved(new Map([...moved, ...times.map(({ id, ready }) => [id, ready] as const)]));
    return ask(() =>
      moveOnDay(
        day,
        times.map(({ id, ready }) => ({ id, readyMinutes: Math.round(ready) })),
      ),
    );
  };
  return {
    works,
    overlaps,
    /** spreading changes something */
    canSpread: spread.some(({ ready }, i) => ready !== works[i]?.ready),
    fault,
    move,
    spread: () => move(spread),
    add: (formulaId: string, readyMinutes: number) => ask(() => putOnDay(day, formulaId, readyMinutes)),
    remove: (id: string) => ask(() => takeOffDay(day, id)),
  };
}
