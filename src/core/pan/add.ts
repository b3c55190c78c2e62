import { addTimes, noComponents, partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { Lump } from './lump';
import { heatCapacityOf } from './melting';
import { liquidG, type PanState } from './pan';

/** Something that goes in. */
export interface Addition {
  /** names it in checks */
  readonly key: string;
  /** g per g */
  readonly perGram: ComponentVector;
  /** g, above 0 */
  readonly grams: number;
  readonly temperatureC: number;
  /** pieces that melt, grains that dissolve, or part of the liquid at once */
  readonly as: Lump['kind'] | 'liquid';
  /** m, of pieces and grains */
  readonly radiusM?: number | undefined;
}

/** Without a liquid the lumps' own warmth is the pan's. */
function dryTemperature(pan: PanState, lump: Lump): Pick<PanState, 'temperatureC' | 'hottestC'> {
  let capacity = lump.grams * heatCapacityOf(lump.perGram);
  let heat = capacity * lump.temperatureC;
  for (const { perGram, grams } of pan.lumps) {
    const own = grams * heatCapacityOf(perGram);
    capacity += own;
    heat += own * pan.temperatureC;
  }
  const temperatureC = heat / capacity;
  return { temperatureC, hottestC: temperatureC };
}

/** What 1 g of a liquid is made of. */
export function perGramOf(grams: ComponentVector): ComponentVector {
  const mass = grams.reduce((sum, part) => sum + part, 0);
  return mass > 0 ? addTimes(noComponents(), grams, 1 / mass) : noComponents();
}

/**
 * Puts something in. A liquid mixes at once, by its heat; starch that comes later is still raw.
 *
 * @returns the pan with it
 * @throws {RangeError} no grams, or lumps without a radius
 */
export function add(pan: PanState, addition: Addition): PanState {
  const { key, perGram, grams, temperatureC, as, radiusM = 0 } = addition;
  if (!(grams > 0)) throw new RangeError(`${key}: nothing to add`);
  if (as !== 'liquid') {
    if (!(radiusM > 0)) throw new RangeError(`${key}: lumps need a radius`);
    const lump: Lump = { kind: as, key, perGram, startG: grams, grams, radiusM, temperatureC };
    const lumps = [...pan.lumps, lump];
    return liquidG(pan) > 0 ? { ...pan, lumps } : { ...pan, lumps, ...dryTemperature(pan, lump) };
  }
  const was = liquidG(pan);
  const heat = was * heatCapacityOf(perGramOf(pan.liquid));
  const added = grams * heatCapacityOf(perGram);
  const mixedC = was > 0 ? (heat * pan.temperatureC + added * temperatureC) / (heat + added) : temperatureC;
  const starch = partOf(pan.liquid, 'starch');
  const more = grams * partOf(perGram, 'starch');
  return {
    ...pan,
    liquid: addTimes(pan.liquid.slice(), perGram, grams),
    temperatureC: mixedC,
    hottestC: was > 0 ? Math.max(pan.hottestC, mixedC) : mixedC,
    cook: more > 0 ? (pan.cook * starch) / (starch + more) : pan.cook,
  };
}
