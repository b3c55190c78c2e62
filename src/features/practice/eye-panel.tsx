import { EXERCISE_KINDS } from '@/core/practice/exercises';
import { CALLED, type Called, eyeByWarmth, eyeOf, type Try } from '@/core/practice/learner';
import { CALLED_WORDS, EXERCISE_WORDS, WARMTH_WORDS } from '@/kitchen/words/practice-words';
import { percent } from '@/ui/format';
import { fixed } from '@/ui/settings/numerals';
import { EyePicture } from './eye-picture';

/** Fewer tries than this say nothing yet. */
const FEW = 3;

/** What a bias means, in words. */
function biasWords(called: Called, bias: number): string {
  if (called === 'temperature') {
    const degrees = fixed(Math.abs(10 * bias), 1);
    return Math.abs(bias) < 0.1
      ? 'you pour as warm as it should be'
      : `you pour ${degrees} °C too ${bias > 0 ? 'warm' : 'cold'}`;
  }
  const share = Math.exp(Math.abs(bias));
  if (share < 1.1) return called === 'amount' ? 'you take as much as it needs' : 'you see it as it is';
  const times = `${fixed(share, 1)} times`;
  if (called === 'coat') return `you think its coat ${times} ${bias > 0 ? 'thicker' : 'thinner'} than it is`;
  if (called === 'cold')
    return bias > 0 ? `you think it ${times} firmer than it is` : `you think it ${times} softer than it is`;
  return bias > 0 ? `you take ${times} what it needs` : `you take too little, by ${times}`;
}

/** How the eye differs between hot and cool pans, once two of them were tried often enough. */
function warmthWords(tries: readonly Try[], called: Called): string {
  const eyes = eyeByWarmth(tries, called).filter(([, eye]) => eye.tries >= FEW);
  if (eyes.length < 2) return '';
  return `${eyes.map(([warmth, { bias }]) => `${WARMTH_WORDS[warmth]}: ${biasWords(called, bias)}`).join('. ')}.`;
}

/** A learner's eye so far: bias and spread by what is called, and how often each exercise was right. */
export function EyePanel({ tries }: { tries: readonly Try[] }) {
  return (
    <section aria-label="Your eye so far" className="mt-6">
      <h2 className="text-[1.2rem]">Your eye so far</h2>
      {tries.length === 0 && <p className="text-mute">Nothing called yet.</p>}
      <ul className="mt-1 space-y-1">
        {CALLED.map((called) => {
          const misses = tries.flatMap((each) =>
            each.called === called && each.miss !== undefined ? [each.miss] : [],
          );
          if (misses.length === 0) return null;
          const eye = eyeOf(misses);
          const { bias, biasSd, spread } = eye;
          const doubt =
            called === 'temperature'
              ? `± ${fixed(10 * biasSd, 1)} °C`
              : `give or take ${fixed(Math.exp(biasSd), 1)} times`;
          const wide = called === 'temperature' ? `${fixed(10 * spread, 1)} °C` : `${fixed(Math.exp(spread), 1)} times`;
          return (
            <li key={called} data-testid={`eye-${called}`}>
              <strong>{CALLED_WORDS[called]}:</strong>{' '}
              {misses.length < FEW
                ? `too few to say (${misses.length})`
                : `${biasWords(called, bias)} (${doubt}); single calls lie within ${wide} either way`}
              . {warmthWords(tries, called)}
              <EyePicture called={called} misses={misses} eye={eye} />
            </li>
          );
        })}
      </ul>
      {tries.length > 0 && (
        <p className="mt-2 text-[13.5px] text-mute">
          {EXERCISE_KINDS.flatMap((kind) => {
            const of = tries.filter((each) => each.kind === kind);
            return of.length > 0
              ? [
                  `${EXERCISE_WORDS[kind]} ${percent(of.filter(({ isRight }) => isRight).length / of.length)} of ${of.length}`,
                ]
              : [];
          }).join(' · ')}
        </p>
      )}
      <p className="mt-2 text-[13.5px] text-mute">
        What comes next follows Leitner’s boxes: what was right comes back later and later, what was wrong at once.
      </p>
    </section>
  );
}
