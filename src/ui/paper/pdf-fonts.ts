import path from 'node:path';
import { Font } from '@react-pdf/renderer';
import { type Font as FontFile, openSync } from 'fontkit';

/** Latin with all its marks, Greek, Cyrillic, fractions and signs; upright figures for the grams. */
export const SANS = 'DejaVu Sans';
export const MONO = 'DejaVu Sans Mono';

const file = (name: string) =>
  path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf', name);

let sans: FontFile | undefined;
let bold: FontFile | undefined;

/** Makes the fonts known, once. */
export function registerFonts(): void {
  if (sans) return;
  sans = openSync(file('DejaVuSans.ttf')) as FontFile;
  bold = openSync(file('DejaVuSans-Bold.ttf')) as FontFile;
  Font.register({
    family: SANS,
    fonts: [{ src: file('DejaVuSans.ttf') }, { src: file('DejaVuSans-Bold.ttf'), fontWeight: 'bold' }],
  });
  Font.register({ family: MONO, src: file('DejaVuSansMono-Bold.ttf') });
  // Words are not parted: a recipe's names are looked up by eye.
  Font.registerHyphenationCallback((word) => [word]);
}

/** Width of a text in ems of its letters. */
export function measureWith(text: string, isBold: boolean): number {
  registerFonts();
  const font = isBold ? bold : sans;
  return font ? font.layout(text).advanceWidth / font.unitsPerEm : 0;
}

/** Letters of a text that the fonts do not have, each once. */
export function missingLetters(text: string): string[] {
  registerFonts();
  const letters = new Set(text.replace(/[\s\u00a0\u202f]/gu, ''));
  return [...letters].filter((letter) => !sans?.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0));
}
