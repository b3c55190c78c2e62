import { type KitchenSettings, USUAL_SETTINGS } from '@/formats/settings';

/** One kitchen a process, one a page: what writes a figure reads it here, wherever it runs. */
const held = globalThis as { darkPourSettings?: KitchenSettings };

/** How this kitchen writes what it measures. */
export function shownAs(): KitchenSettings {
  return held.darkPourSettings ?? USUAL_SETTINGS;
}

/** Sets how figures are written from now on; what is already drawn has to be drawn anew. */
export function showAs(settings: KitchenSettings): void {
  held.darkPourSettings = settings;
}
