import { type Job, usualJob } from '@/core/brief/job';
import { piecesFrom } from '@/core/brief/plan';
import { keysOf } from '@/core/keys-of';
import type { JobUse } from '@/core/uses/catalogue';
import { portionGrams } from '@/core/yields/portions';
import { JOB_WORDS, thingsOf } from '@/kitchen/words/job-words';
import { weight } from '@/ui/format';
import type { Serving } from './use-serving';

/** Uses a sauce is served in, beside those of the formula's own brief. */
const SERVED: readonly JobUse[] = ['pool', 'nap', 'dip', 'drink'];

/** What one of each takes: the brief's own pieces, and what is usual. */
export function ServingAmounts({ serving: { file, prediction, batchG } }: { serving: Serving }) {
  const own: readonly Job[] = file.brief?.jobs ?? [];
  // Its own pieces as the bench counts them: with what runs off, sticks to the bowl and goes to the other jobs.
  const counts = file.brief ? piecesFrom(file.brief, batchG, prediction.densityKgM3) : [];
  const usual = SERVED.filter((use) => keysOf(JOB_WORDS).includes(use) && own.every((job) => job.use !== use)).map(
    usualJob,
  );
  const rows = [...own, ...usual].map((job) => ({
    job,
    grams: portionGrams(job.portion, job.sizes, job.mm, job.sides, prediction.densityKgM3),
  }));
  return (
    <table className="mt-5 w-full text-[15px]">
      <caption className="text-left font-semibold">Amounts by use</caption>
      <tbody>
        {rows.map(({ job, grams }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: jobs stand in their order; two may be alike
          <tr key={i} className="border-rule-soft border-t">
            <th className="py-1 text-left font-medium">
              {JOB_WORDS[job.use].name}
              <span className="text-mute">
                , a {thingsOf(job, 1)}
                {i < own.length && ', as its brief says'}
              </span>
            </th>
            <td className="read text-right">{weight(Number(grams.toPrecision(2)))}</td>
            <td className="read text-right text-mute">
              {counts[i] ?? (grams > 0 ? Math.floor(batchG / grams) : 0)} in the batch
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
