import type { UseId } from '@/core/balance/uses';

/** What each use is called, as a cook says it. */
export const USE_NAMES: Readonly<Record<UseId, string>> = {
  coat_eclair: 'Coat éclairs',
  mirror_glaze: 'Glaze a cake over the side',
  nappe_sauce: 'Nap a dessert',
  pour_icecream: 'Pour over ice cream',
  pool_plate: 'Pool a plate',
  dip_stick: 'Dip and cling',
  spread_fill: 'Spread between layers',
  pipe_rosette: 'Pipe rosettes',
  roll_truffle: 'Roll truffles',
  cut_squares: 'Cut slabs',
  spoon_cold: 'Spoon from the jar',
};
