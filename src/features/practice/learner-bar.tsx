import { useState } from 'react';
import { messageOf } from '@/formats/message-of';
import { LONGEST_LEARNER } from '@/formats/practice';
import { forgetPractice, practiceCsv } from '@/kitchen/client/practice';
import { Button } from '@/ui/button';
import type { Practice } from './use-practice';

/** Who practises: a name typed, one of those there are; what they have done taken along or deleted. */
export function LearnerBar({ practice: { learner, setLearner, kept } }: { practice: Practice }) {
  const [isSure, setSure] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const forget = () => {
    forgetPractice(learner).then(
      () => {
        setSure(false);
        kept.load();
      },
      (error) => setFault(messageOf(error)),
    );
  };
  return (
    <section aria-label="Who practises" className="mt-6">
      <label className="grid grid-cols-[minmax(0,1fr)_190px] items-center gap-2">
        Who practises
        <input
          className="h-11 min-w-0 rounded-lg border border-rule bg-field px-3"
          list="learners"
          key={learner}
          defaultValue={learner}
          maxLength={LONGEST_LEARNER}
          placeholder="nobody said"
          autoComplete="off"
          onBlur={(event) => setLearner(event.target.value.trim())}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
        />
      </label>
      <datalist id="learners">
        {kept.learners.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {learner === '' ? (
        <p className="mt-1 text-[13.5px] text-mute">Without a name nothing is kept.</p>
      ) : (
        <div className="mt-1 flex flex-wrap gap-2">
          <a
            href={practiceCsv(learner)}
            download
            className="inline-flex min-h-11 items-center px-2 text-enamel underline"
          >
            All of it as a table
          </a>
          {isSure ? (
            <>
              <Button look="danger" onClick={forget}>
                Delete all of {learner}’s
              </Button>
              <Button look="bare" onClick={() => setSure(false)}>
                Keep it
              </Button>
            </>
          ) : (
            <Button look="bare" onClick={() => setSure(true)}>
              Delete it…
            </Button>
          )}
        </div>
      )}
      {(fault ?? kept.fault) && (
        <p role="alert" className="mt-1 text-off">
          {fault ?? kept.fault}
        </p>
      )}
    </section>
  );
}
