import { forGuests, guestsOf, type Job, pieceOf, withPiece } from '@/core/brief/job';
import { PIECES, piecesOfUse } from '@/core/uses/pieces';
import { BRIEF_REACH } from '@/formats/brief';
import { PIECE_NAMES, thingsOf } from '@/kitchen/words/job-words';
import { InlineNumber } from '@/ui/inline-number';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { Sentence } from '@/ui/sentence';

const GUESTS = inlineRules(BRIEF_REACH.guests, '', '8');
const EACH = inlineRules(BRIEF_REACH.each, '', '3');
const SHARED = inlineRules([1, 1 / BRIEF_REACH.each[0]], '', '8');

const FOR_GUESTS = 'For {guests} guests[, {each} each][, one for {shared}].';

/** What a use is done to, by name, and for how many guests: both set the count. */
export function PiecesLine({
  job,
  label,
  onJob,
}: {
  job: Job;
  /** a field's name for who does not see it */
  label: (what: string) => string;
  onJob: (change: Partial<Job>) => void;
}) {
  const pieces = piecesOfUse(job.use);
  const guests = guestsOf(job);
  const each = job.each ?? PIECES[pieceOf(job)].each;
  const isBoard = job.portion === 'board';
  return (
    <div className="flex flex-wrap items-center gap-x-4 font-sans text-[0.98rem] tracking-normal">
      {pieces.length > 1 && (
        <fieldset aria-label={label('which')} className="flex flex-wrap gap-1.5">
          {pieces.map((key) => (
            <button
              key={key}
              type="button"
              aria-pressed={pieceOf(job) === key}
              onClick={() => onJob(withPiece(job, key))}
              className="min-h-11 rounded-lg border border-rule bg-sheet px-3 leading-none hover:border-mute aria-pressed:border-enamel aria-pressed:bg-enamel-wash aria-pressed:font-semibold aria-pressed:text-enamel"
            >
              {PIECE_NAMES[key][1]}
            </button>
          ))}
        </fieldset>
      )}
      <span>
        <Sentence
          words={FOR_GUESTS}
          fields={{
            guests: (
              <NumberField
                look="inline"
                optional
                placeholder="any number of"
                label={label('guests')}
                value={guests}
                rules={GUESTS}
                write={inlinePlain}
                onValue={(value) => onJob(forGuests(job, value === undefined ? undefined : Math.round(value)))}
              />
            ),
            each:
              guests !== undefined && !isBoard && each >= 1 ? (
                <InlineNumber
                  label={label(`${thingsOf(job, 2)} a guest`)}
                  value={each}
                  rules={EACH}
                  onNumber={(value) => onJob(forGuests(job, guests, value))}
                />
              ) : undefined,
            shared:
              guests !== undefined && !isBoard && each < 1 ? (
                <InlineNumber
                  label={label('guests it serves')}
                  value={Math.round(1 / each)}
                  rules={SHARED}
                  onNumber={(value) => onJob(forGuests(job, guests, 1 / value))}
                />
              ) : undefined,
          }}
        />
      </span>
    </div>
  );
}
