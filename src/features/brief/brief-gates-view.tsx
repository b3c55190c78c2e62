import type { Brief } from '@/core/brief/brief';
import type { Overruled } from '@/core/brief/job';
import type { BriefPlan } from '@/core/brief/plan';
import type { Gate } from '@/core/formula/gates';
import { briefCautions, cautionLines } from '@/kitchen/words/cautions';
import { exclusionWords } from './brief-words';
import { GateCards } from './gate-cards';

/** What a brief asks of the curve: whether one batch can do it, and each gate with its reason. */
export function BriefGates({
  brief,
  plan,
  landsSomewhere,
  onOverrule,
  onLetGo,
}: {
  brief: Brief;
  plan: BriefPlan;
  landsSomewhere: boolean;
  onOverrule: (job: number, key: string, edges: Overruled | undefined) => void;
  onLetGo: (gate: Gate) => void;
}) {
  return (
    <section aria-label="Gates" className="mt-6">
      <h2 className="mb-2 text-[1.15rem]">What that asks of the curve</h2>
      {plan.excluded.length > 0 ? (
        <ul className="mb-3 space-y-1" role="alert" data-testid="excluded">
          {plan.excluded.map((each) => (
            <li key={`${each.warmer}${each.colder}${each.kind}`} className="rounded-lg bg-off-wash px-3 py-2 text-off">
              {exclusionWords(each)}
            </li>
          ))}
        </ul>
      ) : (
        brief.jobs.length > 1 && (
          <p className="mb-3 rounded-lg bg-enamel-wash px-3 py-2" data-testid="one-batch">
            {landsSomewhere
              ? '✓ One batch can do all of it: see what it could start from.'
              : 'The gates do not exclude each other; whether one batch can do all of it, the search tells.'}
          </p>
        )
      )}
      <ul className="mb-3 space-y-1 rounded-xl border border-near/30 bg-near-wash px-3 py-2 text-[13.5px]">
        {cautionLines(briefCautions(brief)).map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
      <GateCards brief={brief} targets={plan.targets} onOverrule={onOverrule} onLetGo={onLetGo} />
    </section>
  );
}
