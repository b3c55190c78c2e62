'use client';

import { keysOf } from '@/core/keys-of';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { BRIEF_REACH } from '@/formats/brief';
import { choiceOf } from './choice-of';
import { tabletSetting } from './tablet-setting';

type Hob = keyof typeof HOB_EFFICIENCY;

/** W a microwave may have, m a kitchen may lie above the sea, and % of damp in its air. */
export const MICROWAVE_REACH = [200, 3000] as const;
export const ALTITUDE_REACH = [-400, 5000] as const;
export const DAMP_REACH = [5, 95] as const;

const within =
  ([least, most]: readonly [number, number]) =>
  (text: string) => {
    const value = Number(text);
    return value >= least && value <= most ? value : undefined;
  };

const usePanCm = tabletSetting('pan-cm', within(BRIEF_REACH.panCm), 20);
const usePowerW = tabletSetting('hob-w', within(BRIEF_REACH.powerW), 2000);
const useHob = tabletSetting<Hob>('hob', (text) => choiceOf(keysOf(HOB_EFFICIENCY), text), 'gas');
const useMicrowaveW = tabletSetting('microwave-w', within(MICROWAVE_REACH), 800);
const useAltitudeM = tabletSetting('altitude-m', within(ALTITUDE_REACH), 0);
const useDampPercent = tabletSetting('damp-percent', within(DAMP_REACH), 50);

/** The pan, hob, microwave and air this tablet stands beside, and how to say others. */
export function useStove() {
  const [panCm, setPanCm] = usePanCm();
  const [powerW, setPowerW] = usePowerW();
  const [hob, setHob] = useHob();
  const [microwaveW, setMicrowaveW] = useMicrowaveW();
  const [altitudeM, setAltitudeM] = useAltitudeM();
  const [dampPercent, setDampPercent] = useDampPercent();
  return {
    ...{ panCm, powerW, hob, microwaveW, altitudeM, dampPercent },
    ...{ setPanCm, setPowerW, setHob, setMicrowaveW, setAltitudeM, setDampPercent },
  };
}
