import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { type ReactNode, useMemo } from 'react';
import type { PanLine } from '../draft/edit';
import type { OpenFormula } from '../draft/use-formula';

/** The rows in the order they go in, moved by finger, pointer or keys. */
export function SortableRows({
  lines,
  edit,
  children,
}: {
  lines: readonly PanLine[];
  edit: OpenFormula['edit'];
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const order = lines.map((line) => line.key).join(' ');
  // One list as long as the order stands: a new one would draw every row anew.
  const keys = useMemo(() => (order === '' ? [] : order.split(' ')), [order]);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = lines.findIndex((line) => line.key === over?.id);
    if (over && active.id !== over.id && to >= 0) edit({ type: 'move', key: String(active.id), to });
  };

  return (
    <DndContext
      id="pan"
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[restrictToVerticalAxis, restrictToParentElement]}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={keys} strategy={verticalListSortingStrategy}>
        <ol aria-label="Ingredients">{children}</ol>
      </SortableContext>
    </DndContext>
  );
}
