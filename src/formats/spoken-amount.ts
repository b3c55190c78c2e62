/** Numbers cooks write as words, and fractions of one. */
const NUMBERS: Readonly<Record<string, number>> = {
  ...{ one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, twelve: 12 },
  ...{ vier: 4, fünf: 5, sechs: 6, quatre: 4, cinq: 5, cuatro: 4, cinco: 5, quattro: 4, cinque: 5 },
};
const PARTS: Readonly<Record<string, string>> = {
  ...{ half: '1/2', halves: '1/2', third: '1/3', thirds: '1/3', quarter: '1/4', quarters: '1/4' },
};
const PART = Object.keys(PARTS).join('|');
const NUMBER = Object.keys(NUMBERS).join('|');

const ABOUT = /^(?:about|around|roughly|approx(?:\.|imately)?|ca\.?|circa|environ|etwa|ungefähr|unos|unas)\s+/i;
/** `three-quarters of a cup`, `a quarter of a cup of`, `two thirds cup`. */
const FRACTION = new RegExp(`^(?:(a|an|${NUMBER})[\\s-]+)?(${PART})\\s+(?:of\\s+)?(?:an?\\s+)?`, 'i');
/** `1 and a half`, `two and a quarter`. */
const AND = new RegExp(`^(\\d+|${NUMBER})\\s+and\\s+an?\\s+(${PART})\\s+`, 'i');
const WORD = new RegExp(`^(${NUMBER})\\s+(?=\\p{L})`, 'iu');
/** `1 tin (397 g)`, `1 small pot (300ml)`, `2 x packets (10 g)`. */
const PACKED =
  /^(?:(\d+(?:[.,]\d+)?)|an?)\s+(?:small|large|medium|big|little)?\s*(?:tins?|cans?|pots?|jars?|cartons?|tubs?|packets?|packs?|packages?|boxe?s?|bottles?|bars?|sachets?)\s*\(\s*(\d+(?:[.,]\d+)?)\s*(ml|cl|dl|l|g|kg|oz|lb)\s*\)\s*(?:of\s+)?/i;
const PINCH = /^(pinch(?:es)?|dash(?:es)?|handfuls?|knobs?)\s+(?=of\b|\p{L})/iu;

const numberOf = (word: string) => (/^\d/.test(word) ? Number(word) : (NUMBERS[word.toLowerCase()] ?? 1));

/** A part of one times a number: `3`, `1/4` is `3/4`. */
function timesPart(number: number, part: string): string {
  const [, below = '1'] = (PARTS[part.toLowerCase()] ?? '1/1').split('/');
  return `${number}/${below}`;
}

/**
 * A line with its amount as figures, where it was written as it is spoken: `three-quarters of a cup sugar`, `five ounces of milk chocolate`,
 * `1 and a half tablespoons`, `1 tin (397 g)`. All else stays.
 *
 * @param line at most some hundred letters
 */
export function spokenAmount(line: string): string {
  const text = line.replace(ABOUT, '');
  const packed = PACKED.exec(text);
  if (packed) {
    const [whole, count = '1', size = '', unit = ''] = packed;
    return `${count} x ${size} ${unit} ${text.slice(whole.length)}`;
  }
  const and = AND.exec(text);
  if (and) {
    const [whole, number = '1', part = ''] = and;
    return `${numberOf(number)} ${timesPart(1, part)} ${text.slice(whole.length)}`;
  }
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [whole, number = 'a', part = ''] = fraction;
    return `${timesPart(numberOf(number), part)} ${text.slice(whole.length)}`;
  }
  const word = WORD.exec(text);
  if (word) return `${numberOf(word[1] ?? '1')} ${text.slice(word[0].length)}`;
  return PINCH.test(text) ? `1 ${text}` : text;
}
