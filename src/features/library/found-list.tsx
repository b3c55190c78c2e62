import type { OneSided } from '@/core/learn/one-sided';
import type { FormulaSummary } from '@/kitchen/formula-summary';
import { Button } from '@/ui/button';
import { FormulaCard } from './formula-card';
import type { FoundFormulas } from './use-found-formulas';

/** What can be done with one card. */
export interface CardActions {
  readonly copy: (formula: FormulaSummary) => void;
  readonly archive: (formula: FormulaSummary) => void;
  readonly remove: (formula: FormulaSummary) => void;
}

/** The cards of what was looked for, a page at a time. */
export function FoundList({
  found: { found, left, showMore, query, setQuery, total },
  pending,
  misses,
  actions: { copy, archive, remove },
}: {
  found: FoundFormulas;
  pending: boolean;
  /** what the tests of a formula agree on, by its id */
  misses: Readonly<Record<string, readonly OneSided[]>>;
  actions: CardActions;
}) {
  if (found.length === 0) {
    return (
      <p className="py-10 text-mute">
        No formula matches “{query}”.{' '}
        <button type="button" className="font-semibold text-enamel underline" onClick={() => setQuery('')}>
          Show all {total}
        </button>
      </p>
    );
  }
  return (
    <>
      <ul className="grid grid-cols-1 gap-3 md:grid-cols-2 lg:grid-cols-3" aria-busy={pending}>
        {found.map((formula) => (
          <FormulaCard
            key={formula.id}
            formula={formula}
            misses={Object.hasOwn(misses, formula.id) ? misses[formula.id] : undefined}
            onCopy={() => copy(formula)}
            onArchive={() => archive(formula)}
            onDelete={() => remove(formula)}
          />
        ))}
      </ul>
      {left > 0 && (
        <p className="mt-5 text-center">
          <Button onClick={showMore}>Show more, {left} are left</Button>
        </p>
      )}
    </>
  );
}
