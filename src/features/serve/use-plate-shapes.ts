import { useEffect, useState } from 'react';
import type { Outline } from '@/core/film/pick';
import { films } from '@/ui/sauce/films';
import type { PlateQuestion } from '@/workers/film.worker';

/**
 * What is drawn on a plate, as it lies in the end.
 *
 * @param before what is shown until it has been worked out
 */
export function usePlateShapes(question: PlateQuestion, before: readonly Outline[]): readonly Outline[] {
  const [drawn, setDrawn] = useState<{ readonly asked: string; readonly shapes: readonly Outline[] } | undefined>();
  const asked = JSON.stringify(question);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question is made anew each time; its text says whether it is another
  useEffect(() => {
    let here = true;
    films
      .ask((door) => door.plate(question))
      .then((shapes) => here && setDrawn({ asked, shapes }))
      .catch(() => {
        // It cannot be worked out here: what was laid stays in sight.
      });
    return () => {
      here = false;
    };
  }, [asked]);
  // By hand what was drawn before the last mark is nearer than nothing.
  if (drawn && (drawn.asked === asked || 'marks' in question)) return drawn.shapes;
  return before;
}
