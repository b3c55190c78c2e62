/** Letters that are written with two or lose their dot when accents are taken off. */
const SPELLED: Readonly<Record<string, string>> = { ß: 'ss', ı: 'i', œ: 'oe', æ: 'ae', ø: 'o', ł: 'l' };

/** Vowel signs and marks of Indic scripts are letters, not accents. */
const LATIN_MARK = /(?<=[a-z])\p{M}+/gu;

/**
 * A phrase as it is compared: small letters, accents of Latin letters off, everything but letters and digits as one space.
 *
 * @example foldWords('Crème fraîche, 35 %') // 'creme fraiche 35'
 */
export function foldWords(text: string): string {
  return text
    .toLocaleLowerCase('en')
    .replace(/[ßıœæøł]/g, (letter) => SPELLED[letter] ?? letter)
    .normalize('NFD')
    .replace(LATIN_MARK, '')
    .normalize('NFC')
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, ' ')
    .trim();
}
