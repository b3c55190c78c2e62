'use client';

import { keysOf } from '@/core/keys-of';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { BRIEF_REACH } from '@/formats/brief';
import { choiceOf } from './choice-of';
import { tabletSetting } from './tablet-setting';

type Hob = keyof typeof HOB_EFFICIENCY;

/** W a microwave may have. */
export const MICROWAVE_REACH = [200, 3000] as const;

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

/** The pan, hob and microwave this tablet stands beside, and how to say another. */
export function useStove() {
  const [panCm, setPanCm] = usePanCm();
  const [powerW, setPowerW] = usePowerW();
  const [hob, setHob] = useHob();
  const [microwaveW, setMicrowaveW] = useMicrowaveW();
  return { panCm, powerW, hob, microwaveW, setPanCm, setPowerW, setHob, setMicrowaveW };
}
