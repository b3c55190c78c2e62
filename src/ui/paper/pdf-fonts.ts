import path from 'node:path';
import { Font } from '@react-pdf/renderer';
import { type Font as FontFile, openSync } from 'fontkit';

/** Latin with all its marks, Greek, Cyrillic, fractions and signs; upright figures for the grams. */
export const SANS = 'DejaVu Sans';
export const MONO = 'DejaVu Sans Mono';

const file = (name: string) =>
  path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf', name);

let sans: FontFile | undefined;

/** Makes the fonts known, once. */
export function registerFonts(): void {
  if (sans) return;
  sans = openSync(file('DejaVuSans.ttf')) as FontFile;
  Font.register({
    family: SANS,
    fonts: [{ src: file('DejaVuSans.ttf') }, { src: file('DejaVuSans-Bold.ttf'), fontWeight: 'bold' }],
  });
  Font.register({ family: MONO, src: file('DejaVuSansMono-Bold.ttf') });
  // Words are not parted: a recipe's names are looked up by eye.
  Font.registerHyphenationCallback((word) => [word]);
}

/** Letters of a text that the fonts do not have, each once. */
export function missingLetters(text: string): string[] {
  registerFonts();
  const letters = new Set(text.replace(/[\s\u00a0\u202f]/gu, ''));
  return [...letters].filter((letter) => !sans?.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0));
}
