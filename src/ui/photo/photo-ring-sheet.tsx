'use client';

import { Camera, ImageUp } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { type PhotoPlate, USUAL_PLATE } from '@/core/photo/plate';
import { Button } from '@/ui/button';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { Sheet } from '@/ui/sheet';
import { tabletSetting } from '@/ui/tablet-setting';
import { PhotoAnswered } from './photo-answered';
import { usePhotoReading } from './use-photo-reading';

const PLATE_REACH = [100, 450] as const;
const RIM_REACH = [0, 60] as const;
const PLATE_RULES = inlineRules(PLATE_REACH, 'mm', '270');
const RIM_RULES = inlineRules(RIM_REACH, 'mm', '14');
/** A plate's flat middle is about so wide, parts of it (J). */
const FLAT_PART = USUAL_PLATE.flatMm / USUAL_PLATE.acrossMm;

const within =
  ([least, most]: readonly [number, number]) =>
  (text: string) => {
    const value = Number(text);
    return value >= least && value <= most ? value : undefined;
  };
const usePlateAcross = tabletSetting('photo-plate', within(PLATE_REACH), USUAL_PLATE.acrossMm);
const usePlateRim = tabletSetting('photo-plate-rim', within(RIM_REACH), USUAL_PLATE.rimMm);

/** A ring that was read from a photo. */
export interface PhotoRing {
  readonly diameterMm: number;
  /** as it was taken; none of the practice camera */
  readonly file: File | undefined;
}

/** Reads how wide a drop has run from a photo of its plate; what was found can be corrected by hand. */
export function PhotoRingSheet({ onRing, onClose }: { onRing: (ring: PhotoRing) => void; onClose: () => void }) {
  const [acrossMm, setAcross] = usePlateAcross();
  const [rimMm, setRim] = usePlateRim();
  const plate: PhotoPlate = { acrossMm, rimMm, flatMm: FLAT_PART * acrossMm };
  const reading = usePhotoReading();
  const { state } = reading;
  return (
    <Sheet title="Read the ring from a photo" width="wide" onClose={onClose}>
      <div className="grid gap-4 p-1 lg:grid-cols-[minmax(0,1fr)_300px]">
        <div className="min-w-0">
          {state.kind === 'answered' ? (
            <PhotoAnswered
              key={state.photo.url}
              photo={state.photo}
              answer={state.answer}
              plate={state.photo.truthMm === undefined ? plate : USUAL_PLATE}
              onUse={(diameterMm) => onRing({ diameterMm, file: state.photo.file })}
            />
          ) : (
            <div className="flex aspect-[4/3] items-center justify-center rounded-xl bg-bench p-6 text-center text-mute">
              {state.kind === 'reading' ? (
                <span role="status">Reading the photo…</span>
              ) : (
                <span>All of the plate in the picture, the sauce in its middle.</span>
              )}
            </div>
          )}
          {state.kind === 'none' && state.fault && (
            <p role="alert" className="mt-2 text-off">
              {state.fault}
            </p>
          )}
        </div>
        <div className="grid content-start gap-3">
          <RingClock />
          <PhotoButtons isBusy={state.kind === 'reading'} onFile={(file) => void reading.choose(file, plate)} />
          <Button disabled={state.kind === 'reading'} onClick={() => void reading.practise()}>
            Practice camera
          </Button>
          <p className="text-[13.5px] text-mute">
            Use a round plate that differs from the table. A photo from above reads best.
          </p>
          <PlateField label="Plate diameter" rules={PLATE_RULES} value={acrossMm} onValue={setAcross} />
          <PlateField label="Rim height" rules={RIM_RULES} value={rimMm} onValue={setRim} />
        </div>
      </div>
    </Sheet>
  );
}

function PlateField({
  label,
  rules,
  value,
  onValue,
}: {
  label: string;
  rules: typeof PLATE_RULES;
  value: number;
  onValue: (value: number) => void;
}) {
  return (
    <div className="grid grid-cols-[1fr_110px] items-center gap-2">
      <span>{label}</span>
      <NumberField
        label={label}
        rules={rules}
        value={value}
        write={inlinePlain}
        onValue={(typed) => typed !== undefined && onValue(typed)}
      />
    </div>
  );
}

/** Takes a photo, or chooses one. */
function PhotoButtons({ isBusy, onFile }: { isBusy: boolean; onFile: (file: File) => void }) {
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const input = (of: typeof camera, name: string, capture: boolean) => (
    <input
      ref={of}
      type="file"
      accept="image/*"
      aria-label={name}
      className="sr-only"
      tabIndex={-1}
      {...(capture ? { capture: 'environment' } : {})}
      onChange={({ target }) => {
        const file = target.files?.[0];
        target.value = '';
        if (file) onFile(file);
      }}
    />
  );
  return (
    <>
      {input(camera, 'A photo from the camera', true)}
      {input(files, 'A photo from a file', false)}
      <Button look="primary" className="min-h-14" disabled={isBusy} onClick={() => camera.current?.click()}>
        <Camera size={18} aria-hidden="true" /> Take a photo
      </Button>
      <Button disabled={isBusy} onClick={() => files.current?.click()}>
        <ImageUp size={18} aria-hidden="true" /> Choose a photo
      </Button>
    </>
  );
}

/** s after which a ring is read. */
const READ_AFTER_S = 30;

/** Counts from when the ring is lifted to when it is read. */
function RingClock() {
  const [startedMs, setStarted] = useState<number | undefined>();
  const [nowMs, setNow] = useState(0);
  useEffect(() => {
    if (startedMs === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [startedMs]);
  const seconds = startedMs === undefined ? 0 : Math.max(Math.floor((nowMs - startedMs) / 1000), 0);
  return (
    <div className="flex items-center gap-3">
      <Button
        onClick={() => {
          setStarted(Date.now());
          setNow(Date.now());
        }}
      >
        The ring is lifted
      </Button>
      {startedMs !== undefined && (
        <span role="timer" className={`read text-[1.2rem] ${seconds >= READ_AFTER_S ? 'text-enamel' : ''}`}>
          {seconds < READ_AFTER_S ? `${READ_AFTER_S - seconds} s` : 'now'}
        </span>
      )}
    </div>
  );
}
