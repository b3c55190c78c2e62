import type { HeatWord, StepEnd, StepPlace } from '@/core/method/step';
import type { GrainSize, PieceSize } from '@/core/pan/lump';

/** Where a step happens. */
export const PLACE_WORDS: Readonly<Record<StepPlace, string>> = {
  pan: 'In the pan',
  bowl: 'In the bowl',
  jar: 'From the jar',
  aside: 'Beside the pan',
};

/** On which heat, as households say it. */
export const HEAT_SENTENCES: Readonly<Record<HeatWord | 'none', string>> = {
  none: 'off the heat',
  low: 'on low heat',
  medium: 'on medium heat',
  high: 'on high heat',
  bath: 'over simmering water',
};

/** How it is stirred, by how much: 0 to 1. */
export const STIR_WORDS: readonly (readonly [stir: number, words: string])[] = [
  [0, 'left alone'],
  [0.2, 'stirred now and then'],
  [0.5, 'stirred'],
  [0.8, 'whisked hard'],
  [1, 'at full speed'],
];

/** When it is over; what is measured follows. */
export const END_WORDS: Readonly<Record<StepEnd['kind'], string>> = {
  boil: 'it boils',
  melted: 'nothing is left to melt',
  dissolved: 'no grain is left',
  temperature: 'it is at',
  cooled: 'it has come down to',
  seconds: 'it has had',
  lost: 'it has lost',
  cooked: 'its starch is cooked to',
  bursts: 'bursts have brought it to',
  stand: 'it has stood in the fridge for',
};

/** How small pieces and grains are. */
export const PIECE_WORDS: Readonly<Record<PieceSize, string>> = {
  grated: 'grated',
  choppedFine: 'chopped fine',
  callets: 'callets or small dice',
  choppedCoarse: 'chopped coarse',
  butterCubes: 'cubes',
  pieces: 'in pieces',
};

export const GRAIN_WORDS: Readonly<Record<GrainSize, string>> = {
  icing: 'icing',
  caster: 'caster',
  brown: 'brown',
  granulated: 'granulated',
  coarse: 'coarse',
};
