import { nth } from '@/core/nth';
import { type Exercise, FILLINGS, FIRMNESS_PA, nearestStep, type Tomorrow } from '@/core/practice/exercises';
import type { HiddenPan } from '@/core/practice/hidden-pan';
import { type Call, mend } from '@/core/practice/judge';
import { leastFix } from '@/core/practice/least-fix';
import { likelySteps } from '@/core/practice/likely-steps';
import { CAUSE_WORDS, COAT_WORDS, FILLING_WORDS, FIRMNESS_WORDS, TOLD_BY } from '@/kitchen/words/practice-words';
import { celsius, millimetres, percent, significant, weight } from '@/ui/format';

/** A part of all pans that is as good as all. */
const NEARLY_ALL = 0.95;

const grams = (value: number) => weight(Math.max(Math.round(value), 1));
const firmness = (pa: number) => nth(FIRMNESS_WORDS, nearestStep(pa, FIRMNESS_PA));

/** The least that makes a pan pour as it was meant. */
function fixWords(pan: HiddenPan): string {
  const fix = leastFix(pan);
  if (fix === 'right') return 'To pour as meant it needs nothing.';
  return fix === undefined
    ? 'None of its rows alone makes it pour as meant.'
    : `The least that makes it pour as meant: ${grams(fix.grams)} of ${nth(pan.base.rows, fix.row).name}.`;
}

/** How sure anybody could have been by what was shown. */
function likelyWords(exercise: Tomorrow): readonly string[] {
  const likely = likelySteps(exercise);
  if (!likely) return [];
  if (nth(likely, nearestStep(exercise.truth, exercise.steps)) >= NEARLY_ALL) {
    return ['Nearly every pan that shows this becomes so.'];
  }
  const words = exercise.where === 'side' ? COAT_WORDS : FIRMNESS_WORDS;
  const ordered = likely
    .map((part, step) => ({ part, step }))
    .filter(({ part }) => part >= 1 - NEARLY_ALL)
    .toSorted((a, b) => b.part - a.part);
  return [
    `Of pans that show this: ${ordered.map(({ part, step }) => `${percent(part)} “${nth(words, step)}”`).join(', ')}.`,
  ];
}

function tomorrowWords(exercise: Tomorrow): readonly string[] {
  const { pan, atC, where, thenC, steps, truth } = exercise;
  const is =
    where === 'side'
      ? [
          `On the side ${nth(COAT_WORDS, nearestStep(truth, steps))}: ${millimetres(Number(truth.toPrecision(2)))}.`,
          'What told it: the spoon’s line, and how little the ring spread. What stays on a side is what the sauce holds by itself.',
        ]
      : [
          `It was like ${nth(FIRMNESS_WORDS, nearestStep(truth, steps))}: ${significant(truth)} Pa at ${celsius(Math.round(thenC))}.`,
          `What told it: its ring at ${celsius(Math.round(atC))} beside what the recipe should give there, carried along the curve to the cold.`,
        ];
  return [...is, ...likelyWords(exercise), fixWords(pan)];
}

function mendWords(exercise: Extract<Exercise, { kind: 'mend' }>, call: Extract<Call, { kind: 'mend' }>) {
  const { leastG, after, isInGate, setPa } = mend(exercise, call);
  const { name } = nth(exercise.pan.base.rows, call.row);
  const isThick = (after.at(-1)?.resistancePa ?? 0) > exercise.high;
  const [wanted, becomes] = [firmness(setPa.meant), firmness(setPa.after)];
  return [
    ...after.map(
      ({ grams: put, seen }) =>
        `After ${weight(Math.round(put))}: ${millimetres(Math.round(seen.ringMm))} on the plate.`,
    ),
    isInGate ? 'It pours right.' : `It does not pour right yet: it is still too ${isThick ? 'thick' : 'thin'}.`,
    wanted === becomes
      ? `Once set it is like ${becomes}, as meant.`
      : `Once set it is like ${becomes}; ${wanted} was meant.`,
    leastG === undefined
      ? `${name} alone cannot mend it. ${fixWords(exercise.pan)}`
      : `The least that does it: ${grams(leastG)} of ${name}.`,
  ];
}

/** What mends a pan once it is known what went wrong with it. */
function cureWords({ pan, answer }: Extract<Exercise, { kind: 'why' }>): string {
  switch (answer) {
    case 'shortLiquid': {
      const left = pan.base.rows.flatMap(({ role, name, grams: meant }, i) =>
        role === 'liquid' ? [`${grams(meant - nth(pan.grams, i))} of ${name}`] : [],
      );
      return `What mends it: the ${left.join(' and ')} that were left out, warm, in portions.`;
    }
    case 'boiledLong':
      return `What mends it: the ${grams(pan.lostWaterG)} of water that went, warm, in portions.`;
    case 'notHot':
      return 'What mends it: warm it gently and stir, until the flecks have gone.';
    case 'asPlanned':
      return 'It needs nothing.';
    default:
      return 'What mends it: warm it with a spoonful of water and stir, until nothing is felt between the teeth.';
  }
}

/** What it really was, what told it, and the least that mends it. */
export function truthWords(exercise: Exercise, call: Call): readonly string[] {
  switch (exercise.kind) {
    case 'tomorrow':
      return tomorrowWords(exercise);
    case 'mend':
      return call.kind === 'mend' ? mendWords(exercise, call) : [];
    case 'when': {
      const { leastC, mostC } = exercise.window;
      const at = call.kind === 'when' ? call.temperatureC : undefined;
      const isCold = at !== undefined && at < leastC;
      const isHot = at !== undefined && at > mostC;
      return [
        ...(at === undefined ? [] : [`You poured at ${celsius(Math.round(at))}.`]),
        `It pours as it should from ${celsius(Math.round(leastC))} to ${celsius(Math.round(mostC))}.`,
        'What told it: the ribbon, and how fast the spoon’s line shuts.',
        ...(isCold ? ['What mends it: warm it again, gently.'] : isHot ? ['What mends it: wait.'] : []),
      ];
    }
    case 'which': {
      const more = exercise.pans[exercise.answer];
      return [
        `Pan ${exercise.answer === 0 ? 'A' : 'B'} had a third more ${nth(more.base.rows, exercise.row).name}.`,
        `What told it: the two rings, each beside its temperature: ${celsius(Math.round(exercise.atC[0]))} and ${celsius(Math.round(exercise.atC[1]))}.`,
        fixWords(more),
      ];
    }
    case 'why':
      return [`The truth: ${CAUSE_WORDS[exercise.answer]}.`, TOLD_BY[exercise.answer], cureWords(exercise)];
    default: {
      const share = Math.abs(exercise.times - 1);
      return [
        `It was filled ${FILLING_WORDS[exercise.answer]}: so it holds ${percent(FILLINGS[exercise.answer])} of what was meant.`,
        exercise.answer === 'level'
          ? 'It pours as meant: what told it is its ring beside its temperature.'
          : `It pours ${exercise.times > 1 ? 'thicker' : 'thinner'} by ${percent(share)}: what told it is its ring beside its temperature.`,
        fixWords(exercise.pan),
      ];
    }
  }
}
