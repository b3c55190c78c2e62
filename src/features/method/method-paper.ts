import { preparationOf } from '@/core/method/preparation';
import { utensilsOf } from '@/core/method/utensils';
import { capital } from '@/formats/capital';
import type { Plan } from '@/kitchen/method/plan';
import { stepCaution } from '@/kitchen/method/step-caution';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { dayWords } from '@/kitchen/words/due-words';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { TOOL_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { HEAT_SENTENCES } from '@/kitchen/words/step-words';
import { UTENSIL_WORDS } from '@/kitchen/words/utensil-words';
import { duration } from '@/ui/duration';
import { celsius, listed, weight } from '@/ui/format';
import { clockOf } from '@/ui/time-of-day';

/** A step on paper. */
export interface PaperStep {
  readonly name: string;
  /** what goes in, row by row; empty where nothing does */
  readonly rows: string;
  readonly how: string;
  readonly looks: string;
  readonly note: string;
  readonly time: string;
  /** on the clock, where it is planned; '' otherwise */
  readonly at: string;
  /** '' beside the pan */
  readonly warmth: string;
  /** what can hurt; '' where nothing does */
  readonly caution: string;
}

/** A method as a page tells it, for paper and for PDF. */
export interface MethodPaper {
  readonly name: string;
  readonly about: string;
  /** everything that is weighed, by name and weight */
  readonly weigh: readonly (readonly [name: string, weight: string])[];
  readonly needs: string;
  /** when it is begun and poured, and how warm it pours */
  readonly pours: string;
  readonly steps: readonly PaperStep[];
  readonly code: string;
}

/** When it is begun and ready, as far as that is planned, and how warm it is poured. */
function pourWords({ followed, seconds, pourC }: WorkedMethod, plan: Plan | undefined): string {
  const stands = followed.some(({ step }) => step.end.kind === 'stand');
  const warm = stands ? '' : ` at ${celsius(pourC)}`;
  if (!plan) return stands ? '' : `Pour${warm}.`;
  const end = clockOf(plan.start + seconds / 60);
  return `Begin at ${clockOf(plan.start)}, ${dayWords(plan.day)}. ${stands ? 'Ready' : 'Pour'} at ${end}${warm}.`;
}

/**
 * A method as texts.
 *
 * @param names of the rows
 * @param plan when it is begun, where that is planned
 */
export function methodPaper(
  name: string,
  method: WorkedMethod,
  names: readonly string[],
  plan?: Plan | undefined,
): MethodPaper {
  const { rows, followed } = method;
  const cuts = preparationOf(rows, followed).cutRows.length > 0;
  let minutes = plan?.start ?? 0;
  const steps = followed.flatMap((each): PaperStep[] => {
    const { step, additions, seconds, end } = each;
    const isAside = step.where === 'aside';
    const from = isAside ? (plan?.start ?? 0) : minutes;
    if (!isAside) minutes += seconds / 60;
    if (!(seconds > 0)) return [];
    const words = wordsOfStep(each);
    return [
      {
        name: words.name,
        rows: additions
          .map(({ key, grams }) => `${names[Number(key)] ?? ''} ${weight(Math.round(grams * 10) / 10)}`)
          .join(', '),
        how: [isAside ? '' : HEAT_SENTENCES[step.heat ?? 'none'], step.tool ? TOOL_WORDS[step.tool] : '']
          .filter((part) => part !== '')
          .join(', '),
        looks: `${words.looks}.`,
        note: step.note ?? '',
        time: duration(seconds),
        at: plan ? clockOf(from) : '',
        warmth: isAside ? '' : celsius(Math.round(end.temperatureC)),
        caution: stepCaution(each) ?? '',
      },
    ];
  });
  return {
    name,
    about: `${capital(WAY_WORDS[method.way].name)}, about ${duration(method.seconds)}.`,
    weigh: rows.lines.flatMap(({ grams }, row) =>
      grams > 0 ? [[names[row] ?? '', weight(Math.round(grams * 10) / 10)] as const] : [],
    ),
    needs: `You need: ${listed(utensilsOf(followed, cuts).map((each) => UTENSIL_WORDS[each]))}.`,
    pours: pourWords(method, plan),
    steps: steps.map((step, i) => ({
      ...step,
      caution: steps.findIndex(({ caution }) => caution === step.caution) === i ? step.caution : '',
    })),
    code: CAUTION_WORDS.code,
  };
}
