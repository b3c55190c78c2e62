import { Check } from 'lucide-react';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { duration } from '@/ui/duration';
import type { Cook } from './use-cook';

const MARKS = {
  done: 'border-ink bg-ink text-sheet',
  now: 'border-enamel bg-enamel',
  aside: 'border-enamel bg-enamel-wash',
  todo: 'border-rule bg-field',
} as const;

const SAID = { done: 'done', now: 'now', aside: 'goes on aside', todo: '' } as const;

/** All steps of the batch, where each stands; a touch goes back to one. */
export function CookSteps({ cook: { cooked, state, log } }: { cook: Cook }) {
  return (
    <ol aria-label="Steps of the batch" className="py-3">
      {cooked.method.followed.map((followed, i) => {
        const status = state.steps[i]?.status ?? 'todo';
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
          <li key={i}>
            <button
              type="button"
              disabled={status === 'now' || state.over !== undefined}
              aria-current={status === 'now' ? 'step' : undefined}
              onClick={() => log.tell({ kind: 'begin', step: i })}
              className="flex min-h-14 w-full items-start gap-3 px-4 py-2 text-left hover:bg-enamel-wash/60 aria-[current]:bg-enamel-wash"
            >
              <span
                className={`mt-1 flex size-4 shrink-0 items-center justify-center rounded-full border-2 ${MARKS[status]}`}
              >
                {status === 'done' && <Check size={11} strokeWidth={4} aria-hidden="true" />}
              </span>
              <span className="min-w-0">
                <span className={`block leading-tight ${status === 'now' ? 'font-semibold' : ''}`}>
                  {wordsOfStep(followed).name}
                </span>
                <span className="block text-[13px] text-mute">
                  {SAID[status] || (followed.seconds < 3 ? 'at once' : `about ${duration(followed.seconds)}`)}
                </span>
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
