import { useMemo } from 'react';
import type { FilmFluid } from '@/core/film/mobility';
import { lineClosedAfter } from '@/core/film/scenes';
import { keysOf, recordOf } from '@/core/keys-of';
import { compositionVector } from '@/core/matter/components';
import type { Ingredient } from '@/formats/ingredient';
import { panLooksLike, portionFluids } from '@/kitchen/cook/seen-fluids';
import { celsius } from '@/ui/format';
import { AFTER_S, lineWords } from '@/ui/sauce/line-stills';
import { SauceStill } from '@/ui/sauce/sauce-still';
import type { StillOf } from '@/ui/sauce/stills';
import { SignPicture } from './sign-picture';
import type { useRescue } from './use-rescue';

const PORTION_PICTURES = [
  ['wanted', 'As planned'],
  ['now', 'Now'],
  ['after', 'After this portion'],
] as const;

/** A spoon's line through the pan as it was to be, as it is believed to be, and with the portion in it. */
export function PortionPictures({
  rescue,
  ingredient,
  grams,
}: {
  rescue: ReturnType<typeof useRescue>;
  ingredient: Ingredient;
  grams: number;
}) {
  const { pan, belief, goal } = rescue;
  const stills = useMemo(() => {
    const portion = { perGram: compositionVector(ingredient.components), grams };
    const [fluids, look] = [portionFluids(pan, belief, goal.band, portion), panLooksLike(pan)];
    const still = (fluid: FilmFluid): StillOf => ({ kind: 'line', fluid, look, seconds: AFTER_S });
    const says = (fluid: FilmFluid) => lineWords(lineClosedAfter(fluid, AFTER_S));
    return recordOf(keysOf(fluids), (which) => ({ of: still(fluids[which]), says: says(fluids[which]) }));
  }, [pan, belief, goal.band, ingredient, grams]);
  return (
    <figure className="mt-3 max-w-xl" data-testid="portion-pictures">
      <ul className="grid grid-cols-3 gap-2">
        {PORTION_PICTURES.map(([which, name]) => (
          <li key={which} className="text-center text-[15px] leading-tight">
            <SauceStill of={stills[which].of} name="" flat={<SignPicture of="plain" />} className="mb-1" />
            <strong className="block font-semibold">{name}</strong>
            <span className="text-mute">{stills[which].says}</span>
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 text-[13px] text-mute">
        A spoon’s line after three seconds, at {celsius(Math.round(goal.temperatureC))}.
      </figcaption>
    </figure>
  );
}
