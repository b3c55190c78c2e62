import { nth } from '@/core/nth';
import type { Run } from '@/kitchen/label/statement';
import { LineBreaker } from './line-breaker';
import type { Measure } from './measure-text';

/** What is drawn on a label, mm from its upper left corner. */
export type Mark =
  | {
      readonly kind: 'text';
      readonly x: number;
      /** of the line the letters stand on */
      readonly y: number;
      readonly text: string;
      readonly letterMm: number;
      readonly widthMm: number;
      readonly isBold: boolean;
    }
  | { readonly kind: 'rule'; readonly x: number; readonly y: number; readonly widthMm: number }
  | { readonly kind: 'code'; readonly x: number; readonly y: number; readonly sideMm: number };

/** One label. */
export type Face = readonly Mark[];

/** A line of figures: its name, and a figure a column. */
export interface PanelRow {
  readonly name: string;
  readonly figures: readonly string[];
  readonly isInner: boolean;
}

/** What a label says, block by block, from the top. */
export type Block =
  | { readonly kind: 'runs'; readonly runs: readonly Run[] }
  | { readonly kind: 'panel'; readonly rows: readonly PanelRow[] };

/** A size of label with its letters, mm. */
export interface FaceSize {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly letterMm: number;
  readonly titleMm: number;
}

/** What is written does not fit on as many labels as anybody would stick on. */
export class TooMuchError extends Error {
  override readonly name = 'TooMuchError';
}

const MARGIN_MM = 2.5;
const LEADING = 1.25;
/** Between blocks, mm. */
const GAP_MM = 0.3;
/** A picture a telephone reads at arm's length, mm a side, and the white around it. */
const CODE_MM = 13;
const CODE_CLEAR_MM = 1.5;
/** Most labels one jar gets: front, back, and one more. */
const MOST_FACES = 3;
const MOST_TITLE_LINES = 3;
/** Part of the width that names of a panel take. */
const FIRST_COLUMN = 0.44;

/** Labels being written, one after the other, from the top. */
class Writer {
  readonly faces: Mark[][] = [];
  #y = 0;

  constructor(
    readonly title: string,
    readonly size: FaceSize,
    readonly hasCode: boolean,
    readonly measure: Measure,
  ) {
    this.#begin();
  }

  /** Left of the code, on the first label, lines are shorter. */
  #width(letterMm: number): number {
    const whole = this.size.widthMm - 2 * MARGIN_MM;
    const isBeside =
      this.hasCode && this.faces.length === 1 && this.#y + letterMm * 0.2 < MARGIN_MM + CODE_MM + CODE_CLEAR_MM;
    return isBeside ? whole - CODE_MM - CODE_CLEAR_MM : whole;
  }

  #text(text: string, x: number, letterMm: number, isBold: boolean): void {
    const inner = text.trim();
    if (inner === '') return;
    const lead = this.measure(text.slice(0, text.length - text.trimStart().length), letterMm, isBold);
    const widthMm = this.measure(inner, letterMm, isBold);
    nth(this.faces, this.faces.length - 1).push({
      kind: 'text',
      x: x + lead,
      y: this.#y,
      text: inner,
      letterMm,
      widthMm,
      isBold,
    });
  }

  #begin(): void {
    if (this.faces.length === MOST_FACES) {
      throw new TooMuchError(
        `This does not fit on ${MOST_FACES} labels of this size: choose a larger one, or leave the nutrition to another place.`,
      );
    }
    const face: Mark[] = [];
    this.faces.push(face);
    if (this.hasCode && this.faces.length === 1) {
      face.push({ kind: 'code', x: this.size.widthMm - MARGIN_MM - CODE_MM, y: MARGIN_MM, sideMm: CODE_MM });
    }
    this.#y = MARGIN_MM;
    const letterMm = this.#titleLetters();
    this.#lines([{ text: this.title, isBold: true }], letterMm, false);
    this.#y += GAP_MM;
  }

  /** The largest letters in which the title takes no more than three lines, never smaller than the text. */
  #titleLetters(): number {
    const { titleMm, letterMm } = this.size;
    const sizes = [titleMm, 0.8 * titleMm, 0.65 * titleMm, letterMm].filter((each) => each >= letterMm);
    const fits = (each: number) => {
      const lines = new LineBreaker([{ text: this.title, isBold: true }], each, this.measure);
      let count = 0;
      while (!lines.isDone && ++count <= MOST_TITLE_LINES) lines.next(this.#width(each));
      return lines.isDone;
    };
    return sizes.find(fits) ?? letterMm;
  }

  #room(heightMm: number): void {
    if (this.#y + heightMm > this.size.heightMm - MARGIN_MM) this.#begin();
  }

  #lines(runs: readonly Run[], letterMm: number, mayTurn: boolean): void {
    const breaker = new LineBreaker(runs, letterMm, this.measure);
    while (!breaker.isDone) {
      if (mayTurn) this.#room(LEADING * letterMm);
      const line = breaker.next(this.#width(letterMm));
      this.#y += letterMm;
      let x = MARGIN_MM;
      for (const { text, isBold } of line) {
        this.#text(text, x, letterMm, isBold);
        x += this.measure(text, letterMm, isBold);
      }
      this.#y += letterMm * (LEADING - 1);
    }
  }

  runs(runs: readonly Run[]): void {
    this.#lines(runs, this.size.letterMm, true);
    this.#y += GAP_MM;
  }

  /** A panel stands together where one label can hold it. */
  panel(rows: readonly PanelRow[]): void {
    const { letterMm } = this.size;
    const step = LEADING * letterMm;
    this.#room(Math.min(rows.length * step, this.size.heightMm - 2 * MARGIN_MM - 2 * this.size.titleMm));
    for (const { name, figures, isInner } of rows) {
      this.#room(step);
      const width = this.#width(letterMm);
      this.#y += letterMm;
      this.#text(name, MARGIN_MM + (isInner ? 1.5 : 0), letterMm, false);
      const column = (width * (1 - FIRST_COLUMN)) / Math.max(figures.length, 1);
      for (const [i, figure] of figures.entries()) {
        const right = MARGIN_MM + width * FIRST_COLUMN + (i + 1) * column;
        this.#text(figure, right - this.measure(figure, letterMm, false), letterMm, false);
      }
      this.#y += step - letterMm;
      nth(this.faces, this.faces.length - 1).push({ kind: 'rule', x: MARGIN_MM, y: this.#y - 0.1, widthMm: width });
    }
    this.#y += GAP_MM;
  }
}

/**
 * Lays what a label says out in real millimetres: the title on every label, the code at the upper right of the first.
 *
 * @returns one label, or two or three where one does not hold it
 * @throws {TooMuchError} not even three do
 */
export function layOut(
  title: string,
  blocks: readonly Block[],
  size: FaceSize,
  hasCode: boolean,
  measure: Measure,
): readonly Face[] {
  const writer = new Writer(title, size, hasCode, measure);
  for (const block of blocks) {
    if (block.kind === 'runs') writer.runs(block.runs);
    else writer.panel(block.rows);
  }
  return writer.faces;
}
