import { plateDiameter } from '@/core/flow/ring-spread';
import { massG } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import type { CookedBatch } from '../cook/cook-batch';
import type { PouredLook } from '../formula-summary';
import { panSurface } from '../method/pan-fluid';

/** What 20 ml of a batch should look like on a plate, as warm as its method leaves it; nothing where it leaves nothing in the pan. */
export function batchLook({ method, formula: { process } }: CookedBatch): PouredLook | undefined {
  const end = method.followed.at(-1)?.end;
  if (!end || !(massG(end) > 0)) return undefined;
  const { fluid, shine } = panSurface(end, process);
  return {
    colour: chocolateColour(prepareBatch(end.liquid, process).mixture),
    shine,
    fluid,
    plateDiameterMm: plateDiameter(fluid),
    pourC: end.temperatureC,
  };
}
