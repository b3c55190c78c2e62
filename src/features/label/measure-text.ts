import { measureWith } from '@/ui/paper/pdf-fonts';

/** Width of a text, mm, in letters so many mm high. */
export type Measure = (text: string, letterMm: number, isBold: boolean) => number;

/** Measures with the letters the paper is written in. */
export const measureText: Measure = (text, letterMm, isBold) => letterMm * measureWith(text, isBold);
