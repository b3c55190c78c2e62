import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { BriefPlan } from '@/core/brief/plan';
import type { FormulaFile } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import type { Start } from '@/kitchen/brief/brief-answers';
import { putOnDay } from '@/kitchen/client/days';
import { createFormula, saveOver } from '@/kitchen/client/formulas';
import { addVersion } from '@/kitchen/client/versions';
import { readPlan } from '@/kitchen/method/plan';
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

/** Puts a formula on the day its brief wants it; not twice for the same time. */
async function putOnItsDay(id: string, { wantedAt }: Brief, before: Brief | undefined): Promise<void> {
  if (wantedAt === undefined || wantedAt === before?.wantedAt) return;
  const plan = readPlan(wantedAt);
  try {
    if (plan) await putOnDay(plan.day, id, plan.start);
  } catch (error) {
    throw new Error(`It is kept, but not on the schedule: ${messageOf(error)} Press once more to open it.`);
  }
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
  /** kept already, but not yet on its day */
  const [keptId, setKeptId] = useState<string | undefined>();
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
        const id = keptId ?? (await keep(start, own));
        open.done();
        if (keptId === undefined) {
          setKeptId(id);
          await putOnItsDay(id, brief, of?.id === id ? of.file.brief : undefined);
        }
        router.push(`/formulas/${id}/balance`);
      } catch (error) {
        setFault(messageOf(error));
        setBusy(false);
      }
    },
  };
}
