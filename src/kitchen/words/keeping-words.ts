import { type KeepingFacts, type KeepingReason, keepingTime } from '@/core/keep/keeping';
import { capital } from '@/formats/capital';
import type { Container, Keeping, ShelfPlace } from '@/formats/shelf';
import { COOLING_RULES } from '../cook/danger-clock';

export const CONTAINER_WORDS: Readonly<Record<Container, readonly [one: string, many: string]>> = {
  jar: ['jar', 'jars'],
  tub: ['tub', 'tubs'],
  tray: ['tray', 'trays'],
  bowl: ['bowl', 'bowls'],
  bag: ['bag', 'bags'],
};

export const PLACE_WORDS: Readonly<Record<ShelfPlace, string>> = {
  fridge: 'in the fridge',
  freezer: 'in the freezer',
  coolRoom: 'in the cool room',
  kitchen: 'in the kitchen',
};

/** Lengths of time as they are said, in days. */
const SAID_DAYS = [2, 3, 4, 5, 7, 10, 14, 21, 28, 42, 60, 90, 120] as const;
const WEEKS_FROM = 14;
const MONTHS_FROM = 60;

/** `about 4 days`, `about 2 weeks`: the longest of the usual lengths that it keeps. */
function aboutDays(days: number): string {
  const said = SAID_DAYS.findLast((each) => each <= days * 1.02) ?? SAID_DAYS[0];
  if (said >= MONTHS_FROM) return `about ${Math.round(said / 30)} months`;
  return said >= WEEKS_FROM ? `about ${said / 7} weeks` : `about ${said} days`;
}

/** Why it keeps no longer. */
const REASON_WORDS: Readonly<Record<KeepingReason, string>> = {
  dairy: 'its cream or milk spoils first',
  plantCream: 'plant cream spoils as cream does',
  egg: 'its egg spoils first',
  fruit: 'its fruit spoils first',
  water: 'by its water',
};

/** How long it keeps and why no longer: the one answer on every screen. */
export function keepsWords(facts: KeepingFacts): string {
  const { days, reason } = keepingTime(facts);
  return `fridge, ${aboutDays(days)}: ${REASON_WORDS[reason]}`;
}

/** From this much spirit on, moulds have it harder (J), % vol. */
const SPIRITED = 8;

/** How long it may be planned with, why no longer, and what else is known: never a date. */
export function keepingLines(keeping: Keeping, numeral: (value: number, digits: number) => string): readonly string[] {
  const { waterActivity, alcoholPercentVol, growsH } = keeping;
  const { reason } = keepingTime(keeping);
  const byWater = keepingTime({ ...keeping, spoilers: [] }).days;
  const aw = numeral(waterActivity, 2);
  return [
    `${capital(keepsWords(keeping))}.`,
    reason === 'water'
      ? `Its water activity is ${aw}.`
      : `Its water alone (aw ${aw}) would allow ${aboutDays(byWater)}.`,
    ...(alcoholPercentVol >= SPIRITED ? [`Its ${numeral(alcoholPercentVol, 0)} % vol of alcohol help.`] : []),
    growsH === null
      ? 'Nobody read how it cooled: plan with less.'
      : growsH > COOLING_RULES.useH
        ? `It stood ${numeral(growsH, 1)} h between 5 and 60 °C while it cooled: that is long, plan with less.`
        : `It stood ${numeral(growsH, 1)} h between 5 and 60 °C while it cooled: within the common rules.`,
  ];
}
