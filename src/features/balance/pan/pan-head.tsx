import { keysOf } from '@/core/keys-of';
import { choiceOf } from '@/ui/choice-of';
import { gramsPlain, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { totalGrams, yieldGrams } from '../draft/formula-draft';
import type { OpenFormula } from '../draft/use-formula';

/** What a row's share is counted in. */
export type Parts = 'batch' | 'chocolate' | 'liquid';

const PARTS_WORDS: Record<Parts, string> = {
  batch: '%',
  chocolate: 'choc. = 100',
  liquid: 'liquid = 100',
};

/** The batch: “3x” makes three of it. */
const BATCH = { ...GRAMS, least: 1, scales: true };

/** The batch: its total, which scales every row, what it gives, and how shares are counted. */
export function PanHead({
  formula: { draft, edit, pause },
  parts,
  onParts,
}: {
  formula: Pick<OpenFormula, 'draft' | 'edit' | 'pause'>;
  parts: Parts;
  onParts: (parts: Parts) => void;
}) {
  const total = totalGrams(draft);
  return (
    <div className="flex items-center justify-between gap-3 border-rule border-b pb-2">
      <h2 className="whitespace-nowrap text-[1.2rem]">In the pan</h2>
      <div className="flex items-center gap-2 text-[13px] text-mute">
        <NumberField
          label="Batch total, scales every row"
          value={total}
          rules={BATCH}
          write={gramsPlain}
          step={10}
          disabled={total === 0}
          onValue={(value) => value !== undefined && value > 0 && edit({ type: 'scale', totalGrams: value })}
          onLeave={pause}
          className="w-[104px]"
        />
        <span className="whitespace-nowrap leading-tight">
          <span className="read">→ {weight(yieldGrams(draft))}</span>
          <span className="block text-[11.5px]">on the table</span>
        </span>
        <select
          aria-label="Shares shown as"
          className="h-11 w-[58px] rounded-lg border border-rule bg-field px-1"
          value={parts}
          onChange={(event) => onParts(choiceOf(keysOf(PARTS_WORDS), event.target.value) ?? parts)}
        >
          {keysOf(PARTS_WORDS).map((each) => (
            <option key={each} value={each}>
              {PARTS_WORDS[each]}
            </option>
          ))}
        </select>
      </div>
    </div>
  );
}
