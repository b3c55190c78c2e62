'use client';

import { usePours } from './pours-provider';

/** Says whose figures are shown, and shows the others; nothing while the kitchen has too few tests of its own. */
export function PoursSwitch() {
  const { canChoose, isKitchen, choose, knowledge } = usePours();
  if (!canChoose) return null;
  const option = (name: string, isThis: boolean, choice: 'book' | 'kitchen') => (
    <button
      type="button"
      aria-pressed={isThis}
      onClick={() => choose(choice)}
      className="min-h-9 px-2 aria-pressed:bg-enamel-wash aria-pressed:font-semibold aria-pressed:text-enamel"
    >
      {name}
    </button>
  );
  return (
    <fieldset
      aria-label="Whose figures"
      className="inline-flex items-center overflow-hidden rounded-lg border border-rule bg-sheet text-ink"
    >
      {option('book', !isKitchen, 'book')}
      {option(`this kitchen, ${knowledge.tests} tests`, isKitchen, 'kitchen')}
    </fieldset>
  );
}
