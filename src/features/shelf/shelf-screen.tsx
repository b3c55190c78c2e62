'use client';

import { useEffect, useRef, useState } from 'react';
import { messageOf } from '@/formats/message-of';
import type { ShelfItem } from '@/formats/shelf';
import { fetchShelf } from '@/kitchen/client/shelf-items';
import { useChanges } from '@/kitchen/use-changes';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { dueStands } from '@/kitchen/words/due-words';
import { Button } from '@/ui/button';
import { TopBar } from '@/ui/top-bar';
import { useDay } from '@/ui/use-day';
import { ShelfLine } from './shelf-item';

/** What has been put away, by its use-by; what has none of its own behind, the oldest first. */
export function ShelfScreen({ opened, serverDay }: { opened: readonly ShelfItem[]; serverDay: string }) {
  const [items, setItems] = useState(opened);
  const [fault, setFault] = useState<string | undefined>();
  const today = useDay(serverDay);
  const asked = useRef(0);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const look = () => {
    const own = ++asked.current;
    fetchShelf().then(
      (found) => {
        if (own !== asked.current) return;
        setItems(found);
        setFault(undefined);
      },
      (error) => own === asked.current && setFault(messageOf(error)),
    );
  };
  useChanges((change) => {
    if (change.what === 'shelf') look();
  }, look);
  const standing = (wanted: 'past' | 'today') =>
    items.filter(({ useBy }) => useBy !== null && dueStands(useBy, today) === wanted);
  const [past, due] = [standing('past'), standing('today')];
  const others = items.filter((item) => !past.includes(item) && !due.includes(item));
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar />
      <main className="mx-auto w-full max-w-[1080px] flex-1 px-5 py-6">
        <h1 className="text-[1.8rem]">On the shelf</h1>
        {fault && (
          <p role="alert" className="mt-2 text-off">
            The shelf does not answer: {fault} <Button onClick={look}>Ask again</Button>
          </p>
        )}
        {items.length === 0 && (
          <p className="mt-4 max-w-prose text-mute">
            Nothing is put away. What is left of a batch goes onto the shelf from its page in the book.
          </p>
        )}
        <Group title="Past its date: do not serve" items={past} today={today} onTaken={look} />
        <Group title="Use today" items={due} today={today} onTaken={look} />
        <Group
          title={others.length < items.length ? 'After that, by use-by' : 'By use-by'}
          items={others}
          today={today}
          onTaken={look}
        />
        <p className="mt-5 text-[14px] text-mute">
          {CAUTION_WORDS.keeping} {CAUTION_WORDS.code}
        </p>
      </main>
    </div>
  );
}

function Group({
  title,
  items,
  today,
  onTaken,
}: {
  title: string;
  items: readonly ShelfItem[];
  today: string;
  onTaken: () => void;
}) {
  if (items.length === 0) return null;
  return (
    <section aria-label={title} className="mt-4">
      <h2 className="text-[1.2rem]">{title}</h2>
      <ul className="mt-2 overflow-hidden rounded-xl border border-rule bg-sheet">
        {items.map((item) => (
          <ShelfLine key={`${item.id} ${item.leftG}`} item={item} today={today} onTaken={onTaken} />
        ))}
      </ul>
    </section>
  );
}
