import { type Outline, pickThrough, ribbon, roundDot } from '../film/pick';
import type { PlateGuide, Point } from './plate-guides';

const CM = 0.01;
const metres = ({ x, y }: Point) => ({ x: CM * x, y: CM * y });

/** What is drawn on a plate before a pick goes through it: outlines in m from its middle. */
export function laidShapes({ strokes, dots }: Pick<PlateGuide, 'strokes' | 'dots'>): Outline[] {
  return [
    ...strokes.flatMap(({ points, widthMm }) =>
      points.length > 1 ? [ribbon(points.map(metres), widthMm / 1000)] : [],
    ),
    ...dots.map((each) => roundDot(metres(each), each.acrossMm / 2000)),
  ];
}

/** m of a clean pick, of what sticks to it after each drag, and how thick it becomes at most (J). */
const PICK = { cleanM: 0.002, sticksM: 0.0005, mostM: 0.005 } as const;

/**
 * The same after one drag of a pick, along a way in cm.
 *
 * @param drags drags since it was wiped
 */
export function picked(shapes: readonly Outline[], way: readonly Point[], drags = 0): Outline[] {
  const widthM = Math.min(PICK.cleanM + drags * PICK.sticksM, PICK.mostM);
  return way.length > 1 ? pickThrough(shapes, way.map(metres), widthM) : [...shapes];
}

/**
 * The finished plate: what is drawn, with the pick dragged through it in its order.
 *
 * @param isWiped the pick is wiped after each drag
 * @returns outlines in m from the middle of the plate, strokes first, then dots
 */
export const plateShapes = (guide: Pick<PlateGuide, 'strokes' | 'dots' | 'picks'>, isWiped = true): Outline[] =>
  guide.picks.reduce<Outline[]>((shapes, way, i) => picked(shapes, way, isWiped ? 0 : i), laidShapes(guide));

/** One thing a hand did on a plate: a dot dropped, or a pick dragged; cm from the middle. */
export type PlateMark = { readonly dot: Point } | { readonly pick: readonly Point[] };

/**
 * A plate drawn by hand, mark by mark: a drag moves what lies there already, and nothing that is dropped after it.
 *
 * @param acrossMm mm of a dot
 */
export function handShapes(marks: readonly PlateMark[], acrossMm: number, isWiped = true): Outline[] {
  let shapes: Outline[] = [];
  let drags = 0;
  for (const mark of marks) {
    if ('dot' in mark) shapes.push(roundDot(metres(mark.dot), acrossMm / 2000));
    else shapes = picked(shapes, mark.pick, isWiped ? 0 : drags++);
  }
  return shapes;
}
