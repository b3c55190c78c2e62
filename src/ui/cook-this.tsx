import { CookingPot } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { messageOf } from '@/formats/message-of';
import { beginBatch } from '@/kitchen/client/batches';
import { savesSettled } from '@/kitchen/saving/saves-under-way';
import { Button } from './button';
import { inlinePlain } from './inline-rules';
import { NumberField } from './number-field';
import { usePours } from './pours/pours-provider';
import { useKitchenTemperature } from './use-kitchen-temperature';
import { useStove } from './use-stove';

const MOST_G = 100_000;
/** Longest the last change is waited for, ms. */
const SAVED_MS = 3_000;

/** Begins a batch of this formula, of so many grams, with the method as it stands. */
export function CookThis({ id, grams }: { id: string; grams: number }) {
  const router = useRouter();
  const [kitchenC] = useKitchenTemperature();
  const { isKitchen } = usePours();
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = useStove();
  const [wanted, setWanted] = useState(grams);
  const [isBeginning, setBeginning] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const begin = async () => {
    setBeginning(true);
    setFault(undefined);
    try {
      await savesSettled(SAVED_MS);
      const stove = { panCm, powerW, hob, microwaveW, altitudeM, dampPercent };
      const batch = await beginBatch({ formulaId: id, times: wanted / grams, stove, kitchenC, asBook: !isKitchen });
      router.push(`/batches/${batch}`);
    } catch (error) {
      setFault(messageOf(error));
      setBeginning(false);
    }
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <Button look="primary" className="min-h-12" disabled={isBeginning} onClick={() => void begin()}>
        <CookingPot size={19} aria-hidden="true" /> Cook this now
      </Button>
      <span>
        weighing in{' '}
        <NumberField
          look="inline"
          label="Grams to cook"
          value={wanted}
          rules={{ least: 1, most: MOST_G, unit: 'g', units: { g: 1, kg: 1000 }, example: '500' }}
          write={inlinePlain}
          onValue={(value) => value !== undefined && setWanted(value)}
        />
      </span>
      {fault && (
        <p role="alert" className="w-full text-off">
          {fault}
        </p>
      )}
    </div>
  );
}
