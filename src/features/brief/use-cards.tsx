import type { Job } from '@/core/brief/job';
import { JOB_USES, type JobUse } from '@/core/uses/catalogue';
import { JOB_WORDS } from '@/kitchen/words/job-words';
import { UseDrawing } from './use-drawings';

/** The uses as drawings; one or more are chosen. */
export function UseCards({ jobs, onToggle }: { jobs: readonly Job[]; onToggle: (use: JobUse) => void }) {
  return (
    <fieldset
      aria-label="Uses"
      className="mb-4 grid grid-cols-[repeat(auto-fill,minmax(72px,1fr))] lg:grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-1.5"
    >
      {JOB_USES.map((use) => (
        <button
          key={use}
          type="button"
          aria-pressed={jobs.some((job) => job.use === use)}
          onClick={() => onToggle(use)}
          className="flex min-h-[72px] flex-col items-center justify-end rounded-xl border-2 border-transparent bg-sheet px-1 pt-1 pb-1.5 ring-1 ring-rule hover:ring-mute aria-pressed:border-enamel aria-pressed:font-semibold aria-pressed:ring-0"
        >
          <UseDrawing use={use} className="h-9 w-14" />
          <span className="text-center text-[12px] leading-tight">{JOB_WORDS[use].name}</span>
        </button>
      ))}
    </fieldset>
  );
}
