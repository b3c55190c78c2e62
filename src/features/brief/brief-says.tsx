import type { Job, Overruled } from '@/core/brief/job';
import type { BriefPlan } from '@/core/brief/plan';
import { MOST_JOBS } from '@/formats/brief';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { Button } from '@/ui/button';
import { BriefGates } from './brief-gates-view';
import { kitchenWord } from './brief-words';
import { JobSentence } from './job-sentence';
import { MakingSentence } from './making-sentence';
import type { OpenBrief } from './use-brief';
import { UseCards } from './use-cards';
import { WantedAt } from './wanted-at';
import { WishSentence } from './wish-sentence';

/** Each job with which of its use it is: two may be alike in all else. */
function numbered(jobs: readonly Job[]): { job: Job; nth: number }[] {
  return jobs.map((job, i) => ({ job, nth: 1 + jobs.slice(0, i).filter((each) => each.use === job.use).length }));
}

/** What is said: the uses, their sentences, the wishes, the making, and what that asks of the curve. */
export function BriefSays({
  open,
  plan,
  landsSomewhere,
}: {
  open: OpenBrief;
  plan: BriefPlan;
  /** one of the starts found so far lands */
  landsSomewhere: boolean;
}) {
  const { brief } = open;
  const kitchen = kitchenWord(brief.kitchenC);
  const overrule = (index: number, key: string, edges: Overruled | undefined) => {
    const job = brief.jobs[index];
    if (!job) return;
    const { [key]: _, ...others } = job.overruled;
    open.job(index, { overruled: edges ? { ...others, [key]: edges } : others });
  };
  return (
    <div className="min-w-0 px-5 pt-5 pb-10 lg:px-10">
      <h1 className="sr-only">What it must do</h1>
      {open.isKept && (
        <p role="status" className="mb-3 flex flex-wrap items-center gap-2 rounded-lg bg-near-wash px-3 py-1 text-near">
          This is what you said last time and never opened.
          <Button look="bare" className="!px-2" onClick={open.again}>
            Begin anew
          </Button>
        </p>
      )}
      <UseCards jobs={brief.jobs} onToggle={open.toggle} />
      <div className="space-y-3">
        {numbered(brief.jobs).map(({ job, nth }, i) => (
          <JobSentence
            key={`${job.use} ${nth}`}
            job={job}
            nth={nth}
            kitchenC={brief.kitchenC}
            onJob={(change) => open.job(i, change)}
            onKitchen={i === 0 ? open.kitchen : undefined}
            onMore={brief.jobs.length < MOST_JOBS ? () => open.more(i) : undefined}
            onRemove={brief.jobs.length > 1 ? () => open.remove(i) : undefined}
          />
        ))}
      </div>
      {kitchen && <p className="mt-1 text-[13.5px] text-near">{kitchen}</p>}
      <div className="mt-3">
        <WishSentence wishes={brief.wishes} onWish={open.wish} />
      </div>
      <WantedAt wantedAt={brief.wantedAt} onWantedAt={open.wantedAt} />
      {brief.jobs.some(({ use }) => use === 'fondue') && (
        <p className="text-[13.5px] text-near">{CAUTION_WORDS.warmHolding}</p>
      )}
      <div className="mt-3">
        <MakingSentence making={brief.making} onMake={open.make} />
      </div>

      <BriefGates
        brief={brief}
        plan={plan}
        landsSomewhere={landsSomewhere}
        onOverrule={overrule}
        onLetGo={open.letGo}
      />
    </div>
  );
}
