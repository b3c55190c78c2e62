import { useEffect, useMemo, useState } from 'react';
import { DRAWING } from '@/core/serve/second-sauce';
import type { DrawWithAnswer } from '@/formats/draw-with';
import { messageOf } from '@/formats/message-of';
import { askDrawWith } from '@/kitchen/client/draw-with';
import { useFormulaNames } from '@/kitchen/client/use-formula-names';
import { weight } from '@/ui/format';
import { usePours } from '@/ui/pours/pours-provider';
import { fixed } from '@/ui/settings/numerals';
import { useTyped } from '@/ui/use-typed';

/** Chooses a second sauce; it is held against the first at the plate's temperature as soon as it is chosen. */
export function useSecondSauce(first: string, at: number) {
  const all = useFormulaNames();
  const [chosen, setChosen] = useTyped('second sauce', '');
  const [answer, setAnswer] = useState<DrawWithAnswer | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const { isKitchen } = usePours();
  useEffect(() => {
    setAnswer(undefined);
    setFault(undefined);
    if (chosen === '') return;
    let isLeft = false;
    askDrawWith(first, chosen, at, !isKitchen).then(
      (found) => !isLeft && setAnswer(found),
      (error) => !isLeft && setFault(messageOf(error)),
    );
    return () => {
      isLeft = true;
    };
  }, [first, chosen, at, isKitchen]);
  const names = useMemo(() => all.names.filter(({ id }) => id !== first), [all.names, first]);
  return { names, chosen, choose: setChosen, answer, fault: fault ?? all.fault };
}

/** What does not agree yet, in words. */
function apartWords({ viscosityTimes, isYieldLow, densityShare }: DrawWithAnswer['asItIs']): string {
  const parts = [
    viscosityTimes > DRAWING.viscosityTimes
      ? `${fixed(viscosityTimes, 1)} times as thick`
      : viscosityTimes < 1 / DRAWING.viscosityTimes
        ? `${fixed(1 / viscosityTimes, 1)} times as thin`
        : '',
    isYieldLow ? '' : 'one of them stands instead of flowing',
    densityShare >= DRAWING.densityShare ? `${Math.round(100 * densityShare)} % apart in weight` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

/** Whether lines drawn with the second sauce hold, and how it is balanced so that they do. */
export function SecondSauce({
  second: { names, chosen, choose, answer, fault },
}: {
  second: ReturnType<typeof useSecondSauce>;
}) {
  return (
    <div className="mt-3">
      <label className="grid gap-1">
        A second sauce to draw with
        <select
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2"
          value={chosen}
          onChange={(event) => choose(event.target.value)}
        >
          <option value="">none</option>
          {names.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {fault && (
        <p role="alert" className="mt-1 text-off">
          {fault}
        </p>
      )}
      {answer && (
        <div role="status" className="mt-2 rounded-lg bg-enamel-wash px-3 py-2" data-testid="second-sauce">
          {answer.asItIs.holds ? (
            <p>{answer.name} holds as it is: lines stay lines.</p>
          ) : answer.rows ? (
            <>
              <p>
                As it is, {answer.name} is {apartWords(answer.asItIs)}. Weighed so, its lines hold:
              </p>
              <ul className="mt-1">
                {answer.rows.map(({ name, from, to }) => (
                  <li key={`${name} ${from}`} className="flex justify-between gap-3">
                    <span className="min-w-0 break-words">{name}</span>
                    <span className="read whitespace-nowrap">
                      {Math.abs(to - from) < 0.05 ? '' : `${weight(from)} → `}
                      <strong>{weight(to)}</strong>
                    </span>
                  </li>
                ))}
              </ul>
            </>
          ) : (
            <p>
              {answer.name} is {apartWords(answer.asItIs)}, and its rows alone cannot bring it there: thin it by hand,
              or choose another.
            </p>
          )}
        </div>
      )}
    </div>
  );
}
