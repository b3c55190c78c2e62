import type { Run } from '@/kitchen/label/statement';
import type { Measure } from './measure-text';

/** A word, which may change its weight within: `(soya)`. */
type Word = readonly Run[];

/** Words of runs, each with the blank after it; what no blank parts stays together, whatever its weight. */
function wordsOf(runs: readonly Run[]): Word[] {
  const found: Run[][] = [[]];
  for (const { text, isBold } of runs) {
    for (const piece of text.match(/\S+|\s+/gu) ?? []) {
      nthWord(found).push({ text: piece, isBold });
      if (piece.trim() === '') found.push([]);
    }
  }
  return found.filter((word) => word.length > 0);
}

const nthWord = (words: Run[][]): Run[] => {
  const last = words.at(-1);
  if (last) return last;
  const fresh: Run[] = [];
  words.push(fresh);
  return fresh;
};

/** Breaks runs into lines, each as wide as it may be when it is asked for. */
export class LineBreaker {
  readonly #words: Word[];

  constructor(
    runs: readonly Run[],
    readonly letterMm: number,
    readonly measure: Measure,
  ) {
    this.#words = wordsOf(runs);
  }

  get isDone(): boolean {
    return this.#words.length === 0;
  }

  #width(word: Word): number {
    return word.reduce((sum, { text, isBold }) => sum + this.measure(text, this.letterMm, isBold), 0);
  }

  /** The part of a word that fits a line alone; the rest waits. */
  #cut(word: Word, widthMm: number): Word {
    const letters = word.flatMap(({ text, isBold }) => [...text].map((letter) => ({ text: letter, isBold })));
    let filled = 0;
    const fits = letters.findIndex((letter) => {
      filled += this.#width([letter]);
      return filled > widthMm;
    });
    const at = fits < 0 ? letters.length : Math.max(fits, 1);
    this.#words.unshift(letters.slice(at));
    return letters.slice(0, at);
  }

  /** The next line; neighbours of one weight are one piece. */
  next(widthMm: number): Run[] {
    const line: Run[] = [];
    let filled = 0;
    while (this.#words.length > 0) {
      const word = this.#words[0] ?? [];
      const shown = this.#width(word.filter(({ text }) => text.trim() !== ''));
      if (filled + shown > widthMm && filled > 0) break;
      this.#words.shift();
      const taken = shown > widthMm ? this.#cut(word, widthMm) : word;
      for (const run of taken) {
        const last = line.at(-1);
        if (last?.isBold === run.isBold) line[line.length - 1] = { ...run, text: last.text + run.text };
        else line.push(run);
      }
      filled += this.#width(taken);
      if (shown > widthMm) break;
    }
    return line;
  }
}
