import { useMemo } from 'react';
import { lineClosedAfter } from '@/core/film/scenes';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import { DRAWN_APART, panThickness } from '@/kitchen/cook/pan-thickness';
import { panSurface, thicker } from '@/kitchen/method/pan-fluid';
import { CHECK_WORDS } from '@/kitchen/words/check-words';
import { celsius } from '@/ui/format';
import { SauceStill } from '@/ui/sauce/sauce-still';
import type { StillOf } from '@/ui/sauce/stills';
import { CheckPicture } from './check-picture';
import { thicknessWords } from './ring-test';
import type { Cook } from './use-cook';

/** s after the spoon was drawn through it. */
const AFTER_S = 3;

/** What a spoon's line does, for who does not see its picture. */
const lineWords = (closed: number): string =>
  closed > 0.85 ? 'the line has closed' : closed > 0.25 ? 'the line is closing' : 'the line stays open';

/** The spoon's line as it should be in this pan, with too thin and too thick beside it: what is seen is tapped. */
export function LineAnswers({
  cook,
  place,
  chosen,
  onChoose,
}: {
  cook: Cook;
  place: number;
  /** the answer that was given */
  chosen: 'good' | 'bitThin' | 'bitThick' | undefined;
  onChoose: (answer: 'good' | 'bitThin' | 'bitThick') => void;
}) {
  const { followed } = cook.cooked.method;
  const planned = followed[place]?.end;
  const begunMs = cook.state.steps[place]?.begunMs ?? Number.POSITIVE_INFINITY;
  // As warm as it was read last in this step: the picture is of this pan now.
  const readC = cook.state.temperatures.findLast(({ ms }) => ms >= begunMs)?.temperatureC;
  const end = useMemo(() => planned && { ...planned, temperatureC: readC ?? planned.temperatureC }, [planned, readC]);
  const { process } = cook.cooked.formula;
  const stills = useMemo(() => {
    if (!end) return undefined;
    const { fluid, shine } = panSurface(end, process);
    const look = { colour: chocolateColour(prepareBatch(end.liquid, process).mixture), shine };
    const at = (times: number): StillOf => ({ kind: 'line', fluid: thicker(fluid, times), look, seconds: AFTER_S });
    const answer = (times: number) => ({
      still: at(times),
      says: lineWords(lineClosedAfter(thicker(fluid, times), AFTER_S)),
    });
    return { bitThin: answer(1 / DRAWN_APART), good: answer(1), bitThick: answer(DRAWN_APART) };
  }, [end, process]);
  if (!end || !stills) return null;
  const found = panThickness(cook.cooked, cook.state);
  const { good, bad } = CHECK_WORDS.coats;
  const words = { bitThin: bad[0]?.[0] ?? '', good, bitThick: bad[1]?.[0] ?? '' };
  return (
    <div data-testid="line-answers">
      <ul className="mt-2 grid grid-cols-3 gap-2">
        {(['bitThin', 'good', 'bitThick'] as const).map((answer) => (
          <li key={answer}>
            <button
              type="button"
              aria-pressed={chosen === answer}
              onClick={() => onChoose(answer)}
              className="block w-full rounded-xl border-2 border-rule bg-field p-1 pb-2 text-center font-semibold text-[16px] leading-tight hover:border-mute aria-pressed:border-enamel aria-pressed:bg-enamel-wash"
            >
              <SauceStill of={stills[answer].still} name="" flat={<CheckPicture check="coats" />} className="mb-1.5" />
              {words[answer]}
              <span className="block font-normal text-[13.5px] text-mute">{stills[answer].says}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-mute">
        Calculated for this batch at {celsius(Math.round(end.temperatureC))}
        {readC === undefined ? '' : ', as it was read'}. Your eye decides.
      </p>
      {chosen && found && (
        <p role="status" className="mt-1 text-[15px]">
          By what was seen and measured: {thicknessWords(found)}
        </p>
      )}
    </div>
  );
}
