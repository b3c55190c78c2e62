'use client';

import { useEffect, useMemo, useRef } from 'react';
import type { Job } from '@/core/brief/job';
import { BRIEF_DENSITY, jobGates } from '@/core/brief/job-gates';
import { dripLength } from '@/core/film/upright-film';
import { JOB_FACTS } from '@/core/uses/catalogue';
import { millimetres } from '@/ui/format';
import { bodyOfUse } from '@/ui/sauce/use-bodies';
import { usePicture } from '@/ui/sauce/use-scene';
import { UseDrawing } from './use-drawings';

/** px of the drawing, of the thickest coat, and of a piece. */
const WIDE = 260;
const HIGH = 150;
const MOST_PX = 62;
const FLOOR = HIGH - 16;
const PIECE = { left: 66, right: 194, high: 52 } as const;
/** ml that go over an edge in one drip (J). */
const DRIP_ML = 0.35;
/** px of a centimetre of drip. */
const PX_A_CM = 9;
const POUR = 'var(--color-pour-drawn)';
const BAKED = 'var(--color-baked-drawn)';

const EXTENT_WORDS = { coat: 'Coat', depth: 'Depth', height: 'Height' } as const;

/** mm a drip runs at the thin and at the thick edge of what a glaze asks; nothing where it is no glaze over a side. */
function dripsOf(job: Job): readonly [thin: number, thick: number] | undefined {
  if (job.use !== 'glaze' || !job.sides) return undefined;
  const yieldPa = jobGates(job).find(({ quantity, why }) => quantity === 'yieldStressPa' && why === 'hangs');
  if (!yieldPa?.high) return undefined;
  const run = (yieldStressPa: number) =>
    1000 * dripLength({ yieldStressPa, plasticViscosityPaS: 1, densityKgM3: BRIEF_DENSITY }, DRIP_ML);
  return [run(yieldPa.low ?? 0), run(yieldPa.high)];
}

/** How high a side is that nobody gave, mm. */
const USUAL_SIDE_MM = 45;

/** How far drips run, in words: what is longer than the side is high reaches its foot. */
function dripWords([thin, thick]: readonly [thin: number, thick: number], { sizes }: Job): string {
  const side = sizes.height === undefined ? USUAL_SIDE_MM : 10 * sizes.height;
  const long = (mm: number) => millimetres(Math.round(mm));
  if (thick >= side) return 'Drips run to the foot of the side.';
  return thin >= side
    ? `Drips run ${long(thick)} down the side, or to its foot.`
    : `Drips run ${long(thick)} to ${long(thin)} down the side.`;
}

/** What a use is made of in section, with so much of it: dragged thicker or thinner, its gates move with it. */
export function UsePicture({ job, label, onMm }: { job: Job; label: string; onMm: (mm: number) => void }) {
  const { extent, reach } = JOB_FACTS[job.use];
  const from = useRef<{ y: number; mm: number } | undefined>(undefined);
  if (!extent) return <StillUse job={job} />;
  const [least, most] = reach;
  const pxPerMm = MOST_PX / most;
  const step = most > 12 ? 1 : 0.1;
  const to = (mm: number) => onMm(Number(Math.min(Math.max(Math.round(mm / step) * step, least), most).toFixed(1)));
  const drips = dripsOf(job);
  const px = job.mm * pxPerMm;
  const moves: Readonly<Record<string, number>> = {
    ArrowUp: job.mm + step,
    ArrowRight: job.mm + step,
    ArrowDown: job.mm - step,
    ArrowLeft: job.mm - step,
    Home: least,
    End: most,
  };
  return (
    <figure
      className="mt-1 w-[260px] max-w-full font-sans text-[14px] tracking-normal leading-snug"
      data-testid="use-picture"
    >
      <div
        className="cursor-ns-resize touch-none overflow-hidden rounded-lg border border-rule bg-sheet focus-visible:outline-2 focus-visible:outline-enamel"
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={least}
        aria-valuemax={most}
        aria-valuenow={job.mm}
        aria-valuetext={millimetres(job.mm)}
        aria-orientation="vertical"
        onKeyDown={(event) => {
          const next = moves[event.key];
          if (next === undefined) return;
          event.preventDefault();
          to(next);
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { y: event.clientY, mm: job.mm };
        }}
        onPointerMove={(event) => {
          if (from.current) to(from.current.mm + (from.current.y - event.clientY) / pxPerMm);
        }}
        onPointerUp={() => {
          from.current = undefined;
        }}
      >
        <Drawn job={job} extent={extent} px={px} drips={drips} />
      </div>
      <figcaption className="text-mute">
        {EXTENT_WORDS[extent]}: drag it thicker or thinner.
        {drips && ` ${dripWords(drips, job)}`}
      </figcaption>
    </figure>
  );
}

/** A glossy sauce of no formula in particular. */
const ANY_SAUCE = { colour: '#43241a', shine: 72 } as const;
const openBody = async (canvas: HTMLCanvasElement) => (await import('@/ui/sauce/body-scene')).bodyScene(canvas);

/** A use that asks for no measure: its piece or its glass, to look at. */
function StillUse({ job }: { job: Job }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const picture = usePicture(canvas, openBody);
  const parts = useMemo(() => bodyOfUse(job.use, 1), [job.use]);
  useEffect(() => {
    if (picture.kind === 'there') picture.scene.show(parts, ANY_SAUCE);
  }, [picture, parts]);
  return (
    <div
      className="relative mt-1 h-[150px] w-[260px] max-w-full rounded-lg border border-rule bg-sheet"
      data-picture={picture.kind}
    >
      <canvas ref={canvas} className={`size-full ${picture.kind === 'there' ? '' : 'invisible'}`} />
      {picture.kind !== 'there' && <UseDrawing use={job.use} className="absolute inset-0 m-auto h-[92px]" />}
    </div>
  );
}

/** The piece in three dimensions, cut open; in section where there are no graphics. */
function Drawn({
  job,
  extent,
  px,
  drips,
}: {
  job: Job;
  extent: 'coat' | 'depth' | 'height';
  px: number;
  drips: readonly [thin: number, thick: number] | undefined;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const picture = usePicture(canvas, openBody);
  const isThere = picture.kind === 'there';
  const [thin, thick] = drips ?? [];
  const parts = useMemo(
    () => bodyOfUse(job.use, job.mm, thin !== undefined && thick !== undefined ? [thick, thin] : undefined),
    [job.use, job.mm, thin, thick],
  );
  useEffect(() => {
    if (picture.kind === 'there') picture.scene.show(parts, ANY_SAUCE);
  }, [picture, parts]);
  const top = isThere ? HIGH / 2 : extent === 'coat' ? FLOOR - PIECE.high - px : FLOOR - px;
  const right = isThere ? WIDE - 54 : PIECE.right + 24;
  return (
    <div className="relative" data-picture={picture.kind}>
      <canvas ref={canvas} className={`absolute inset-0 size-full ${isThere ? '' : 'invisible'}`} />
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="relative w-full" aria-hidden="true">
        {!isThere && (
          <>
            <path d={`M10 ${FLOOR}H${WIDE - 10}`} stroke="var(--color-mute)" strokeWidth={1.4} />
            <Section extent={extent} px={px} drips={drips} />
          </>
        )}
        <path
          d={`M${right} ${top}h34m-17 -9v18m-5 -13l5 -5l5 5m-10 8l5 5l5 -5`}
          fill="none"
          stroke="var(--color-enamel)"
          strokeWidth={1.8}
        />
        <text x={right} y={Math.max(top - 12, 12)} fontSize={13} fill="var(--color-ink)" className="read">
          {millimetres(job.mm)}
        </text>
      </svg>
    </div>
  );
}

/** The piece with its coat and drips, or what stands on the plate by itself. */
function Section({
  extent,
  px,
  drips,
}: {
  extent: 'coat' | 'depth' | 'height';
  px: number;
  drips: readonly [thin: number, thick: number] | undefined;
}) {
  const { left, right, high } = PIECE;
  if (extent !== 'coat') {
    const round = Math.min(px, extent === 'height' ? 46 : 10);
    return <rect x={left - 20} y={FLOOR - px} width={right - left + 40} height={px} rx={round / 2} fill={POUR} />;
  }
  const side = Math.max(px * 0.7, 1.5);
  const drop = (mm: number) => Math.min((mm / 10) * PX_A_CM, high + px);
  const lengths = drips ? [drop(drips[1]), drop((drips[0] + drips[1]) / 2), drop(drips[0])] : [];
  return (
    <>
      <rect x={left} y={FLOOR - high} width={right - left} height={high} rx={6} fill={BAKED} />
      <path
        d={`M${left - side} ${FLOOR - high * 0.55}V${FLOOR - high}q0 ${-px} ${side + 8} ${-px}H${right - 8}q${side + 8} 0 ${side + 8} ${px}V${FLOOR - high * 0.55}h${-side}V${FLOOR - high}H${left}V${FLOOR - high * 0.55}z`}
        fill={POUR}
      />
      {lengths.map((length, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: drips stand in their order
          key={i}
          x={left + 22 + 34 * i}
          y={FLOOR - high - 1}
          width={9}
          height={Math.max(length, 2)}
          rx={4.5}
          fill={POUR}
        />
      ))}
    </>
  );
}
