import { stepCaution } from '@/kitchen/method/step-caution';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { TOOL_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { HEAT_SENTENCES } from '@/kitchen/words/step-words';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';

/** A step on paper. */
export interface PaperStep {
  readonly name: string;
  /** what goes in, row by row; empty where nothing does */
  readonly rows: string;
  readonly how: string;
  readonly looks: string;
  readonly note: string;
  readonly time: string;
  /** '' beside the pan */
  readonly warmth: string;
}

/** A method as a page tells it, for paper and for PDF. */
export interface MethodPaper {
  readonly name: string;
  readonly about: string;
  readonly steps: readonly PaperStep[];
  readonly cautions: readonly string[];
}

/**
 * A method as texts.
 *
 * @param names of the rows
 */
export function methodPaper(name: string, method: WorkedMethod, names: readonly string[]): MethodPaper {
  const steps = method.followed.filter(({ seconds }) => seconds > 0);
  const cautions = new Set(steps.flatMap((followed) => stepCaution(followed) ?? []));
  return {
    name,
    about: `${WAY_WORDS[method.way].name}; about ${duration(method.seconds)}.`,
    steps: steps.map(({ step, additions, seconds, end, before }) => ({
      name: wordsOfStep({ step, additions, before }).name,
      rows: additions
        .map(({ key, grams }) => `${names[Number(key)] ?? ''} ${weight(Math.round(grams * 10) / 10)}`)
        .join(', '),
      how: [step.where === 'aside' ? '' : HEAT_SENTENCES[step.heat ?? 'none'], step.tool ? TOOL_WORDS[step.tool] : '']
        .filter((words) => words !== '')
        .join(', '),
      looks: `${wordsOfStep({ step, additions, before }).looks}.`,
      note: step.note ?? '',
      time: duration(seconds),
      warmth: step.where === 'aside' ? '' : celsius(Math.round(end.temperatureC)),
    })),
    cautions: [...cautions, CAUTION_WORDS.code],
  };
}
