import { useState } from 'react';
import type { Happening } from '@/formats/batch';
import { dayOf } from '@/formats/day';
import { MOST_GRAMS } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import { CONTAINERS, type Keeping, SHELF_PLACES } from '@/formats/shelf';
import { putAway } from '@/kitchen/client/shelf-items';
import { CONTAINER_WORDS, PLACE_WORDS } from '@/kitchen/words/keeping-words';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { EntryForm } from '@/ui/entry-form';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { KeepingList } from '@/ui/keeping-list';
import { NumberField } from '@/ui/number-field';
import { useTyped } from '@/ui/use-typed';

const BOX = 'h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2';
const COUNT = inlineRules([1, 1000], '', '3');
const GRAMS = { least: 0.1, most: MOST_GRAMS, unit: 'g', units: { g: 1, kg: 1000 }, example: '512' };

/** Puts what is left of a batch onto the shelf; how long it keeps stands beside it in words, its date is the cook’s. */
export function PutAway({
  batchId,
  name,
  madeMs,
  keeping,
  tell,
}: {
  batchId: string;
  name: string;
  madeMs: number;
  keeping: Keeping | undefined;
  tell: (what: Happening) => void;
}) {
  const [draft, setDraft] = useTyped('put away', { container: 'jar', count: 1, place: 'fridge', useBy: '' });
  const [grams, setGrams] = useTyped<number | undefined>('grams put away', undefined);
  const [made, setMade] = useState(0);
  const [fault, setFault] = useState<string | undefined>();
  const say = (change: Partial<typeof draft>) => setDraft({ ...draft, ...change });
  const put = async () => {
    const container = choiceOf(CONTAINERS, draft.container);
    const place = choiceOf(SHELF_PLACES, draft.place);
    if (grams === undefined || !container || !place) return;
    const { count } = draft;
    const item = { name, batchId, container, count, grams, place, madeOn: dayOf(madeMs), useBy: draft.useBy || null };
    setFault(undefined);
    try {
      await putAway({ ...item, keeping: keeping ?? null });
      tell({ kind: 'leftover', fate: 'putAway', grams });
      setGrams(undefined);
      setMade(made + 1);
    } catch (error) {
      setFault(messageOf(error));
    }
  };
  return (
    <section aria-label="Put away" className="mt-6">
      <h2 className="text-[1.2rem]">Put away</h2>
      {keeping && <KeepingList keeping={keeping} />}
      <EntryForm key={made} className="mt-2 grid grid-cols-2 gap-2" onEntry={() => void put()}>
        <NumberField
          label="How many"
          value={draft.count}
          rules={COUNT}
          write={inlinePlain}
          onValue={(value) => value !== undefined && say({ count: Math.round(value) })}
        />
        <select
          aria-label="In what"
          className={BOX}
          value={draft.container}
          onChange={(event) => say({ container: event.target.value })}
        >
          {CONTAINERS.map((each) => (
            <option key={each} value={each}>
              {CONTAINER_WORDS[each][draft.count === 1 ? 0 : 1]}
            </option>
          ))}
        </select>
        <NumberField
          label="Grams put away"
          value={grams}
          optional
          rules={GRAMS}
          write={inlinePlain}
          placeholder="in all"
          onValue={setGrams}
        />
        <select
          aria-label="Where it stands"
          className={BOX}
          value={draft.place}
          onChange={(event) => say({ place: event.target.value })}
        >
          {SHELF_PLACES.map((each) => (
            <option key={each} value={each}>
              {PLACE_WORDS[each]}
            </option>
          ))}
        </select>
        <label className="col-span-2 flex items-center gap-2">
          <span className="flex-1">Use by, as you set it</span>
          <input
            type="date"
            aria-label="Use by"
            className={`${BOX} !w-40`}
            value={draft.useBy}
            onChange={(event) => say({ useBy: event.target.value })}
          />
        </label>
        {fault && (
          <p role="alert" className="col-span-2 text-off">
            {fault}
          </p>
        )}
        <Button type="submit" className="col-span-2" disabled={grams === undefined}>
          Onto the shelf
        </Button>
      </EntryForm>
    </section>
  );
}
