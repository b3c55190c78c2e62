import { SLOW_STIR } from '../flow/casson';
import { flowDoubt, type ModelDoubt } from './doubt';
import type { Flow, State } from './state';

/** How far off the model is, in standard deviations of its parts. */
export interface ModelError {
  readonly warm: number;
  readonly gel: number;
  readonly cold: number;
  readonly waterActivity: number;
  readonly shine: number;
}

/** A flow as it would really be if the model were off by this much. */
export function offFlow(flow: Flow, doubt: ModelDoubt, error: ModelError) {
  const by = flowDoubt(flow, doubt);
  const plasticViscosityPaS = flow.plasticViscosityPaS * Math.exp(by.viscosityByWarm * error.warm);
  const yieldStressPa =
    flow.yieldStressPa *
    Math.exp(by.yieldByWarm * error.warm + by.yieldByGel * error.gel + by.yieldByCold * error.cold);
  const root = Math.sqrt(yieldStressPa) + Math.sqrt(SLOW_STIR * plasticViscosityPaS);
  return {
    plasticViscosityPaS,
    yieldStressPa,
    resistancePa: root * root,
    apparentViscosityPaS: (root * root) / SLOW_STIR,
  };
}

/** A state as it would really be if the model were off by this much. */
export function offState(state: State, doubt: ModelDoubt, error: ModelError): State {
  const odds = (state.shine / (100 - state.shine)) * Math.exp(doubt.shine * error.shine);
  return {
    ...state,
    flow: { ...state.flow, ...offFlow(state.flow, doubt, error) },
    waterActivity: Math.min(Math.max(state.waterActivity + doubt.waterActivity * error.waterActivity, 0), 1),
    shine: (100 * odds) / (1 + odds),
  };
}
