import type { Learnt } from '@/core/learn/learnt';
import type { Happening } from '@/formats/batch';
import type { BatchTest } from '@/kitchen/record/tests-of';
import { TEST_WORDS } from '@/kitchen/words/test-words';
import { Button } from '@/ui/button';
import { percent } from '@/ui/format';

/** Less and more of what a test says most of. */
const PULLS: Readonly<Record<Learnt, readonly [less: string, more: string]>> = {
  warm: ['thinner', 'thicker'],
  cold: ['softer', 'firmer'],
  gel: ['softer', 'firmer'],
  time: ['sooner', 'later'],
  shine: ['duller', 'shinier'],
};

/** What a test pulls towards, in a word. */
function pull({ reading, tongue }: BatchTest): string {
  if (tongue) return tongue;
  if (!reading) return 'the book has no figure for it';
  const share = Math.exp(reading.residual) - 1;
  if (Math.abs(reading.residual) < 0.03) return 'as the book says';
  const word = PULLS[reading.about][share > 0 ? 1 : 0];
  return reading.about === 'shine' ? word : `${percent(Math.abs(share))} ${word}`;
}

/** The tests of a batch with what each pulls towards; one in doubt is set aside, and taken back. */
export function TestsList({ tests, tell }: { tests: readonly BatchTest[]; tell: (what: Happening) => void }) {
  if (tests.length === 0) return null;
  return (
    <ul aria-label="Tests of this batch" className="mt-3">
      {tests.map((test) => (
        <li
          key={test.key}
          className={`flex items-center gap-3 border-rule border-t py-1 ${test.isDoubted ? 'text-mute line-through' : ''}`}
        >
          <span className="min-w-0 flex-1">
            {TEST_WORDS[test.result.test].name}
            <span className="block text-[13px] text-mute">{pull(test)}</span>
          </span>
          <Button
            look="bare"
            aria-label={`${test.isDoubted ? 'Count it again' : 'Set aside'}: ${TEST_WORDS[test.result.test].name}`}
            onClick={() => tell({ kind: 'doubt', test: test.key, isDoubted: !test.isDoubted })}
          >
            {test.isDoubted ? 'Count it again' : 'Set aside'}
          </Button>
        </li>
      ))}
    </ul>
  );
}
