import type { Gate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import { usualHistory } from '../matter/process';

/** What each is called stands in the words. */
export type UseId =
  | 'coat_eclair'
  | 'mirror_glaze'
  | 'nappe_sauce'
  | 'pour_icecream'
  | 'pool_plate'
  | 'dip_stick'
  | 'spread_fill'
  | 'pipe_rosette'
  | 'roll_truffle'
  | 'cut_squares'
  | 'spoon_cold';

/** A job a sauce, ganache or glaze can have, with the moments to look at and the gates that make it fit. */
export interface Use {
  readonly id: UseId;
  readonly moments: readonly Moment[];
  readonly gates: readonly Gate[];
}

type Band = readonly [moment: 'pour' | 'bench' | 'fridge', quantity: Gate['quantity'], low: number, high: number];

const PAN_C = 60;

/** The usual four moments: hot in the pan, at the pour, set on the bench, out of the fridge. */
function fourMoments(pourC: number, benchC: number, fridgeC: number): Moment[] {
  return [
    { name: 'pan', role: 'pan', temperatureC: PAN_C, history: usualHistory(PAN_C) },
    { name: 'pour', role: 'pour', temperatureC: pourC, history: usualHistory(pourC) },
    { name: 'bench', role: 'bench', temperatureC: benchC, history: usualHistory(benchC) },
    { name: 'fridge', role: 'fridge', temperatureC: fridgeC, history: [[12, fridgeC]] },
  ];
}

function use(id: UseId, at: { pour: number; bench: number; fridge: number }, bands: readonly Band[]): Use {
  return {
    id,
    moments: fourMoments(at.pour, at.bench, at.fridge),
    gates: bands.map(([moment, quantity, low, high]) => ({ moment, quantity, low: low || undefined, high })),
  };
}

/**
 * The uses and their bands. They come from one-line physics, judgement in the kitchen figures: a coat that hangs on a side needs density x
 * g x thickness of yield stress, a rosette density x g x height / root 3, a slab that cuts 20-150 kPa, a poured film drains for the time
 * until it stops.
 */
export const USES: readonly Use[] = [
  use('coat_eclair', { pour: 32, bench: 18, fridge: 4 }, [
    ['pour', 'apparentViscosityPaS', 1.5, 7],
    ['pour', 'yieldStressPa', 4, 25],
    ['bench', 'yieldStressPa', 150, 20_000],
  ]),
  use('mirror_glaze', { pour: 33, bench: 20, fridge: 5 }, [
    ['pour', 'apparentViscosityPaS', 1, 4.5],
    ['pour', 'yieldStressPa', 0, 12],
    ['fridge', 'yieldStressPa', 100, 6_000],
  ]),
  use('nappe_sauce', { pour: 50, bench: 20, fridge: 4 }, [
    ['pour', 'apparentViscosityPaS', 0.1, 0.8],
    ['pour', 'yieldStressPa', 0.3, 8],
  ]),
  use('pour_icecream', { pour: 40, bench: 20, fridge: 4 }, [
    ['pour', 'apparentViscosityPaS', 0.3, 2],
    ['pour', 'yieldStressPa', 0, 15],
  ]),
  use('pool_plate', { pour: 40, bench: 20, fridge: 4 }, [
    ['pour', 'apparentViscosityPaS', 0.08, 0.6],
    ['pour', 'yieldStressPa', 0, 4],
  ]),
  use('dip_stick', { pour: 35, bench: 18, fridge: 4 }, [
    ['pour', 'apparentViscosityPaS', 1, 5],
    ['pour', 'yieldStressPa', 3, 25],
    ['bench', 'yieldStressPa', 300, 30_000],
  ]),
  use('spread_fill', { pour: 35, bench: 20, fridge: 4 }, [['bench', 'yieldStressPa', 100, 3_000]]),
  use('pipe_rosette', { pour: 35, bench: 20, fridge: 4 }, [['bench', 'yieldStressPa', 190, 3_000]]),
  use('roll_truffle', { pour: 35, bench: 18, fridge: 4 }, [['bench', 'yieldStressPa', 5_000, 40_000]]),
  use('cut_squares', { pour: 35, bench: 18, fridge: 4 }, [['bench', 'yieldStressPa', 20_000, 150_000]]),
  use('spoon_cold', { pour: 40, bench: 20, fridge: 5 }, [['fridge', 'yieldStressPa', 30, 5_000]]),
];

/** Finds a use by its id. */
export function findUse(id: string | undefined): Use | undefined {
  return USES.find((candidate) => candidate.id === id);
}
