import { HOB_EFFICIENCY } from '../pan/heat-source';
import { USUAL_KITCHEN } from '../pan/vessel';
import { type FlowOffsets, NO_FLOW_OFFSETS } from '../predict/flow-parts';

/** What a method is worked with. */
export interface MethodKitchen {
  /** m across pan and bowl */
  readonly panM: number;
  readonly bowlM: number;
  /** W, and the share that reaches the pan */
  readonly powerW: number;
  readonly efficiency: number;
  readonly microwaveW: number;
  readonly kitchenC: number;
  readonly humidity: number;
  readonly altitudeM: number;
  /** °C things come from: the fridge; the rest is as warm as the kitchen */
  readonly fridgeC: number;
  /** ln, of what is made here: nothing for the standard figures */
  readonly offsets: FlowOffsets;
}

/** A small kitchen (J). */
export const USUAL_METHOD_KITCHEN: MethodKitchen = {
  ...USUAL_KITCHEN,
  panM: 0.2,
  bowlM: 0.22,
  powerW: 2000,
  efficiency: HOB_EFFICIENCY.gas,
  microwaveW: 800,
  fridgeC: 5,
  offsets: NO_FLOW_OFFSETS,
};
