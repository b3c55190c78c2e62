import { numericQuantity } from 'numeric-quantity';
import type { MeasureUnit } from '@/core/matter/measures';
import { foldWords } from './fold-words';
import { COUNT_WORDS, NUMBER_WORDS, UNIT_WORDS } from './unit-words';

/** One way to understand an amount. */
export interface AmountReading {
  readonly amount: number;
  /** nothing where none was written */
  readonly unit: MeasureUnit | undefined;
}

/** What stands at the head of a text. */
export interface ReadAmount extends AmountReading {
  /** mL of one of the unit as written beside it: “1 cup (240 ml)” */
  readonly millilitres?: number | undefined;
  /** why the cook is asked, where it can be understood in several ways; the reading is then what is proposed */
  readonly asks?: string | undefined;
  /** other ways to understand it */
  readonly others: readonly AmountReading[];
  /** the text behind it */
  readonly rest: string;
}

/** Letters a text with an amount has at most: of a longer one the cook is asked. */
export const MAX_LENGTH = 500;
/** What is more is no amount of anything in a kitchen. */
const LARGEST = 1e9;
const SPACES = '[\\s\\u00a0\\u202f]';
const VULGAR = '½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚';
/** A number as cooks write it: groups, decimals by point or comma, fractions, vulgar fractions. */
const NUMBER = new RegExp(
  `^(?:\\d+${SPACES}+\\d+${SPACES}*[/⁄]${SPACES}*\\d+|\\d+${SPACES}*[/⁄]${SPACES}*\\d+|\\d+${SPACES}*[${VULGAR}]|[${VULGAR}]|\\d{1,3}(?:[ \\u00a0\\u202f']\\d{3})+(?:[.,]\\d+)?|\\d+(?:[.,]\\d{3})+[.,]\\d+|\\d+(?:[.,]\\d+)?|[.,]\\d+)`,
  'u',
);
/** What parts whole and part where the writer is known; text from elsewhere may have either. */
export type DecimalSign = '.' | ',' | 'either';

/** A sign before three figures that parts thousands for one writer and decimals for another. */
const AMBIGUOUS: Readonly<Record<DecimalSign, RegExp>> = {
  '.': /^[1-9]\d{0,2},\d{3}$/,
  ',': /^[1-9]\d{0,2}\.\d{3}$/,
  either: /^[1-9]\d{0,2}[.,]\d{3}$/,
};

/** Whether a number's sign may part thousands or decimals: it is asked, never guessed. */
export const isAmbiguous = (text: string, decimal: DecimalSign = '.') => AMBIGUOUS[decimal].test(text.trim());
const TIMES = new RegExp(`^${SPACES}*[x×*]${SPACES}*(?=[\\d${VULGAR}])`, 'iu');
const RANGE = new RegExp(
  `^${SPACES}*(?:-|–|—|(?:to|or|bis|oder|à|ou|ila)(?=${SPACES}))${SPACES}*(?=[\\d${VULGAR}])`,
  'iu',
);

/** Reads one number; `NaN` when it is none. Groups of three and a decimal comma are told apart by what follows. */
export function readNumber(text: string): number {
  const plain = text
    .trim()
    .replace(/(\d)[\s\u00a0\u202f'](?=\d{3}(?:\D|$))/g, '$1')
    .replace(/^(\d+(?:\.\d{3})+),(\d+)$/, (_, whole: string, part: string) => `${whole.replaceAll('.', '')}.${part}`)
    .replace(/^(\d+(?:,\d{3})+)\.(\d+)$/, (_, whole: string, part: string) => `${whole.replaceAll(',', '')}.${part}`)
    .replace(',', '.');
  if (/^[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?$/i.test(plain)) return Number(plain);
  return /[/⁄½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚]/u.test(plain) ? numericQuantity(plain) : Number.NaN;
}

/** A number at the head of a text, and both ways to read it where its comma or point could be either. */
export function takeNumber(
  text: string,
  decimal: DecimalSign = '.',
): { values: readonly number[]; rest: string } | undefined {
  const found = NUMBER.exec(text)?.[0];
  if (found === undefined) return takeWord(text);
  const rest = text.slice(found.length);
  if (!isAmbiguous(found, decimal)) return { values: [readNumber(found)], rest };
  return { values: [Number(found.replace(/[.,]/, '')), Number(found.replace(',', '.'))], rest };
}

/** An amount written as a word, where a unit or a count follows it. */
function takeWord(text: string): { values: readonly number[]; rest: string } | undefined {
  for (const words of [3, 2, 1]) {
    const head = new RegExp(`^(?:\\S+${SPACES}+){${words}}`, 'u').exec(text)?.[0];
    const value = head === undefined ? undefined : NUMBER_WORDS.get(foldWords(head));
    if (head === undefined || value === undefined) continue;
    const rest = text.slice(head.length);
    if (takeUnit(rest) || COUNT_WORDS.has(foldWords(rest.split(/\s/)[0] ?? ''))) return { values: [value], rest };
  }
  return undefined;
}

/** Letters that mean another unit in another case: T is a tablespoon, t a teaspoon; a cook is asked. */
const BY_CASE: Readonly<Record<string, { unit: MeasureUnit; other: MeasureUnit }>> = {
  T: { unit: 'tbsp', other: 'tsp' },
  t: { unit: 'tsp', other: 'tbsp' },
};

interface TakenUnit {
  readonly unit: MeasureUnit;
  readonly times: number;
  readonly asks: string | undefined;
  readonly other?: MeasureUnit | undefined;
  readonly rest: string;
}

/** A unit at the head of a text, the longest that is understood. */
function takeUnit(text: string): TakenUnit | undefined {
  const trimmed = text.replace(new RegExp(`^${SPACES}+`, 'u'), '');
  const letter = /^([Tt])(?:\.|(?=\s|$))/.exec(trimmed);
  const byCase = letter?.[1] ? BY_CASE[letter[1]] : undefined;
  if (letter && byCase) {
    const { unit, other } = byCase;
    const asks = `Is “${letter[1]}” a tablespoon or a teaspoon?`;
    return { unit, times: 1, asks, other, rest: trimmed.slice(letter[0].length) };
  }
  const words = [...trimmed.matchAll(/[\p{L}\p{M}\d]+\.?|[^\s\p{L}\p{M}\d]/gu)].slice(0, 4);
  for (let count = words.length; count > 0; count--) {
    const end = words[count - 1];
    if (!end) continue;
    const head = trimmed.slice(0, end.index + end[0].length);
    const known = UNIT_WORDS.get(foldWords(head));
    if (!known || !/^(?:[\s,.()]|$)/u.test(trimmed.slice(head.length))) continue;
    return { unit: known.unit, times: known.times ?? 1, asks: known.asks, rest: trimmed.slice(head.length) };
  }
  return undefined;
}

/** What one of a unit holds, as it is written beside it in brackets. */
const BESIDE = new RegExp(
  `^${SPACES}*\\(?${SPACES}*(?:about|ca\\.?|approx\\.?)?${SPACES}*(\\d+(?:[.,]\\d+)?)${SPACES}*ml\\)`,
  'iu',
);

/**
 * Reads the amount at the head of a text, as cooks write it in the common kitchen languages: decimal comma or point, groups of three, fractions,
 * “2 x 100 g”, “1-2 tbsp”, “half a cup”, “2 EL”, “1 dozen”. What can be understood in several ways says so and proposes one.
 *
 * @param decimal what parts decimals where the writer is known
 * @returns nothing where the text does not begin with an amount, or is far longer than one
 * @example readAmount('1-2 tbsp rum') // { amount: 1.5, unit: 'tbsp', asks: …, rest: ' rum' }
 */
export function readAmount(text: string, decimal: DecimalSign = '.'): ReadAmount | undefined {
  if (text.length > MAX_LENGTH) return undefined;
  // One space where there are many: no form below has to try where they end.
  const taken = takeNumber(text.replace(/[\s\u00a0\u202f]+/gu, ' ').replace(/^[ ≈~]+/u, ''), decimal);
  if (!taken?.values.every((value) => value <= LARGEST)) return undefined;
  let { values, rest } = taken;
  const asks: string[] = [];
  if (values.length > 1) asks.push(`Is that ${values[0]} or ${values[1]}?`);
  const times = TIMES.exec(rest);
  const range = times ? null : RANGE.exec(rest);
  const second = (times ?? range) && takeNumber(rest.slice((times ?? range)?.[0].length), decimal);
  if (second) {
    const [a = 0, b = 0] = [values[0], second.values[0]];
    rest = second.rest;
    if (times) values = [a * b];
    else {
      values = [(a + b) / 2, a, b];
      asks.push(`Between ${a} and ${b}: the middle is proposed`);
    }
  }
  const count = new RegExp(`^${SPACES}*(\\S+)`, 'u').exec(rest);
  const dozen = count?.[1] ? COUNT_WORDS.get(foldWords(count[1])) : undefined;
  if (dozen && count) {
    values = values.map((value) => value * dozen);
    rest = rest.slice(count[0].length);
  }
  const unit = takeUnit(rest);
  if (unit) {
    rest = unit.rest;
    if (unit.asks) asks.push(unit.asks);
    values = values.map((value) => value * unit.times);
  }
  const beside = BESIDE.exec(rest);
  if (beside) rest = rest.slice(beside[0].length);
  const [amount = 0, ...others] = values;
  return {
    amount,
    unit: unit?.unit,
    ...(beside && unit ? { millilitres: readNumber(beside[1] ?? '') / amount } : {}),
    ...(asks.length > 0 ? { asks: `${asks.join('. ')}.`.replace('?.', '?') } : {}),
    others: [
      ...others.map((value) => ({ amount: value, unit: unit?.unit })),
      ...(unit?.other ? [{ amount, unit: unit.other }] : []),
    ],
    rest,
  };
}
