'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { inOrder } from '@/core/matter/allergens';
import type { StoredIngredient } from '@/formats/ingredient';
import { fetchLarder } from '@/kitchen/client/shelf';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { BLANK } from '@/ui/ingredient/ingredient-values';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { ImportSheet } from './import-sheet';
import { LarderBar } from './larder-bar';
import { LarderFilters } from './larder-filters';
import { EVERYTHING, filterRows, rowOf } from './larder-rows';
import { LarderSheets, type Over } from './larder-sheets';
import { LarderTable } from './larder-table';
import { useLarderImport } from './use-larder-import';

/** The larder: every ingredient, searched and filtered, looked into, added, changed, read from and written to CSV. */
export function LarderScreen({ carried }: { carried: Carried<StoredIngredient> }) {
  useRefreshOnReturn();
  const { rows: ingredients, isWhole, fault, again } = useWhole(carried, fetchLarder);
  const router = useRouter();
  const [filter, setFilter] = useState(EVERYTHING);
  const [over, setOver] = useState<Over | undefined>();
  const [said, setSaid] = useState<string | undefined>();
  const importing = useLarderImport(ingredients, () => router.refresh());

  const rows = useMemo(() => ingredients.map(rowOf), [ingredients]);
  const found = useMemo(() => filterRows(rows, filter), [rows, filter]);
  const allergens = useMemo(
    () => inOrder(rows.flatMap(({ contents }) => [...contents.contains, ...contents.mayContain])),
    [rows],
  );
  const done = (text: string) => {
    setOver(undefined);
    setSaid(text);
    router.refresh();
  };

  return (
    <div className="flex h-screen flex-col">
      <TopBar />
      <main className="mx-auto flex min-h-0 w-full max-w-[1240px] flex-1 flex-col px-5 pt-5 pb-4">
        <LarderBar
          canImport={isWhole}
          onFile={(file) => void importing.read(file)}
          onNew={() => setOver({ what: 'new', start: BLANK })}
        />
        <div className="mb-3 flex flex-wrap items-center gap-2">
          <LarderFilters filter={filter} allergens={allergens} onFilter={setFilter} />
          <span className="ml-auto text-[13.5px] text-mute" role="status">
            {said ? `${said} ` : ''}
            {!isWhole && (fault ? `${fault} ` : 'The rest is being fetched… ')}
            {fault && (
              <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={again}>
                Try again
              </button>
            )}
            {found.length === rows.length ? `${rows.length} ingredients` : `${found.length} of ${rows.length}`}
          </span>
        </div>
        {found.length === 0 ? (
          <p className="py-10 text-mute">
            Nothing in the larder is like that.{' '}
            <button type="button" className="font-semibold text-enamel underline" onClick={() => setFilter(EVERYTHING)}>
              Show all {rows.length}
            </button>
          </p>
        ) : (
          <LarderTable rows={found} onOpen={(id) => setOver({ what: 'detail', id })} />
        )}
      </main>
      <LarderSheets
        over={over}
        setOver={setOver}
        ingredients={ingredients}
        onDone={done}
        onKept={() => router.refresh()}
      />
      <ImportSheet importing={importing} />
    </div>
  );
}
