import { useMemo } from 'react';
import type { PouredLook } from '@/kitchen/formula-summary';
import { millimetres } from '../format';
import { Puddle } from '../puddle';
import { SauceStill } from './sauce-still';

/** 20 ml of a formula on a plate, half a minute after its pour. */
export function PouredStill({ poured, className }: { poured: PouredLook; className?: string }) {
  const { colour, shine, fluid, plateDiameterMm } = poured;
  const still = useMemo(
    () => ({ kind: 'drop', fluid, seconds: 30, look: { colour, shine } }) as const,
    [colour, shine, fluid],
  );
  const label = `20 ml at the pour spreads to ${millimetres(Math.round(plateDiameterMm))}`;
  return (
    <SauceStill
      of={still}
      name={label}
      flat={<Puddle diameterMm={plateDiameterMm} colour={colour} shine={shine} label={label} className="w-full" />}
      {...(className === undefined ? {} : { className })}
    />
  );
}
