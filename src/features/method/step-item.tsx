import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { FollowedStep } from '@/core/method/follow-method';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';

/** One step of the list: what it is, how long it takes, what goes in; its handle moves it. */
export function StepItem({
  id,
  place,
  followed,
  names,
  isChosen,
  isFaulty,
  onChoose,
}: {
  id: string;
  place: number;
  followed: FollowedStep;
  names: readonly string[];
  isChosen: boolean;
  isFaulty: boolean;
  onChoose: (step: number) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const name = wordsOfStep(followed).name;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex border-rule border-b ${isDragging ? 'relative z-10 bg-sheet shadow-lg' : ''}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move step ${place + 1}, ${name}`}
        className="flex w-11 shrink-0 touch-none items-start justify-center pt-3 text-mute hover:bg-rule-soft"
      >
        <span className="read pr-0.5">{place + 1}</span>
        <GripVertical size={14} className="mt-1 opacity-60" aria-hidden="true" />
      </button>
      <button
        type="button"
        aria-current={isChosen ? 'step' : undefined}
        onClick={() => onChoose(place)}
        className="grid min-w-0 flex-1 grid-cols-[1fr_auto] gap-x-2 py-2.5 pr-4 pl-1 text-left hover:bg-enamel-wash/60 aria-[current]:bg-enamel-wash"
      >
        <span className="font-semibold">
          {name}
          {isFaulty && <span className="ml-2 text-off">▲ look</span>}
        </span>
        <span className="read whitespace-nowrap pl-2 text-[0.95rem]">{timeOf(followed)}</span>
        <span className="col-span-2 text-[13px] text-mute">{endOf(followed)}</span>
        {followed.step.note && <span className="col-span-2 text-[13px]">{followed.step.note}</span>}
        {followed.additions.length > 0 && (
          <span className="col-span-2 mt-1 flex flex-wrap gap-1.5">
            {followed.additions.map(({ key, grams }) => (
              <span key={key} className="rounded border border-rule bg-field px-1.5 py-0.5 text-[13px]">
                {names[Number(key)]} <span className="read">{weight(Math.round(grams * 10) / 10)}</span>
              </span>
            ))}
          </span>
        )}
      </button>
    </li>
  );
}

/** How long a step takes; one that is over as it begins says so. */
function timeOf({ seconds, reached, stopped }: FollowedStep): string {
  if (stopped === 'dry') return `dry after ${duration(seconds)}`;
  if (!reached) return 'never ends';
  return seconds < 3 ? 'at once' : duration(seconds);
}

/** How a step looks at its end, and how warm. */
function endOf(followed: FollowedStep): string {
  const { step, end } = followed;
  const { looks } = wordsOfStep(followed);
  return step.where === 'aside' ? looks : `${looks} · ${celsius(Math.round(end.temperatureC))}`;
}
