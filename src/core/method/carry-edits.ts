import type { MethodStep, StepKind } from './step';

type Steps = readonly MethodStep[];

/** Fields of a step a cook changes, as far as they can go with it into another way. */
const OWN_FIELDS = ['heat', 'stir', 'tool', 'cover', 'leastSeconds', 'note'] as const;

/** The n-th step of a kind. */
function find(steps: Steps, kind: StepKind, n: number): MethodStep | undefined {
  return steps.filter((step) => step.kind === kind)[n];
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** What a cook changed in a step: its own fields and its end. */
function changesOf(own: MethodStep, edited: MethodStep): Partial<MethodStep> {
  const fields = OWN_FIELDS.filter((field) => !isSame(own[field], edited[field]));
  const changed: Partial<MethodStep> = Object.fromEntries(fields.map((field) => [field, edited[field]]));
  return isSame(own.end, edited.end) ? changed : { ...changed, end: edited.end };
}

/** Takes a change where the step can take it: an end of its own kind, a flame where there is one. */
function takeChange(step: MethodStep, { end, heat, ...rest }: Partial<MethodStep>): MethodStep {
  return {
    ...step,
    ...rest,
    ...(end && end.kind === step.end.kind ? { end } : {}),
    ...(heat && step.heat ? { heat } : {}),
  };
}

/**
 * Carries what a cook changed in the steps of one way over to another: to the step of the same kind, the first to the first, the second to the second.
 *
 * @param own the steps of the way that is left, as it proposes them
 * @param edited as the cook has them
 * @param next the steps of the way that is taken
 * @returns the steps of the way that is taken, and how many changes found no place
 */
export function carryEdits(
  own: Steps,
  edited: Steps,
  next: Steps,
): { readonly steps: readonly MethodStep[]; readonly carried: number; readonly dropped: number } {
  let steps = next;
  let carried = 0;
  let dropped = 0;
  const seen = new Map<StepKind, number>();
  for (const step of edited) {
    const n = seen.get(step.kind) ?? 0;
    seen.set(step.kind, n + 1);
    const before = find(own, step.kind, n);
    const change = before ? changesOf(before, step) : {};
    const isNew = before === undefined;
    if (!isNew && Object.keys(change).length === 0) continue;
    const there = isNew ? undefined : find(steps, step.kind, n);
    const taken = there && takeChange(there, change);
    if (!taken || isSame(taken, there)) {
      dropped += 1;
      continue;
    }
    steps = steps.map((each) => (each === there ? taken : each));
    carried += 1;
  }
  return { steps, carried, dropped };
}
