'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { BatchHead } from '@/formats/batch';
import type { BookRow } from '@/formats/book';
import { lookUp } from '@/formats/look-up';
import type { ShelfItem } from '@/formats/shelf';
import type { PouredLook } from '@/kitchen/formula-summary';
import { useChanges } from '@/kitchen/use-changes';
import { dayWords, dueWords } from '@/kitchen/words/due-words';
import { PLACE_WORDS } from '@/kitchen/words/keeping-words';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';
import { batchNumber } from '@/ui/batch-number';
import { weight } from '@/ui/format';
import { PouredStill } from '@/ui/sauce/poured-still';
import { clockOf } from '@/ui/time-of-day';
import { TopBar } from '@/ui/top-bar';
import { useDay } from '@/ui/use-day';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';

const TIME = { hour: '2-digit', minute: '2-digit' } as const;
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;
const DATE = { weekday: 'long', day: 'numeric', month: 'long' } as const;

/** Something to be ready at a time of today. */
export interface DueToday {
  readonly id: string;
  readonly formulaId: string;
  readonly name: string;
  readonly readyMinutes: number;
}

/** What stands on the first page. */
export interface TodayFacts {
  /** 2026-11-26, on the server's clock */
  readonly day: string;
  readonly running: readonly BatchHead[];
  readonly due: readonly DueToday[];
  /** what is due on the shelf, or the oldest of it */
  readonly useFirst: readonly ShelfItem[];
  /** the last batch of each formula that was made lately */
  readonly lately: readonly BookRow[];
  readonly formulas: number;
  /** what formulas above look like as they are poured, by id */
  readonly looks: Readonly<Record<string, PouredLook>>;
  /** what is wrong with the data or its backups */
  readonly troubles: readonly string[];
}

/** The first page: what runs, what is due, what to use first, what was made lately. */
export function TodayScreen({ facts }: { facts: TodayFacts }) {
  useRefreshOnReturn();
  const router = useRouter();
  useChanges((change) => {
    if (change.what !== 'formula') router.refresh();
  }, router.refresh);
  // A tablet that stays on over midnight asks anew.
  const day = useDay(facts.day);
  const drawn = useRef(facts.day);
  useEffect(() => {
    if (day !== drawn.current) router.refresh();
    drawn.current = day;
  }, [day, router]);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar />
      <main className="mx-auto w-full max-w-[1080px] flex-1 px-5 py-6">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="text-[1.8rem]">Today</h1>
          <p className="text-mute">{new Date(`${facts.day}T12:00`).toLocaleDateString('en-GB', DATE)}</p>
        </div>
        {facts.troubles.map((trouble) => (
          <p key={trouble} role="alert" className="mt-3 rounded-lg bg-off-wash px-4 py-3 font-medium text-off">
            {trouble}
          </p>
        ))}
        {facts.formulas === 0 && <HowToBegin />}
        <div className="mt-3 grid gap-4 md:grid-cols-2">
          <Running batches={facts.running} looks={facts.looks} />
          <Due tasks={facts.due} looks={facts.looks} />
          <UseFirst items={facts.useFirst} day={facts.day} />
          <Lately rows={facts.lately} formulas={facts.formulas} looks={facts.looks} />
        </div>
      </main>
    </div>
  );
}

function Part({ title, more, children }: { title: string; more?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded-xl border border-rule bg-sheet px-4 py-3">
      <div className="flex items-baseline gap-3">
        <h2 className="flex-1 text-[1.15rem]">{title}</h2>
        {more}
      </div>
      {children}
    </section>
  );
}

const More = ({ href, children }: { href: string; children: string }) => (
  <Link href={href} className="inline-flex min-h-11 items-center text-enamel underline">
    {children}
  </Link>
);

/** A line of a part that leads somewhere. */
function Line({
  href,
  name,
  beside,
  figure,
  look,
}: {
  href: string;
  name: string;
  beside: string;
  figure: string;
  look?: PouredLook | undefined;
}) {
  return (
    <li className="border-rule border-t">
      <Link href={href} className="flex min-h-13 items-center gap-3 py-1 hover:text-enamel">
        {look && <PouredStill poured={look} className="w-16 shrink-0" />}
        <span className="min-w-0 flex-1">
          <strong className="block truncate">{name}</strong>
          <span className="block truncate text-[13.5px] text-mute" suppressHydrationWarning>
            {beside}
          </span>
        </span>
        <span className="read" suppressHydrationWarning>
          {figure}
        </span>
      </Link>
    </li>
  );
}

type Looks = { readonly looks: TodayFacts['looks'] };

function Running({ batches, looks }: { batches: readonly BatchHead[] } & Looks) {
  return (
    <Part title="On the stove" more={<More href="/rescue">{RESCUE_NAME}</More>}>
      {batches.length === 0 ? (
        <p className="py-2 text-mute">Nothing is being cooked.</p>
      ) : (
        <ul>
          {batches.map(({ id, number, name, startedMs, formulaId }) => (
            <Line
              key={id}
              href={`/batches/${id}`}
              name={name}
              beside={`since ${new Date(startedMs).toLocaleTimeString('en-GB', TIME)}`}
              figure={batchNumber(number)}
              look={formulaId === null ? undefined : lookUp(looks, formulaId)}
            />
          ))}
        </ul>
      )}
    </Part>
  );
}

function Due({ tasks, looks }: { tasks: readonly DueToday[] } & Looks) {
  return (
    <Part title="Due today" more={<More href="/day">The day on a line</More>}>
      {tasks.length === 0 ? (
        <p className="py-2 text-mute">Nothing is planned for today.</p>
      ) : (
        <ul>
          {tasks.map(({ id, formulaId, name, readyMinutes }) => (
            <Line
              key={id}
              href={`/formulas/${formulaId}/method`}
              name={name}
              beside="to be ready"
              figure={clockOf(readyMinutes)}
              look={lookUp(looks, formulaId)}
            />
          ))}
        </ul>
      )}
    </Part>
  );
}

function UseFirst({ items, day }: { items: readonly ShelfItem[]; day: string }) {
  return (
    <Part title="Use first" more={<More href="/shelf">The whole shelf</More>}>
      {items.length === 0 ? (
        <p className="py-2 text-mute">Nothing is put away.</p>
      ) : (
        <ul>
          {items.map(({ id, name, place, useBy, madeOn, leftG }) => (
            <Line
              key={id}
              href="/shelf"
              name={name}
              beside={
                useBy === null
                  ? `${PLACE_WORDS[place]}, made ${dayWords(madeOn)}`
                  : `${dueWords(useBy, day)}, ${PLACE_WORDS[place]}`
              }
              figure={weight(Math.round(leftG))}
            />
          ))}
        </ul>
      )}
    </Part>
  );
}

function Lately({ rows, formulas, looks }: { rows: readonly BookRow[]; formulas: number } & Looks) {
  return (
    <Part title="Made lately" more={<More href="/formulas">{`All ${formulas} formulas`}</More>}>
      {rows.length === 0 ? (
        <p className="py-2 text-mute">Nothing has been cooked to its end yet.</p>
      ) : (
        <ul>
          {rows.map(({ id, formulaId, name, startedMs, hasLanded }) => (
            <Line
              key={id}
              href={`/formulas/${formulaId}/method`}
              name={name}
              beside={`${new Date(startedMs).toLocaleDateString('en-GB', DAY)}${hasLanded === null ? '' : hasLanded ? ', landed' : ', missed'}`}
              figure=""
              look={lookUp(looks, formulaId)}
            />
          ))}
        </ul>
      )}
    </Part>
  );
}

/** An empty kitchen sees how to begin. */
function HowToBegin() {
  return (
    <section aria-label="How to begin" className="mt-3 rounded-xl bg-enamel-wash px-5 py-4">
      <h2 className="text-[1.2rem]">Three ways to begin</h2>
      <ol className="mt-1 grid gap-1">
        <li>
          <More href="/brief">Say what it must do</More>: a formula is proposed from the larder and balanced to it.
        </li>
        <li>
          <More href="/formulas">Open or paste a recipe</More>: it is read, weighed and judged.
        </li>
        <li>
          <More href="/rescue">{RESCUE_NAME}</More>: no formula is needed for that.
        </li>
      </ol>
    </section>
  );
}
