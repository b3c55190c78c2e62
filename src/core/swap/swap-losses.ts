import type { Mixture } from '../matter/mixture';
import type { Prediction } from '../predict/predict-formula';

/** Shares by which a flow and a sweetness may move before a cook notices (J). */
const NOTICED_FLOW = 0.1;
const NOTICED_SWEETNESS = 0.08;

/** Why a swap cannot keep a flow: what the stand-in brings, or does not. */
export type FlowReason = 'coconutFat' | 'lessCocoa' | 'moreCocoa' | 'lessFat' | 'moreFat' | 'lessWater' | 'moreWater';

/** What a swap could not keep. */
export interface SwapLosses {
  /** moments whose flow moved, with how many times as thick it is */
  readonly flows: readonly { readonly moment: string; readonly times: number }[];
  /** why, where that can be told */
  readonly reason: FlowReason | undefined;
  /** g of sucrose in 100 g before and after, where it moved by more than a tongue lets pass */
  readonly sweetness: readonly [before: number, after: number] | undefined;
}

/** Share of the fat that is lauric from which it softens the set (J). */
const COCONUT = 0.08;
/** ln by which a part must have moved to be named, and how much each moves a flow (sensitivity of an equal-weights ganache). */
const FELT = 0.06;
const PARTS: readonly {
  readonly of: (mixture: Mixture) => number;
  readonly weight: number;
  readonly less: FlowReason;
  readonly more: FlowReason;
}[] = [
  { of: ({ waterG, massG }) => waterG / massG, weight: 3.9, less: 'lessWater', more: 'moreWater' },
  { of: ({ cocoaSolidsG, massG }) => cocoaSolidsG / massG, weight: 2.3, less: 'lessCocoa', more: 'moreCocoa' },
  { of: ({ fatG, massG }) => fatG / massG, weight: 2, less: 'lessFat', more: 'moreFat' },
];

/** What most explains another flow. */
function reasonOf(before: Mixture, after: Mixture): FlowReason | undefined {
  const lauric = ({ lauricFatG, fatG }: Mixture) => lauricFatG / Math.max(fatG, 1e-9);
  if (lauric(after) > lauric(before) + COCONUT && after.cocoaButterG > 0) return 'coconutFat';
  const moved = PARTS.map(({ of, weight, less, more }) => {
    const ln = Math.log((of(after) + 1e-4) / (of(before) + 1e-4));
    return { pull: weight * ln, reason: ln < 0 ? less : more };
  });
  const most = moved.reduce((a, b) => (Math.abs(b.pull) > Math.abs(a.pull) ? b : a));
  return Math.abs(most.pull) > FELT ? most.reason : undefined;
}

/**
 * What a swap could not keep as it was, and why: the flow at each moment, and how sweet it is.
 *
 * @param before the pan as it was
 * @param after with the stand-ins, of the same moments
 */
export function swapLosses(before: Prediction, after: Prediction): SwapLosses {
  const flows = before.moments.flatMap(({ moment, state }, m) => {
    const now = after.moments[m]?.state.flow.resistancePa;
    if (now === undefined) return [];
    const times = now / state.flow.resistancePa;
    return Math.abs(Math.log(times)) > Math.log1p(NOTICED_FLOW) + 1e-6 ? [{ moment: moment.name, times }] : [];
  });
  const [was, is] = [before.taste.sweetness, after.taste.sweetness];
  const isNoticed = Math.abs(is - was) > NOTICED_SWEETNESS * was && Math.abs(is - was) > 0.5;
  return {
    flows,
    reason: flows.length > 0 ? reasonOf(before.batch.mixture, after.batch.mixture) : undefined,
    sweetness: isNoticed ? [was, is] : undefined,
  };
}
