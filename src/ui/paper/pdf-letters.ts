import { missingLetters } from './pdf-fonts';

/** What stands for a letter the fonts do not have: another one in its place would be misread. */
const NO_LETTER = '□';

/**
 * Texts as a PDF can write them: thin spaces as plain ones, so that lines break where they may, and letters its fonts do not have told.
 *
 * @param all everything that will stand in it
 */
export function pdfLetters(all: unknown) {
  const missing = new Set(missingLetters(JSON.stringify(all)));
  return {
    /** how many letters it cannot write */
    missing: missing.size,
    plain: (text: string) =>
      [...text.replace(/[\u202f\u00a0]/g, ' ')].map((letter) => (missing.has(letter) ? NO_LETTER : letter)).join(''),
  };
}
