import { useMemo } from 'react';
import { lookAlong } from '@/kitchen/method/pan-look';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { HEAT_SENTENCES } from '@/kitchen/words/step-words';
import { HeatKnob } from '@/ui/heat-knob';
import { PanPicture } from '@/ui/pan-picture';
import { useSecond } from '@/ui/use-second';
import { PanStills } from './pan-stills';
import type { Cook } from './use-cook';

/** ms between two pictures. */
const EVERY_MS = 2_000;
/** Pictures a step is drawn in on its way. */
const PICTURES = 20;

/** What the pan should look like now, and how far the heat is turned up. */
export function LookNow({ cook, place }: { cook: Cook; place: number }) {
  useSecond(EVERY_MS);
  const { cooked, state, log } = cook;
  const { followed } = cooked.method;
  const step = followed[place];
  const startedMs = state.steps[place]?.startedMs;
  // Before its clock runs a step is drawn as it is to end.
  const gone = step && startedMs !== undefined ? (log.now() - startedMs) / 1000 / Math.max(step.seconds, 1) : 1;
  const progress = Math.round(Math.min(gone, 1) * PICTURES) / PICTURES;
  const look = useMemo(() => lookAlong(followed, place, progress), [followed, place, progress]);
  if (!step || step.step.where === 'aside') return null;
  const { looks } = wordsOfStep(step);
  const heat = HEAT_SENTENCES[step.step.heat ?? 'none'];
  return (
    <section aria-label="How it should look" className="px-5 pt-4">
      <h2 className="text-[1.15rem]">How it should look {progress < 1 ? 'now' : 'at its end'}</h2>
      <div className="mt-2 flex items-center justify-center gap-6 rounded-xl border border-rule bg-bench px-4 py-3">
        <PanPicture look={look} name="The pan now" className="h-[170px] w-[200px]" />
        <figure className="text-center">
          <HeatKnob heat={step.step.heat} />
          <figcaption className="text-[15px]">{heat}</figcaption>
        </figure>
      </div>
      <p className="mt-2 text-[20px]">
        {progress < 1 && 'At its end: '}
        {looks}.
      </p>
      <PanStills cook={cook} place={place} />
    </section>
  );
}
