import { KITCHEN_FROM_TESTS } from '@/core/learn/kitchen';
import { KITCHEN_PRIOR, LEARNT, type Learnt } from '@/core/learn/learnt';
import type { KnowledgeAnswer } from '@/formats/kitchen-test';
import { LEARNT_WORDS, learntPhrase } from '@/kitchen/words/test-words';
import { percent } from '@/ui/format';

const WIDTH = 320;
const HEIGHT = 58;
/** The axis runs from a quarter to four times the book, in ln. */
const REACH = Math.log(4);
const at = (ln: number) => WIDTH / 2 + (Math.min(Math.max(ln, -REACH), REACH) / REACH) * (WIDTH / 2 - 8);

/** One quantity: what the book doubts in grey, what this kitchen knows in blue, and each test as a ring. */
function Strip({ about, answer, own }: { about: Learnt; answer: KnowledgeAnswer; own: string }) {
  const { mean, sd } = answer.knowledge.offsets[about];
  const prior = KITCHEN_PRIOR[about];
  const tests = answer.readings.filter((each) => each.about === about);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
      {[-Math.LN2, 0, Math.LN2].map((ln) => (
        <path key={ln} d={`M${at(ln)} 2 V${HEIGHT - 18}`} stroke="var(--color-rule)" />
      ))}
      <rect
        x={at(-1.28 * prior.sd)}
        y={16}
        width={at(1.28 * prior.sd) - at(-1.28 * prior.sd)}
        height={7}
        fill="var(--color-rule)"
      />
      <rect
        x={at(mean - 1.28 * sd)}
        y={9}
        width={at(mean + 1.28 * sd) - at(mean - 1.28 * sd)}
        height={14}
        fill="var(--color-enamel-wash)"
        stroke="var(--color-enamel)"
      />
      <path d={`M${at(mean)} 5 V25`} stroke="var(--color-enamel)" strokeWidth="3" />
      {tests.map(({ batchId, key, residual, isDoubted }, i) => (
        <circle
          key={`${batchId} ${key}`}
          cx={at(residual)}
          cy={31 + 6 * (i % 2)}
          r={batchId === own ? 4.5 : 3.2}
          fill={batchId === own ? 'var(--color-enamel)' : 'none'}
          stroke={isDoubted ? 'var(--color-rule)' : 'var(--color-ink)'}
          strokeWidth="1.4"
        />
      ))}
      {(
        [
          [-Math.LN2, 'half'],
          [0, 'the book'],
          [Math.LN2, 'double'],
        ] as const
      ).map(([ln, name]) => (
        <text key={name} x={at(ln)} y={HEIGHT - 4} textAnchor="middle" fontSize="11.5" fill="var(--color-mute)">
          {name}
        </text>
      ))}
    </svg>
  );
}

/** What all tests of this kitchen taught, with those of this batch filled in. */
export function Teaches({ answer, batchId }: { answer: KnowledgeAnswer; batchId: string }) {
  const { knowledge } = answer;
  const known = LEARNT.filter((about) => knowledge.offsets[about].tests > 0);
  return (
    <section aria-label="What it teaches" className="mt-6">
      <h2 className="text-[1.2rem]">What it teaches</h2>
      <p className="text-mute">
        {knowledge.tests === 1 ? 'One test' : `${knowledge.tests} tests`} in this kitchen
        {knowledge.tests < KITCHEN_FROM_TESTS && `; from ${KITCHEN_FROM_TESTS} on its own figures are shown`}
      </p>
      {known.map((about) => (
        <figure key={about} className="mt-2">
          <figcaption className="font-semibold">{LEARNT_WORDS[about]}</figcaption>
          <Strip about={about} answer={answer} own={batchId} />
          <p data-testid={`learnt-${about}`}>Your kitchen {learntPhrase(about, knowledge.offsets[about], percent)}.</p>
        </figure>
      ))}
    </section>
  );
}
