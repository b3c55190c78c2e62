import { useState } from 'react';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { duration } from '@/ui/duration';
import type { Cook } from './use-cook';

const BARS = {
  done: 'bg-ink',
  now: 'bg-enamel',
  aside: 'bg-enamel/40',
  todo: 'bg-rule',
} as const;

const SAID = { done: 'done', now: 'now', aside: 'goes on aside', todo: '' } as const;

/** All steps of the batch as one bar; opened they have their names, and a touch goes back to one. */
export function CookSteps({ cook: { cooked, state, log } }: { cook: Cook }) {
  const [isOpen, setOpen] = useState(false);
  const { followed } = cooked.method;
  return (
    <div className="px-6 pt-3">
      <div className="flex items-center gap-3">
        <div className="flex flex-1 gap-1.5" aria-hidden="true">
          {followed.map((_, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
            <span key={i} className={`h-2 flex-1 rounded-full ${BARS[state.steps[i]?.status ?? 'todo']}`} />
          ))}
        </div>
        <button
          type="button"
          aria-expanded={isOpen}
          className="min-h-11 shrink-0 text-[15px] text-enamel underline"
          onClick={() => setOpen(!isOpen)}
        >
          {state.now === undefined ? 'All steps' : `Step ${state.now + 1} of ${followed.length}`}
        </button>
      </div>
      {isOpen && (
        <ol aria-label="Steps of the batch" className="mt-1 rounded-xl border border-rule bg-sheet">
          {followed.map((each, i) => {
            const status = state.steps[i]?.status ?? 'todo';
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
              <li key={i} className="border-rule-soft not-first:border-t">
                <button
                  type="button"
                  disabled={status === 'now' || state.over !== undefined}
                  aria-current={status === 'now' ? 'step' : undefined}
                  onClick={() => {
                    log.tell({ kind: 'begin', step: i });
                    setOpen(false);
                  }}
                  className="flex min-h-12 w-full items-center gap-3 px-4 text-left hover:bg-enamel-wash/60 aria-[current]:bg-enamel-wash"
                >
                  <span className="read w-6 text-mute">{i + 1}</span>
                  <span className={`flex-1 ${status === 'now' ? 'font-semibold' : ''}`}>{wordsOfStep(each).name}</span>
                  <span className="text-[13px] text-mute">
                    {SAID[status] || (each.seconds < 3 ? 'at once' : `about ${duration(each.seconds)}`)}
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
      )}
    </div>
  );
}
