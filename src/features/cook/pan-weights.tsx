import { useState } from 'react';
import { MOST_GRAMS } from '@/formats/formula-file';
import { leftG, massIn, panNow } from '@/kitchen/cook/pan-now';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { weight } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import type { Cook } from './use-cook';

const GRAMS = { least: 0, most: MOST_GRAMS, unit: 'g', units: { g: 1, kg: 1000 }, example: '512' };

/** One weight that is told with its button. */
function WeightEntry({ label, press, onGrams }: { label: string; press: string; onGrams: (grams: number) => void }) {
  const [grams, setGrams] = useState<number | undefined>();
  const [made, setMade] = useState(0);
  const tell = () => {
    if (grams === undefined) return;
    onGrams(grams);
    setGrams(undefined);
    setMade(made + 1);
  };
  return (
    <EntryForm className="mt-1 flex items-center gap-2" onEntry={tell}>
      <span className="min-w-0 flex-1 leading-tight">{label}</span>
      <NumberField
        key={made}
        label={label}
        value={grams}
        optional
        rules={GRAMS}
        write={inlinePlain}
        placeholder="–"
        onValue={setGrams}
        className="w-24"
      />
      <Button type="submit" disabled={grams === undefined} className="!px-3">
        {press}
      </Button>
    </EntryForm>
  );
}

/** What the scale says of the pan itself: how much has boiled off, and what was poured off on the way. */
export function PanWeights({ cook }: { cook: Cook }) {
  const { state, cooked, log } = cook;
  const pan = panNow(cooked, state);
  const inAll = massIn(pan);
  const [tooMuch, setTooMuch] = useState<number | undefined>();
  const weighed = state.lost.at(-1);
  return (
    <>
      <h2 className="mt-4 text-[1.15rem]">On the scale</h2>
      <p className="text-[13.5px] text-mute">By what went in there should be about {weight(Math.round(leftG(pan)))}.</p>
      <WeightEntry
        label="The pan holds now"
        press="Read"
        onGrams={(grams) => {
          const lost = inAll - pan.pouredG - grams;
          setTooMuch(lost < 0 ? grams : undefined);
          if (lost >= 0) log.tell({ kind: 'lost', grams: lost });
        }}
      />
      {tooMuch !== undefined ? (
        <p role="alert" className="mt-1 text-off">
          {weight(tooMuch)} is more than went in. Take the weight of the empty pan off, or write down what else is in
          it.
        </p>
      ) : (
        weighed && (
          <p className="mt-1" data-testid="lost-says">
            {weight(Math.round(weighed.grams))} of water had boiled off, by the scale.
          </p>
        )
      )}
      <WeightEntry label="Poured off" press="Take" onGrams={(grams) => log.tell({ kind: 'poured', grams })} />
      {pan.pouredG > 0 && (
        <p className="mt-1">
          {weight(Math.round(pan.pouredG))} poured off so far.
          {pan.pouredG > 1.05 * (inAll - pan.lostG) &&
            ' That is more than went in: something else must have been in it.'}
        </p>
      )}
    </>
  );
}
