import { useMemo, useState } from 'react';
import type { RingRead } from '@/core/learn/ring-residual';
import type { Seen } from '@/core/rescue/belief';
import type { Sign } from '@/core/rescue/signs';
import { type Look, type PutIn, type RescueInput, rescueNow } from '@/kitchen/cook/rescue';

function lastRing(looks: readonly Look[], putIn: number): RingRead | undefined {
  const last = looks.at(-1);
  return last && 'ring' in last && last.putIn === putIn ? last.ring : undefined;
}

/** A rescue in portions while it goes on. */
export function useRescue(input: RescueInput, sign: Sign, when: 'warm' | 'cold', temperatureC: number | undefined) {
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [putIn, setPutIn] = useState<readonly PutIn[]>([]);
  const [chosen, setChosen] = useState<string | undefined>();
  const state = useMemo(
    () => rescueNow(input, { sign, when, temperatureC, looks, putIn }),
    [input, sign, when, temperatureC, looks, putIn],
  );
  const ingredient = input.additives.find(({ id }) => id === (chosen ?? state.options[0]?.id));
  return {
    ...state,
    putIn,
    ingredient,
    next: ingredient && state.portionOf(ingredient),
    choose: setChosen,
    /** so much of it went in */
    put: (grams: number) => ingredient && setPutIn([...putIn, { ingredient, grams }]),
    /** how it looks now */
    look: (seen: Seen) => setLooks([...looks, { seen, putIn: putIn.length }]),
    /** a ring that was read as it is now */
    measure: (ring: RingRead) => setLooks([...looks, { ring, putIn: putIn.length }]),
    /** what the last ring said, while nothing has gone in since */
    ring: lastRing(looks, putIn.length),
  };
}
