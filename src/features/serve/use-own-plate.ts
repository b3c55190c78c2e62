import { useMemo } from 'react';
import { z } from 'zod';
import type { OwnDrawing, Point } from '@/core/serve/plate-guides';
import { useTyped } from '@/ui/use-typed';

/** Dots and drags one plate has at most: beyond twenty in one place a pick only smears. */
const MOST_DOTS = 200;
const MOST_PICKS = 60;
/** Places of one drag. */
const MOST_PLACES = 400;

const pointSchema = z.object({ x: z.number().min(-40).max(40), y: z.number().min(-40).max(40) });
const markSchema = z.union([
  z.object({ dot: pointSchema }),
  z.object({ pick: z.array(pointSchema).min(2).max(MOST_PLACES) }),
]);
/** What was drawn, mark by mark: an undo takes the last one back. */
const marksSchema = z.array(markSchema).max(MOST_DOTS + MOST_PICKS);
type Mark = z.output<typeof markSchema>;

function readMarks(text: string): readonly Mark[] {
  try {
    return marksSchema.parse(JSON.parse(text));
  } catch {
    return [];
  }
}

const shortened = ({ x, y }: Point): Point => ({ x: Math.round(x * 100) / 100, y: Math.round(y * 100) / 100 });

/** A plate drawn by hand, kept on this tablet until it is cleared. */
export function useOwnPlate() {
  const [text, setText] = useTyped('own plate', '');
  const marks = useMemo(() => readMarks(text), [text]);
  const own = useMemo(
    (): OwnDrawing => ({
      dots: marks.flatMap((mark) => ('dot' in mark ? [mark.dot] : [])),
      picks: marks.flatMap((mark) => ('pick' in mark ? [mark.pick] : [])),
    }),
    [marks],
  );
  const keep = (next: readonly Mark[]) => setText(next.length > 0 ? JSON.stringify(next) : '');
  return {
    own,
    /** in the order they were made */
    marks,
    isEmpty: marks.length === 0,
    addDot: (point: Point) => own.dots.length < MOST_DOTS && keep([...marks, { dot: shortened(point) }]),
    addPick: (way: readonly Point[]) =>
      own.picks.length < MOST_PICKS &&
      way.length > 1 &&
      keep([...marks, { pick: way.slice(0, MOST_PLACES).map(shortened) }]),
    undo: () => keep(marks.slice(0, -1)),
    clear: () => keep([]),
  };
}
