import { type MeasureUnit, WEIGHTS } from '@/core/matter/measures';
import { nth } from '@/core/nth';
import { type AmountReading, type ReadAmount, readAmount, readNumber, takeNumber } from '@/formats/amount';
import { foldWords } from '@/formats/fold-words';
import { lookUp } from '@/formats/look-up';
import type { FieldUnits } from './field-units';
import { decimalSign, numeral } from './settings/numerals';

/** A way to understand what was typed, to be chosen. */
export interface Proposal {
  readonly label: string;
  readonly value: number;
}

/** What a typed amount came to: a number, or why it cannot be read, with what it may have meant. */
export type ParsedAmount =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly message: string; readonly proposals?: readonly Proposal[] };

/** Kitchen measures a field reads beside its own unit. */
export interface FieldMeasures {
  /** what an amount of a unit is in the field's unit; nothing where it is not measured so */
  valueOf(reading: AmountReading & Pick<ReadAmount, 'millilitres'>): number | undefined;
  /** units that can be read, for messages */
  readonly names: readonly string[];
  /** the piece a word names: `eggs`, `leaves` */
  piece?(word: string): MeasureUnit | undefined;
  /** what may stand behind the amount: the row's own ingredient */
  readonly thing?: string | undefined;
  /** how a reading is said to a cook who has to choose */
  say(reading: AmountReading): string;
}

/** Limits and words of a field. */
export interface AmountRules {
  readonly least: number;
  readonly most: number;
  /** as shown, e.g. `g` */
  readonly unit: string;
  /** what units may be typed and what one of them is in the field's unit */
  readonly units?: FieldUnits;
  /** measures the field reads, instead of `units` */
  readonly measures?: FieldMeasures;
  /** a number alone says too little here */
  readonly unitNeeded?: boolean;
  /** “3x” takes what stands there three times */
  readonly scales?: boolean;
  /** a number such as this field wants, for messages */
  readonly example: string;
}

const isWeight = (unit: string): unit is keyof typeof WEIGHTS => Object.hasOwn(WEIGHTS, unit);

const inGrams = ({ amount, unit }: AmountReading) =>
  unit === undefined ? amount : isWeight(unit) ? amount * WEIGHTS[unit] : undefined;

const sayPlain = ({ amount, unit }: AmountReading) => `${amount} ${unit ?? 'g'}`;

/** Grams in a pan. */
export const GRAMS: AmountRules = {
  least: 0,
  most: 100_000,
  unit: 'g',
  measures: { valueOf: inGrams, names: ['g', 'kg', 'oz', 'lb'], say: sayPlain },
  example: '12.5',
};

/** What parts decimals for the cooks of this kitchen. */
const typedDecimal = () => (decimalSign() === ',' ? ',' : '.');

/**
 * Whether a key's letter can be part of anything a field reads: any where kitchen measures are, else those of its own units, and the × of “3x”.
 *
 * @param key as a keyboard names it
 */
export function canBeTyped(
  key: string,
  { measures, unit: own, units = { [own]: 1 }, scales, unitNeeded }: AmountRules,
): boolean {
  if (measures || unitNeeded || !/^\p{L}$/u.test(key)) return true;
  const letter = key.toLowerCase();
  if (scales && letter === 'x') return true;
  return Object.keys(units).some((unit) => unit.toLowerCase().includes(letter));
}

const refuse = (message: string, proposals?: readonly Proposal[]): ParsedAmount => ({
  ok: false,
  message,
  ...(proposals && proposals.length > 0 ? { proposals } : {}),
});

/** A few names as a list: `g and kg`, `g, kg, oz and others`. */
function someOf(names: readonly string[]): string {
  const shown = names.slice(0, 5);
  if (names.length > shown.length) return `${shown.join(', ')} and others`;
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}`;
}

/** A value within the limits of its field. */
function within(value: number, rules: AmountRules): ParsedAmount {
  const withUnit = (limit: number) => `${numeral(limit, 3)} ${rules.unit}`.trim();
  if (value < rules.least) return refuse(`It can't be below ${withUnit(rules.least)}.`);
  if (value > rules.most) return refuse(`It can't be more than ${withUnit(rules.most)}. Check the number.`);
  return { ok: true, value };
}

const noNumber = (rules: AmountRules) => refuse(`That isn't a number. Type it like ${rules.example}.`);

/** A number and one of the field's own units. */
function readPlain(text: string, sign: number, rules: AmountRules): ParsedAmount {
  const taken = takeNumber(text, typedDecimal());
  const value = taken?.values[0];
  if (!taken || value === undefined || !Number.isFinite(value)) return noNumber(rules);
  const units = rules.units ?? { [rules.unit]: 1 };
  const unit = taken.rest.trim();
  if (/^[\d.,]/.test(unit)) return noNumber(rules);
  const factor = unit === '' ? 1 : (lookUp(units, unit.toLowerCase()) ?? lookUp(units, unit));
  if (unit === '' && rules.unitNeeded) return refuse(`${text} of what? Type it like ${rules.example}.`);
  if (factor === undefined) {
    const known = Object.keys(units).filter(Boolean);
    return refuse(known.length > 0 ? `Only ${someOf(known)} can be read here.` : 'Type the number alone.');
  }
  const inOwn = (each: number) => (typeof factor === 'number' ? sign * each * factor : factor(sign * each));
  if (taken.values.length > 1) return askWhich(taken.values.map(inOwn), rules);
  return within(inOwn(value), rules);
}

/** A number that can be read in two ways is asked, never guessed. */
function askWhich(values: readonly number[], rules: AmountRules): ParsedAmount {
  const shown = values.map((value) => `${numeral(value, 3)} ${rules.unit}`.trim());
  const fits = (value: number) => within(value, rules).ok;
  return refuse(
    `Is that ${shown.join(' or ')}? Choose, or type it without the ${typedDecimal() === ',' ? 'point' : 'comma'}.`,
    values.flatMap((value, i) => (fits(value) ? [{ label: nth(shown, i), value }] : [])),
  );
}

/** An amount in kitchen measures. */
function readMeasured(text: string, sign: number, rules: AmountRules, measures: FieldMeasures): ParsedAmount {
  const read = readAmount(text, typedDecimal());
  if (!read || !Number.isFinite(read.amount)) return noNumber(rules);
  const { asks, others, millilitres } = read;
  const behind = read.rest.replace(/^[\s.,]+|[\s.,]+$/g, '');
  const [word = ''] = behind.split(/\s/);
  const piece = read.unit === undefined && word !== '' ? measures.piece?.(word) : undefined;
  const unit = read.unit ?? piece;
  const rest = piece === undefined ? behind : behind.slice(word.length).trim();
  if (/^[\d.,=+*/]/.test(rest)) return noNumber(rules);
  if (rest !== '' && !isTheThing(rest, measures.thing)) {
    const known = measures.names;
    return refuse(
      unit === undefined ? `Only ${someOf(known)} can be read here.` : `“${rest.slice(0, 30)}” is not this row.`,
    );
  }
  if (unit === undefined && (rules.unitNeeded || rest !== '')) {
    const proposals = rules.unitNeeded ? [] : [{ label: `${read.amount} ${rules.unit}`, value: read.amount }];
    return refuse(`${read.amount} of what? Type it like ${rules.example}.`, proposals);
  }
  const value = measures.valueOf({ amount: read.amount, unit, millilitres });
  if (value === undefined) return refuse(`Only ${someOf(measures.names)} can be read here.`);
  if (!asks) return within(sign * value, rules);
  const proposals = [{ amount: read.amount, unit }, ...others].flatMap((reading) => {
    const each = measures.valueOf({ ...reading, millilitres });
    return each !== undefined && within(each, rules).ok ? [{ label: measures.say(reading), value: each }] : [];
  });
  return refuse(asks, proposals);
}

/** Whether what stands behind an amount is the row's own ingredient: one of its words is enough. */
function isTheThing(rest: string, thing: string | undefined): boolean {
  if (thing === undefined) return false;
  const theirs = new Set(foldWords(thing).split(' '));
  return foldWords(rest.replace(/^of\s+/i, ''))
    .split(' ')
    .some((word) => theirs.has(word) || theirs.has(word.replace(/s$/, '')));
}

/** Letters that are read of a field: a number, its unit, a word behind it. */
const MAX_TYPED = 200;
const SCALED = /^(?:[x×*]\s*([\d.,/\s½⅓⅔¼¾⅛]+)|([\d.,/\s½⅓⅔¼¾⅛]+)\s*[x×])$/iu;

/**
 * Reads an amount as cooks type it: decimal comma or point, fractions, spaces, a unit behind; in fields that have them, kitchen measures in the
 * common languages. What can be understood in several ways is asked.
 *
 * @param typed what stands in the field
 * @param rules limits, unit and example of the field
 * @param now what the field holds, for “3x”
 * @example parseAmount('1 1/4 kg', GRAMS) // { ok: true, value: 1250 }
 */
export function parseAmount(typed: string, rules: AmountRules, now?: number): ParsedAmount {
  if (typed.length > MAX_TYPED) return refuse(`That is too long. Type a number, like ${rules.example}.`);
  const text = typed.trim().replace(/[^\S\r\n]+/g, ' ');
  if (text === '') return refuse(`Type a number, like ${rules.example}.`);
  if (/[\r\n]/.test(text)) return refuse('That was several lines. Paste one number.');
  const scaled = rules.scales && now !== undefined ? SCALED.exec(text) : null;
  if (scaled && now !== undefined) {
    const times = readNumber(scaled[1] ?? scaled[2] ?? '');
    return Number.isFinite(times) && times > 0 ? within(now * times, rules) : noNumber(rules);
  }
  if (/e[-+]?\d+$/i.test(text) && !rules.unitNeeded) {
    const value = readNumber(text);
    return Number.isFinite(value) ? within(value, rules) : noNumber(rules);
  }
  const sign = /^[-−]/.test(text) ? -1 : 1;
  const unsigned = text.replace(/^[-−+]\s*/, '');
  return rules.measures ? readMeasured(unsigned, sign, rules, rules.measures) : readPlain(unsigned, sign, rules);
}
