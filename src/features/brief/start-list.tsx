'use client';

import { useMemo } from 'react';
import { standingOf } from '@/core/balance/standing';
import { lukewarmHours } from '@/core/yields/scaling';
import type { Answer, Start } from '@/kitchen/brief/brief-answers';
import type { Larder } from '@/kitchen/known-item';
import { panContents } from '@/kitchen/pan-contents';
import { ALCOHOL_NOT_FOR_CHILDREN } from '@/kitchen/words/alcohol-words';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { FAMILY_NAMES } from '@/kitchen/words/family-words';
import { celsius, hours, millimetres, money, priceByWeight, significant, weight } from '@/ui/format';
import { nearestLandmark } from '@/ui/landmarks';
import { momentTitle } from '@/ui/moment-words';
import { Puddle } from '@/ui/puddle';
import { likelyWords, STANDING_MARKS } from '@/ui/standing-words';
import { missesWords, momentList, ROLE_WORDS } from './brief-words';

/** What a start does, in a line. */
function standing(start: Start): string {
  if (start.lands) {
    const word = likelyWords(standingOf(true, start.chance), start.chance);
    if (start.moved === 0) return `${word}; nothing moves`;
    const far = start.change < 0.05 ? 'a little' : start.change < 0.6 ? '' : 'far';
    return `${word}; moves ${start.moved} ${start.moved === 1 ? 'row' : 'rows'}${far && ` ${far}`}`;
  }
  return missesWords(start.misses);
}

/** What the brief asks about it, as it will be there: `like runny honey at 32 °C, like cold butter at 18 °C`. */
const fits = ({ puddles }: Start) =>
  puddles
    .filter(({ isAsked }) => isAsked)
    .map(({ resistancePa, temperatureC }) => `like ${nearestLandmark(resistancePa)} at ${celsius(temperatureC)}`)
    .join(', ');

/** Whether alcohol stays in a start that children must not have. */
export const holdsAlcohol = ({ alcoholPercentVol }: Start) => alcoholPercentVol >= ALCOHOL_NOT_FOR_CHILDREN;

/** Allergens of a start's rows, and alcohol that stays in. */
function holds(start: Start, larder: Larder): string {
  const { lines, ingredients } = start;
  const { contains, mayContain, unknown } = allergenWords(panContents({ lines, ingredients }, larder));
  const alcohol = holdsAlcohol(start) ? ['alcohol: not for children'] : [];
  return [contains, ...(mayContain ? [`may contain ${mayContain}`] : []), ...unknown, ...alcohol].join('; ');
}

/** What a brief could start from, the best first; one is chosen. */
export function StartList({
  answer,
  share,
  stopped,
  fault,
  larder,
  chosen,
  onChoose,
  onStop,
  onAgain,
}: {
  answer: Answer | undefined;
  share: number;
  stopped: boolean;
  fault: string | undefined;
  larder: Larder;
  chosen: string | undefined;
  onChoose: (id: string) => void;
  onStop: () => void;
  onAgain: () => void;
}) {
  const starts = answer?.starts ?? [];
  const missing = answer?.missing ?? [];
  return (
    <section aria-label="Start from" aria-busy={share < 1 && !stopped} data-testid="starts">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-[1.15rem]">Start from</h2>
        <span className="text-[12.5px] text-mute" role="status">
          {stopped ? 'stopped' : share < 1 ? `trying, ${Math.round(100 * share)}\u202f%` : 'all tried'}{' '}
          {stopped ? (
            <button type="button" className="min-h-11 min-w-11 font-medium text-enamel" onClick={onAgain}>
              Go on
            </button>
          ) : (
            share < 1 && (
              <button type="button" className="min-h-11 min-w-11 font-medium text-enamel" onClick={onStop}>
                Stop
              </button>
            )
          )}
        </span>
      </div>
      {fault && (
        <p role="alert" className="mb-2 rounded-lg bg-off-wash px-3 py-2 text-[13.5px] text-off">
          {fault}{' '}
          <button type="button" className="font-medium underline" onClick={onAgain}>
            Try again
          </button>
        </p>
      )}
      {starts[0] && (
        <p className="pb-1 text-[12.5px] text-mute">
          Curve from hot to cold; 20{'\u202f'}ml on a plate{' '}
          {momentList(drawnPuddles(starts[0]).map(({ moment }) => moment))}.
        </p>
      )}
      <ul>
        {starts.map((start) => (
          <li key={start.id} className="border-rule border-t">
            <label
              className={`block cursor-pointer px-1 py-1.5 has-checked:bg-enamel-wash has-focus-visible:outline-2 has-focus-visible:outline-enamel ${chosen === start.id ? 'shadow-[inset_3px_0_0_var(--color-enamel)]' : ''}`}
              data-start={start.id}
            >
              <input
                type="radio"
                name="start"
                className="sr-only"
                checked={chosen === start.id}
                onChange={() => onChoose(start.id)}
              />
              <span className="flex items-start gap-3 pl-1">
                <span className="min-w-0 flex-1 leading-tight">
                  <span className="line-clamp-2 font-semibold">{start.name}</span>
                  <span className={`block text-[13px] ${start.lands ? 'text-mute' : 'text-off'}`}>
                    {STANDING_MARKS[standingOf(start.lands, start.chance)]} {standing(start)}
                    {!start.isOwn && ' · from the larder'}
                  </span>
                  <span className="block text-[12.5px]">{fits(start)}</span>
                  <span className="line-clamp-2 text-[12.5px] text-mute">{holds(start, larder)}</span>
                </span>
                <span className="read text-right text-[0.85rem] leading-tight">
                  {start.costPerKg > 0 ? money((start.costPerKg * start.size.finishedG) / 1000) : ''}
                  {start.costPerKg > 0 && (
                    <span className="block text-[0.78rem] text-mute">{priceByWeight(start.costPerKg)}</span>
                  )}
                </span>
              </span>
              <StartDrawing start={start} />
            </label>
          </li>
        ))}
      </ul>
      {starts.length === 0 && share >= 1 && (
        <p className="py-3 text-[13.5px] text-mute">
          Nothing on the shelf can do this. Loosen a wish, or start with an empty pan.
        </p>
      )}
      {answer && (answer.leftOut > 0 || missing.length > 0) && (
        <p className="border-rule border-t pt-2 text-[12.5px] text-mute">
          {answer.leftOut > 0 &&
            `${answer.leftOut} of your formulas ${answer.leftOut === 1 ? 'goes' : 'go'} against a wish and ${answer.leftOut === 1 ? 'is' : 'are'} left out. `}
          {missing.length > 0 &&
            `Nothing in the larder for: ${missing
              .map(({ family, role }) => `${FAMILY_NAMES[family.id].toLowerCase()} (${ROLE_WORDS[role]})`)
              .join(', ')}.`}
        </p>
      )}
    </section>
  );
}

/** Its curve from hot to cold, small: flat is thin, steep is where it sets. */
function curvePath({ curve }: Start): string {
  const last = Math.max(curve.temperatureC.length - 1, 1);
  return curve.resistancePa
    .map((pa, i) => {
      const level = Math.min(Math.max(Math.log10(Math.max(pa, 1e-6)), -1), 5.2);
      return `${i === 0 ? 'M' : 'L'}${(2 + (60 * i) / last).toFixed(1)} ${(24 - (22 * (level + 1)) / 6.2).toFixed(1)}`;
    })
    .join('');
}

/** Most puddles on a card: the moments with a gate, the pan is not one. */
const MOST_PUDDLES = 3;

/** The puddles a card draws: where it is worked and eaten, in the order of the day. */
const drawnPuddles = ({ puddles }: Start) =>
  puddles.length > 1 ? puddles.slice(1, 1 + MOST_PUDDLES) : puddles.slice(0, MOST_PUDDLES);

/** Its curve, and its puddles where it is worked and eaten. */
function StartDrawing({ start }: { start: Start }) {
  const puddles = drawnPuddles(start);
  return (
    <span className="mt-1 grid grid-cols-4 items-center gap-1">
      <svg viewBox="0 0 64 26" className="block w-full" aria-hidden="true">
        <path d={curvePath(start)} fill="none" stroke="var(--color-ink)" strokeWidth={3.2} strokeLinejoin="round" />
        <path d={curvePath(start)} fill="none" stroke={start.colour} strokeWidth={2.2} strokeLinejoin="round" />
      </svg>
      {puddles.map(({ moment, diameterMm }) => (
        <Puddle
          key={moment}
          diameterMm={diameterMm}
          colour={start.colour}
          shine={start.shine}
          label={`${momentTitle(moment)}: 20 ml spreads to ${millimetres(Math.round(diameterMm))}`}
          className="w-full"
        />
      ))}
    </span>
  );
}

/** What changes in the method when a formula is made at another size. */
export function ScalingNotes({ start, fromG, kitchenC }: { start: Start; fromG: number; kitchenC: number }) {
  const { scaled } = start;
  const cooling = useMemo(() => scaled?.inBowlG.map((grams) => lukewarmHours(grams, kitchenC)), [scaled, kitchenC]);
  if (!scaled) return null;
  const total = start.lines.reduce((sum, line) => sum + line.grams, 0);
  const [before = 1, now = 1] = cooling ?? [];
  const notes = [
    `×${significant(total / fromG)} from ${weight(Math.round(fromG))} to ${weight(Math.round(total))}.`,
    scaled.minutes > 0 &&
      `Boils off ${weight(Math.round(scaled.evaporationG))}: ${significant(scaled.minutes)} min ${scaled.pans > 1 ? 'in each pan' : 'in this pan'}.`,
    Math.abs(scaled.liquidG) >= 0.5 &&
      `${scaled.liquidG > 0 ? 'Weigh in' : 'Hold back'} ${weight(Math.abs(Math.round(scaled.liquidG * 10) / 10))} of water ${scaled.liquidG > 0 ? 'more' : 'of it'}: a pan boils off by its width, not by what is in it.`,
    scaled.pans > 1 && `${scaled.pans} pans of equal size.`,
    Math.abs(Math.log(now / before)) > 0.1 &&
      `Lukewarm in the bowl after ${hours(now)}${scaled.pans > 1 ? ' (each)' : ''} instead of ${hours(before)}.`,
  ].filter((note): note is string => typeof note === 'string');
  return (
    <ul className="mt-2 list-disc space-y-0.5 pl-4 text-[13px] text-mute" data-testid="scaling">
      {notes.map((note) => (
        <li key={note}>{note}</li>
      ))}
    </ul>
  );
}
