import { useDeferredValue, useMemo, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { keyed, predictPan } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { useAutosave } from '@/kitchen/saving/use-autosave';
import type { Carried } from '@/kitchen/use-whole';
import { useCalibration } from '@/ui/pours/pours-provider';
import { useMeasures } from '@/ui/use-measure-system';
import { fileOf, withGrams } from './draft/formula-draft';
import { flowsOtherwise } from './draft/keep-flow';
import { useFormula } from './draft/use-formula';
import { useBenchKeys } from './keys/use-bench-keys';
import type { Compared } from './material/curve-view';
import type { MaterialView } from './material/material-card';
import { useDoubt } from './material/use-doubt';
import { triedMore } from './pan/more-of-row';
import type { OpenSheet } from './sheets/open-sheet';
import { useBenchLarder } from './use-bench-larder';
import { cupsOf } from './verdict/cups-of';
import { useBalancing } from './verdict/use-balancing';

/** A formula as the page opens it. */
export interface Opened {
  readonly revision: number;
  readonly baseId: string | null;
  readonly file: FormulaFile;
  readonly base: FormulaFile | undefined;
  /** the model moved its figures since a cook last saw them */
  readonly figuresMoved: boolean;
}

/** All that the bench knows and does: one formula, how it is saved, what is predicted of it, and what lies open. */
export function useBench(id: string, opened: Opened, carried: Carried<Ingredient>) {
  const shelf = useBenchLarder(carried);
  const { larder } = shelf;
  const calibration = useCalibration(id);
  const formula = useFormula(id, opened.file, larder, calibration, opened.base);
  const { draft, predicted } = formula;
  const file = useMemo(() => fileOf(draft), [draft]);
  const autosave = useAutosave(id, opened, file, formula.open);
  const [sheet, setSheet] = useState<OpenSheet | undefined>();
  const [rested, setRested] = useState(24);
  const [view, setView] = useState<MaterialView>('curve');
  const [household, setHousehold] = useState(false);
  const [openKey, setOpenKey] = useState<string | undefined>();
  const [compared, setCompared] = useState<readonly Compared[]>([]);
  const { system: measures, cups } = useMeasures();
  const doubt = useDoubt(predicted?.formula, rested);
  const balancing = useBalancing(formula, larder, (asked, pan) =>
    household && measures === 'cups' ? cupsOf(asked, pan, larder, cups) : undefined,
  );
  const current = useBenchKeys(formula, balancing, {
    free: sheet === undefined,
    save: () => void autosave.saveNow(),
    add: () => setSheet('add'),
    shortcuts: () => setSheet('shortcuts'),
    view,
    onView: setView,
  });
  // One object for all of the bench's life: the rows of the pan are drawn anew only when they change.
  const openers = useMemo(
    () => ({
      add: () => setSheet('add'),
      targets: () => setSheet('targets'),
      swap: (key: string | undefined) => setSheet({ swap: key }),
      blend: (key: string) => setSheet({ blend: key }),
    }),
    [],
  );
  /** what a little more of the open row would change */
  const more = useMemo(
    () => predicted && triedMore(predicted.formula, predicted.keys.indexOf(openKey ?? '')),
    [openKey, predicted],
  );
  return {
    ...{ openers, more },
    ...{ id, opened, shelf, formula, autosave, balancing, current, doubt },
    ...{ sheet, setSheet, rested, setRested, view, setView, household, setHousehold, openKey, setOpenKey },
    ...{ measures, cups, compared, setCompared },
    /** draws another formula's curve beside this one */
    compare: (name: string, other: FormulaFile) => {
      const prediction = predictPan(keyed(other), larder, calibration)?.prediction;
      if (prediction) setCompared([...compared.slice(-1), { name, prediction }]);
      setView('curve');
    },
    ...useProposed(formula, balancing, larder),
    ...useLater(formula, doubt, larder),
  };
}

/** What the pan would be like with the proposal that lies there. */
function useProposed(
  { draft, calibration }: ReturnType<typeof useFormula>,
  { proposal }: ReturnType<typeof useBalancing>,
  larder: ReturnType<typeof useBenchLarder>['larder'],
) {
  const proposedGrams = proposal && proposal.change > 0 ? proposal.grams : undefined;
  const proposed = useMemo(
    () =>
      proposedGrams &&
      predictPan({ ...draft, lines: withGrams(draft.lines, proposedGrams) }, larder, calibration)?.prediction,
    [proposedGrams, draft, larder, calibration],
  );
  return { proposedGrams, proposed };
}

/** What may come a frame after the curve, the puddles and the verdict: the measures. */
function useLater(
  { draft, predicted, reference, calibration }: ReturnType<typeof useFormula>,
  doubt: ReturnType<typeof useDoubt>,
  larder: ReturnType<typeof useBenchLarder>['larder'],
) {
  const later = useDeferredValue(predicted);
  const laterDraft = useDeferredValue(draft);
  const laterDoubt = useDeferredValue(doubt);
  const contents = useMemo(() => panContents(laterDraft, larder), [laterDraft, larder]);
  /** the pan flows otherwise than it did before these edits */
  const otherwise = useMemo(
    () => later !== undefined && flowsOtherwise(later, reference, larder, calibration),
    [later, reference, larder, calibration],
  );
  return { later, laterDraft, laterDoubt, contents, otherwise };
}

export type Bench = ReturnType<typeof useBench>;
