import { partOf } from '@/core/matter/component-vector';
import type { FollowedStep } from '@/core/method/follow-method';
import { CAUTION_WORDS } from '../words/cautions';

/** Share of alcohol in 1 g from which an ingredient can light. */
const LIGHTS = 0.08;

/** Which caution belongs to a step: one plain line. */
export function stepCaution({ step, additions }: FollowedStep): string | undefined {
  // It follows the spirit, wherever it goes in.
  const isSpirited = additions.some(({ perGram }) => partOf(perGram, 'ethanol') >= LIGHTS);
  if (isSpirited || step.kind === 'spirit') return CAUTION_WORDS.spirit;
  if (step.where === 'jar') return CAUTION_WORDS.reheat;
  if (step.kind === 'bursts')
    return 'A still bowl can heat past the boil and rise when it is moved: short bursts, stir, wait.';
  if (step.kind === 'chill') return CAUTION_WORDS.coolDairy;
  if (step.kind === 'blend') return 'Never a closed jug with hot liquid: a stick, its head kept under.';
  return step.heat || step.kind === 'pourOver' || step.kind === 'strain' ? CAUTION_WORDS.hot : undefined;
}
