import { useState } from 'react';
import type { Point } from '@/core/serve/plate-guides';

/** What a hand does on a plate: drops a dot, or drags a pick. */
export type PlateTool = 'dot' | 'pick';

/** cm the cursor goes by one press of an arrow. */
const STEP_CM = 0.4;
/** cm a pick has to go for its way to be taken down again. */
const APART_CM = 0.12;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP_CM, 0],
  ArrowRight: [STEP_CM, 0],
  ArrowUp: [0, -STEP_CM],
  ArrowDown: [0, STEP_CM],
};

/** Where on the plate a finger is, cm from its middle. */
function placeOf(event: React.PointerEvent<SVGSVGElement>): Point {
  const matrix = event.currentTarget.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return { x, y };
}

/**
 * Drawing on a plate by finger or by keys: arrows move, Enter drops a dot, Space sets a pick down and lifts it.
 *
 * @param most cm from the middle the cursor goes
 */
export function usePlateHand(
  tool: PlateTool,
  most: number,
  onDot: (point: Point) => void,
  onPick: (way: readonly Point[]) => void,
) {
  const [way, setWay] = useState<readonly Point[] | undefined>();
  const [cursor, setCursor] = useState<Point | undefined>();
  const end = (last: Point) => {
    if (way && way.length > 0) onPick([...way, last]);
    setWay(undefined);
  };
  const press = (key: string, at: Point) => {
    if (key === 'Enter') onDot(at);
    else if (way) end(at);
    else setWay([at]);
  };
  return {
    /** the way of the pick while it is down */
    way,
    cursor,
    handlers: {
      tabIndex: 0,
      onPointerDown: (event: React.PointerEvent<SVGSVGElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        if (tool === 'dot') onDot(placeOf(event));
        else setWay([placeOf(event)]);
      },
      onPointerMove: (event: React.PointerEvent<SVGSVGElement>) => {
        const last = way?.at(-1);
        const here = placeOf(event);
        if (event.buttons === 1 && way && last && Math.hypot(here.x - last.x, here.y - last.y) > APART_CM)
          setWay([...way, here]);
      },
      onPointerUp: (event: React.PointerEvent<SVGSVGElement>) => tool === 'pick' && way && end(placeOf(event)),
      onPointerCancel: () => setWay(undefined),
      onBlur: () => setCursor(undefined),
      onKeyDown: (event: React.KeyboardEvent) => {
        const at = cursor ?? { x: 0, y: 0 };
        const arrow = ARROWS[event.key];
        if (!arrow && event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        if (arrow) {
          const bound = (value: number) => Math.min(Math.max(value, -most), most);
          const next = { x: bound(at.x + arrow[0]), y: bound(at.y + arrow[1]) };
          setCursor(next);
          if (way) setWay([...way, next]);
        } else {
          setCursor(at);
          press(event.key, at);
        }
      },
    },
  };
}
