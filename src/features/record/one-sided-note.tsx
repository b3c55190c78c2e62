import type { OneSided } from '@/core/learn/one-sided';
import { missPhrase } from '@/kitchen/words/test-words';
import { percent } from '@/ui/format';
import { AsKitchenPours } from '@/ui/pours/as-kitchen-pours';

/** What all tests of a formula's batches agree on, and the way to balance it as this kitchen pours. */
export function OneSidedNote({ formulaId, found }: { formulaId: string; found: readonly OneSided[] }) {
  if (found.length === 0) return null;
  return (
    <div role="status" className="rounded-xl bg-near-wash px-4 py-3">
      {found.map((each) => (
        <p key={each.about}>
          {each.tests} tests of its batches agree: it {missPhrase(each.about, each.mean, percent)}.
        </p>
      ))}
      <p>
        <AsKitchenPours formulaId={formulaId} />
      </p>
    </div>
  );
}
