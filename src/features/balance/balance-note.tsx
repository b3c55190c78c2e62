import type { Obstacle } from '@/core/balance/obstacles';
import { Button } from '@/ui/button';
import { grams } from '@/ui/format';
import { momentTitle } from './cook-words';
import type { FormulaDraft } from './formula-draft';
import { QUANTITY_WORDS } from './quantity-words';
import type { BalanceOutcome } from './use-balance';

const LOOSEN_WORDS: Record<Obstacle['enough'], string> = {
  alone: 'Loosening any one of these is enough:',
  together: 'Loosening all of these is enough, nothing less is:',
  no: 'Even loosening three at a time is not enough; these stand in the way:',
};

/** An obstacle as a cook would say it. */
function obstacleWords(obstacle: Obstacle, nameOf: (ingredient: string) => string): string {
  switch (obstacle.kind) {
    case 'lock':
      return `${nameOf(obstacle.ingredient)} is locked`;
    case 'least':
      return `${nameOf(obstacle.ingredient)} may not go lower`;
    case 'most':
      return `${nameOf(obstacle.ingredient)} may not go higher`;
    case 'gate':
      return `${momentTitle(obstacle.moment)}: the target for ${QUANTITY_WORDS[obstacle.quantity].short}`;
    case 'total':
      return 'The batch total is kept';
  }
}

/** What happened to the total: rounding to cups and spoons moves it. */
function totalWords(before: FormulaDraft, after: readonly number[]): string {
  const change = after.reduce((sum, g) => sum + g, 0) - before.lines.reduce((sum, line) => sum + line.grams, 0);
  if (Math.abs(change) < 0.05) return 'total kept';
  return `total ${change > 0 ? '+' : '−'}${grams(Math.abs(change))} g`;
}

/** What the last balance did, or why it could not. */
export function BalanceNote({
  outcome,
  draft,
  nameOf,
  onTakeNearest,
  onUnlock,
}: {
  outcome: BalanceOutcome;
  draft: FormulaDraft;
  nameOf: (ingredient: string) => string;
  onTakeNearest: () => void;
  onUnlock: (line: number) => void;
}) {
  const { answer, before } = outcome;
  if (answer.status === 'lands') {
    const moved = before.lines.filter((line, i) => line.grams !== answer.grams[i]).length;
    return (
      <div role="status" className="mb-3 rounded-lg bg-enamel-wash px-3 py-2 text-[13.5px]" data-testid="outcome">
        {moved === 0
          ? 'It lands already; nothing was moved.'
          : `Balanced: ${moved === 1 ? 'one row' : `${moved} rows`} moved, ${totalWords(before, answer.grams)}. Undo brings the old grams back.`}
      </div>
    );
  }
  const taken = draft.lines.every((line, i) => line.grams === answer.grams[i]);
  return (
    <div
      role="status"
      className="mb-3 rounded-lg border border-off/40 bg-off-wash px-3 py-2 text-[13.5px]"
      data-testid="outcome"
    >
      <p className="font-semibold">It cannot land as things stand.</p>
      {answer.inTheWay.length > 0 && (
        <>
          <p className="mt-1">{LOOSEN_WORDS[answer.inTheWay[0]?.enough ?? 'no']}</p>
          <ul className="mt-1 space-y-1">
            {answer.inTheWay.map((obstacle) => (
              <li
                key={`${obstacle.kind}${'line' in obstacle ? obstacle.line : 'gate' in obstacle ? obstacle.gate : ''}`}
                className="flex items-center justify-between gap-2"
              >
                <span>• {obstacleWords(obstacle, nameOf)}</span>
                {obstacle.kind === 'lock' && (
                  <Button
                    className="shrink-0 !px-3"
                    onClick={() => onUnlock(obstacle.line)}
                    aria-label={`Unlock ${nameOf(obstacle.ingredient)} and balance`}
                  >
                    Unlock
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {answer.change > 0 && (
        <>
          <p className="mt-2">{taken ? 'The nearest is in the pan now.' : 'The nearest it can come:'}</p>
          <ul className="read text-[0.85rem]">
            {before.lines.flatMap((line, i) =>
              line.grams === answer.grams[i]
                ? []
                : [
                    <li key={line.key}>
                      {nameOf(line.ingredient)} {grams(line.grams)} → {grams(answer.grams[i] ?? line.grams)} g
                    </li>,
                  ],
            )}
          </ul>
          {!taken && (
            <Button className="mt-2 w-full" onClick={onTakeNearest}>
              Take the nearest
            </Button>
          )}
        </>
      )}
    </div>
  );
}
