'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { BatchAnswer } from '@/formats/batch';
import { type Compared, compared } from '@/kitchen/record/compared';
import { batchNumber } from '@/ui/batch-number';
import { celsius, money, percent, weight } from '@/ui/format';
import { numeral } from '@/ui/settings/numerals';
import { TopBar } from '@/ui/top-bar';
import { CompareChart } from './compare-chart';

const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;
const whole = (grams: number) => weight(Math.round(grams));

/** A reading that was highest, or nothing where nobody read. */
const hottest = ({ read }: Compared) =>
  read.length === 0 ? '–' : celsius(Math.max(...read.map(({ temperatureC }) => temperatureC)));

function thicker(thickness: number | undefined): string {
  if (thickness === undefined) return 'no ring';
  const share = Math.exp(thickness) - 1;
  if (Math.abs(share) < 0.05) return 'as reckoned';
  return share > 0 ? `${percent(share)} thicker` : `${percent(-share)} thinner`;
}

/** What is laid side by side, a line each. */
const LINES: readonly (readonly [name: string, of: (batch: Compared) => string])[] = [
  ['How it went', ({ summary }) => (summary.hasLanded === null ? '–' : summary.hasLanded ? 'landed' : 'missed')],
  ['Planned', ({ plannedG }) => whole(plannedG)],
  ['Went in', ({ summary }) => (summary.weighedG > 0 ? whole(summary.weighedG) : '–')],
  ['Should be in the bowl', ({ reckonedG }) => whole(reckonedG)],
  ['In the bowl', ({ summary }) => (summary.yieldG === null ? '–' : whole(summary.yieldG))],
  ['Hottest read', hottest],
  ['Poured, by its rings', ({ thickness }) => thicker(thickness)],
  ['From beginning to end', ({ minutes }) => (minutes < 1 ? '–' : `${numeral(minutes, 0)} min`)],
  ['Put in besides', ({ state }) => state.added.map(({ name, grams }) => `${name} ${whole(grams)}`).join(', ') || '–'],
  ['Cost', ({ summary }) => (summary.cost > 0 ? money(summary.cost) : '–')],
  ['By whom', ({ summary }) => summary.madeBy ?? '–'],
];

/** Up to four batches of one formula side by side and on one chart. */
export function CompareScreen({ opened }: { opened: readonly BatchAnswer[] }) {
  const batches = useMemo(() => opened.map(compared), [opened]);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar />
      <main className="mx-auto w-full max-w-[1080px] flex-1 px-5 py-5">
        <h1 className="text-[1.8rem]">Side by side{batches[0] && `: ${batches[0].head.name}`}</h1>
        <p>
          <Link href="/book" className="inline-flex min-h-11 items-center text-enamel underline">
            Back to the book
          </Link>
        </p>
        {batches.length === 0 ? (
          <p className="text-mute">None of these batches is here. Choose some in the book.</p>
        ) : (
          <>
            <div className="thin-scroll overflow-x-auto rounded-xl border border-rule bg-sheet">
              <table aria-label="Batches side by side" className="w-full text-left">
                <thead>
                  <tr className="border-rule border-b bg-field">
                    <td />
                    {batches.map(({ head }) => (
                      <th key={head.id} className="px-3 py-2">
                        <Link
                          href={`/batches/${head.id}/record`}
                          className="inline-flex min-h-11 items-center hover:text-enamel"
                        >
                          {batchNumber(head.number)}
                          <span className="ml-2 font-normal text-mute" suppressHydrationWarning>
                            {new Date(head.startedMs).toLocaleDateString('en-GB', DAY)}
                          </span>
                        </Link>
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {LINES.map(([name, of]) => (
                    <tr key={name} className="border-rule-soft border-b last:border-0">
                      <th className="px-3 py-1.5 font-medium text-mute">{name}</th>
                      {batches.map((batch) => (
                        <td key={batch.head.id} className="read px-3 py-1.5">
                          {of(batch)}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <CompareChart batches={batches} />
          </>
        )}
      </main>
    </div>
  );
}
