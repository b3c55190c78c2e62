import { capital } from '@/formats/capital';
import type { FileTest } from '@/formats/kitchen-test';
import type { CookedBatch } from '@/kitchen/cook/cook-batch';
import type { StoryItem } from '@/kitchen/record/story';
import { CHECK_WORDS, checkAnswer } from '@/kitchen/words/check-words';
import { STEP_WORDS } from '@/kitchen/words/method-words';
import { FAULT_CAUSE_WORDS, SIGN_WORDS } from '@/kitchen/words/rescue-words';
import { FELT_WORDS, LAMP_WORDS, TASTED_WORDS, TEST_WORDS } from '@/kitchen/words/test-words';
import { duration } from '@/ui/duration';
import { celsius, hours, listed, millimetres, weight } from '@/ui/format';
import { nearestLandmark } from '@/ui/landmarks';

/** How an item of the story is told: what happened, more of it, and its figure. */
export interface Told {
  readonly title: string;
  readonly more: string;
  readonly figure: string;
  /** something that went wrong, or was mended */
  readonly isTrouble: boolean;
  /** a test, which teaches */
  readonly isTest: boolean;
}

/** A weight to the tenth where it is small. */
const exact = (grams: number) => weight(grams < 100 ? Math.round(grams * 10) / 10 : Math.round(grams));
const whole = (grams: number) => weight(Math.round(grams));
const FATES = { putAway: 'Put away', reheated: 'Warmed again', thrown: 'Thrown away' } as const;

const told = (title: string, more = '', figure = '', mark: Partial<Pick<Told, 'isTrouble' | 'isTest'>> = {}): Told => ({
  title,
  more,
  figure,
  isTrouble: false,
  isTest: false,
  ...mark,
});

const setAt = ({ temperatureC, hours: after }: { readonly temperatureC: number; readonly hours: number }) =>
  `At ${celsius(temperatureC)}, ${hours(after)} after the pour.`;

/** What a test gave, with how it was read. */
function tellTest(result: FileTest): { readonly more: string; readonly figure: string } {
  switch (result.test) {
    case 'ring':
      return {
        more: `At ${celsius(result.temperatureC)}, after ${duration(result.seconds)}.`,
        figure: millimetres(result.diameterMm),
      };
    case 'film':
      return { more: `At ${celsius(result.temperatureC)}.`, figure: millimetres(result.mm) };
    case 'spoonLine':
      return { more: `At ${celsius(result.temperatureC)}.`, figure: result.holds ? 'it stays' : 'it runs shut' };
    case 'stands':
      return {
        more: `${setAt(result)} ${result.holds ? 'It stands.' : 'It sank.'}`,
        figure: millimetres(result.heightMm),
      };
    case 'feels':
      return { more: setAt(result), figure: nearestLandmark(result.likePa) };
    case 'lamp':
      return { more: `${setAt(result)} ${capital(LAMP_WORDS[result.seen])}.`, figure: '' };
    case 'taste':
      return { more: `${capital(TASTED_WORDS[result.tasted])}.`, figure: '' };
    case 'grains':
      return { more: `${setAt(result)} ${capital(FELT_WORDS[result.felt])}.`, figure: '' };
    case 'sets':
      return {
        more: `A layer of ${millimetres(result.depthMm)} from ${celsius(result.fromC)} at ${celsius(result.aroundC)}.`,
        figure: hours(result.hours),
      };
    default:
      return { more: setAt(result), figure: millimetres(result.depthMm) };
  }
}

/** From this share of a row on, and from so many g, a weight is worth a word. */
const WORTH_TELLING = 0.01;
const WORTH_TELLING_G = 0.5;

/** What was weighed against what was planned, row by row; what is as planned is said only where all of it is. */
function weighedWords(rows: Extract<StoryItem, { kind: 'weighed' }>['rows'], names: readonly string[]): string {
  const off = rows.flatMap(({ row, plannedG, weighedG }) => {
    const name = names[row] ?? '';
    if (weighedG === undefined) return plannedG > 0 ? [`${name} not entered`] : [];
    if (weighedG === 0 && plannedG > 0) return [`${name} left out`];
    const isOff = Math.abs(weighedG - plannedG) > Math.max(WORTH_TELLING * plannedG, WORTH_TELLING_G);
    return isOff ? [`${name} ${exact(weighedG)}, planned ${exact(plannedG)}`] : [];
  });
  return off.length > 0 ? `${off.join('; ')}.` : 'All as planned.';
}

/** What was done about a sign, and whether it worked. */
function tellFix({ sign, cause, hasWorked }: Extract<StoryItem, { kind: 'fix' }>): Told {
  const why = cause ? `${FAULT_CAUSE_WORDS[cause]} ` : '';
  const end = hasWorked ? 'It was fixed.' : 'The fix did not work.';
  return told(SIGN_WORDS[sign], `${why}${end}`, '', { isTrouble: !hasWorked });
}

/** What it went on or into; 0 g is not weighed. */
const tellUsed = ({ what, grams }: Extract<StoryItem, { kind: 'used' }>): Told =>
  grams > 0 ? told(what, 'Used for it.', whole(grams)) : told(what, 'Used for it; nobody weighed how much.');

/** An item of a batch's story in words. */
export function tellItem(item: StoryItem, { names, method }: CookedBatch): Told {
  switch (item.kind) {
    case 'weighed':
      return told('Weighed in', weighedWords(item.rows, names), whole(item.grams));
    case 'step': {
      const kind = method.followed[item.step]?.step.kind;
      const reckoned = `reckoned ${celsius(Math.round(item.reckonedC))} after ${duration(item.reckonedSeconds)}`;
      return told(
        kind ? STEP_WORDS[kind].name : 'A step',
        `It took ${duration(item.seconds)}; ${reckoned}.`,
        item.readC === undefined ? '' : celsius(item.readC),
      );
    }
    case 'check': {
      const answer = checkAnswer(item.check, item.isGood, item.sign);
      return told(CHECK_WORDS[item.check].ask, answer, '', { isTrouble: !item.isGood });
    }
    case 'added':
      return told(`${item.name} put in`, 'It was not planned.', `+${whole(item.grams)}`, { isTrouble: true });
    case 'fix':
      return tellFix(item);
    case 'test': {
      const { more, figure } = tellTest(item.result);
      return told(TEST_WORDS[item.result.test].name, item.isDoubted ? `${more} Set aside.`.trim() : more, figure, {
        isTest: true,
      });
    }
    case 'lost':
      return told('On the scale', 'Water that had boiled off.', whole(item.grams));
    case 'poured':
      return told('Into the bowl', '', whole(item.grams));
    case 'used':
      return tellUsed(item);
    case 'read':
      return told(item.isPour ? 'Poured at' : 'Temperature read', '', celsius(item.temperatureC));
    case 'leftover':
      return told(FATES[item.fate], 'Of what was left.', whole(item.grams));
    case 'note':
      return told('Note', item.text);
    case 'finishedAgain':
      return told(
        'Finished on a second tablet',
        `It said ${whole(item.grams)} in the bowl; the first one counts.`,
        '',
        {
          isTrouble: true,
        },
      );
    case 'toldLate':
      return told(
        'More work came in after the end',
        item.added.length > 0
          ? `A tablet had been out of reach. ${listed(item.added)} went in: print the labels again.`
          : 'A tablet had been out of reach. The record was made again.',
        '',
        { isTrouble: item.added.length > 0 },
      );
    case 'unclear':
      return told(
        'An entry that this version cannot read',
        `It is kept, and counts for nothing (${item.reason}).`,
        '',
        {
          isTrouble: true,
        },
      );
    case 'photo':
      return told(item.shows || 'A photo');
    case 'over':
      return told(item.how === 'finished' ? 'Finished' : 'Given up');
  }
}

/** The day's headline. */
export function headline(
  day: string,
  hasLanded: boolean | undefined,
  state: 'finished' | 'abandoned' | 'running',
  isRescued: boolean,
): string {
  if (state === 'running') return `${day}’s batch is still on the stove.`;
  if (state === 'abandoned') return `${day}’s batch was given up.`;
  if (hasLanded === undefined) return `${day}’s batch, as it happened.`;
  if (!hasLanded) return `${day}’s batch missed.`;
  return isRescued ? `${day}’s batch landed, with something put in on the way.` : `${day}’s batch landed.`;
}
