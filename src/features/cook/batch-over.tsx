import Link from 'next/link';
import { useState } from 'react';
import { leftG, panNow } from '@/kitchen/cook/pan-now';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import type { Cook } from './use-cook';

const GRAMS = { least: 0, most: 100_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '512' };

/** The end of a batch: what is in the bowl, and that it is over. */
export function BatchOver({ cook }: { cook: Cook }) {
  const { state, log, cooked } = cook;
  const [inBowl, setInBowl] = useState<number | undefined>();
  const pouredG = state.poured.reduce((sum, { grams }) => sum + grams, 0);
  const pan = panNow(cooked, state);
  const left = leftG(pan);
  const runs = state.steps.filter(({ status }) => status === 'aside').length;
  return (
    <div className="px-6 py-6">
      <h1 className="text-[34px]">
        {state.over === 'abandoned'
          ? 'Given up'
          : state.over === 'finished'
            ? 'Done, and written down'
            : 'All steps are done'}
      </h1>
      {state.finishedAgain.map(({ ms, grams }) => (
        <p key={ms} role="status" className="mt-2 text-[20px] text-near">
          Two tablets finished it. The other {weight(Math.round(grams))} are not counted.
        </p>
      ))}
      {pan.unsaid.length > 0 && !state.over && (
        <p role="alert" className="mt-2 text-[18px] text-near">
          Not entered as in, so not counted: {pan.unsaid.map(({ row }) => cooked.names[row]).join(', ')}.
        </p>
      )}
      {runs > 0 && !state.over && <p className="mt-2 text-[20px]">What runs aside is still to be looked at.</p>}
      {pouredG > 0 && <p className="mt-2 text-[20px]">{weight(Math.round(pouredG))} came into the bowl.</p>}
      {!state.over && (
        <>
          <p className="mt-2 text-[20px] text-mute">
            {pouredG > 0
              ? `About ${weight(Math.round(left))} should still come.`
              : `About ${weight(Math.round(left))} should be in the bowl.`}
          </p>
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <NumberField
              label="In the bowl"
              value={inBowl}
              optional
              rules={GRAMS}
              write={inlinePlain}
              placeholder="weighed"
              onValue={setInBowl}
              className="w-40"
            />
            <Button
              look="primary"
              className="min-h-16 px-8 text-[20px]"
              onClick={() => {
                if (inBowl !== undefined) log.tell({ kind: 'poured', grams: inBowl });
                log.tell({ kind: 'finish' });
              }}
            >
              Finish the batch
            </Button>
            <Button className="min-h-16 px-6" onClick={() => log.tell({ kind: 'abandon', why: '' })}>
              Give it up
            </Button>
          </div>
        </>
      )}
      {state.over && (
        <p className="mt-4">
          <Link href={`/batches/${cook.id}/record`} className="inline-flex min-h-11 items-center text-enamel underline">
            Read it in the book
          </Link>
        </p>
      )}
      <p className="mt-6">
        <Link href="/batches" className="inline-flex min-h-11 items-center text-enamel underline">
          All batches that run
        </Link>
      </p>
    </div>
  );
}
