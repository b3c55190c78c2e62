import { useMemo, useState } from 'react';
import { compositionVector } from '@/core/matter/components';
import { roleOfRow } from '@/core/method/row-role';
import type { Sign } from '@/core/rescue/signs';
import { tasteFix } from '@/kitchen/cook/pan-fault';
import type { PutIn } from '@/kitchen/cook/rescue';
import { putInSentences } from '@/kitchen/words/rescue-words';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { BecomesAsIs } from './becomes';
import type { RescuedPan } from './use-rescued-pan';
import { WentIn } from './went-in';

/** It goes in in so many lots, tasted between. */
const LOTS = 2;

/** Grams that change the taste by about a tenth, in two lots; then the flow is looked at again. */
export function Taste({ pan, sign, wants }: { pan: RescuedPan; sign: Sign; wants: 'lessSweet' | 'lessBitter' }) {
  const fix = useMemo(() => tasteFix(pan.input, wants), [pan.input, wants]);
  const [putIn, setPutIn] = useState<readonly PutIn[]>([]);
  const [isRight, setRight] = useState(false);
  if (!fix) {
    return (
      <section aria-label="What to do" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4 text-[20px]">
        <p>Nothing in the larder changes its taste by enough without making another batch of it.</p>
      </section>
    );
  }
  const grams = Math.max(Math.round(fix.grams / LOTS), 1);
  const addedG = putIn.reduce((sum, each) => sum + each.grams, 0);
  const role = roleOfRow(compositionVector(fix.ingredient.components));
  return (
    <>
      <section aria-label="What to do" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
        {isRight ? (
          <p role="status" className="text-[22px]">
            <strong>It tastes right.</strong> Now look at how it flows: that has changed a little too.
          </p>
        ) : (
          <>
            {putInSentences(role, `${weight(grams)} of ${fix.ingredient.name}`, false).map((sentence) => (
              <p key={sentence} className="text-[24px] leading-tight">
                {sentence}
              </p>
            ))}
            <p className="mt-1 text-mute">
              {weight(LOTS * grams)} in all is about a tenth {wants === 'lessSweet' ? 'less sweet' : 'sweeter'}. It goes
              in in two lots.
            </p>
            <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3">
              <dt className="text-mute">How to tell</dt>
              <dd>Let a spoonful cool and taste it.</dd>
              <dt className="text-mute">If not</dt>
              <dd>Put the next lot in and taste again.</dd>
            </dl>
            <div className="mt-3 flex flex-wrap gap-3">
              <Button
                look="primary"
                className="min-h-16 px-8 text-[20px]"
                onClick={() => {
                  setPutIn([...putIn, { ingredient: fix.ingredient, grams }]);
                  pan.note(fix.ingredient, grams);
                }}
              >
                It is in
              </Button>
              <Button
                className="min-h-16 px-5"
                onClick={() => {
                  setRight(true);
                  pan.noteFix(sign, undefined, true);
                }}
              >
                It tastes right
              </Button>
            </div>
          </>
        )}
      </section>
      <WentIn putIn={putIn} wholeG={pan.massG + addedG} formulaId={pan.formulaId} />
      <BecomesAsIs pan={pan} />
    </>
  );
}
