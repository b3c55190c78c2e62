import { noComponents } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { Lump } from './lump';
import type { Vessel } from './vessel';

/** A batch in a vessel at one moment: a liquid of one temperature, and lumps in it. Plain data: it can be kept, sent and continued. */
export interface PanState {
  readonly vessel: Vessel;
  /** s since the start */
  readonly seconds: number;
  /** °C of the liquid */
  readonly temperatureC: number;
  /** g of each component of the liquid */
  readonly liquid: ComponentVector;
  readonly lumps: readonly Lump[];
  /** share of the starch that is gelatinised, 0-1 */
  readonly cook: number;
  /** quality of the emulsion, 0-1 */
  readonly mix: number;
  /** 0 clean, 1 it has begun to catch at the base */
  readonly catching: number;
  /** g/m² of water lost by a surface that stood still */
  readonly skin: number;
  readonly lostWaterG: number;
  readonly lostEthanolG: number;
  /** the highest the liquid has been, °C */
  readonly hottestC: number;
}

/** Emulsion of what was only poured together (J). */
const CARELESS_MIX = 0.3;

/** What tools reach as an emulsion (J). */
export const TOOL_MIX = { careless: CARELESS_MIX, spatula: 0.5, whisk: 0.6, stickBlender: 0.9 } as const;

export type Tool = keyof typeof TOOL_MIX;

/** An empty vessel, as warm as the kitchen. */
export function emptyPan(vessel: Vessel): PanState {
  return {
    vessel,
    seconds: 0,
    temperatureC: vessel.kitchenC,
    liquid: noComponents(),
    lumps: [],
    cook: 0,
    mix: CARELESS_MIX,
    catching: 0,
    skin: 0,
    lostWaterG: 0,
    lostEthanolG: 0,
    hottestC: vessel.kitchenC,
  };
}

function sumOf(vector: ComponentVector): number {
  let sum = 0;
  for (let i = 0; i < vector.length; i++) sum += vector[i] ?? 0;
  return sum;
}

/** g of the liquid alone. */
export const liquidG = ({ liquid }: PanState) => sumOf(liquid);

/** g of all that is in it. */
export const massG = (pan: PanState) => pan.lumps.reduce((sum, { grams }) => sum + grams, liquidG(pan));

const leftOf = (kind: Lump['kind']) => (pan: PanState) =>
  pan.lumps.reduce((sum, lump) => sum + (lump.kind === kind ? lump.grams : 0), 0);

/** g that still have to melt, and to dissolve. */
export const unmeltedG = leftOf('piece');
export const undissolvedG = leftOf('grain');
