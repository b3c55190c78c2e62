import { useMemo } from 'react';
import { reheatAdvice } from '@/kitchen/label/reheat-advice';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount } from './asked';
import type { Serving } from './use-serving';

/** `4 bursts, of 35 s down to 5 s`. */
function burstWords(bursts: readonly number[]): string {
  const [longest, shortest] = [Math.max(...bursts), Math.min(...bursts)];
  if (bursts.length === 1) return 'one burst';
  return `${bursts.length} bursts of ${longest === shortest ? '' : `${longest} s down to `}${shortest} s`;
}

/** How much of it is brought to its pour again, from the fridge: bursts, and the splash. */
export function Reheat({ serving: { formula, method, batchG } }: { serving: Serving }) {
  const [grams, setGrams] = useTyped('reheated', Math.min(Math.round(batchG), 300));
  const advice = useMemo(() => method && reheatAdvice({ formula, method }, grams, 'fridge'), [formula, method, grams]);
  if (!advice) return null;
  const seconds = advice.bursts.reduce((sum, each) => sum + each, 0);
  return (
    <section aria-label="Warmed again" className="mt-4">
      <h3 className="font-head text-[1.1rem] font-semibold">Warmed again</h3>
      <div className="no-print">
        <Amount label="From the fridge" unit="g" reach={[10, 5000]} value={grams} onValue={setGrams} />
      </div>
      <p className="mt-1" data-testid="reheat">
        {weight(Math.round(advice.grams))} to {celsius(Math.round(advice.toC))}:{' '}
        {advice.bursts.length === 0
          ? 'it pours as it comes.'
          : `${duration(seconds)} at ${advice.powerW} W in ${burstWords(advice.bursts)}, stirred after each.`}{' '}
        {advice.splashG !== undefined && advice.splashG >= 0.5 && (
          <>Stir in {weight(Math.round(advice.splashG))} of hot water to bring it back to its gate.</>
        )}
      </p>
    </section>
  );
}
