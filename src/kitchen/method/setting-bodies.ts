import { massG, type PanState } from '@/core/pan/pan';
import { type SettingTime, settingTime } from '@/core/pan/setting-time';
import { bowlOf } from '@/core/pan/settle';
import { type Body, COOLING_PLACES } from '@/core/set/cooling';
import type { WorkedMethod } from './work-method';

/** What a batch is put into to set. */
export const SETTING_BODIES = ['tray', 'bowl', 'jar', 'piped'] as const;
export type SettingBody = (typeof SETTING_BODIES)[number];

const FRIDGE_C = 4;
/** A tray of 1.5 cm on a rack, a jar of 7 cm, a rosette of 3 cm: how far heat has to travel, m. */
const TRAY_M = 0.0075;
const JAR_M = 0.035;
const ROSETTE_M = 0.015;

function bodyOf(which: SettingBody, pan: PanState): Body {
  if (which === 'tray') return { shape: 'slab', lengthM: TRAY_M };
  if (which === 'jar') return { shape: 'cylinder', lengthM: JAR_M };
  if (which === 'piped') return { shape: 'sphere', lengthM: ROSETTE_M };
  return bowlOf(pan);
}

/** How long a finished batch takes to set in the fridge of its kitchen, by what it is put into. */
export function settingTimes({
  followed,
  kitchen,
}: Pick<WorkedMethod, 'followed' | 'kitchen'>): readonly (SettingTime & { readonly which: SettingBody })[] {
  const end = followed.at(-1)?.end;
  if (!end || !(massG(end) > 0)) return [];
  return SETTING_BODIES.map((which) => {
    const fridge = { surface: COOLING_PLACES.fridge, aroundC: FRIDGE_C };
    return { which, ...settingTime(end, bodyOf(which, end), fridge, kitchen.offsets) };
  });
}
