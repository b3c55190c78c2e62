import { useMemo } from 'react';
import { panThickness } from '@/kitchen/cook/pan-thickness';
import { CHECK_WORDS } from '@/kitchen/words/check-words';
import { celsius } from '@/ui/format';
import { LINES, type Line, lineStills } from '@/ui/sauce/line-stills';
import { SauceStill } from '@/ui/sauce/sauce-still';
import { CheckPicture } from './check-picture';
import { thicknessWords } from './ring-test';
import type { Cook } from './use-cook';
import { usePanAsRead } from './use-pan-as-read';

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
  chosen: Line | undefined;
  onChoose: (answer: Line) => void;
}) {
  const { end, readC } = usePanAsRead(cook, place);
  const { process } = cook.cooked.formula;
  const stills = useMemo(() => end && lineStills(end, process), [end, process]);
  if (!end || !stills) return null;
  const found = panThickness(cook.cooked, cook.state);
  const { good, bad } = CHECK_WORDS.coats;
  const words = { bitThin: bad[0]?.[0] ?? '', good, bitThick: bad[1]?.[0] ?? '' };
  return (
    <div data-testid="line-answers">
      <ul className="mt-2 grid grid-cols-3 gap-2">
        {LINES.map((answer) => (
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
