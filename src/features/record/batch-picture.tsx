import { useMemo } from 'react';
import type { CookedBatch } from '@/kitchen/cook/cook-batch';
import { batchLook } from '@/kitchen/record/batch-look';
import type { StoryItem } from '@/kitchen/record/story';
import { celsius, millimetres } from '@/ui/format';
import { PouredStill } from '@/ui/sauce/poured-still';

/** How a batch should have looked on a plate, and beside it its latest photo. */
export function BatchPicture({ cooked, story }: { cooked: CookedBatch; story: readonly StoryItem[] }) {
  const look = useMemo(() => batchLook(cooked), [cooked]);
  const photo = story.findLast((item) => item.kind === 'photo');
  if (!look) return null;
  return (
    <section aria-label="How it should look" className="mb-5 grid grid-cols-2 gap-3 text-[13.5px] leading-tight">
      <figure>
        <PouredStill poured={look} className="mb-1" />
        <figcaption>
          <strong className="font-semibold">Calculated</strong>: 20 ml at {celsius(Math.round(look.pourC))} spreads to{' '}
          {millimetres(Math.round(look.plateDiameterMm))}.
        </figcaption>
      </figure>
      {photo && (
        <figure>
          {/* biome-ignore lint/performance/noImgElement: it comes from this server at the size it is kept */}
          <img
            src={`/api/photos/${photo.photo.hash}`}
            alt=""
            className="mb-1 aspect-[3/2] w-full rounded-lg object-cover"
          />
          <figcaption>
            <strong className="font-semibold">Your photo</strong>
            {photo.shows && `: ${photo.shows}`}
          </figcaption>
        </figure>
      )}
    </section>
  );
}
