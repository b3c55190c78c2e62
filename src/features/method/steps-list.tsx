import type { FollowedStep } from '@/core/method/follow-method';
import type { WayId } from '@/core/method/step';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { STEP_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { celsius, weight } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { duration } from './step-facts';

/** The way of working and its steps, each with what goes in and how long it takes. */
export function StepsList({
  method,
  names,
  chosen,
  onWay,
  onChoose,
}: {
  method: WorkedMethod;
  /** of the rows */
  names: readonly string[];
  /** place of the step that is looked at */
  chosen: number;
  onWay: (way: WayId) => void;
  onChoose: (step: number) => void;
}) {
  const faulty = new Set(method.faults.flatMap((fault) => ('step' in fault ? [fault.step] : [])));
  return (
    <section aria-label="Steps" className="pb-4">
      <div className="border-rule border-b px-4 pt-3 pb-2">
        <h2 className="text-[1.2rem]">Steps</h2>
        <p className="text-[13px] text-mute">
          Way of working:{' '}
          <InlineChoice
            label="Way of working"
            value={method.way}
            options={method.ways.map(
              (way) => [way, `${WAY_WORDS[way].name}${way === method.proposed ? ' · proposed' : ''}`] as const,
            )}
            onChoose={onWay}
          />
        </p>
      </div>
      <ol>
        {method.followed.map((followed, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
          <li key={i} className="border-rule border-b">
            <button
              type="button"
              aria-current={i === chosen ? 'step' : undefined}
              onClick={() => onChoose(i)}
              className="grid w-full grid-cols-[28px_1fr_auto] gap-x-2 px-4 py-2.5 text-left hover:bg-enamel-wash/60 aria-[current]:bg-enamel-wash"
            >
              <span className="read pt-0.5 text-mute">{i + 1}</span>
              <span className="font-semibold">
                {STEP_WORDS[followed.step.kind].name}
                {faulty.has(i) && <span className="ml-2 text-off">▲ look</span>}
              </span>
              <span className="read whitespace-nowrap pl-2 text-[0.95rem]">{timeOf(followed)}</span>
              <span className="col-start-2 col-span-2 text-[13px] text-mute">{endOf(followed)}</span>
              {followed.additions.length > 0 && (
                <span className="col-start-2 col-span-2 mt-1 flex flex-wrap gap-1.5">
                  {followed.additions.map(({ key, grams }) => (
                    <span key={key} className="rounded border border-rule bg-field px-1.5 py-0.5 text-[13px]">
                      {names[Number(key)]} <span className="read">{weight(Math.round(grams * 10) / 10)}</span>
                    </span>
                  ))}
                </span>
              )}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** How long a step takes; one that is over as it begins says so. */
function timeOf({ seconds, reached }: FollowedStep): string {
  if (!reached) return 'never ends';
  return seconds < 3 ? 'at once' : duration(seconds);
}

/** How a step looks at its end, and how warm. */
function endOf({ step, end }: FollowedStep): string {
  const { looks } = STEP_WORDS[step.kind];
  return step.where === 'aside' ? looks : `${looks} · ${celsius(Math.round(end.temperatureC))}`;
}
