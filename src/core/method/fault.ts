import type { HeatWord } from './step';

/** What is wrong with a method, as data: where, which row, and the numbers a cook's sentence is made of. */
export type MethodFault =
  | { readonly kind: 'overflows' | 'boilsOver'; readonly step: number }
  | { readonly kind: 'undissolved'; readonly step: number; readonly grams: number }
  | { readonly kind: 'unmelted'; readonly step: number; readonly grams: number; readonly togetherC: number | undefined }
  | { readonly kind: 'seizes'; readonly step: number; readonly neededG: number }
  | { readonly kind: 'chocolateTooHot'; readonly step: number; readonly temperatureC: number; readonly mostC: number }
  | { readonly kind: 'slurryThick'; readonly step: number; readonly perGram: number }
  | { readonly kind: 'slurryNotBoiling'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'floury'; readonly step: number; readonly cooked: number }
  | { readonly kind: 'butterTooWarm' | 'butterTooCold'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'gelatinDry'; readonly step: number; readonly perGram: number }
  | { readonly kind: 'gelatinCold' | 'gelatinHot'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'gelatinBoiled'; readonly step: number }
  | { readonly kind: 'mayCurdle'; readonly step: number; readonly ph: number; readonly temperatureC: number }
  | { readonly kind: 'cocoaLumps'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'spiritHot'; readonly step: number; readonly temperatureC: number; readonly lost: number }
  | { readonly kind: 'eggScrambles' | 'eggUncooked'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'culturedWarm' | 'condensedHot'; readonly step: number; readonly temperatureC: number }
  | {
      readonly kind: 'gelNotBoiled';
      readonly step: number;
      readonly gel: 'agar' | 'pectin';
      readonly temperatureC: number;
    }
  | { readonly kind: 'starchLumps' | 'whipWarm'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'nothingPoured'; readonly step: number }
  | { readonly kind: 'blenderTemperature'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'stirredWhileSetting'; readonly step: number; readonly temperatureC: number }
  | { readonly kind: 'belowPour'; readonly step: number; readonly temperatureC: number; readonly pourC: number }
  | { readonly kind: 'catches' | 'nearlyCatches'; readonly step: number }
  | { readonly kind: 'neverEnds'; readonly step: number; readonly temperatureC: number; readonly seconds: number }
  | { readonly kind: 'neverBoils'; readonly step: number; readonly temperatureC: number; readonly heat: HeatWord }
  | { readonly kind: 'boilsDry'; readonly step: number; readonly seconds: number }
  | { readonly kind: 'rowInNoStep'; readonly row: number; readonly grams: number }
  | { readonly kind: 'rowTooOften'; readonly row: number; readonly share: number };
