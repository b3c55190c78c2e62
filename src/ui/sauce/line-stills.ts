import { lineClosedAfter } from '@/core/film/scenes';
import type { Process } from '@/core/matter/process';
import type { PanState } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import { DRAWN_APART } from '@/kitchen/cook/pan-thickness';
import { panSurface, thicker } from '@/kitchen/method/pan-fluid';
import type { StillOf } from './stills';

/** A spoon's line too thin, as it should be, too thick. */
export const LINES = ['bitThin', 'good', 'bitThick'] as const;
export type Line = (typeof LINES)[number];

/** A spoon's line drawn, and what it does in words. */
export interface LineStill {
  readonly still: StillOf;
  readonly says: string;
}

/** s after the spoon was drawn through it. */
export const AFTER_S = 3;

/** What a spoon's line does, for who does not see its picture. */
export const lineWords = (closed: number): string =>
  closed > 0.85 ? 'the line has closed' : closed > 0.25 ? 'the line is closing' : 'the line stays open';

/** The spoon's line through a pan as it should be, with too thin and too thick beside it. */
export function lineStills(pan: PanState, process: Process): Readonly<Record<Line, LineStill>> {
  const { fluid, shine } = panSurface(pan, process);
  const look = { colour: chocolateColour(prepareBatch(pan.liquid, process).mixture), shine };
  const at = (times: number): LineStill => ({
    still: { kind: 'line', fluid: thicker(fluid, times), look, seconds: AFTER_S },
    says: lineWords(lineClosedAfter(thicker(fluid, times), AFTER_S)),
  });
  return { bitThin: at(1 / DRAWN_APART), good: at(1), bitThick: at(DRAWN_APART) };
}
