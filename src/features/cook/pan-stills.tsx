import { useMemo } from 'react';
import { ribbonOf } from '@/core/flow/ribbon';
import { PLATE_TEST, spreadDiameter } from '@/core/flow/ring-spread';
import type { StepKind } from '@/core/method/step';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import { panSurface } from '@/kitchen/method/pan-fluid';
import { RIBBON_WORDS } from '@/kitchen/words/ribbon-words';
import { celsius, millimetres } from '@/ui/format';
import { behaviour } from '@/ui/landmarks';
import { Puddle } from '@/ui/puddle';
import { SauceStill } from '@/ui/sauce/sauce-still';
import { CheckPicture } from './check-picture';
import type { Cook } from './use-cook';
import { usePanAsRead } from './use-pan-as-read';

/** Steps after which the pan is one smooth sauce: it can be judged by its ribbon and by a drop. */
const SMOOTH_AFTER: readonly StepKind[] = ['stir', 'bursts', 'cookOut', 'butter', 'blend', 'strain', 'cool'];
/** A plate from the fridge, °C; a drop on it flows for so many s before the plate has cooled it (J). */
const COLD_PLATE = { temperatureC: 5, flowsS: 4 } as const;
/** s after a ribbon fell. */
const RIBBON_S = 1;

/** The ribbon from a lifted spoon, and a drop on a cold plate: as this pan should show them now. */
export function PanStills({ cook, place }: { cook: Cook; place: number }) {
  const { end } = usePanAsRead(cook, place);
  const kind = cook.cooked.method.followed[place]?.step.kind;
  const { process } = cook.cooked.formula;
  const isSmooth = kind !== undefined && SMOOTH_AFTER.includes(kind);
  const stills = useMemo(() => {
    if (!end || !isSmooth) return undefined;
    const [warm, cold] = [panSurface(end, process), panSurface(end, process, COLD_PLATE.temperatureC)];
    const colour = chocolateColour(prepareBatch(end.liquid, process).mixture);
    const ribbon = {
      kind: 'ribbon',
      fluid: warm.fluid,
      look: { colour, shine: warm.shine },
      seconds: RIBBON_S,
    } as const;
    const drop = {
      kind: 'drop',
      fluid: warm.fluid,
      look: { colour, shine: cold.shine },
      seconds: COLD_PLATE.flowsS,
    } as const;
    const wide = spreadDiameter(warm.fluid, PLATE_TEST.volumeMl, COLD_PLATE.flowsS);
    return [
      {
        name: 'Lift the spoon',
        of: ribbon,
        says: RIBBON_WORDS[ribbonOf(warm.resistancePa)],
        flat: <CheckPicture check="smooth" />,
      },
      {
        name: `A drop on a plate at ${celsius(COLD_PLATE.temperatureC)}`,
        of: drop,
        says: `Once cold it ${behaviour(cold.resistancePa)}.`,
        flat: (
          <Puddle
            diameterMm={wide}
            colour={colour}
            shine={cold.shine}
            label={`It spreads to ${millimetres(Math.round(wide))}`}
            className="w-full"
          />
        ),
      },
    ] as const;
  }, [end, process, isSmooth]);
  if (!stills) return null;
  return (
    <ul className="mt-3 grid grid-cols-2 gap-3" data-testid="pan-stills">
      {stills.map(({ name, of, says, flat }) => (
        <li key={name} className="leading-tight">
          <SauceStill of={of} name="" flat={flat} className="mb-1" />
          <strong className="block font-semibold text-[15px]">{name}</strong>
          <span className="text-[15px] text-mute">{says}</span>
        </li>
      ))}
    </ul>
  );
}
