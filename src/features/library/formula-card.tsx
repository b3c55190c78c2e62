import { Archive, ArchiveRestore, CalendarPlus, Copy, Trash2 } from 'lucide-react';
import Link from 'next/link';
import type { Standing as StandingWord } from '@/core/balance/standing';
import type { OneSided } from '@/core/learn/one-sided';
import type { FormulaSummary } from '@/kitchen/formula-summary';
import { missPhrase } from '@/kitchen/words/test-words';
import { Button } from '@/ui/button';
import { percent, weight } from '@/ui/format';
import { AsKitchenPours } from '@/ui/pours/as-kitchen-pours';
import { PouredStill } from '@/ui/sauce/poured-still';
import { likelyWords } from '@/ui/standing-words';

/** A formula at a glance: its drawn colour and puddle, what it is for, how much, and whether it lands. */
export function FormulaCard({
  formula,
  misses,
  onCopy,
  onArchive,
  onDelete,
}: {
  formula: FormulaSummary;
  /** what the tests of its batches agree on */
  misses: readonly OneSided[] | undefined;
  onCopy: () => void;
  onArchive: () => void;
  onDelete: () => void;
}) {
  const { id, name, use, batchG, rows, predicted, tags, archived, isVariant } = formula;
  return (
    <li className="flex flex-col rounded-xl border border-rule bg-sheet focus-within:border-mute hover:border-mute">
      <Link href={`/formulas/${id}/balance`} className="flex min-w-0 flex-1 gap-4 rounded-xl px-4 pt-3 pb-2">
        <span className="w-28 shrink-0 self-center">
          {predicted ? (
            <PouredStill poured={predicted} />
          ) : (
            <span className="block text-center text-[13px] text-mute">empty pan</span>
          )}
        </span>
        <span className="min-w-0">
          <span className="line-clamp-2 font-head text-[1.1rem] leading-snug font-semibold">{name}</span>
          <span className="block text-mute">
            {use}
            {isVariant && ' · variant'}
          </span>
          <span className="read block text-[0.85rem] text-mute">
            {weight(batchG)}, {rows} {rows === 1 ? 'row' : 'rows'}
          </span>
          {tags.length > 0 && <span className="block truncate text-[13px] text-enamel">{tags.join(', ')}</span>}
        </span>
      </Link>
      {misses?.[0] && (
        <div className="bg-near-wash px-4 py-1.5 text-[14px]">
          <p>
            {misses[0].tests} tests agree: it {missPhrase(misses[0].about, misses[0].mean, percent)}.
          </p>
          <AsKitchenPours formulaId={id} />
        </div>
      )}
      <div className="flex items-center border-rule-soft border-t pr-1 pl-4">
        <Standing predicted={predicted} />
        <Link
          href={`/brief?from=${id}`}
          className="inline-flex size-11 items-center justify-center rounded-lg text-mute hover:bg-rule-soft hover:text-ink"
          aria-label={`Make ${name} for another occasion`}
        >
          <CalendarPlus size={17} aria-hidden="true" />
        </Link>
        <Button look="bare" className="!w-11 !px-0" onClick={onCopy} aria-label={`Copy ${name}`}>
          <Copy size={17} aria-hidden="true" />
        </Button>
        <Button
          look="bare"
          className="!w-11 !px-0"
          onClick={onArchive}
          aria-label={archived ? `Take ${name} out of the archive` : `Put ${name} into the archive`}
        >
          {archived ? <ArchiveRestore size={17} aria-hidden="true" /> : <Archive size={17} aria-hidden="true" />}
        </Button>
        <Button look="bare" className="!w-11 !px-0" onClick={onDelete} aria-label={`Delete ${name}`}>
          <Trash2 size={17} aria-hidden="true" />
        </Button>
      </div>
    </li>
  );
}

const STANDING_LOOKS: Readonly<Record<StandingWord, string>> = {
  lands: 'text-enamel',
  justLands: 'text-near',
  misses: 'text-off',
};

/** How it stands: a round mark where it lands, a half one where it just does, a diamond with how many gates it misses. */
function Standing({ predicted }: Pick<FormulaSummary, 'predicted'>) {
  if (!predicted) return <span className="flex-1 text-mute">nothing to judge yet</span>;
  if (predicted.gates === 0) return <span className="flex-1 text-mute">no gates set</span>;
  const { standing, chance, missed, gates } = predicted;
  return (
    <span className={`flex flex-1 items-center gap-2 font-semibold ${STANDING_LOOKS[standing]}`}>
      <svg viewBox="0 0 16 16" className="size-3.5 shrink-0" aria-hidden="true">
        {standing === 'misses' ? (
          <path d="M8 1 L15 8 L8 15 L1 8 Z" fill="none" stroke="currentColor" strokeWidth={2.6} />
        ) : (
          <>
            <circle cx={8} cy={8} r={6} fill="none" stroke="currentColor" strokeWidth={3} />
            {standing === 'justLands' && <rect x={0} y={8} width={16} height={8} fill="var(--color-sheet)" />}
          </>
        )}
      </svg>
      {standing === 'misses' ? `misses ${missed} of ${gates} gates` : likelyWords(standing, chance)}
    </span>
  );
}
