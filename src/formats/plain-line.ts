/** Zeros of scripts with digits of their own. */
const ZEROS = [0x0660, 0x06f0, 0x0966, 0xff10];
const DIGITS = new RegExp(
  `[${ZEROS.map((zero) => `\\u{${zero.toString(16)}}-\\u{${(zero + 9).toString(16)}}`).join('')}]`,
  'gu',
);

/** A digit of another script as one of ours. */
function digitOf(letter: string): string {
  const code = letter.codePointAt(0) ?? 0;
  const zero = ZEROS.find((each) => code >= each && code <= each + 9) ?? code;
  return String(code - zero);
}

/** A line as it was meant: without marks of lists and pages, pictures and letters nobody sees; its digits are ours. */
export function plainLine(line: string): string {
  return line
    .replace(/<[^<>]*>/g, ' ')
    .replace(/&nbsp;/gi, ' ')
    .replace(/\p{Extended_Pictographic}(?<![\d©®™#*])/gu, '')
    .replace(/[\p{Cf}\p{Variation_Selector}]/gu, '')
    .replace(DIGITS, digitOf)
    .trim()
    .replace(/^[-*•–]\s*/, '')
    .replace(/^\[[ xX]?\]\s*/, '');
}

/** The lines of a pasted text that say something, as they were meant. */
export const plainLines = (text: string): string[] =>
  text
    .split(/\r?\n/)
    .map(plainLine)
    .filter((line) => line !== '');
