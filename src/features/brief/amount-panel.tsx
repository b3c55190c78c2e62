import { useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import { piecesFrom } from '@/core/brief/plan';
import type { JobUse } from '@/core/uses/catalogue';
import type { BatchSize } from '@/core/yields/batch-size';
import { JOB_WORDS } from '@/kitchen/words/job-words';
import { centimetres, gramsPlain, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { numeral } from '@/ui/settings/numerals';
import { shownUnit, unitName } from '@/ui/settings/shown-units';
import { makesWords } from './brief-words';
import { UseDrawing } from './use-drawings';

/** Between a number and its unit: it never breaks there. */

/** Where what runs off goes. */
const RUN_OFF_WORDS: Readonly<Partial<Record<JobUse, string>>> = { nap: 'onto the plate', roll: 'sticking to hands' };

/** The amount read backwards: what so many grams make. */
function FromGrams({
  brief,
  densityKgM3,
  onCounts,
}: {
  brief: Brief;
  densityKgM3: number | undefined;
  onCounts: (counts: readonly number[]) => void;
}) {
  const [have, setHave] = useState<number | undefined>();
  const counts = have === undefined ? undefined : piecesFrom(brief, have, densityKgM3);
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-2 text-[13.5px]" data-testid="from-grams">
      <span>What do</span>
      <NumberField
        label="Grams at hand"
        value={have}
        optional
        placeholder="900"
        rules={{ ...GRAMS, least: 1 }}
        write={gramsPlain}
        onValue={setHave}
        className="w-[112px]"
      />
      <span>make?</span>
      {counts && have !== undefined && (
        <>
          <strong>{makesWords(brief, have, densityKgM3)}</strong>
          {counts.every((count) => count >= 1) && (
            <button type="button" className="min-h-11 font-medium text-enamel" onClick={() => onCounts(counts)}>
              Make that many
            </button>
          )}
        </>
      )}
    </div>
  );
}

/** Above which doubt an amount is rounded to what, in what is shown. */
const GRAM_STEPS = [
  [400, 50],
  [40, 10],
  [8, 5],
  [0, 1],
] as const;
const OUNCE_STEPS = [
  [14, 2],
  [1.4, 0.5],
  [0, 0.1],
] as const;

/** An amount rounded to what the doubt leaves. */
function honest(g: number, doubtG: number): string {
  const unit = shownUnit('g');
  const [shown, doubt] = unit ? [unit.toShown(g), unit.toShown(doubtG)] : [g, doubtG];
  const steps = unit ? OUNCE_STEPS : GRAM_STEPS;
  const step = steps.find(([above]) => doubt > above)?.[1] ?? 1;
  return `${numeral(Math.round(shown / step) * step, 1)}\u00a0${unitName('g')}`;
}

/** How much to make, from what it comes, and in what pans. */
export function AmountPanel({
  brief,
  size,
  densityKgM3,
  onCounts,
}: {
  brief: Brief;
  size: BatchSize;
  /** of the formula that is chosen; a usual one without it */
  densityKgM3: number | undefined;
  /** sets how many of each job */
  onCounts: (counts: readonly number[]) => void;
}) {
  const { finishedG, evaporationG, bowlG, reserveG, weighedG, doubtG, pans, panG } = size;
  const parts = [
    ...brief.jobs.map((job, i) => ({
      key: `${job.use} ${i}`,
      g: (size.jobs[i]?.usedG ?? 0) + (size.jobs[i]?.runOffG ?? 0),
      fill: i % 2 === 0 ? 'var(--color-pour-drawn)' : 'color-mix(in oklab, var(--color-pour-drawn) 72%, white)',
    })),
    { key: 'bowl', g: bowlG, fill: '#7d8c92' },
    { key: 'reserve', g: reserveG, fill: '#a3b1b5' },
  ].filter((part) => part.g > 0);
  return (
    <section aria-label="How much" data-testid="amount">
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-head text-[1.2rem] font-semibold">Make</span>
        <span className="read text-[1.75rem]" data-testid="make-grams">
          {honest(finishedG, doubtG)}
        </span>
        <span className="read text-[0.85rem] text-mute">± {honest(doubtG, doubtG)}</span>
      </p>
      <svg viewBox="0 0 300 20" className="my-2 block h-5 w-full rounded" preserveAspectRatio="none" aria-hidden="true">
        {parts.map((part, i) => {
          const before = parts.slice(0, i).reduce((sum, each) => sum + each.g, 0);
          return (
            <rect
              key={part.key}
              x={(300 * before) / finishedG}
              width={(300 * part.g) / finishedG}
              height={20}
              fill={part.fill}
            />
          );
        })}
      </svg>
      <ul className="text-[13.5px]">
        {brief.jobs.map((job, i) => {
          const amount = size.jobs[i];
          if (!amount) return null;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: two jobs may be alike; their place tells them apart
            <li key={i} className="flex items-center justify-between gap-2">
              <UseDrawing use={job.use} className="h-7 w-10 shrink-0" />
              <span className="flex-1">
                {JOB_WORDS[job.use].name}, {job.count} × <span className="read">{weight(amount.eachG)}</span>
                {amount.runOffG > 0.5 && (
                  <span className="text-mute">
                    , {RUN_OFF_WORDS[job.use] ?? 'running off'} {weight(Math.round(amount.runOffG))}
                  </span>
                )}
              </span>
              <span className="read">{weight(Math.round(amount.usedG + amount.runOffG))}</span>
            </li>
          );
        })}
        <li className="flex justify-between gap-2 text-mute">
          <span>bowl and bag, reserve</span>
          <span className="read">{weight(Math.round(bowlG + reserveG))}</span>
        </li>
      </ul>
      <p className="mt-1 text-[13.5px] text-mute">
        {evaporationG > 0.5 && (
          <>
            {weight(Math.round(evaporationG))} of water {brief.making.heat === 'boil' ? 'boils' : 'simmers'} off: weigh
            in <span className="read">{weight(Math.round(weighedG))}</span>.{' '}
          </>
        )}
        {pans > 1 ? (
          <strong className="text-ink" data-testid="pans">
            Split it over {pans} pans of {centimetres(brief.making.panCm)}, {weight(Math.round(weighedG / pans))} each:
            one holds {weight(Math.floor(panG / 10) * 10)} at most.
          </strong>
        ) : (
          <span data-testid="pans">
            One pan of {centimetres(brief.making.panCm)}; it holds {weight(Math.floor(panG / 10) * 10)} at most.
          </span>
        )}
      </p>
      <FromGrams brief={brief} densityKgM3={densityKgM3} onCounts={onCounts} />
    </section>
  );
}
