'use client';

import { CELSIUS_UNITS } from './field-units';
import { tabletSetting } from './tablet-setting';

export const KITCHEN_RULES = { least: 5, most: 45, unit: '°C', units: CELSIUS_UNITS, example: '22' };

/** How warm this kitchen is, °C. */
export const useKitchenTemperature = tabletSetting(
  'kitchen',
  (text) => {
    const value = Number(text);
    return value >= KITCHEN_RULES.least && value <= KITCHEN_RULES.most ? value : undefined;
  },
  22,
);
