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
import { tabletSetting } from '@/ui/tablet-setting';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/** How many people a day can be planned for. */
export const PEOPLE = [1, 2, 3, 4] as const;

/** A formula that is on the day. */
export interface DayFormula {
  readonly id: string;
  readonly file: FormulaFile;
}

/** A piece of work as the day shows it; without a method it takes no time that is known. */
export interface DayWork extends DayTask {
  /** min of the day it was promised for, where it is ready earlier */
  readonly served: number | undefined;
  readonly formula: DayFormula;
  readonly method: WorkedMethod | undefined;
}

/** When a piece of work is ready, and for when it was promised, where that is later; min of the day. */
type Times = Pick<DayWork, 'id' | 'ready' | 'served'>;

/** How many people share the work. */
const usePeople = tabletSetting<number>(
  'people',
  (text) => (PEOPLE.some((each) => String(each) === text) ? Number(text) : undefined),
  SMALL_KITCHEN.hands,
);

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

/** The times of what begins earlier once a day is spread. What was promised stays promised: it waits for its hour. */
function earlierTimes(works: readonly DayWork[], spread: readonly DayTask[]): Times[] {
  return works.flatMap(({ id, ready, served }): Times[] => {
    const at = spread.find((each) => each.id === id)?.ready ?? ready;
    return at === ready ? [] : [{ id, ready: at, served: served ?? ready }];
  });
}

/** Asks the server for a change, and the page anew once it is made; what is refused is told. */
function useAsking() {
  const router = useRouter();
  const [fault, setFault] = useState<string | undefined>();
  const ask = async (work: () => Promise<void>) => {
    setFault(undefined);
    try {
      await work();
      router.refresh();
    } catch (error) {
      setFault(messageOf(error));
    }
  };
  return { fault, ask };
}

/** A day's work: what is on it, where it gets in its own way, and what can be done about that. */
export function useDay(
  day: string,
  tasks: readonly StoredTask[],
  formulas: readonly DayFormula[],
  ingredients: readonly Ingredient[],
) {
  const router = useRouter();
  const { fault, ask } = useAsking();
  /** times that were set here and are not yet told back by the server */
  const [moved, setMoved] = useState<ReadonlyMap<string, Times>>(new Map());
  /** the times before they were spread, until something else is changed */
  const [before, setBefore] = useState<readonly Times[] | undefined>();
  const [people, setPeople] = usePeople();
  const capacity = useMemo(() => ({ ...SMALL_KITCHEN, hands: people }), [people]);
  const methods = useMethods(formulas, ingredients);
  useChanges((change) => {
    if (change.what === 'day' && change.id === day) router.refresh();
  }, router.refresh);
  const works = useMemo(
    () =>
      tasks.flatMap(({ id, formulaId, readyMinutes, servedMinutes }): DayWork[] => {
        const formula = formulas.find((each) => each.id === formulaId);
        if (!formula) return [];
        const method = methods.get(formulaId);
        const { lasts, stretches } = method ? stretchesOf(method) : { lasts: 0, stretches: [] };
        const { ready, served } = moved.get(id) ?? { ready: readyMinutes, served: servedMinutes ?? undefined };
        return [{ id, formula, method, lasts, stretches, ready, served }];
      }),
    [tasks, formulas, methods, moved],
  );
  const overlaps = useMemo(() => dayOverlaps(works, capacity), [works, capacity]);
  const spread = useMemo(() => (overlaps.length > 0 ? spreadDay(works, capacity) : works), [works, overlaps, capacity]);

  const move = (times: readonly Times[]) => {
    setMoved(new Map([...moved, ...times.map((each) => [each.id, each] as const)]));
    setBefore(undefined);
    return ask(() =>
      moveOnDay(
        day,
        times.map(({ id, ready, served }) => ({
          id,
          readyMinutes: Math.round(ready),
          servedMinutes: served === undefined ? null : Math.round(served),
        })),
      ),
    );
  };
  const spreadAll = () => {
    const earlier = earlierTimes(works, spread);
    const were = works.filter(({ id }) => earlier.some((each) => each.id === id));
    void move(earlier);
    setBefore(were.map(({ id, ready, served }) => ({ id, ready, served })));
  };
  return {
    works,
    overlaps,
    /** spreading changes something */
    canSpread: spread.some(({ ready }, i) => ready !== works[i]?.ready),
    fault,
    people,
    setPeople,
    /** gives one another time, which is promised from now on */
    moveTo: (id: string, ready: number) => void move([{ id, ready, served: undefined }]),
    /** some begin earlier, and wait for the time they were promised for */
    spread: spreadAll,
    /** how many begin earlier since the day was spread, and how to take that back */
    spreadBack: before && { moved: before.length, undo: () => void move(before) },
    add: (formulaId: string, readyMinutes: number) => ask(() => putOnDay(day, formulaId, readyMinutes)),
    remove: (id: string) => ask(() => takeOffDay(day, id)),
  };
}
