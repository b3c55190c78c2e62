import { LABEL_SIZES, type LabelSize } from '@/formats/label';
import type { Face } from './layout';

export const A4 = { widthMm: 210, heightMm: 297 } as const;

/** A label in its place on a sheet, mm from the upper left corner of the paper. */
export interface Placed {
  readonly face: Face;
  readonly xMm: number;
  readonly yMm: number;
}

/** So many labels, with all their faces one after the other, on as many sheets of A4 as they need, each sheet in the middle of the paper. */
export function sheets(size: LabelSize, faces: readonly Face[], count: number): readonly (readonly Placed[])[] {
  const { widthMm, heightMm, across, down } = LABEL_SIZES[size];
  const left = (A4.widthMm - across * widthMm) / 2;
  const top = (A4.heightMm - down * heightMm) / 2;
  const all = Array.from({ length: count }, () => faces).flat();
  const perSheet = across * down;
  return Array.from({ length: Math.ceil(all.length / perSheet) }, (_, sheet) =>
    all.slice(sheet * perSheet, (sheet + 1) * perSheet).map((face, i) => ({
      face,
      xMm: left + (i % across) * widthMm,
      yMm: top + Math.floor(i / across) * heightMm,
    })),
  );
}
