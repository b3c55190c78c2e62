import type { MomentRole } from '@/core/formula/moments';
import { capital } from '@/formats/capital';
import { lookUp } from '@/formats/look-up';

/** How a moment is said: over its figures, and inside a sentence. */
interface MomentWords {
  readonly title: string;
  readonly phrase: string;
}

/** Every role; a moment that is called like one is said so. */
const MOMENT_WORDS: Readonly<Record<MomentRole, MomentWords>> = {
  pan: { title: 'In the pan', phrase: 'in the pan' },
  pour: { title: 'At the pour', phrase: 'at the pour' },
  bench: { title: 'On the bench', phrase: 'on the bench' },
  fridge: { title: 'From the fridge', phrase: 'from the fridge' },
  eat: { title: 'Eaten', phrase: 'eaten' },
};

/** A moment's name as a title; a name of the cook's own as it is, with a capital. */
export function momentTitle(name: string): string {
  return lookUp(MOMENT_WORDS, name)?.title ?? capital(name);
}

/** A moment's name inside a sentence; a name of the cook's own as it is. */
export function momentPhrase(name: string): string {
  return lookUp(MOMENT_WORDS, name)?.phrase ?? name;
}
