import { briefSize, piecesFrom } from '@/core/brief/plan';
import type { Prediction } from '@/core/predict/predict-formula';
import { BRIEF_REACH } from '@/formats/brief';
import { thingsOf } from '@/kitchen/words/job-words';
import { NumberField } from '@/ui/number-field';
import type { Edit, FormulaDraft } from '../draft/edit';
import { totalGrams } from '../draft/formula-draft';

const COUNT = { least: BRIEF_REACH.count[0], most: BRIEF_REACH.count[1], unit: '', units: {}, example: '24' };

/** The pan and its brief for so many pieces of the first job, all others in proportion. */
export function forPieces(draft: FormulaDraft, prediction: Prediction, wanted: number): Edit | undefined {
  const { brief } = draft;
  const [first] = brief?.jobs ?? [];
  if (!brief || !first) return undefined;
  const counts = brief.jobs.map(({ count }) => Math.max(Math.round((count * wanted) / first.count), 1));
  const jobs = brief.jobs.map((job, i) => ({ ...job, count: counts[i] ?? job.count }));
  const { finishedG } = briefSize({ ...brief, jobs }, prediction.densityKgM3);
  return { type: 'pieces', counts, totalGrams: (totalGrams(draft) * finishedG) / prediction.massG };
}

/** What the pan makes of its brief's pieces; another number scales the pan. */
export function PiecesField({
  draft,
  prediction,
  edit,
  pause,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  edit: (edit: Edit) => void;
  pause: () => void;
}) {
  const { brief } = draft;
  const [first] = brief?.jobs ?? [];
  if (!brief || !first) return null;
  const [count = 0, ...others] = piecesFrom(brief, prediction.massG, prediction.densityKgM3);
  return (
    <div className="flex flex-wrap items-center justify-end gap-x-2 pt-1 text-[13px] text-mute" data-testid="pieces">
      makes
      <NumberField
        label="Pieces it makes, scales every row"
        value={count}
        rules={COUNT}
        write={String}
        onValue={(value) => {
          const change = value === undefined ? undefined : forPieces(draft, prediction, Math.round(value));
          if (change) edit(change);
        }}
        onLeave={pause}
        className="w-[76px]"
      />
      <span className="text-ink">{thingsOf(first, count)}</span>
      {others.map((each, i) => {
        const job = brief.jobs[i + 1];
        return (
          job && (
            <span key={`${job.use} ${job.what}`}>
              and {each} {thingsOf(job, each)}
            </span>
          )
        );
      })}
    </div>
  );
}
