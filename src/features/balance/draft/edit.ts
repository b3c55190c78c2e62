import type { FileGate, FileMoment, FormulaFile } from '@/formats/formula-file';
import type { Stage } from '@/formats/stages';
import type { KeyedLine, KeyedPan } from '@/kitchen/known-pan';

/** A row of the pan with a key that stays while it is moved, so that undo, dragging and focus follow it. */
export type PanLine = KeyedLine;

/** The open formula. */
export type FormulaDraft = KeyedPan;

/** What a cook can do to the open formula. */
export type Edit =
  | { readonly type: 'grams'; readonly key: string; readonly grams: number }
  | {
      readonly type: 'limits';
      readonly key: string;
      readonly minGrams?: number | undefined;
      readonly maxGrams?: number | undefined;
    }
  | { readonly type: 'form'; readonly key: string; readonly form: string }
  | { readonly type: 'lock'; readonly key: string }
  | { readonly type: 'tie'; readonly key: string; readonly tie: string | undefined }
  | { readonly type: 'byVolume'; readonly key: string; readonly byVolume: boolean }
  | { readonly type: 'lines'; readonly lines: readonly PanLine[] }
  | { readonly type: 'add'; readonly line: PanLine }
  | { readonly type: 'remove'; readonly key: string }
  | { readonly type: 'move'; readonly key: string; readonly to: number }
  | { readonly type: 'scale'; readonly totalGrams: number }
  /** the pan and its brief for other numbers of pieces */
  | { readonly type: 'pieces'; readonly totalGrams: number; readonly counts: readonly number[] }
  | {
      readonly type: 'balanced';
      /** by row */
      readonly grams: ReadonlyMap<string, number>;
      /** rows that are measured with cups and spoons from now on */
      readonly byVolume?: ReadonlySet<string> | undefined;
    }
  | { readonly type: 'name'; readonly name: string }
  | { readonly type: 'stage'; readonly key: string; readonly stage: Stage | undefined }
  | { readonly type: 'gateEdge'; readonly gate: number; readonly edge: 'low' | 'high'; readonly value: number }
  | { readonly type: 'shiftGate'; readonly moment: string; readonly factor: number; readonly deltaC: number }
  /** grams by row, from the dot on the map */
  | { readonly type: 'mapped'; readonly grams: ReadonlyMap<string, number> }
  | { readonly type: 'loosen'; readonly things: readonly Loosening[] }
  | { readonly type: 'tags'; readonly tags: readonly string[] }
  | {
      readonly type: 'targets';
      readonly use: string | undefined;
      readonly moments: readonly FileMoment[];
      readonly gates: readonly FileGate[];
      readonly yield: FormulaFile['yield'];
    };

/** A lock, limit or gate to be let go. */
export type Loosening =
  | { readonly kind: 'lock' | 'least' | 'most'; readonly key: string }
  | { readonly kind: 'gate'; readonly gate: number };
