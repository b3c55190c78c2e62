'use client';

import { useRef, useState } from 'react';
import type { FilmFluid } from '@/core/film/mobility';
import { CELLS } from '@/core/film/scenes';
import { Button } from '@/ui/button';
import { celsius, centimetres, millimetres } from '@/ui/format';
import { Puddle } from '@/ui/puddle';
import { Tick } from '@/ui/tick';
import type { SauceLook } from './scene';
import { TiltSlider } from './tilt-slider';
import { usePour } from './use-pour';
import { useScene } from './use-scene';

/** A finger over so many px turns the view by a radian. */
const PX_A_RADIAN = 260;
const MOST_TURN = 0.9;

/** The plate, poured on as it runs: tilted, drawn through with a spoon, turned with a finger. */
export function PourPicture({
  fluid,
  look,
  temperatureC,
}: {
  fluid: FilmFluid;
  look: SauceLook;
  /** it is poured at */
  temperatureC: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const picture = useScene(canvas, 'plate', CELLS, look);
  const [hasRuler, setRuler] = useState(false);
  const pour = usePour(fluid, picture, hasRuler);
  const turn = useTurn((radians) => {
    if (picture.kind !== 'there') return;
    picture.scene.turn(radians);
    pour.redraw();
  });
  const [tiltDegrees, setTilt] = useState(0);
  const tiltTo = (value: number) => {
    setTilt(value);
    pour.tiltTo((value * Math.PI) / 180);
  };
  const said = `${Math.round(pour.seconds)} s after the ring is lifted: ${millimetres(Math.round(pour.spread))} across`;
  return (
    <figure data-testid="pour-picture" data-spread-mm={pour.spread.toFixed(1)} data-picture={picture.kind}>
      <div className="relative h-[min(46vh,420px)] w-full overflow-hidden rounded-xl bg-[linear-gradient(#e6ebe9,#d9e0de)]">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`20 ml at ${celsius(temperatureC)} on a plate, ${said}`}
          className={`block size-full touch-none ${picture.kind === 'there' ? '' : 'invisible'}`}
          {...turn}
        />
        {picture.kind === 'none' && pour.spread > 0 && (
          <div className="absolute inset-0 flex items-center justify-center p-6">
            <Puddle diameterMm={pour.spread} colour={look.colour} shine={look.shine} label={said} className="w-full" />
          </div>
        )}
      </div>
      <figcaption className="mt-2 flex flex-wrap items-baseline justify-between gap-x-4">
        <span>
          At <strong>{celsius(temperatureC)}</strong>, <span data-testid="pour-says">{said}</span>.
        </span>
        <span className="text-[13px] text-mute">True to scale: the plate is {centimetres(27)}, the ring was 5.</span>
      </figcaption>
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <Button look="primary" onClick={pour.again}>
          Pour again
        </Button>
        <Button onClick={pour.atOnce}>Show 30 s at once</Button>
        <Button onClick={pour.spoon}>Draw a spoon through</Button>
        {picture.kind === 'there' && <Tick label="A ruler over it" isOn={hasRuler} onTick={setRuler} />}
        <TiltSlider of="the plate" value={tiltDegrees} onTilt={tiltTo} />
      </div>
    </figure>
  );
}

/** Turns a view by dragging over it; a double tap takes it back. */
function useTurn(onTurn: (radians: number) => void) {
  const from = useRef<{ x: number; turned: number } | undefined>(undefined);
  const turned = useRef(0);
  const to = (radians: number) => {
    turned.current = Math.min(Math.max(radians, -MOST_TURN), MOST_TURN);
    onTurn(turned.current);
  };
  return {
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { x: event.clientX, turned: turned.current };
    },
    onPointerMove: (event: React.PointerEvent) => {
      if (from.current) to(from.current.turned - (event.clientX - from.current.x) / PX_A_RADIAN);
    },
    onPointerUp: () => {
      from.current = undefined;
    },
    onDoubleClick: () => to(0),
  };
}
