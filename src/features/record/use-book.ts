import { useCallback, useEffect, useRef, useState } from 'react';
import type { BookAnswer, BookQuery } from '@/formats/book';
import { messageOf } from '@/formats/message-of';
import { fetchBook } from '@/kitchen/client/book';
import { useChanges } from '@/kitchen/use-changes';

/** What the book is looked through by. */
export type BookFilter = Partial<Omit<BookQuery, 'skip'>>;

/** Waits for the next key before it asks, ms. */
const TYPING_MS = 120;

/** The lines of the book that answer a filter, a page at a time; asked again when a batch is told of. */
export function useBook(opened: BookAnswer, fixed: BookFilter) {
  const [filter, setFilter] = useState<BookFilter>(fixed);
  const [book, setBook] = useState(opened);
  const [fault, setFault] = useState<string | undefined>();
  const asked = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const known = useRef({ filter, rows: opened.rows });
  known.current = { filter, rows: book.rows };

  const ask = useCallback(async (query: BookFilter, before: BookAnswer['rows']) => {
    const own = ++asked.current;
    try {
      const answer = await fetchBook({ ...query, skip: before.length });
      if (own !== asked.current) return;
      setBook({ rows: [...before, ...answer.rows], total: answer.total });
      setFault(undefined);
    } catch (error) {
      if (own === asked.current) setFault(messageOf(error));
    }
  }, []);
  useEffect(() => () => clearTimeout(timer.current), []);
  useChanges((change) => {
    if (change.what === 'batch') void ask(known.current.filter, []);
  });
  return {
    filter,
    ...book,
    fault,
    narrow: (change: BookFilter) => {
      const next = { ...filter, ...change };
      setFilter(next);
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void ask(next, []), TYPING_MS);
    },
    /** the next page, after those that are there */
    more: () => void ask(known.current.filter, known.current.rows),
    again: () => void ask(known.current.filter, []),
  };
}

export type Book = ReturnType<typeof useBook>;
