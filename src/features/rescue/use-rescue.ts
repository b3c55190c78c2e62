import { useMemo, useState } from 'react';
import type { RingRead } from '@/core/learn/ring-residual';
import type { Seen } from '@/core/rescue/belief';
import type { Sign } from '@/core/rescue/signs';
import { type Look, type PutIn, type RescueInput, type RescueStage, rescueNow } from '@/kitchen/cook/rescue';

function lastRing(looks: readonly Look[], putIn: number): RingRead | undefined {
  const last = looks.at(-1);
  return last && 'ring' in last && last.putIn === putIn ? last.ring : undefined;
}

/** A rescue in portions while it goes on. */
export function useRescue(input: RescueInput, sign: Sign, when: 'warm' | 'cold', temperatureC: number | undefined) {
  const [seenC] = useState(temperatureC);
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [putIn, setPutIn] = useState<readonly PutIn[]>([]);
  const [chosen, setChosen] = useState<string | undefined>();
  /** what the cook said of the pan between two looks: that it is at another warmth now, not to wait for that, or that it is right */
  const [said, setSaid] = useState<'brought' | 'notWaiting' | 'right' | undefined>();
  const state = useMemo(
    () => rescueNow(input, { sign, when, temperatureC: seenC, looks, putIn }),
    [input, sign, when, seenC, looks, putIn],
  );
  const ingredient = input.additives.find(({ id }) => id === (chosen ?? state.options[0]?.id));
  const look = (what: { readonly seen: Seen } | { readonly ring: RingRead }) => {
    const atC = said === 'brought' ? state.goal.temperatureC : temperatureC;
    setLooks([...looks, { ...what, putIn: putIn.length, temperatureC: atC }]);
    setSaid(undefined);
  };
  return {
    ...state,
    stage: saidStage(state.stage, said, state.chance),
    putIn,
    ingredient,
    next: ingredient && state.portionOf(ingredient),
    choose: setChosen,
    /** so much of it went in */
    put: (grams: number) => {
      if (!ingredient) return;
      setPutIn([...putIn, { ingredient, grams }]);
      setSaid(undefined);
    },
    /** how it looks now */
    look: (seen: Seen) => look({ seen }),
    /** a ring that was read as it is now */
    measure: (ring: RingRead) => look({ ring }),
    /** what the last ring said, while nothing has gone in since */
    ring: lastRing(looks, putIn.length),
    say: setSaid,
  };
}

/** The stage as the cook has it: what they say goes before what is believed. */
function saidStage(
  stage: RescueStage,
  said: 'brought' | 'notWaiting' | 'right' | undefined,
  chance: number,
): RescueStage {
  if (said === 'right') return { kind: 'done', chance };
  if (stage.kind !== 'bring' || said === undefined) return stage;
  return said === 'brought' ? { kind: 'look' } : { kind: 'add' };
}
