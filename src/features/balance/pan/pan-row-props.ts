import type { Moment } from '@/core/formula/moments';
import type { CupSystem, MeasureSystem } from '@/core/matter/measures';
import type { MomentChange } from '@/core/predict/sensitivity';
import type { Ingredient } from '@/formats/ingredient';
import type { Edit, PanLine } from '../draft/edit';

/** What a row of the pan is drawn from. */
export interface PanRowProps {
  readonly line: PanLine;
  readonly name: string;
  /** the larder does not know this ingredient any more */
  readonly missing: boolean;
  /** its share, as the pan shows shares */
  readonly share: string;
  /** the keys act on this row */
  readonly current: boolean;
  readonly place: number;
  readonly count: number;
  /** grams before the last balance, when it changed them */
  readonly from: number | undefined;
  /** g a balance may give it */
  readonly least: number;
  readonly most: number;
  /** what the larder knows of it; nothing for an ingredient of the formula's own */
  readonly ingredient: Ingredient | undefined;
  /** what a little more of it would do at which moments, while its drawer is open */
  readonly more: { readonly moments: readonly Moment[]; readonly changes: readonly MomentChange[] } | undefined;
  readonly measures: MeasureSystem;
  readonly cups: CupSystem;
  readonly onSwap: (key: string) => void;
  readonly onBlend: (key: string) => void;
  readonly open: boolean;
  readonly onOpen: (key: string) => void;
  readonly edit: (edit: Edit) => void;
  readonly pause: () => void;
}
