import { keepingWords } from '@/core/keep/shelf';
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

/** From this much spirit on, moulds have it harder (J), % vol. */
const SPIRITED = 8;

/** How long it may be planned with, by both schools and by how it was cooled: bands with their reasons, never a date. */
export function keepingBands(
  { waterActivity, alcoholPercentVol, hasDairy, growsH }: Keeping,
  numeral: (value: number, digits: number) => string,
): readonly string[] {
  const aw = numeral(waterActivity, 2);
  return [
    hasDairy
      ? 'By the short habit of dairy: a few days in the fridge, whatever its figures say.'
      : 'Without dairy the short habit does not apply; clean tools do.',
    alcoholPercentVol >= SPIRITED
      ? `By its water and spirit (aw ${aw}, ${numeral(alcoholPercentVol, 0)} % vol): ${keepingWords(waterActivity)}, and the spirit helps.`
      : `By its water (aw ${aw}): ${keepingWords(waterActivity)}.`,
    growsH === null
      ? 'How it was cooled, nobody read: plan with the shorter of the two.'
      : growsH > COOLING_RULES.useH
        ? `It stood ${numeral(growsH, 1)} h where things grow while it cooled: that is long, plan with less.`
        : `It stood ${numeral(growsH, 1)} h where things grow while it cooled: within the common rules.`,
  ];
}
