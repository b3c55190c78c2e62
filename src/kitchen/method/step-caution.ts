import type { FollowedStep } from '@/core/method/follow-method';
import { CAUTION_WORDS } from '../words/cautions';

/** Which caution belongs to a step: one plain line. */
export function stepCaution({ step }: FollowedStep): string | undefined {
  if (step.kind === 'spirit') return CAUTION_WORDS.spirit;
  if (step.where === 'jar') return CAUTION_WORDS.reheat;
  if (step.kind === 'bursts')
    return 'A still bowl can heat past the boil and rise when it is moved: short bursts, stir, wait.';
  if (step.kind === 'chill') return CAUTION_WORDS.coolDairy;
  if (step.kind === 'blend') return 'Never a closed jug with hot liquid: a stick, its head kept under.';
  return step.heat || step.kind === 'pourOver' || step.kind === 'strain' ? CAUTION_WORDS.hot : undefined;
}
