import { gramsPlain } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import type { Targets } from './targets';

/** What is wanted on the table, and what is lost on the way. */
export function YieldFields({ targets, onTargets }: { targets: Targets; onTargets: (targets: Targets) => void }) {
  return (
    <section>
      <h3 className="mb-2 font-sans font-semibold">Yield</h3>
      <div className="grid grid-cols-3 items-end gap-2">
        <NumberField
          label="Wanted on the table"
          showLabel
          optional
          placeholder="any"
          value={targets.yield?.targetGrams}
          rules={GRAMS}
          write={gramsPlain}
          onValue={(targetGrams) =>
            onTargets({ ...targets, yield: { bowlLossGrams: 0, ...targets.yield, targetGrams } })
          }
        />
        <NumberField
          label="Water boils off"
          showLabel
          optional
          placeholder="0"
          value={targets.yield?.evaporationGrams}
          rules={GRAMS}
          write={gramsPlain}
          onValue={(evaporationGrams) =>
            onTargets({ ...targets, yield: { bowlLossGrams: 0, ...targets.yield, evaporationGrams } })
          }
        />
        <NumberField
          label="Stays in pan and bowl"
          showLabel
          value={targets.yield?.bowlLossGrams ?? 0}
          rules={GRAMS}
          write={gramsPlain}
          onValue={(bowlLossGrams) =>
            onTargets({ ...targets, yield: { ...targets.yield, bowlLossGrams: bowlLossGrams ?? 0 } })
          }
        />
      </div>
    </section>
  );
}
