import { useState } from 'react';
import { type Ellipse, ellipseOf, fitEllipse } from '@/core/photo/circle-pose';
import { measureByHand } from '@/core/photo/flat-plate';
import type { PhotoPlate } from '@/core/photo/plate';
import type { PhotoAnswer } from '@/core/photo/read-drop';
import { PHOTO_REFUSAL_WORDS } from '@/kitchen/words/photo-words';
import { Button } from '@/ui/button';
import { millimetres } from '@/ui/format';
import { EllipseHandles } from './ellipse-handles';
import type { ShownPhoto } from './use-photo-reading';

/** mm of doubt of a reading by hand (J). */
const HAND_SD = 2;

/** Both ellipses a reading begins with by hand: as they were found, or in the middle of the picture. */
function firstEllipses({ width, height }: ShownPhoto, answer: PhotoAnswer): { rim: Ellipse; sauce: Ellipse } {
  const middle = { x: width / 2, y: height / 2, turn: 0 };
  const usual = {
    rim: { ...middle, longer: 0.4 * Math.min(width, height), shorter: 0.34 * Math.min(width, height) },
    sauce: { ...middle, longer: 0.13 * Math.min(width, height), shorter: 0.11 * Math.min(width, height) },
  };
  if (answer.kind === 'refused') return usual;
  const conic = fitEllipse(answer.outline);
  return { rim: answer.rim, sauce: (conic && ellipseOf(conic)) ?? usual.sauce };
}

/** A photo with what was found in it drawn over it, and what that says. */
export function PhotoAnswered({
  photo,
  answer,
  plate,
  onUse,
}: {
  photo: ShownPhoto;
  answer: PhotoAnswer;
  plate: PhotoPlate;
  onUse: (diameterMm: number) => void;
}) {
  const [byHand, setByHand] = useState<{ rim: Ellipse; sauce: Ellipse } | undefined>();
  const { width, height, url } = photo;
  const handMm = byHand && measureByHand(photo, byHand.rim, byHand.sauce, plate, photo.focalMm);
  const found = byHand
    ? handMm === undefined
      ? undefined
      : { mm: handMm, sd: HAND_SD }
    : answer.kind === 'read'
      ? { mm: answer.diameterMm, sd: answer.sdMm }
      : undefined;
  return (
    <figure data-testid="photo-reading">
      <svg viewBox={`0 0 ${width} ${height}`} className="w-full rounded-xl">
        <title>The photo, with what was found</title>
        <image href={url} width={width} height={height} />
        {!byHand && answer.kind === 'read' && <Found answer={answer} width={width} />}
        {byHand && (
          <>
            <EllipseHandles
              name="Plate"
              ellipse={byHand.rim}
              width={width}
              onEllipse={(rim) => setByHand({ ...byHand, rim })}
            />
            <EllipseHandles
              name="Sauce"
              ellipse={byHand.sauce}
              width={width}
              onEllipse={(sauce) => setByHand({ ...byHand, sauce })}
            />
          </>
        )}
      </svg>
      <figcaption className="mt-2 flex flex-wrap items-center gap-3">
        <span role="status" className="min-w-0 flex-1 text-[20px]">
          {found ? (
            <>
              <strong>{millimetres(Math.round(found.mm))}</strong> ± {Math.max(Math.round(found.sd), 1)}
              {byHand && ', by hand'}
            </>
          ) : (
            answer.kind === 'refused' && !byHand && PHOTO_REFUSAL_WORDS[answer.why]
          )}
          {photo.truthMm !== undefined && (
            <span className="block text-[15px] text-mute">
              The practice camera made it {millimetres(Math.round(photo.truthMm))}.
            </span>
          )}
        </span>
        {!byHand && <Button onClick={() => setByHand(firstEllipses(photo, answer))}>Correct it by hand</Button>}
        {found && photo.truthMm === undefined && (
          <Button look="primary" className="min-h-14" onClick={() => onUse(Math.round(found.mm * 10) / 10)}>
            Use {millimetres(Math.round(found.mm))}
          </Button>
        )}
      </figcaption>
      {byHand && (
        <p className="mt-1 text-[13.5px] text-mute">
          Drag the white handles: one ring on the plate’s edge, one on the sauce.
        </p>
      )}
    </figure>
  );
}

/** The rim and the outline that were found. */
function Found({ answer: { rim, outline }, width }: { answer: Extract<PhotoAnswer, { kind: 'read' }>; width: number }) {
  const line = { fill: 'none', strokeWidth: width / 250 } as const;
  return (
    <>
      <ellipse
        rx={rim.longer}
        ry={rim.shorter}
        transform={`translate(${rim.x} ${rim.y}) rotate(${(rim.turn * 180) / Math.PI})`}
        stroke="#1d40d6"
        {...line}
      />
      <polygon points={outline.map(([x, y]) => `${x},${y}`).join(' ')} stroke="#27d3a2" {...line} />
    </>
  );
}
