import type { Brief } from '@/core/brief/brief';
import { planBrief } from '@/core/brief/plan';
import type { Gate } from '@/core/formula/gates';
import type { WayId } from '@/core/method/step';
import { findUse } from '@/core/uses/ready-gates';
import { type FormulaFile, type FormulaFileInput, readFormula } from '@/formats/formula-file';

type Line = FormulaFileInput['lines'][number];

/** A demo formula: a use with more gates where the mill wants them. */
export interface DemoFormula {
  readonly name: string;
  readonly use: string;
  readonly note: string;
  readonly lines: readonly Line[];
  readonly gates?: readonly Gate[];
  readonly process?: FormulaFileInput['process'];
  /** how the mill makes it */
  readonly way: WayId;
  readonly targetGrams: number;
  readonly bowlLossGrams: number;
  /** what it was asked to do: its gates and amount come from there */
  readonly brief?: Brief;
}

/** A row of a demo formula. */
export const line = (ingredient: string, grams: number, form?: string, more: Partial<Line> = {}): Line => ({
  ingredient,
  grams,
  form,
  ...more,
});

/** Moments, gates and amount of a demo formula: those of its brief, or of its use. */
function targetsOf(demo: DemoFormula): Pick<FormulaFileInput, 'moments' | 'gates' | 'yield' | 'brief'> {
  if (demo.brief) {
    const { targets, size } = planBrief(demo.brief);
    return {
      moments: [...targets.moments],
      gates: targets.gates.map(({ gate }) => gate),
      yield: { targetGrams: Math.round(size.finishedG - size.bowlG), bowlLossGrams: Math.round(size.bowlG) },
      brief: demo.brief,
    };
  }
  const use = findUse(demo.use);
  if (!use) throw new RangeError(`no use is called ${demo.use}`);
  return {
    moments: [...use.moments],
    gates: [...use.gates, ...(demo.gates ?? [])],
    yield: { targetGrams: demo.targetGrams, bowlLossGrams: demo.bowlLossGrams },
  };
}

/** A demo formula as a formula file. */
export function demoFile(demo: DemoFormula): FormulaFile {
  return readFormula({
    format: 'dark-pour/formula',
    version: 1,
    name: demo.name,
    use: demo.use,
    note: demo.note,
    lines: demo.lines,
    process: demo.process,
    method: { way: demo.way },
    ...targetsOf(demo),
  });
}
