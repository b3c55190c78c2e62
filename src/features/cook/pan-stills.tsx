import { type ReactNode, useMemo } from 'react';
import { ribbonOf } from '@/core/flow/ribbon';
import { PLATE_TEST, spreadDiameter } from '@/core/flow/ring-spread';
import type { Process } from '@/core/matter/process';
import type { StepKind } from '@/core/method/step';
import type { PanState } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import { panSurface } from '@/kitchen/method/pan-fluid';
import { BOIL_WORDS, RIBBON_WORDS } from '@/kitchen/words/pan-sign-words';
import { celsius, millimetres } from '@/ui/format';
import { behaviour } from '@/ui/landmarks';
import { Puddle } from '@/ui/puddle';
import { SauceStill } from '@/ui/sauce/sauce-still';
import type { StillOf } from '@/ui/sauce/stills';
import { CheckPicture } from './check-picture';
import type { Cook } from './use-cook';
import { usePanAsRead } from './use-pan-as-read';

/** A sign of the pan as a picture, and in words. */
interface PanSign {
  readonly name: string;
  readonly of: StillOf;
  readonly says: string;
  readonly flat: ReactNode;
}

/** Steps after which the pan is one smooth sauce: it can be judged by its ribbon and by a drop. */
const SMOOTH_AFTER: readonly StepKind[] = ['stir', 'bursts', 'cookOut', 'butter', 'blend', 'strain', 'cool'];
/** A plate from the fridge, °C; a drop on it flows for so many s before the plate has cooled it (J). */
const COLD_PLATE = { temperatureC: 5, flowsS: 4 } as const;
/** s after a ribbon fell. */
const RIBBON_S = 1;

const isBoil = (kind: StepKind): kind is keyof typeof BOIL_WORDS => kind in BOIL_WORDS;

/** What a pan shows at the end of a step of a kind. */
function signsOf(kind: StepKind, pan: PanState, process: Process): readonly PanSign[] {
  const isSmooth = SMOOTH_AFTER.includes(kind);
  if (!isSmooth && !isBoil(kind)) return [];
  const warm = panSurface(pan, process);
  const { fluid, shine } = warm;
  const colour = chocolateColour(prepareBatch(pan.liquid, process).mixture);
  if (isBoil(kind)) {
    const look = { colour, shine, marks: { hasBubbles: true } };
    const of = { kind: 'level', fluid, look, seconds: 0 } as const;
    return [{ name: 'The boil', of, says: BOIL_WORDS[kind], flat: <CheckPicture check="grains" /> }];
  }
  const cold = panSurface(pan, process, COLD_PLATE.temperatureC);
  const wide = spreadDiameter(fluid, PLATE_TEST.volumeMl, COLD_PLATE.flowsS);
  const label = `It spreads to ${millimetres(Math.round(wide))}`;
  return [
    {
      name: 'Lift the spoon',
      of: { kind: 'ribbon', fluid, look: { colour, shine }, seconds: RIBBON_S },
      says: RIBBON_WORDS[ribbonOf(warm.resistancePa)],
      flat: <CheckPicture check="smooth" />,
    },
    {
      name: `A drop on a plate at ${celsius(COLD_PLATE.temperatureC)}`,
      of: { kind: 'drop', fluid, look: { colour, shine: cold.shine }, seconds: COLD_PLATE.flowsS },
      says: `Once cold it ${behaviour(cold.resistancePa)}.`,
      flat: <Puddle diameterMm={wide} colour={colour} shine={cold.shine} label={label} className="w-full" />,
    },
  ];
}

/** What this pan should show now: the boil, or the ribbon from a lifted spoon and a drop on a cold plate. */
export function PanStills({ cook, place }: { cook: Cook; place: number }) {
  const { end } = usePanAsRead(cook, place);
  const kind = cook.cooked.method.followed[place]?.step.kind;
  const { process } = cook.cooked.formula;
  const signs = useMemo(() => (end && kind ? signsOf(kind, end, process) : []), [end, kind, process]);
  if (signs.length === 0) return null;
  return (
    <ul className="mt-3 grid grid-cols-2 gap-3" data-testid="pan-stills">
      {signs.map(({ name, of, says, flat }) => (
        <li key={name} className="leading-tight">
          <SauceStill of={of} name="" flat={flat} className="mb-1" />
          <strong className="block font-semibold text-[15px]">{name}</strong>
          <span className="text-[15px] text-mute">{says}</span>
        </li>
      ))}
    </ul>
  );
}
