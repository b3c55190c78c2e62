import { methodFaults } from '@/core/method/checks';
import { type FollowedStep, followMethod } from '@/core/method/follow-method';
import { timesOf } from '@/core/method/hands';
import type { JudgedMethod, Mend } from '@/core/method/mends/mend';
import { wordsOfStep } from '../words/fitting-words';

/** What a mend does, before it is taken. */
export interface MendPreview {
  readonly mend: Mend;
  /** names of steps that come, and of steps that go */
  readonly added: readonly string[];
  readonly removed: readonly string[];
  /** s it takes longer; below 0 where it takes less */
  readonly longerS: number;
  /** °C it ends at */
  readonly endC: number | undefined;
  /** faults that are left */
  readonly left: number;
}

/** Names that are in a list more often than in another. */
function surplus(names: readonly string[], others: readonly string[]): string[] {
  const rest = [...others];
  return names.filter((name) => {
    const at = rest.indexOf(name);
    if (at >= 0) rest.splice(at, 1);
    return at < 0;
  });
}

const namesOf = (followed: readonly FollowedStep[]) => followed.map((each) => wordsOfStep(each).name);

/** Follows a mend to tell what it does. */
export function previewMend(mend: Mend, { rows, method, kitchen, followed, pourC }: JudgedMethod): MendPreview {
  const steps = mend.kind === 'widerPan' ? method.steps : mend.steps;
  const there =
    mend.kind === 'widerPan' ? { ...kitchen, panM: mend.panM, bowlM: Math.max(mend.panM, kitchen.bowlM) } : kitchen;
  const after = followMethod(rows, { ...method, steps }, there);
  return {
    mend,
    added: surplus(namesOf(after), namesOf(followed)),
    removed: surplus(namesOf(followed), namesOf(after)),
    longerS: timesOf(after).seconds - timesOf(followed).seconds,
    endC: after.at(-1)?.end.temperatureC,
    left: methodFaults(rows, after, pourC).length,
  };
}
