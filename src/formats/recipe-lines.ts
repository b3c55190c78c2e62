import { MAX_LENGTH, readAmount } from './amount';
import { foldWords } from './fold-words';
import { plainLines } from './plain-line';
import { spokenAmount } from './spoken-amount';

/** A recipe's text, sorted: what it is called, what goes in, what is done. */
export interface RecipeLines {
  /** empty where none is written */
  readonly title: string;
  readonly ingredients: readonly string[];
  readonly steps: readonly string[];
}

const words = (...list: readonly string[]) => new Set(list.map(foldWords));

/** What stands above the ingredients, and above what is done. */
const INGREDIENT_HEADS = words(
  ...[
    'ingredients',
    'you need',
    'you will need',
    'zutaten',
    'ingrédients',
    'ingredientes',
    'ingredienti',
    'malzemeler',
  ],
);
const STEP_HEADS = words(
  ...['method', 'directions', 'instructions', 'preparation', 'steps', 'to make', 'how to make', 'zubereitung'],
  ...[
    'méthode',
    'préparation',
    'preparación',
    'elaboración',
    'preparazione',
    'procedimento',
    'yapılışı',
    'hazırlanışı',
  ],
);
/** What a line begins with that tells of the recipe and puts nothing in. */
const ABOUT = words(
  ...['serves', 'makes', 'yield', 'yields', 'servings', 'portions', 'prep', 'cook', 'total', 'time', 'difficulty'],
  ...['ergibt', 'portionen', 'pour', 'porciones', 'porzioni', 'notes', 'note', 'tip', 'tips', 'source', 'author'],
);
/** Verbs a step begins with. */
const VERBS = words(
  ...[
    'add',
    'allow',
    'beat',
    'blend',
    'boil',
    'bring',
    'chill',
    'chop',
    'combine',
    'cook',
    'cool',
    'cover',
    'dissolve',
  ],
  ...[
    'drain',
    'fold',
    'heat',
    'keep',
    'leave',
    'let',
    'melt',
    'mix',
    'place',
    'pour',
    'put',
    'reheat',
    'remove',
    'rest',
  ],
  ...['return', 'serve', 'set', 'sift', 'simmer', 'soak', 'sprinkle', 'stir', 'store', 'strain', 'take', 'turn', 'use'],
  ...['warm', 'whip', 'whisk', 'ajouter', 'chauffer', 'faire', 'fondre', 'laisser', 'mélanger', 'verser', 'calentar'],
  ...[
    'mezclar',
    'verter',
    'scaldare',
    'mescolare',
    'versare',
    'erhitzen',
    'rühren',
    'schmelzen',
    'karıştırın',
    'ekleyin',
  ],
);

/** Words from which a line without an amount is a sentence. */
const SENTENCE_WORDS = 6;
const MOST_LINES = 120;

const bare = (line: string) => foldWords(line.replace(/[:：]\s*$/, ''));
const isHead = (line: string) =>
  /[:：]\s*$/.test(line) || INGREDIENT_HEADS.has(bare(line)) || STEP_HEADS.has(bare(line));
/** A number that counts steps: `1.` or `1)` before a word. */
const COUNTED = /^\d{1,2}\s*[.)]\s+(?=\p{L})/u;

/** A line with what it is read to be, once. */
interface Line {
  readonly text: string;
  readonly hasAmount: boolean;
  readonly words: readonly string[];
}

const lineOf = (text: string): Line => ({
  text,
  // A sum that cannot be is an amount all the same: it is asked about, never a title.
  hasAmount: readAmount(spokenAmount(text), 'either') !== undefined || /^\d+\/\d/.test(text),
  words: foldWords(text).split(' '),
});

function isStep({ text, hasAmount, words: said }: Line): boolean {
  if (COUNTED.test(text)) return true;
  if (hasAmount) return false;
  if (VERBS.has(said[0] ?? '') && said.length > 2) return true;
  return said.length >= SENTENCE_WORDS && /[.!]$/.test(text);
}

const isAbout = (line: Line) => ABOUT.has(line.words[0] ?? '') && !isStep(line);

/** Words a line that puts something in has at most, among the steps. */
const SHORT_WORDS = 6;

/** Whether a line among the steps puts something in all the same: an amount and a few words. */
const isShortAmount = ({ text, hasAmount, words: said }: Line) =>
  hasAmount && !COUNTED.test(text) && !/[.!]$/.test(text) && said.length <= SHORT_WORDS;

/**
 * Sorts the lines of a pasted recipe: its title, its ingredients and its steps. Headings, and what tells of portions or times, are neither.
 *
 * @param text lines; bullets and empty lines are passed over
 */
export function sortRecipe(text: string): RecipeLines {
  const written = plainLines(text);
  // More lines than any recipe has, or longer ones, are left to be asked about as they stand.
  if (written.length > MOST_LINES || written.some((line) => line.length > MAX_LENGTH)) {
    return { title: '', ingredients: written, steps: [] };
  }
  const lines = written.map(lineOf);
  const hasAmounts = lines.some(({ hasAmount }) => hasAmount);
  const [first] = lines;
  const isTitled =
    first !== undefined && hasAmounts && !first.hasAmount && lines.length > 1 && !isHead(first.text) && !isStep(first);
  const ingredients: string[] = [];
  const steps: string[] = [];
  let isDone = false;
  for (const line of isTitled ? lines.slice(1) : lines) {
    if (isHead(line.text) && !line.hasAmount) {
      isDone = STEP_HEADS.has(bare(line.text)) || (isDone && !INGREDIENT_HEADS.has(bare(line.text)));
    } else if (hasAmounts && isAbout(line)) {
      // It tells of the recipe and puts nothing in.
    } else if (isDone ? !isShortAmount(line) : hasAmounts && isStep(line)) {
      // In a list of names alone a sentence is no step: nothing tells them apart.
      steps.push(line.text.replace(COUNTED, ''));
    } else ingredients.push(line.text);
  }
  return { title: isTitled ? first.text.replace(/[:：]\s*$/, '') : '', ingredients, steps };
}
