import {
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { WayId } from '@/core/method/step';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { WAY_WORDS } from '@/kitchen/words/method-words';
import { InlineChoice } from '@/ui/inline-choice';
import { StepItem } from './step-item';

/** What each step is known by while it is moved: its kind, and which of them it is. */
function stepKeys({ followed }: WorkedMethod): string[] {
  const seen = new Map<string, number>();
  return followed.map(({ step: { kind } }) => {
    const n = (seen.get(kind) ?? 0) + 1;
    seen.set(kind, n);
    return `${kind}-${n}`;
  });
}

/** What is said of a step that is moved. */
function announcementsOf(keys: readonly string[]): Announcements {
  const place = (at: { readonly id: string | number } | null) => keys.indexOf(String(at?.id)) + 1;
  return {
    onDragStart: ({ active }) => `Step ${place(active)} picked up.`,
    onDragOver: ({ active, over }) => (over ? `Step ${place(active)} goes to place ${place(over)}.` : undefined),
    onDragEnd: ({ over }) => (over ? `Put down at place ${place(over)}.` : undefined),
    onDragCancel: ({ active }) => `Step ${place(active)} stays where it was.`,
  } as const;
}

/** The way of working and its steps, each with what goes in and how long it takes; moved by finger, pointer or keys. */
export function StepsList({
  method,
  names,
  chosen,
  onWay,
  onChoose,
  onMove,
}: {
  method: WorkedMethod;
  /** of the rows */
  names: readonly string[];
  /** place of the step that is looked at */
  chosen: number;
  onWay: (way: WayId) => void;
  onChoose: (step: number) => void;
  onMove: (from: number, to: number) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const faulty = new Set(method.faults.flatMap((fault) => ('step' in fault ? [fault.step] : [])));
  const keys = stepKeys(method);
  const isOwn = method.kept.steps !== undefined;
  return (
    <section aria-label="Steps" className="pb-4">
      <div className="border-rule border-b px-4 pt-3 pb-2">
        <h2 className="text-[1.2rem]">Steps</h2>
        <p className="text-[13px] text-mute">
          Way of working:{' '}
          <InlineChoice
            label="Way of working"
            value={method.way}
            options={waysOf(method).map(
              (way) =>
                [way, `${WAY_WORDS[way].name}${method.proposal && way === method.way ? ' · proposed' : ''}`] as const,
            )}
            onChoose={onWay}
          />
        </p>
        {isOwn && (
          <p className="text-[13px] text-mute">
            With steps of your own.{' '}
            <button
              type="button"
              className="min-h-11 font-medium text-enamel underline"
              onClick={() => onWay(method.way)}
            >
              Back to the way’s own steps
            </button>
          </p>
        )}
      </div>
      <DndContext
        id="steps"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements: announcementsOf(keys) }}
        modifiers={[restrictToVerticalAxis, restrictToParentElement]}
        onDragEnd={({ active, over }) => {
          const [from, to] = [keys.indexOf(String(active.id)), keys.indexOf(String(over?.id))];
          if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
        }}
      >
        <SortableContext items={keys} strategy={verticalListSortingStrategy}>
          <ol>
            {method.followed.map((followed, i) => (
              <StepItem
                key={keys[i]}
                id={keys[i] ?? ''}
                place={i}
                followed={followed}
                names={names}
                isChosen={i === chosen}
                isFaulty={faulty.has(i)}
                onChoose={onChoose}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  );
}

/** The ways that can be chosen; the one that stands there is among them, whatever became of the pan. */
const waysOf = ({ way, ways }: WorkedMethod): readonly WayId[] => (ways.includes(way) ? ways : [way, ...ways]);
