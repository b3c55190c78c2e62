import { useRef } from 'react';
import type { Ellipse } from '@/core/photo/circle-pose';

/** Where an ellipse is taken hold of: its middle, and the ends of both axes. */
const HOLDS = ['middle', 'long', 'short'] as const;
type Hold = (typeof HOLDS)[number];

const HOLD_WORDS: Readonly<Record<Hold, string>> = { middle: 'move', long: 'length', short: 'width' };
/** px a handle goes by one press of an arrow, as parts of the picture's width. */
const KEY_STEP = 0.004;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function placeOf({ x, y, longer, shorter, turn }: Ellipse, hold: Hold): readonly [number, number] {
  if (hold === 'middle') return [x, y];
  if (hold === 'long') return [x + longer * Math.cos(turn), y + longer * Math.sin(turn)];
  return [x - shorter * Math.sin(turn), y + shorter * Math.cos(turn)];
}

/** The ellipse once one of its handles has been taken to a place. */
function heldTo(ellipse: Ellipse, hold: Hold, x: number, y: number): Ellipse {
  if (hold === 'middle') return { ...ellipse, x, y };
  const [dx, dy] = [x - ellipse.x, y - ellipse.y];
  const length = Math.max(Math.hypot(dx, dy), 4);
  if (hold === 'long') return { ...ellipse, longer: length, turn: Math.atan2(dy, dx) };
  return { ...ellipse, shorter: length };
}

/** An ellipse over a picture that is moved and stretched by finger and by keys. */
export function EllipseHandles({
  ellipse,
  name,
  width,
  onEllipse,
}: {
  ellipse: Ellipse;
  /** what it goes round: "Plate" */
  name: string;
  /** px of the picture */
  width: number;
  onEllipse: (ellipse: Ellipse) => void;
}) {
  const held = useRef<Hold | undefined>(undefined);
  const degrees = (ellipse.turn * 180) / Math.PI;
  return (
    <g>
      <ellipse
        rx={ellipse.longer}
        ry={ellipse.shorter}
        transform={`translate(${ellipse.x} ${ellipse.y}) rotate(${degrees})`}
        fill="none"
        stroke="#1d40d6"
        strokeWidth={width / 250}
      />
      {HOLDS.map((hold) => {
        const [x, y] = placeOf(ellipse, hold);
        return (
          // biome-ignore lint/a11y/useSemanticElements: a button cannot stand in a drawing
          <circle
            key={hold}
            role="button"
            tabIndex={0}
            aria-label={`${name}: ${HOLD_WORDS[hold]}. Arrow keys move it`}
            cx={x}
            cy={y}
            r={width / 26}
            fill="#fff"
            fillOpacity={0.55}
            stroke="#1d40d6"
            strokeWidth={width / 250}
            className="cursor-move touch-none focus-visible:outline-2 focus-visible:outline-enamel"
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              held.current = hold;
            }}
            onPointerMove={(event) => {
              if (held.current !== hold) return;
              const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse();
              const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
              onEllipse(heldTo(ellipse, hold, at.x, at.y));
            }}
            onPointerUp={() => {
              held.current = undefined;
            }}
            onKeyDown={(event) => {
              const arrow = ARROWS[event.key];
              if (!arrow) return;
              event.preventDefault();
              const step = KEY_STEP * width * (event.shiftKey ? 5 : 1);
              onEllipse(heldTo(ellipse, hold, x + step * arrow[0], y + step * arrow[1]));
            }}
          />
        );
      })}
    </g>
  );
}
