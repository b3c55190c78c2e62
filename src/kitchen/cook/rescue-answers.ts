import { compositionVector } from '@/core/matter/components';
import { roleOfRow } from '@/core/method/row-role';
import { panMass } from '@/core/rescue/addition-curve';
import { becomes } from '@/core/rescue/becomes';
import { SEEN } from '@/core/rescue/belief';
import { ANSWERS, causesOfFault, isFaultSign, nextQuestion } from '@/core/rescue/diagnosis';
import { type Fix, fixFor } from '@/core/rescue/fixes';
import { PLANS } from '@/core/rescue/signs';
import { FormulaFileError } from '@/formats/formula-file-error';
import type { Ingredient } from '@/formats/ingredient';
import type { RescueFile } from '@/formats/rescue-file';
import { itemOf, type Larder } from '../known-item';
import { fixStepSentence, putInSentences } from '../words/rescue-words';
import { openedPan } from './cook-batch';
import { freezePan } from './freeze';
import { inHand } from './in-hand';
import { faultFacts, fixLiquid, tasteFix } from './pan-fault';
import { componentsNow, panNow } from './pan-now';
import { inPanOf, type Look, type PutIn, type RescueInput, rescueNow } from './rescue';

/** A usual stove: what boiled off before the rescue follows from the method on it. */
const USUAL = {
  stove: { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 },
  kitchenC: 22,
} as const;
/** °C of what goes in as it is: spirit, soaked gelatin, slaked starch. */
const AS_IT_IS_C = 20;

/** Something that goes in now. */
interface PortionAnswer {
  readonly ingredient: string;
  readonly grams: number;
  readonly temperatureC: number;
  readonly how: string;
}

/** The pan of a file, as a rescue starts from it. */
function inputOf({ formula: file }: RescueFile, larder: Larder): RescueInput {
  const cooked = openedPan(freezePan(file, larder, USUAL));
  const pan = panNow(cooked, undefined);
  const own = file.lines.map(({ ingredient }) => ingredient);
  return {
    formula: cooked.formula,
    components: componentsNow(cooked, pan),
    inPan: inPanOf(file, pan.rows),
    isWhipped: cooked.method?.way === 'whipped',
    isWeighed: false,
    rings: [],
    costPerKg: 0,
    additives: inHand([...larder.values()], own),
  };
}

function ingredientOf({ formula }: RescueFile, larder: Larder, id: string, place: string) {
  const found = larder.get(id);
  if (!found) {
    const isOwn = itemOf(formula, larder, id) !== undefined;
    throw new FormulaFileError(
      `${place}: "${id}" is not in the larder${isOwn ? '; what only the formula knows cannot be put in here' : ''}`,
    );
  }
  return found;
}

/** What went in and what was seen, in the order of the file. */
function historyOf(file: RescueFile, larder: Larder) {
  const looks: Look[] = [];
  const putIn: PutIn[] = [];
  let warmC = file.temperatureC;
  for (const [i, { added, temperatureC, seen }] of file.then.entries()) {
    for (const [j, { ingredient, grams }] of added.entries()) {
      if (!(grams > 0)) continue;
      putIn.push({ ingredient: ingredientOf(file, larder, ingredient, `then[${i}].added[${j}]`), grams });
    }
    warmC = temperatureC ?? warmC;
    if (typeof seen === 'string') {
      looks.push({ seen, putIn: putIn.length, temperatureC: warmC });
      continue;
    }
    const ringC = seen.ring.temperatureC ?? warmC;
    if (ringC === undefined)
      throw new FormulaFileError(`then[${i}].seen.ring.temperatureC: nobody says how warm it was`);
    const ring = { diameterMm: seen.ring.diameterMm, temperatureC: ringC };
    looks.push({ ring, putIn: putIn.length, temperatureC: warmC });
  }
  return { looks, putIn, warmC };
}

const PLAIN_FIGURES = {
  weight: (grams: number) => `${Math.round(grams)} g`,
  celsius: (temperatureC: number) => `${Math.round(temperatureC)} °C`,
  minutes: (minutes: number) => `${minutes} min`,
  hours: (hours: number) => `${hours} h`,
};

/** What goes in of an ingredient, in words and figures. */
function portionOf(ingredient: Ingredient, grams: number, panC: number, isCold: boolean): PortionAnswer {
  const role = roleOfRow(compositionVector(ingredient.components));
  const isAsItIs = role === 'spirit' || role === 'gelatin' || role === 'starch' || role === 'helper';
  return {
    ingredient: ingredient.id,
    grams,
    temperatureC: isAsItIs ? AS_IT_IS_C : panC,
    how: putInSentences(role, `${grams} g of ${ingredient.name}`, isCold).join(' '),
  };
}

type History = ReturnType<typeof historyOf>;

/** A pan that flows or sets wrongly, in portions. */
function answerPortions(file: RescueFile, input: RescueInput, history: History, when: 'warm' | 'cold') {
  const { looks, putIn, warmC } = history;
  const now = rescueNow(input, { sign: file.sign, when, temperatureC: file.temperatureC, looks, putIn });
  const { stage, goal } = now;
  const best = now.options[0] && input.additives.find(({ id }) => id === now.options[0]?.id);
  const next = stage.kind === 'add' && best ? now.portionOf(best) : undefined;
  const asks =
    stage.kind === 'bring'
      ? [{ question: 'bringTo', temperatureC: stage.temperatureC }]
      : stage.kind === 'done'
        ? []
        : [{ question: 'howDoesItLook', answers: SEEN }];
  return {
    causes: now.causes.map(({ cause, share }) => ({ cause, chance: share })),
    asks,
    portion:
      next?.kind === 'add' && best
        ? portionOf(
            best,
            next.grams,
            when === 'warm' ? (warmC ?? goal.temperatureC) : goal.temperatureC,
            when === 'cold',
          )
        : null,
    chance: now.chance,
    done: stage.kind === 'done',
    becomes: now.becomes,
  };
}

/** The first thing a fix puts in that has not gone in yet. */
function fixPortion(fix: Fix, input: RescueInput, wentIn: number, panC: number): PortionAnswer | null {
  const step = fix.steps.filter((each) => 'grams' in each)[wentIn];
  const ingredient = step && fixLiquid(input, step.what);
  if (!step || !ingredient) return null;
  return {
    ingredient: ingredient.id,
    grams: step.grams,
    temperatureC: 'temperatureC' in step ? step.temperatureC : Math.min(panC, 5),
    how: fixStepSentence(step, ingredient.name, PLAIN_FIGURES),
  };
}

/** A pan with a fault: asked about, then its fix; another cause where the first fix did not work. */
function answerFault(file: RescueFile, input: RescueInput, { looks, putIn, warmC }: History) {
  const { sign, answers } = file;
  const facts = faultFacts(input);
  const causes = isFaultSign(sign) ? causesOfFault(sign, facts, answers) : [];
  const question = nextQuestion(causes, answers);
  const [first] = causes;
  const last = looks.at(-1);
  const done = last !== undefined && 'seen' in last && last.seen === 'right';
  const fix = first && fixFor(first.cause, facts);
  return {
    causes,
    asks: question && !done ? [{ question, answers: Object.keys(ANSWERS[question]) }] : [],
    portion: done || question || !fix ? null : fixPortion(fix, input, putIn.length, warmC ?? 36),
    steps: fix?.steps.map((step) =>
      fixStepSentence(step, ('what' in step && fixLiquid(input, step.what)?.name) || 'water', PLAIN_FIGURES),
    ),
    chance: first?.chance ?? 0,
    done,
    becomes: fix?.hasOtherUses ? becomes(input.components, input.formula.process) : [],
  };
}

/** A pan that is too sweet or too bitter. */
function answerTaste(input: RescueInput, { looks, putIn, warmC }: History, wants: 'lessSweet' | 'lessBitter') {
  const fix = tasteFix(input, wants);
  const last = looks.at(-1);
  const done = last !== undefined && 'seen' in last && last.seen === 'right';
  return {
    causes: [],
    asks: done ? [] : [{ question: 'howDoesItTaste', answers: ['right', 'notYet'] }],
    portion:
      done || !fix || putIn.length > 1
        ? null
        : portionOf(fix.ingredient, Math.max(Math.round(fix.grams / 2), 1), warmC ?? 36, false),
    chance: done ? 1 : 0,
    done,
    becomes: becomes(input.components, input.formula.process),
  };
}

/**
 * Answers `rescue` for one file: why the pan is so, what is asked, what goes in next, and how likely it is right; by the very rules of the screen.
 *
 * @throws {FormulaFileError} an unknown ingredient, or nothing in the pan
 */
export function answerRescue(file: RescueFile, larder: Larder) {
  for (const [i, { ingredient }] of file.formula.lines.entries()) {
    if (itemOf(file.formula, larder, ingredient) === undefined)
      throw new FormulaFileError(`formula.lines[${i}].ingredient: "${ingredient}" is not in the larder`);
  }
  const input = inputOf(file, larder);
  if (!(panMass(input.components) > 0)) throw new FormulaFileError('nothing is in the pan: every line is 0 g');
  const history = historyOf(file, larder);
  const plan = PLANS[file.sign];
  const name = file.name ?? file.formula.name;
  switch (plan.kind) {
    case 'portions':
      return { name, ...answerPortions(file, input, history, plan.when) };
    case 'taste':
      return { name, ...answerTaste(input, history, plan.wants) };
    case 'fault':
      return { name, ...answerFault(file, input, history) };
  }
}
