import { shownAs } from './shown-as';

const THIN_SPACE = '\u202f';

interface Writer {
  readonly write: (value: number) => string;
}

const writers = new Map<string, Writer>();

/** Intl's own way of writing for a locale; its groups are parted by a thin space, as on the labels of the house. */
function writerFor(locale: string, least: number, most: number): Writer {
  const key = `${locale} ${least} ${most}`;
  const known = writers.get(key);
  if (known) return known;
  const format = new Intl.NumberFormat(locale, {
    minimumFractionDigits: least,
    maximumFractionDigits: most,
    numberingSystem: 'latn',
    useGrouping: 'always' as unknown as boolean,
  });
  const group = format.formatToParts(1234567).find(({ type }) => type === 'group')?.value ?? ',';
  const made = {
    write: (value: number) =>
      format
        .format(value)
        .replaceAll(group, THIN_SPACE)
        .replace(/^-0(?![.,\d]*[1-9])/, '0'),
  };
  writers.set(key, made);
  return made;
}

/**
 * A number in the kitchen's way of writing: `1 250.5` or `1 250,5`.
 *
 * @param decimals most of them; needless zeros only with `least`
 */
export function numeral(value: number, decimals: number, least = 0): string {
  return writerFor(shownAs().numbers, least, decimals).write(value);
}

/** A number with exactly so many decimals. */
export const fixed = (value: number, decimals: number) => numeral(value, decimals, decimals);

/** The sign between whole and part in this kitchen. */
export function decimalSign(): string {
  return numeral(0.5, 1).charAt(1);
}

/** A plain number as a program writes it, for typing in this kitchen's way: without groups. */
export const forTyping = (plain: string) => plain.replace('.', decimalSign());
