import type { Brief } from '@/core/brief/brief';
import { weight } from '@/ui/format';
import { likelyWords, STANDING_MARKS } from '@/ui/standing-words';
import { makesWords, missesWords } from './brief-words';
import type { PanAsItIs } from './pan-as-it-is';

/** The choice to leave the grams alone, with what that comes to at the new gates. */
export function AsItIs({
  massG,
  pan,
  brief,
  isChosen,
  onChoose,
}: {
  massG: number;
  pan: PanAsItIs | undefined;
  brief: Brief;
  isChosen: boolean;
  onChoose: () => void;
}) {
  return (
    <label
      className={`mb-2 flex min-h-12 cursor-pointer items-center rounded-lg border px-3 has-checked:border-enamel has-checked:bg-enamel-wash has-focus-visible:outline-2 has-focus-visible:outline-enamel ${isChosen ? 'border-enamel' : 'border-rule'}`}
    >
      <input type="radio" name="start" className="sr-only" checked={isChosen} onChange={onChoose} />
      <span>
        <span className="font-semibold">The pan as it is</span>
        <span className={`block text-[13px] ${pan?.standing === 'misses' ? 'text-off' : 'text-mute'}`}>
          {weight(massG)}
          {pan && `, makes ${makesWords(brief, pan.finishedG, pan.densityKgM3)}`}; no row is touched
          {pan &&
            `: ${STANDING_MARKS[pan.standing]} ${pan.standing === 'misses' ? missesWords(pan.misses) : likelyWords(pan.standing, pan.chance)}`}
        </span>
      </span>
    </label>
  );
}
