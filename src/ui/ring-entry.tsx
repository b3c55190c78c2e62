import { useState } from 'react';
import { PROBE_REACH, RING_REACH } from '@/formats/batch';
import { Button } from './button';
import { EntryForm } from './entry-form';
import { FarOffQuestion } from './far-off-question';
import { millimetres } from './format';
import { inlinePlain, inlineRules } from './inline-rules';
import { NumberField } from './number-field';
import { PhotoRingButton } from './photo/photo-ring-button';

const MM = inlineRules(RING_REACH, 'mm', '92');
const WARM = inlineRules(PROBE_REACH, '°C', '38');

/** A ring as it was read. */
export interface RingRead {
  readonly diameterMm: number;
  readonly temperatureC: number;
}

/** A ring read on a plate: how far it spread, and how warm it was. */
export function RingEntry({
  warm,
  isFarOff = () => false,
  onRead,
  onPhoto,
}: {
  /** °C last read of the pan */
  warm: number | undefined;
  /** whether a reading is rather a slip: it is asked about */
  isFarOff?: (ring: RingRead) => boolean;
  onRead: (ring: RingRead) => void;
  /** a photo a ring was read from stays with what is read */
  onPhoto?: (file: File, diameterMm: number) => void;
}) {
  const [diameterMm, setDiameter] = useState<number | undefined>();
  const [typed, setTyped] = useState<number | undefined>();
  const [made, setMade] = useState(0);
  const [asked, setAsked] = useState<RingRead | undefined>();
  const temperatureC = typed ?? warm;
  const take = (ring: RingRead) => {
    onRead(ring);
    setAsked(undefined);
    setDiameter(undefined);
    setMade(made + 1);
  };
  const read = () => {
    if (diameterMm === undefined || temperatureC === undefined) return;
    const ring = { diameterMm, temperatureC };
    if (isFarOff(ring)) setAsked(ring);
    else take(ring);
  };
  return (
    <>
      <p className="text-[13.5px] text-mute">20 ml from a ring of {millimetres(50)}, read after 30 s.</p>
      <EntryForm className="mt-1 flex items-center gap-2" onEntry={read}>
        <NumberField
          key={`mm ${made}`}
          label="Spread"
          value={diameterMm}
          optional
          rules={MM}
          write={inlinePlain}
          placeholder="–"
          onValue={setDiameter}
          className="w-24"
        />
        <NumberField
          label="Temperature of the spread"
          value={temperatureC}
          optional
          rules={WARM}
          write={inlinePlain}
          placeholder="–"
          onValue={setTyped}
          className="w-24"
        />
        <Button type="submit" disabled={diameterMm === undefined || temperatureC === undefined} className="!px-3">
          Read
        </Button>
      </EntryForm>
      <PhotoRingButton
        onRing={({ diameterMm: mm, file }) => {
          setDiameter(mm);
          setMade(made + 1);
          if (file) onPhoto?.(file, mm);
        }}
      />
      {asked && <FarOffQuestion onSure={() => take(asked)} onAgain={() => setAsked(undefined)} />}
    </>
  );
}
