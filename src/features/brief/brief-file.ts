import type { Brief } from '@/core/brief/brief';
import { USUAL_MAKING, USUAL_WISHES } from '@/core/brief/brief';
import { usualJob } from '@/core/brief/job';
import type { BriefPlan } from '@/core/brief/plan';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { JOB_USES } from '@/core/uses/catalogue';
import { briefUseOf } from '@/core/uses/ready-gates';
import type { FormulaFile } from '@/formats/formula-file';
import type { Start } from '@/kitchen/brief/brief-answers';
import { JOB_WORDS, jobThings } from '@/kitchen/words/job-words';

const LONGEST_NAME = 120;

/** A brief to begin with: of a formula's use where there is one. */
export function usualBrief(kitchenC: number, use?: string): Brief {
  const [job = 'coat'] = JOB_USES.filter((each) => briefUseOf(each) === use);
  return { jobs: [usualJob(job)], kitchenC, wishes: USUAL_WISHES, making: USUAL_MAKING };
}

/** `48 buckwheat éclairs`. */
export function whatFor({ jobs: [job] }: Brief): string {
  return job ? jobThings(job) : '';
}

/** What a formula takes over from a brief: its gates, moments and amount, never its grams. */
export function targetsOf(brief: Brief, { targets, size }: Pick<BriefPlan, 'targets' | 'size'>, evaporationG: number) {
  const [first] = brief.jobs;
  return {
    use: first && briefUseOf(first.use),
    moments: [...targets.moments],
    gates: targets.gates.map(({ gate }) => gate),
    yield: {
      targetGrams: Math.round(size.finishedG - size.bowlG),
      bowlLossGrams: Math.round(size.bowlG),
      evaporationGrams: evaporationG > 0 ? Math.round(evaporationG * 10) / 10 : undefined,
    },
    brief,
  } satisfies Partial<FormulaFile>;
}

/** A new formula from a start: its rows at the size of the brief, with its gates. */
export function newFormula(
  brief: Brief,
  plan: BriefPlan,
  start: Start | undefined,
  own: FormulaFile | undefined,
): FormulaFile {
  const from = start?.name ?? JOB_WORDS[brief.jobs[0]?.use ?? 'coat'].name;
  return {
    format: 'dark-pour/formula',
    version: 1,
    name: `${from}${start?.isOwn ? ',' : ''} for ${whatFor(brief)}`.slice(0, LONGEST_NAME),
    note: own?.note,
    tags: own?.tags,
    lines: start?.lines ?? [],
    ingredients: own?.ingredients ?? {},
    process: start?.process ?? own?.process ?? DEFAULT_PROCESS,
    ...targetsOf(brief, { ...plan, size: start?.size ?? plan.size }, start?.evaporationG ?? plan.size.evaporationG),
  };
}
