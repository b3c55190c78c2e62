import Link from 'next/link';
import { useState } from 'react';
import { messageOf } from '@/formats/message-of';
import type { ShelfItem } from '@/formats/shelf';
import { takeFromShelf } from '@/kitchen/client/shelf-items';
import { dayWords, dueStands, dueWords } from '@/kitchen/words/due-words';
import { CONTAINER_WORDS, PLACE_WORDS } from '@/kitchen/words/keeping-words';
import { batchNumber } from '@/ui/batch-number';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { weight } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { KeepingList } from '@/ui/keeping-list';
import { NumberField } from '@/ui/number-field';

/** Something on the shelf: how much, since when, by when, why it keeps, and taking from it. */
export function ShelfLine({ item, today, onTaken }: { item: ShelfItem; today: string; onTaken: () => void }) {
  const [grams, setGrams] = useState<number | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [isBusy, setBusy] = useState(false);
  const take = async (fate: 'used' | 'thrown', grams: number | undefined) => {
    if (grams === undefined) return;
    setBusy(true);
    setFault(undefined);
    try {
      await takeFromShelf(item.id, { fate, grams });
      onTaken();
    } catch (error) {
      setFault(messageOf(error));
      onTaken();
    } finally {
      setBusy(false);
    }
  };
  const [one, many] = CONTAINER_WORDS[item.container];
  const isDue = item.useBy !== null && item.useBy <= today;
  const isPast = item.useBy !== null && dueStands(item.useBy, today) === 'past';
  const eachG = item.grams / item.count;
  const left = Math.round((item.leftG / eachG) * 10) / 10;
  return (
    <li className="border-rule border-b px-4 py-3 last:border-0">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <p className="min-w-0 flex-1 basis-60">
          <strong className="break-words">{item.name}</strong>
          <span className="block text-[13.5px] text-mute">
            {left} {left === 1 ? one : many} {PLACE_WORDS[item.place]}, made {dayWords(item.madeOn)}
            {item.batchId && item.batchNumber !== null && (
              <>
                {' · '}
                <Link
                  href={`/batches/${item.batchId}/record`}
                  className="inline-flex min-h-11 items-center text-enamel underline"
                >
                  batch {batchNumber(item.batchNumber)}
                </Link>
              </>
            )}
          </span>
        </p>
        <p className={isDue ? 'font-semibold text-off' : 'text-mute'}>
          {item.useBy === null ? 'no use-by of your own' : dueWords(item.useBy, today)}
        </p>
        <span className="read text-[1.15rem]">{weight(Math.round(item.leftG))}</span>
        {isPast ? (
          <Button disabled={isBusy} onClick={() => void take('thrown', item.leftG)}>
            Throw it away
          </Button>
        ) : (
          <>
            {item.count > 1 && (
              <Button
                disabled={isBusy}
                aria-label={`Use one ${one} of ${item.name}`}
                onClick={() => void take('used', Math.min(eachG, item.leftG))}
              >
                Use 1 {one}
              </Button>
            )}
            <EntryForm className="flex items-center gap-2" onEntry={() => void take('used', grams)}>
              <NumberField
                key={item.leftG}
                label={`Take from ${item.name}`}
                value={grams}
                optional
                rules={{ least: 0.1, most: 100_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '100' }}
                write={inlinePlain}
                onValue={setGrams}
                className="w-28"
              />
              <Button type="submit" disabled={isBusy || grams === undefined}>
                Use
              </Button>
            </EntryForm>
            <Button
              look="bare"
              disabled={isBusy}
              onClick={() => void take('thrown', grams === undefined ? item.leftG : grams)}
            >
              Throw {grams === undefined ? 'all' : 'this'} away
            </Button>
          </>
        )}
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-off">
          {fault}
        </p>
      )}
      {item.keeping && (
        <details className="mt-1 text-[13.5px]">
          <summary className="inline-flex min-h-9 cursor-pointer items-center text-mute underline">
            How long it keeps
          </summary>
          <KeepingList keeping={item.keeping} />
        </details>
      )}
    </li>
  );
}
