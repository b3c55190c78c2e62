'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { SIGNS, type Sign } from '@/core/rescue/signs';
import type { BatchAnswer, BatchHead } from '@/formats/batch';
import type { Ingredient } from '@/formats/ingredient';
import { RESCUE_NAME, SIGN_WORDS } from '@/kitchen/words/rescue-words';
import { Button } from '@/ui/button';
import { TopBar } from '@/ui/top-bar';
import { ChoosePan } from './choose-pan';
import { PanPanel } from './pan-panel';
import { RescueAnswer } from './rescue-answer';
import type { RescueSource } from './rescue-source';
import { SignPicture } from './sign-picture';
import { useRescuedPan } from './use-rescued-pan';

/** The rescue: what is seen, what is in the pan, what happened, and the smallest fix in portions. */
export function RescueScreen({
  source,
  seen,
  additives,
  running,
}: {
  source: RescueSource;
  /** the sign that was seen before coming here */
  seen: Sign | undefined;
  additives: readonly Ingredient[];
  running: readonly BatchHead[];
}) {
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const frozen = source.batch?.frozen ?? source.formula?.frozen;
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar />
      <main className="mx-auto w-full max-w-[1080px] flex-1 px-5 py-6">
        <h1 className="text-[1.9rem]">{frozen ? `${RESCUE_NAME}: ${frozen.file.name}` : RESCUE_NAME}</h1>
        {source.batch && (
          <p>
            <Link
              href={`/batches/${source.batch.head.id}`}
              className="inline-flex min-h-11 items-center text-enamel underline"
            >
              Back to the pan
            </Link>
          </p>
        )}
        {frozen ? (
          <Rescued source={source} seen={seen} frozen={frozen} additives={additives} />
        ) : (
          <WithoutPan seen={seen} running={running} />
        )}
      </main>
    </div>
  );
}

/** What is seen comes first, then which pan it is. */
function WithoutPan({ seen, running }: { seen: Sign | undefined; running: readonly BatchHead[] }) {
  const [sign, setSign] = useState(seen);
  return (
    <>
      <SignChoice sign={sign} onSign={setSign} />
      {sign && <ChoosePan running={running} sign={sign} />}
    </>
  );
}

function Rescued({
  source,
  seen,
  frozen,
  additives,
}: {
  source: RescueSource;
  seen: Sign | undefined;
  frozen: BatchAnswer['frozen'];
  additives: readonly Ingredient[];
}) {
  const pan = useRescuedPan(source, frozen, additives);
  const [sign, setSign] = useState(seen);
  return (
    <>
      <SignChoice sign={sign} onSign={setSign} />
      <PanPanel pan={pan} />
      {sign && <RescueAnswer key={`${sign} ${pan.version}`} pan={pan} sign={sign} />}
    </>
  );
}

/** What is seen, drawn and in words. */
function SignChoice({ sign, onSign }: { sign: Sign | undefined; onSign: (sign: Sign | undefined) => void }) {
  if (sign) {
    return (
      <div className="mt-4 flex items-center gap-4">
        <SignPicture of={sign} />
        <p className="flex-1 font-head text-[1.5rem] font-bold">{SIGN_WORDS[sign]}</p>
        <Button onClick={() => onSign(undefined)}>Something else</Button>
      </div>
    );
  }
  return (
    <section aria-label="What is seen" className="mt-5">
      <h2 className="text-[1.2rem]">What do you see?</h2>
      <ul className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-5">
        {SIGNS.map((each) => (
          <li key={each}>
            <button
              type="button"
              onClick={() => onSign(each)}
              className="flex min-h-20 w-full items-center gap-3 rounded-xl border border-rule bg-sheet px-3 py-2 text-left font-medium hover:border-enamel hover:bg-enamel-wash"
            >
              <SignPicture of={each} />
              <span className="leading-tight">{SIGN_WORDS[each]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
