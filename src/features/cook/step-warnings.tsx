import { faultSentence } from '@/kitchen/words/method-fault-words';
import { faultNumbers } from '@/ui/fault-numbers';
import type { Cook } from './use-cook';

/** What the method says can go wrong in this step, at the step where it matters. */
export function StepWarnings({ cook: { cooked }, place }: { cook: Cook; place: number }) {
  const faults = cooked.method.faults.filter((fault) => 'step' in fault && fault.step === place);
  if (faults.length === 0) return null;
  const numbers = faultNumbers(cooked.names);
  return (
    <ul className="mt-3 rounded-xl bg-off-wash px-4 py-3 text-[18px] text-off" aria-label="Warnings">
      {faults.map((fault) => (
        <li key={JSON.stringify(fault)}>▲ {faultSentence(fault, numbers)}</li>
      ))}
    </ul>
  );
}
