import { nth } from '@/core/nth';
import { type LabelSize, LEAST_LETTER_MM } from '@/formats/label';
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
  | { readonly kind: 'panel'; readonly head?: readonly Run[]; readonly rows: readonly PanelRow[] };

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
const COLUMN_GAP_MM = 1;

/** Right edges of columns of figures, mm: even ones, or as their widest figures need where one would run into the next. */
function columnsOf(widthMm: number, widest: readonly number[]): readonly number[] {
  const even = (widthMm * (1 - FIRST_COLUMN)) / Math.max(widest.length, 1);
  if (widest.every((each) => each + COLUMN_GAP_MM <= even)) {
    return widest.map((_, i) => widthMm * FIRST_COLUMN + (i + 1) * even);
  }
  return widest.map((_, i) => widthMm - widest.slice(i + 1).reduce((sum, each) => sum + each + COLUMN_GAP_MM, 0));
}

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

  /** A sentence stands on one label where one can hold it. */
  runs(runs: readonly Run[]): void {
    const { heightMm, letterMm, titleMm } = this.size;
    const needs = this.#count(runs) * LEADING * letterMm;
    if (needs <= heightMm - 2 * MARGIN_MM - 2 * titleMm) this.#room(needs);
    this.#lines(runs, this.size.letterMm, true);
    this.#y += GAP_MM;
  }

  /** Lines that some words take from here. */
  #count(runs: readonly Run[]): number {
    const { letterMm } = this.size;
    const breaker = new LineBreaker(runs, letterMm, this.measure);
    let lines = 0;
    for (; !breaker.isDone; lines++) breaker.next(this.#width(letterMm));
    return lines;
  }

  /** A panel stands together under its head where one label can hold it. */
  panel(rows: readonly PanelRow[], head: readonly Run[] = []): void {
    const { letterMm } = this.size;
    const step = LEADING * letterMm;
    const headMm = head.length > 0 ? this.#count(head) * step + GAP_MM : 0;
    const needs = rows.length * step + headMm;
    const most = this.size.heightMm - 2 * MARGIN_MM - 2 * this.size.titleMm;
    // What no label holds goes on where there is room for its beginning.
    this.#room(needs <= most ? needs : headMm + 3 * step);
    if (head.length > 0) this.runs(head);
    const columns = Math.max(...rows.map(({ figures }) => figures.length), 0);
    const widest = Array.from({ length: columns }, (_, i) =>
      Math.max(...rows.map(({ figures }) => this.measure(figures[i] ?? '', letterMm, false))),
    );
    for (const { name, figures, isInner } of rows) {
      this.#room(step);
      const width = this.#width(letterMm);
      this.#y += letterMm;
      this.#text(name, MARGIN_MM + (isInner ? 1.5 : 0), letterMm, false);
      const rights = columnsOf(width, widest);
      for (const [i, figure] of figures.entries()) {
        const right = MARGIN_MM + (rights[i] ?? width);
        this.#text(figure, right - this.measure(figure, letterMm, false), letterMm, false);
      }
      this.#y += step - letterMm;
      nth(this.faces, this.faces.length - 1).push({ kind: 'rule', x: MARGIN_MM, y: this.#y - 0.1, widthMm: width });
    }
    this.#y += GAP_MM;
  }
}

/** Lays what a label says out in letters of one size. */
function layOutIn(title: string, blocks: readonly Block[], size: FaceSize, hasCode: boolean, measure: Measure) {
  const writer = new Writer(title, size, hasCode, measure);
  for (const block of blocks) {
    if (block.kind === 'runs') writer.runs(block.runs);
    else writer.panel(block.rows, block.head);
  }
  return writer.faces;
}

const STEP_MM = 0.1;

/**
 * Lays what a label says out in real millimetres: the title on every label, the code at the upper right of the first. The letters become smaller, down
 * to the least that is legal, where that takes fewer labels.
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
  const steps = Math.max(Math.round((size.letterMm - LEAST_LETTER_MM) / STEP_MM), 0);
  let best: readonly Face[] | undefined;
  let fault: unknown;
  for (let i = 0; i <= steps; i++) {
    try {
      const faces = layOutIn(title, blocks, { ...size, letterMm: size.letterMm - i * STEP_MM }, hasCode, measure);
      if (!best || faces.length < best.length) best = faces;
      if (best.length === 1) break;
    } catch (error) {
      if (!(error instanceof TooMuchError)) throw error;
      fault = error;
    }
  }
  if (!best) throw fault;
  return best;
}

/**
 * Lays a label out on the smallest of the sizes that holds all of it; where none does, on the one that takes fewest.
 *
 * @throws {TooMuchError} it fits on none
 */
export function layOutBest(
  ...[title, blocks, sizes, hasCode, measure]: readonly [
    string,
    readonly Block[],
    readonly (FaceSize & { readonly name: LabelSize })[],
    boolean,
    Measure,
  ]
): { readonly size: LabelSize; readonly faces: readonly Face[] } {
  const tried = sizes.flatMap((size) => {
    try {
      return [{ size: size.name, faces: layOut(title, blocks, size, hasCode, measure) }];
    } catch (error) {
      if (error instanceof TooMuchError) return [];
      throw error;
    }
  });
  const best = tried.reduce<(typeof tried)[number] | undefined>(
    (kept, each) => (kept && kept.faces.length <= each.faces.length ? kept : each),
    undefined,
  );
  if (!best) throw new TooMuchError('This fits on no label here: leave the nutrition to another place.');
  return best;
}
