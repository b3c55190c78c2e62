'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Calibration } from '@/core/learn/kitchen';
import { compositionVector } from '@/core/matter/components';
import { isFreeOf, RESTRICTIONS, type Restriction, standingTo } from '@/core/swap/restrictions';
import { nearestFirst } from '@/core/swap/substitutes';
import type { Substitute } from '@/core/swap/swap';
import { doubtKindOf } from '@/formats/doubt-kind';
import type { Ingredient } from '@/formats/ingredient';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { type Predicted, predictPan } from '@/kitchen/known-pan';
import { Button } from '@/ui/button';
import { RESTRICTION_WORDS } from '@/ui/restriction-words';
import { Sheet } from '@/ui/sheet';
import { StoppedError } from '@/workers/thread';
import type { FormulaDraft, PanLine } from '../draft/edit';
import { withGrams, withoutLeft } from '../draft/formula-draft';
import type { Balancing } from '../verdict/use-balancing';
import { SwapResult } from './swap-result';

const MOST_CANDIDATES = 40;

/** What stands in for each row, by its key. */
type Chosen = ReadonlyMap<string, string>;

function substituteOf(ingredient: Ingredient): Substitute {
  return {
    ingredient: ingredient.id,
    perGram: compositionVector(ingredient.components),
    pricePerKg: ingredient.pricePerKg ?? undefined,
    kind: doubtKindOf(ingredient),
  };
}

/** The rows with their stand-ins and the grams of the answer. */
function swappedLines(draft: FormulaDraft, chosen: Chosen, answer: ReadonlyMap<string, number>): PanLine[] {
  return withGrams(draft.lines, answer).map((line) => ({
    ...line,
    ingredient: chosen.get(line.key) ?? line.ingredient,
  }));
}

/** The pan balanced with what is chosen, once it is known. */
function useSwapAnswer(
  draft: FormulaDraft,
  predicted: Predicted,
  larder: Larder,
  chosen: Chosen,
  swap: Balancing['swap'],
) {
  const [answer, setAnswer] = useState<
    { chosen: Chosen; grams: ReadonlyMap<string, number>; within: number | undefined } | undefined
  >();
  const [fault, setFault] = useState<string | undefined>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the pan beside the sheet is not live, so only the choice can change while it is open
  useEffect(() => {
    if (chosen.size === 0) return;
    let wanted = true;
    const substitutes = new Map(
      draft.lines.flatMap(({ key }) => {
        const ingredient = larder.get(chosen.get(key) ?? '');
        return ingredient ? [[key, substituteOf(ingredient)] as const] : [];
      }),
    );
    setFault(undefined);
    swap(predicted, substitutes).then(
      ({ grams: found, within }) => wanted && setAnswer({ chosen, grams: found, within }),
      (error: Error) => wanted && !(error instanceof StoppedError) && setFault(error.message),
    );
    return () => {
      wanted = false;
    };
  }, [chosen]);

  return { answer: answer?.chosen === chosen && chosen.size > 0 ? answer : undefined, fault };
}

/**
 * “I have this instead of that”: another ingredient for a row, or the whole pan without dairy, alcohol, sugar…; balanced again so that the
 * curve stays, with all that changed said before anything is taken.
 */
export function SwapSheet({
  draft,
  predicted,
  larder,
  calibration,
  rowKey,
  balancing,
  onClose,
  onTake,
}: {
  draft: FormulaDraft;
  predicted: Predicted;
  larder: Larder;
  calibration: Calibration;
  /** the row it was opened from, if any */
  rowKey: string | undefined;
  balancing: Pick<Balancing, 'swap' | 'busy'>;
  onClose: () => void;
  onTake: (lines: readonly PanLine[]) => void;
}) {
  const [chosen, setChosen] = useState<Chosen>(new Map());
  const { answer, fault } = useSwapAnswer(draft, predicted, larder, chosen, balancing.swap);
  const line = draft.lines.find(({ key }) => key === rowKey);
  const known = (id: string) => itemOf(draft, larder, id);

  const without = (restriction: Restriction) => {
    const allowed = [...larder.values()].filter((each) => isFreeOf(restriction, each));
    const found = draft.lines.flatMap((each) => {
      const current = known(each.ingredient);
      if (!current || isFreeOf(restriction, current)) return [];
      const [nearest] = nearestFirst(current.components, allowed);
      return nearest ? [[each.key, nearest.id] as const] : [];
    });
    setChosen(new Map(found));
  };
  const broken = RESTRICTIONS.filter((restriction) =>
    draft.lines.some((each) => {
      const current = known(each.ingredient);
      return current && each.grams > 0 && standingTo(restriction, current) !== 'free';
    }),
  );

  const lines = answer && swappedLines(draft, chosen, answer.grams);
  const after = lines && predictPan({ ...draft, lines }, larder, calibration);

  return (
    <Sheet
      title={line ? `Instead of ${known(line.ingredient)?.name ?? line.ingredient}` : 'Do without'}
      width="wide"
      besidePan
      onClose={onClose}
      footer={
        <>
          <Button look="primary" disabled={!lines} onClick={() => lines && onTake(withoutLeft(draft.lines, lines))}>
            {balancing.busy ? 'Balancing…' : 'Take the swap'}
          </Button>
          <Button onClick={onClose}>Leave the pan as it is</Button>
        </>
      }
    >
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[300px_minmax(0,1fr)]">
        <div>
          {broken.length > 0 && (
            <section className="mb-4">
              <h3 className="mb-1 font-sans font-semibold">The whole pan</h3>
              <div className="flex flex-wrap gap-1.5">
                {broken.map((restriction) => (
                  <Button key={restriction} className="!px-3" onClick={() => without(restriction)}>
                    {RESTRICTION_WORDS[restriction]}
                  </Button>
                ))}
              </div>
            </section>
          )}
          {line && (
            <StandIns
              current={known(line.ingredient)}
              larder={larder}
              chosen={chosen.get(line.key)}
              onChoose={(id) => setChosen(new Map([[line.key, id]]))}
            />
          )}
        </div>
        {answer && after && lines ? (
          <SwapResult
            before={predicted}
            after={after}
            draft={draft}
            lines={lines}
            larder={larder}
            within={answer.within}
          />
        ) : (
          <p className={`self-center ${fault ? 'text-off' : 'text-mute'}`} role={fault ? 'alert' : undefined}>
            {fault
              ? fault
              : chosen.size > 0
                ? 'Balancing…'
                : 'Choose what you have. The pan is balanced again so that the curve stays, and you see what changes before you take it.'}
          </p>
        )}
      </div>
    </Sheet>
  );
}

/** What may stand in for an ingredient, the nearest first. */
function StandIns({
  current,
  larder,
  chosen,
  onChoose,
}: {
  current: Pick<Ingredient, 'id' | 'components'> | undefined;
  larder: Larder;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  const [query, setQuery] = useState('');
  const candidates = useMemo(() => {
    if (!current) return [];
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    const others = [...larder.values()].filter(
      (each) =>
        each.id !== current.id && words.every((word) => `${each.name} ${each.group}`.toLowerCase().includes(word)),
    );
    return nearestFirst(current.components, others).slice(0, MOST_CANDIDATES);
  }, [current, larder, query]);

  return (
    <section>
      <h3 className="mb-1 font-sans font-semibold">This row, the nearest first</h3>
      <input
        type="search"
        aria-label="Search a stand-in"
        placeholder="Search the larder"
        className="mb-2 h-11 w-full rounded-lg border border-rule bg-field px-3"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <ul className="thin-scroll max-h-[24vh] lg:max-h-[46vh] overflow-y-auto rounded-lg border border-rule">
        {candidates.map((candidate) => (
          <li key={candidate.id}>
            <button
              type="button"
              aria-pressed={chosen === candidate.id}
              onClick={() => onChoose(candidate.id)}
              className="flex min-h-11 w-full items-center border-rule-soft border-b px-3 text-left hover:bg-enamel-wash aria-pressed:bg-enamel-wash aria-pressed:font-semibold"
            >
              {candidate.name}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
