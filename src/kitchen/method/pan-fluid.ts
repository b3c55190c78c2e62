import type { FilmFluid } from '@/core/film/mobility';
import type { Process } from '@/core/matter/process';
import { usualHistory } from '@/core/matter/process';
import type { PanState } from '@/core/pan/pan';
import { prepareBatch, type State, stateAt } from '@/core/predict/state';

/** A state of a sauce as a film knows it. */
export const fluidOf = ({ flow }: Pick<State, 'flow'>): FilmFluid => ({
  yieldStressPa: flow.yieldStressPa,
  plasticViscosityPaS: flow.plasticViscosityPaS,
  densityKgM3: flow.phases.densityKgM3,
});

/** The same sauce so many times as thick. */
export const thicker = ({ yieldStressPa, plasticViscosityPaS, densityKgM3 }: FilmFluid, times: number): FilmFluid => ({
  yieldStressPa: yieldStressPa * times,
  plasticViscosityPaS: plasticViscosityPaS * times,
  densityKgM3,
});

/**
 * How what is in a pan flows, and how it shines.
 *
 * @param temperatureC °C; its own when left out
 */
export function panSurface(pan: PanState, process: Process, temperatureC = pan.temperatureC) {
  const batch = prepareBatch(pan.liquid, { ...process, cook: pan.cook, mix: pan.mix });
  const state = stateAt(batch, temperatureC, usualHistory(temperatureC));
  return { fluid: fluidOf(state), shine: state.shine, resistancePa: state.flow.resistancePa };
}
