/** What a cook sees is wrong. */
export const SIGNS = [
  'farTooThick',
  'aBitThick',
  'aBitThin',
  'farTooThin',
  'seized',
  'oily',
  'lumps',
  'sandy',
  'floury',
  'gluey',
  'chalky',
  'skin',
  'catching',
  'dull',
  'tooSweet',
  'tooBitter',
  'softAfterNight',
  'hardAfterNight',
  'noWhip',
  'weeping',
] as const;

export type Sign = (typeof SIGNS)[number];

/** One thing to do with a pan that is not mended by grams alone. */
export type RescueStep =
  | { readonly do: 'whiskIn'; readonly grams: number; readonly temperatureC: number }
  | { readonly do: 'addAtOnce'; readonly grams: number; readonly temperatureC: number }
  | { readonly do: 'warm' | 'cool'; readonly temperatureC: number }
  | { readonly do: 'boil'; readonly minutes: number }
  | { readonly do: 'chill'; readonly hours: number }
  | { readonly do: 'blend' | 'sieve' | 'wait' | 'pourOff' | 'taste' | 'stirCool' | 'eatSoon' };

/** How a sign is met. */
export type RescuePlan =
  /** in portions of something, by what is seen or measured after each; warm, or as it was after the night */
  | { readonly kind: 'portions'; readonly when: 'warm' | 'cold'; readonly isForGood: boolean }
  /** grams of something that change the taste; the flow is to be looked at afterwards */
  | { readonly kind: 'taste'; readonly wants: 'lessSweet' | 'lessBitter' }
  | { readonly kind: 'steps'; readonly steps: readonly RescueStep[]; readonly isForGood: boolean };

/** Shares of the pan and temperatures of the usual remedies (J). */
const CREAM_SHARE = 0.03;
const FROM_CENTRE_C = 35;
const LUMPS_C = 45;
const GRAINS_C = 60;
const DULL_C = 45;
const POUR_C = 32;
const BOIL_MIN = 1.5;
const WHIP_H = 12;

/** What a plan needs to know of a pan. */
export interface PanFacts {
  readonly massG: number;
  /** g of liquid that bring it past the window in which it is seized */
  readonly seizedNeedsG: number | undefined;
}

/** Remedies that are a few things to do, and whether the pan is then as it would have been. */
function stepsOf(sign: Sign, { massG, seizedNeedsG }: PanFacts): Omit<Extract<RescuePlan, { kind: 'steps' }>, 'kind'> {
  const cream = { do: 'whiskIn', grams: CREAM_SHARE * massG, temperatureC: 5 } as const;
  switch (sign) {
    case 'oily':
      return { steps: [{ do: 'cool', temperatureC: FROM_CENTRE_C }, cream, cream, { do: 'blend' }], isForGood: true };
    case 'seized':
      return {
        steps: [{ do: 'addAtOnce', grams: seizedNeedsG ?? 0.2 * massG, temperatureC: 60 }, { do: 'blend' }],
        isForGood: false,
      };
    case 'lumps':
      return { steps: [{ do: 'warm', temperatureC: LUMPS_C }, { do: 'wait' }, { do: 'blend' }], isForGood: true };
    case 'sandy':
      return { steps: [{ do: 'warm', temperatureC: GRAINS_C }, { do: 'wait' }, { do: 'stirCool' }], isForGood: true };
    case 'floury':
      return { steps: [{ do: 'boil', minutes: BOIL_MIN }, { do: 'taste' }], isForGood: true };
    case 'skin':
      return { steps: [{ do: 'warm', temperatureC: LUMPS_C }, { do: 'sieve' }], isForGood: true };
    case 'catching':
      return { steps: [{ do: 'pourOff' }, { do: 'taste' }], isForGood: false };
    case 'dull':
      return {
        steps: [{ do: 'warm', temperatureC: DULL_C }, { do: 'stirCool' }, { do: 'cool', temperatureC: POUR_C }],
        isForGood: true,
      };
    case 'noWhip':
      return { steps: [{ do: 'chill', hours: WHIP_H }, { do: 'taste' }], isForGood: true };
    default:
      return { steps: [{ do: 'warm', temperatureC: LUMPS_C }, { do: 'blend' }, { do: 'eatSoon' }], isForGood: false };
  }
}

/**
 * How a sign is met (common practice; judgement in the figures).
 *
 * @param facts of the pan as it is
 */
export function planFor(sign: Sign, facts: PanFacts): RescuePlan {
  switch (sign) {
    case 'farTooThick':
    case 'aBitThick':
    case 'aBitThin':
    case 'farTooThin':
    case 'chalky':
      return { kind: 'portions', when: 'warm', isForGood: true };
    case 'gluey':
      return { kind: 'portions', when: 'warm', isForGood: false };
    case 'softAfterNight':
    case 'hardAfterNight':
      return { kind: 'portions', when: 'cold', isForGood: true };
    case 'tooSweet':
      return { kind: 'taste', wants: 'lessSweet' };
    case 'tooBitter':
      return { kind: 'taste', wants: 'lessBitter' };
    default:
      return { kind: 'steps', ...stepsOf(sign, facts) };
  }
}
