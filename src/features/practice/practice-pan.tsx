import { useMemo, useRef, useState } from 'react';
import { CELLS, dropOnPlate, flowFor } from '@/core/film/scenes';
import { spreadDiameter } from '@/core/flow/ring-spread';
import type { Seen } from '@/core/practice/observe';
import { millimetres } from '@/ui/format';
import type { SauceLook } from '@/ui/sauce/scene';
import { TiltSlider } from '@/ui/sauce/tilt-slider';
import { useFrames } from '@/ui/sauce/use-frames';
import { useScene } from '@/ui/sauce/use-scene';
import { PanScene } from './pan-scene';
import { type Begun, type Doing, LASTS, wantsStills } from './use-doing';
import { usePanFilm } from './use-pan-film';

/** s a film is followed at a time, watched or at once. */
const STEP_S = 1 / 30;
const AT_ONCE_STEP_S = 1 / 10;

/** What a pan looks like. */
const lookOf = ({ colour, shine, grit, driedRim, hasSkin, hasBubbles }: Seen): SauceLook => ({
  colour,
  shine,
  marks: { grit: grit === 'smooth' ? undefined : grit, hasBubbles, hasSkin, hasDriedRim: driedRim },
});

/** A practice pan: the spoon is drawn through it wherever one likes, it is tilted with a finger, and 20 ml of it lie on a plate. */
export function PracticePan({
  seen,
  doing,
  begun,
  dropped,
  label,
  onDrawn,
}: {
  seen: Seen;
  doing: Doing;
  begun: Begun | undefined;
  /** what lies on the plate, as it was when it was dropped */
  dropped: Seen | undefined;
  label: string;
  /** a spoon was drawn through by hand */
  onDrawn: () => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const look = useMemo(() => lookOf(seen), [seen]);
  const picture = useScene(canvas, 'pan', CELLS, look);
  const pan = usePanFilm(seen, picture, begun);
  const [tilt, setTilt] = useState(0);
  const from = useRef<{ x: number; y: number } | undefined>(undefined);
  const at = (event: React.PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    if (picture.kind !== 'there') return undefined;
    return picture.scene.groundAt((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  };
  if (picture.kind === 'none') return <PanScene seen={seen} doing={doing} dropped={dropped} label={label} />;
  return (
    <div data-testid="pan-picture" data-picture={picture.kind}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        className="block h-[min(38vh,330px)] w-full touch-none rounded-lg bg-[linear-gradient(#e6ebe9,#d9e0de)]"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = at(event);
        }}
        onPointerMove={(event) => {
          const to = from.current && at(event);
          if (!from.current || !to) return;
          pan.spoon(from.current, to);
          from.current = to;
        }}
        onPointerUp={() => {
          if (from.current) onDrawn();
          from.current = undefined;
        }}
      />
      <TiltSlider
        of={label.split('.')[0]?.toLowerCase() ?? ''}
        value={tilt}
        onTilt={(value) => {
          setTilt(value);
          pan.tiltTo(value);
        }}
      />
      <p className="text-[13.5px] text-mute">Draw a spoon through it with a finger. The pan is 12 cm wide.</p>
      {dropped && <PlatePicture key={begun?.kind === 'drop' ? begun.at : 0} seen={dropped} />}
    </div>
  );
}

/** 20 ml on a plate for half a minute. */
function PlatePicture({ seen }: { seen: Seen }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const look = useMemo(() => lookOf({ ...seen, hasSkin: false, driedRim: false }), [seen]);
  const picture = useScene(canvas, 'plate', CELLS, look);
  const film = useMemo(() => dropOnPlate(seen, LASTS.drop), [seen]);
  const [seconds, setSeconds] = useState(0);
  const scene = picture.kind === 'there' ? picture.scene : undefined;
  useFrames(scene !== undefined && seconds < LASTS.drop, (passed) => {
    const now = wantsStills() ? LASTS.drop : Math.min(passed, LASTS.drop - film.seconds);
    flowFor(film, now, 0, wantsStills() ? AT_ONCE_STEP_S : STEP_S);
    scene?.draw(film);
    setSeconds(film.seconds >= LASTS.drop - 1e-6 ? LASTS.drop : film.seconds);
  });
  const words = `20 ml on a plate after ${Math.round(seconds)} s: ${millimetres(Math.round(spreadDiameter(seen, 20, Math.max(seconds, 0.02))))} across`;
  return (
    <figure className="mt-2">
      <canvas
        ref={canvas}
        role="img"
        aria-label={words}
        className="block h-[min(28vh,230px)] w-full rounded-lg bg-[linear-gradient(#e6ebe9,#d9e0de)]"
      />
      <figcaption className="text-[14px]">{words}.</figcaption>
    </figure>
  );
}
