import { rimMl } from '../../pan/fill';
import { methodFaults } from '../checks';
import type { MethodFault } from '../fault';
import { type FollowedStep, followMethod } from '../follow-method';
import type { MethodKitchen } from '../kitchen';
import type { MethodRows } from '../rows';
import type { Method, MethodStep } from '../step';
import { mendSteps } from './remedies';
import type { MendKind } from './remedy';

/** One press that mends a fault: other steps, or another pan. */
export type Mend =
  | { readonly kind: MendKind; readonly steps: readonly MethodStep[] }
  | { readonly kind: 'widerPan'; readonly panM: number };

/** A method that was followed in a kitchen, with what is wrong with it. */
export interface JudgedMethod {
  readonly rows: MethodRows;
  readonly method: Method;
  readonly kitchen: MethodKitchen;
  readonly followed: readonly FollowedStep[];
  readonly faults: readonly MethodFault[];
  /** °C it pours at */
  readonly pourC: number;
}

/** Pans a kitchen has, m across. */
const PANS_M = [0.16, 0.18, 0.2, 0.22, 0.24, 0.26, 0.28, 0.32, 0.36, 0.4, 0.45, 0.5];

/** Whether two faults are of one thing. */
const isSame = (a: MethodFault, b: MethodFault): boolean =>
  a.kind === b.kind && ('row' in a ? 'row' in b && a.row === b.row : true);

/** Whether what is left is better: this fault gone, and no more of others than there were. */
function isMended(fault: MethodFault, before: readonly MethodFault[], after: readonly MethodFault[]): boolean {
  const of = (faults: readonly MethodFault[]) => faults.filter((each) => isSame(each, fault)).length;
  return of(after) < of(before) && after.length < before.length;
}

function judge({ rows, pourC }: JudgedMethod, method: Method, kitchen: MethodKitchen): readonly MethodFault[] {
  return methodFaults(rows, followMethod(rows, method, kitchen), pourC);
}

/** The next wider pan that holds it, whether it boils or not. */
function widerPan(fault: MethodFault, judged: JudgedMethod): Mend | undefined {
  const { method, kitchen, faults } = judged;
  const wider = PANS_M.filter((panM) => rimMl({ diameterM: panM }) > rimMl({ diameterM: kitchen.panM }));
  const panM = wider.find((each) => {
    const bowlM = Math.max(each, kitchen.bowlM);
    return isMended(fault, faults, judge(judged, method, { ...kitchen, panM: each, bowlM }));
  });
  return panM === undefined ? undefined : { kind: 'widerPan', panM };
}

/**
 * What mends a fault by one press: the first of the usual remedies after which, the method followed anew, this fault is gone and no other came.
 *
 * @returns nothing where none of them helps
 */
export function mendOf(fault: MethodFault, judged: JudgedMethod): Mend | undefined {
  if (fault.kind === 'overflows' || fault.kind === 'boilsOver') return widerPan(fault, judged);
  const { method, kitchen, faults } = judged;
  for (const [kind, steps] of mendSteps(fault, judged)) {
    if (isMended(fault, faults, judge(judged, { ...method, steps }, kitchen))) return { kind, steps };
  }
  return undefined;
}
