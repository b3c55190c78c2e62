import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { BriefPlan } from '@/core/brief/plan';
import type { FormulaFile } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import type { Start } from '@/kitchen/brief/brief-answers';
import { createFormula, saveOver } from '@/kitchen/client/formulas';
import { addVersion } from '@/kitchen/client/versions';
import { newFormula, targetsOf } from './brief-file';
import type { OpenBrief } from './use-brief';

/** The formula a brief belongs to, or is made from, as it was opened. */
export interface StoredOf {
  readonly id: string;
  readonly revision: number;
  readonly file: FormulaFile;
}

/** Whether opening puts other grams, or a brief's gates in place of what was set without one. */
export function replacesWhatStands(file: FormulaFile, scaled: Start | undefined): boolean {
  return scaled !== undefined || (file.brief === undefined && file.gates.length > 0);
}

/**
 * Takes a brief to the bench: into the formula it belongs to, or as a new one.
 *
 * @param of the formula the brief belongs to; nothing for a new one
 */
export function useOpenBench({ of, open, plan }: { of: StoredOf | undefined; open: OpenBrief; plan: BriefPlan }) {
  const router = useRouter();
  const [fault, setFault] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const { brief } = open;

  /** Keeps it and returns the id of the formula to open. */
  const keep = async (start: Start | 'asItIs' | undefined, own: FormulaFile | undefined): Promise<string> => {
    const scaled = start === 'asItIs' ? undefined : start;
    if (!of || (start !== 'asItIs' && start?.id !== of.id)) return createFormula(newFormula(brief, plan, scaled, own));
    if (replacesWhatStands(of.file, scaled)) await addVersion(of.id, 'Before the brief', '', of.file);
    const boils = scaled?.evaporationG ?? of.file.yield?.evaporationGrams ?? 0;
    const lines = scaled?.lines ?? of.file.lines;
    const size = scaled?.size ?? plan.size;
    await saveOver(of.id, of.revision, { ...of.file, ...targetsOf(brief, { ...plan, size }, boils), lines });
    return of.id;
  };

  return {
    busy,
    fault,
    /** @param start what to begin with; the formula's own grams, or an empty pan when left out */
    open: async (start: Start | 'asItIs' | undefined, own: FormulaFile | undefined) => {
      if (busy) return;
      setFault(undefined);
      setBusy(true);
      try {
        const id = await keep(start, own);
        open.done();
        router.push(`/formulas/${id}/balance`);
      } catch (error) {
        setFault(messageOf(error));
        setBusy(false);
      }
    },
  };
}
