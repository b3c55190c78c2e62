'use client';

import type { MeasureSystem } from '@/core/matter/measures';
import { tabletSetting } from './tablet-setting';

/** The choices, as a cook reads them. */
export const MEASURE_SYSTEMS: Record<MeasureSystem, string> = {
  grams: 'g',
  ounces: 'g + oz',
  cups: 'g + cups',
  usCups: 'g + US cups',
};

/** The measures this tablet shows beside grams, and how to choose others. */
export const useMeasureSystem = tabletSetting<MeasureSystem>(
  'measures',
  (text) => (Object.hasOwn(MEASURE_SYSTEMS, text) ? (text as MeasureSystem) : undefined),
  'grams',
);
