import { addTimes } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import { dissolvingRate } from './dissolving';
import type { LiquidReading } from './liquid-reading';
import { GONE_G, type Lump } from './lump';
import { heatCapacityOf, heatIntoPieces, latentHeat, meltHeat, meltingPoint } from './melting';

/** What lumps did in a step. */
export interface GivenWay {
  readonly lumps: readonly Lump[];
  /** J taken from the liquid: warming, melting, and warming what melted to the liquid's temperature */
  readonly heatJ: number;
}

/** J that a kilogram of a lump takes until it is part of a liquid at a temperature; negative where the lump is the warmer of the two. */
const joiningHeat = ({ kind, perGram, temperatureC }: Lump, liquidC: number) =>
  heatCapacityOf(perGram) * (liquidC - temperatureC) + (kind === 'piece' ? latentHeat(perGram) : 0);

/** g that a heat gives, all of it where it takes none. */
const gramsOf = (heatJ: number, perKg: number) => (perKg > 0 ? (1000 * heatJ) / perKg : Number.POSITIVE_INFINITY);

const NOTHING: GivenWay = { lumps: [], heatJ: 0 };

/**
 * Lets pieces melt and grains dissolve for a moment: what gives way joins the liquid.
 *
 * @param lumps what is still there
 * @param liquid g of each component; what joins is added in place
 * @param at the liquid's temperature and what it offers
 * @param spareJ J the liquid can give before it is down at a piece's melting point, by that point
 * @param seconds a second or less
 */
export function giveWay(
  lumps: readonly Lump[],
  liquid: ComponentVector,
  at: { readonly temperatureC: number; readonly stir: number; readonly reading: LiquidReading },
  spareJ: (meltsAtC: number) => number,
  seconds: number,
): GivenWay {
  if (lumps.length === 0) return NOTHING;
  const { temperatureC, stir, reading } = at;
  const water = { ...reading, waterG: reading.dissolvingWaterG, temperatureC, liquid };
  const left: Lump[] = [];
  let heatJ = 0;
  for (const lump of lumps) {
    const heat = joiningHeat(lump, temperatureC);
    let gone: number;
    if (lump.kind === 'grain') gone = seconds * dissolvingRate(lump, water, stir);
    else {
      const offered = seconds * heatIntoPieces(lump, temperatureC, reading, stir);
      const most = Math.max(spareJ(meltingPoint(lump.perGram)) - heatJ, 0);
      gone =
        offered > 0 ? Math.min(gramsOf(offered, meltHeat(lump.perGram, lump.temperatureC)), gramsOf(most, heat)) : 0;
    }
    gone = Math.min(gone, lump.grams);
    if (lump.grams - gone < GONE_G) gone = lump.grams;
    else left.push({ ...lump, grams: lump.grams - gone });
    if (gone <= 0) continue;
    addTimes(liquid, lump.perGram, gone);
    heatJ += (gone / 1000) * heat;
  }
  return { lumps: left, heatJ };
}
