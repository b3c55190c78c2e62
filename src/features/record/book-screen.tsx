'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { OneSided } from '@/core/learn/one-sided';
import type { BookAnswer, BookChoices, BookRow } from '@/formats/book';
import type { Named } from '@/formats/server-answers';
import { bookParams } from '@/kitchen/client/book';
import { Button } from '@/ui/button';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { BookFilters } from './book-filters';
import { BookTable } from './book-table';
import { OneSidedNote } from './one-sided-note';
import { PastBatch } from './past-batch';
import { useBook } from './use-book';

/** Most batches that are laid side by side. */
const MOST_COMPARED = 4;

/** Every batch that is over: the whole kitchen's, or those of one formula. */
export function BookScreen({
  opened,
  choices,
  hasFormulas,
  formula,
  misses = [],
  nowMs,
}: {
  opened: BookAnswer;
  choices: BookChoices;
  /** there is something a batch can be written down of */
  hasFormulas: boolean;
  formula: Named | undefined;
  /** what the tests of its batches agree on */
  misses?: readonly OneSided[];
  /** on the server's clock, for the list of months */
  nowMs: number;
}) {
  const book = useBook(opened, formula ? { formula: formula.id } : {});
  const [chosen, setChosen] = useState<readonly BookRow[]>([]);
  const [isWriting, setWriting] = useState(false);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const toggle = (row: BookRow) =>
    setChosen(chosen.some(({ id }) => id === row.id) ? chosen.filter(({ id }) => id !== row.id) : [...chosen, row]);
  const asFile = (as: string) => {
    const asked = bookParams(book.filter);
    asked.set('as', as);
    return `/api/book?${asked}`;
  };
  return (
    <div className="flex min-h-screen flex-col lg:h-screen" data-ready={ready}>
      {formula ? (
        <TopBar
          title={<span className="min-w-0 truncate px-2 text-[1.05rem]">{formula.name}</span>}
          steps={<Steps at="record" id={formula.id} />}
        />
      ) : (
        <TopBar />
      )}
      <main className="mx-auto flex w-full max-w-[1180px] flex-1 flex-col gap-3 px-5 py-5 lg:min-h-0">
        <div className="flex flex-wrap items-center gap-3 print:hidden">
          <h1 className="flex-1 text-[1.8rem]">{formula ? 'Its batches' : 'The book'}</h1>
          {chosen.length >= 2 && (
            <Link
              href={`/book/compare?ids=${chosen.map(({ id }) => id).join(',')}`}
              className="inline-flex min-h-11 items-center rounded-lg border border-enamel px-4 font-medium text-enamel"
            >
              Lay {chosen.length} side by side
            </Link>
          )}
          <Button look="primary" onClick={() => setWriting(true)} disabled={!hasFormulas}>
            Write a batch down
          </Button>
        </div>
        {formula && <OneSidedNote formulaId={formula.id} found={misses} />}
        <BookFilters book={book} choices={choices} now={new Date(nowMs)} hasFormula={formula !== undefined} />
        {book.fault && (
          <p role="alert" className="text-off">
            The book does not answer: {book.fault} <Button onClick={book.again}>Ask again</Button>
          </p>
        )}
        <p role="status" className="sr-only">
          {book.total} batches
        </p>
        {book.total === 0 ? (
          <Empty isNarrowed={Object.values(book.filter).filter(Boolean).length > (formula ? 1 : 0)} />
        ) : (
          <BookTable
            rows={book.rows}
            total={book.total}
            chosen={new Set(chosen.map(({ id }) => id))}
            mayChoose={(row) =>
              chosen.length < MOST_COMPARED && chosen.every(({ formulaId }) => formulaId === row.formulaId)
            }
            onChoose={toggle}
            onMore={book.more}
          />
        )}
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px] print:hidden">
        <span className="read">{book.total}</span>
        <a href={asFile('csv')} className="inline-flex min-h-11 items-center text-enamel underline">
          As a table (CSV)
        </a>
        <a href={asFile('json')} className="inline-flex min-h-11 items-center text-enamel underline">
          As a file (JSON)
        </a>
        <button type="button" className="min-h-11 text-enamel underline" onClick={() => window.print()}>
          Print
        </button>
      </footer>
      {isWriting && <PastBatch formula={formula} nowMs={nowMs} onClose={() => setWriting(false)} />}
    </div>
  );
}

function Empty({ isNarrowed }: { isNarrowed: boolean }) {
  return (
    <p className="mt-4 max-w-prose text-mute">
      {isNarrowed
        ? 'No batch answers all of that. Take something back.'
        : 'Nothing has been cooked to its end yet. A batch that is followed beside the pan comes here by itself; one that was made without can be written down.'}
    </p>
  );
}
