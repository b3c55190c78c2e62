import { expose } from 'comlink';
import type { MixingLine } from '@/core/matter/mixing';
import { methodFaults } from '@/core/method/checks';
import type { MethodFault } from '@/core/method/fault';
import { followMethod } from '@/core/method/follow-method';
import type { MethodKitchen } from '@/core/method/kitchen';
import { mendOf } from '@/core/method/mends/mend';
import { methodRows, type RowHint } from '@/core/method/rows';
import type { Method } from '@/core/method/step';
import { type MendPreview, previewMend } from '@/kitchen/method/mend-preview';

/** A method that something is wrong with, as it is sent here. */
export interface MendQuestion {
  readonly lines: readonly MixingLine[];
  readonly hints: readonly RowHint[];
  readonly method: Method;
  readonly kitchen: MethodKitchen;
  readonly pourC: number;
}

const door = {
  /** What mends some of its faults, and what that does: one answer each, nothing where nothing helps. */
  async mends(question: MendQuestion, faults: readonly MethodFault[]): Promise<readonly (MendPreview | undefined)[]> {
    const { lines, hints, method, kitchen, pourC } = question;
    const rows = methodRows(lines, hints);
    const followed = followMethod(rows, method, kitchen);
    const judged = { rows, method, kitchen, pourC, followed, faults: methodFaults(rows, followed, pourC) };
    return faults.map((fault) => {
      const mend = mendOf(fault, judged);
      return mend && previewMend(mend, judged);
    });
  },
};

export type MendDoor = typeof door;

expose(door);
