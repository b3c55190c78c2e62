import type { FilmFluid } from '@/core/film/mobility';
import { recordOf } from '@/core/keys-of';
import type { ComponentVector } from '@/core/matter/components';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { panWith, type RescuePan } from '@/core/rescue/addition-curve';
import { type Band, type Belief, beliefMean, SEEN, type Seen, seenEdges } from '@/core/rescue/belief';
import { chocolateColour } from '@/core/shine/colour';
import { fluidOf, thicker } from '../method/pan-fluid';

/** How far out of its last edge what is far too thick or thin is drawn, ln (J). */
const FAR_OUT = 0.8;

/**
 * How a pan would flow if it were what each answer says: the pan itself, so much thicker or thinner.
 *
 * @param band it should lie in
 */
export function seenFluids(pan: RescuePan, band: Band): Readonly<Record<Seen, FilmFluid>> {
  const state = stateAt(prepareBatch(pan.components, pan.process), pan.temperatureC, pan.history);
  const now = Math.log(Math.max(pan.read(state), 1e-9));
  const [farThin, thin, thick, farThick] = seenEdges(band);
  const middles = [
    farThin - FAR_OUT,
    (farThin + thin) / 2,
    (thin + thick) / 2,
    (thick + farThick) / 2,
    farThick + FAR_OUT,
  ];
  const fluid = fluidOf(state);
  return recordOf(SEEN, (_, i) => thicker(fluid, Math.exp((middles[i] ?? now) - now)));
}

/** How a pan was to flow, as it is believed to flow now, and with so much of something in it. */
export function portionFluids(
  pan: RescuePan,
  belief: Belief,
  band: Band,
  portion: { readonly perGram: ComponentVector; readonly grams: number },
): Readonly<Record<'wanted' | 'now' | 'after', FilmFluid>> {
  const believed = ({ components, process, temperatureC, history }: RescuePan) =>
    thicker(fluidOf(stateAt(prepareBatch(components, process), temperatureC, history)), Math.exp(beliefMean(belief)));
  return {
    wanted: seenFluids(pan, band).right,
    now: believed(pan),
    after: believed(panWith(pan, portion.perGram, portion.grams)),
  };
}

/** How a pan is drawn, whatever it does. */
export function panLooksLike(pan: RescuePan) {
  const batch = prepareBatch(pan.components, pan.process);
  return { colour: chocolateColour(batch.mixture), shine: stateAt(batch, pan.temperatureC, pan.history).shine };
}
