/** What a typed amount came to: a number, or why it cannot be read. */
export type ParsedAmount =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly message: string };

/** Limits and words of a field. */
export interface AmountRules {
  readonly least: number;
  readonly most: number;
  /** as shown, e.g. `g` */
  readonly unit: string;
  /** what units may be typed and what one of them is in the field's unit */
  readonly units?: Readonly<Record<string, number>>;
  /** a number alone says too little here */
  readonly unitNeeded?: boolean;
  /** a number such as this field wants, for messages */
  readonly example: string;
}

/** Grams in a pan. */
export const GRAMS: AmountRules = {
  least: 0,
  most: 100_000,
  unit: 'g',
  units: { g: 1, kg: 1000 },
  example: '12.5',
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const refuse = (message: string): ParsedAmount => ({ ok: false, message });

function isAmbiguousComma(text: string): boolean {
  return /^\d{1,3},\d{3}$/.test(text);
}

/** A few names as a list: `g and kg`, `g, kg, oz and others`. */
function someOf(names: readonly string[]): string {
  const shown = names.slice(0, 5);
  if (names.length > shown.length) return `${shown.join(', ')} and others`;
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}`;
}

/** Reads `1 1/4`, `1/2`, `12,5`, `1 250` as a number; `NaN` when it is none. */
function readNumber(text: string): number {
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) {
    const [, minus, whole, above, below] = fraction;
    const value = Number(whole ?? 0) + Number(above) / Number(below);
    return minus ? -value : value;
  }
  const plain = text.replace(/(\d)[\s\u00a0\u202f](?=\d{3}(\D|$))/g, '$1').replace(',', '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain) ? Number(plain) : Number.NaN;
}

/**
 * Reads an amount as cooks type it: decimal comma or point, fractions, spaces, a unit behind.
 *
 * @param typed what stands in the field
 * @param rules limits, unit and example of the field
 * @example parseAmount('1 1/4 kg', GRAMS) // { ok: true, value: 1250 }
 */
export function parseAmount(typed: string, rules: AmountRules): ParsedAmount {
  const text = typed.trim();
  if (text === '') return refuse(`Type a number, like ${rules.example}.`);
  if (/[\r\n]/.test(text)) return refuse('That was several lines. Paste one number.');
  const spelled = text.replace(/(\d)?([½⅓⅔¼¾⅛⅜⅝⅞])/g, (_, digit: string | undefined, sign: string) =>
    digit ? `${digit} ${VULGAR[sign]}` : (VULGAR[sign] ?? ''),
  );
  const [, number = '', unit = ''] = /^([-+\d.,/\s\u00a0\u202f]*(?:e[-+]?\d+)?)\s*(.*)$/i.exec(spelled) ?? [];
  if (isAmbiguousComma(number.trim())) {
    return refuse(
      `Is that ${number.trim().replace(',', '.')} or ${number.trim().replace(',', '')}? Type it without the comma.`,
    );
  }
  const value = readNumber(number.trim());
  if (!Number.isFinite(value)) return refuse(`That isn't a number. Type it like ${rules.example}.`);
  const units = rules.units ?? { [rules.unit]: 1 };
  if (unit === '' && rules.unitNeeded) return refuse(`${number.trim()} of what? Type it like ${rules.example}.`);
  const factor = unit === '' ? 1 : units[unit.toLowerCase()];
  if (factor === undefined) {
    const known = Object.keys(units).filter(Boolean);
    return refuse(known.length > 0 ? `Only ${someOf(known)} can be read here.` : 'Type the number alone.');
  }
  const amount = value * factor;
  const withUnit = (limit: number) => `${limit.toLocaleString('en').replaceAll(',', ' ')} ${rules.unit}`.trim();
  if (amount < rules.least) return refuse(`It can't be below ${withUnit(rules.least)}.`);
  if (amount > rules.most) return refuse(`It can't be more than ${withUnit(rules.most)}. Check the number.`);
  return { ok: true, value: amount };
}
