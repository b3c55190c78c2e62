'use client';

import type { Job } from '@/core/brief/job';
import { JOB_WORDS } from '@/kitchen/words/job-words';
import { Sentence } from '@/ui/sentence';
import { jobFields } from './job-sentence-fields';
import { PiecesLine } from './pieces-line';
import { UsePicture } from './use-picture';

/** One job as a sentence that is being completed. */
export function JobSentence({
  job,
  nth,
  kitchenC,
  onJob,
  onKitchen,
  onMore,
  onRemove,
}: {
  job: Job;
  /** which of the jobs with this use it is, from 1 */
  nth: number;
  kitchenC: number;
  onJob: (change: Partial<Job>) => void;
  /** only the first sentence speaks of the kitchen */
  onKitchen: ((kitchenC: number) => void) | undefined;
  /** one more of this use, for other pieces; nothing where there is no room */
  onMore: (() => void) | undefined;
  /** nothing for the only job */
  onRemove: (() => void) | undefined;
}) {
  const label = (what: string) => `${JOB_WORDS[job.use].name}${nth > 1 ? ` ${nth}` : ''}: ${what}`;
  const fields = jobFields({ job, label, onJob, kitchenC, onKitchen });
  return (
    <div
      className="font-head text-[1.42rem] leading-[2.05] font-medium tracking-tight"
      data-testid={`job-${job.use}${nth > 1 ? `-${nth}` : ''}`}
    >
      <Sentence words={JOB_WORDS[job.use].sentence} fields={fields} />{' '}
      <span className="font-sans text-[0.92rem] tracking-normal whitespace-nowrap">
        {onMore && (
          <button
            type="button"
            className="min-h-11 px-2 text-mute hover:text-ink"
            aria-label={label('and other pieces')}
            onClick={onMore}
          >
            + other pieces
          </button>
        )}
        {onRemove && (
          <button
            type="button"
            className="min-h-9 px-2 text-mute hover:text-ink"
            aria-label={label('take it out')}
            onClick={onRemove}
          >
            × take out
          </button>
        )}
      </span>
      <PiecesLine job={job} label={label} onJob={onJob} />
      <UsePicture job={job} label={label('thicker or thinner')} onMm={(mm) => onJob({ mm })} />
    </div>
  );
}
