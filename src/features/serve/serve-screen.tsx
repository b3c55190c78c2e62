'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { weight } from '@/ui/format';
import { PoursSwitch } from '@/ui/pours/pours-switch';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { useTyped } from '@/ui/use-typed';
import { BoardView } from './board-view';
import { FinishingView } from './finishing-view';
import { GuestView } from './guest-view';
import { JarsView } from './jars-view';
import { PlateView } from './plate-view';
import { TasteView } from './taste-view';
import { type Serving, useServing } from './use-serving';

const VIEWS = {
  plate: 'On the plate',
  board: 'Board to dip from',
  jars: 'Jars and tubs',
  finish: 'Finishing',
  taste: 'Taste',
  guest: 'For a guest',
} as const;
type View = keyof typeof VIEWS;

interface ServeProps {
  readonly id: string;
  readonly file: FormulaFile;
  readonly variants: readonly FormulaFile[];
  readonly ingredients: readonly Ingredient[];
}

function Shown({
  view,
  id,
  serving,
  variants,
}: { view: View; serving: Serving } & Pick<ServeProps, 'id' | 'variants'>) {
  if (view === 'plate') return <PlateView id={id} serving={serving} />;
  if (view === 'board') return <BoardView serving={serving} />;
  if (view === 'jars') return <JarsView serving={serving} />;
  if (view === 'finish') return <FinishingView serving={serving} />;
  if (view === 'taste') return <TasteView serving={serving} variants={variants} />;
  return <GuestView serving={serving} />;
}

/** To the table: plates, boards, jars, finishing, taste, and what a guest asks. */
export function ServeScreen({ id, file, variants, ingredients }: ServeProps) {
  const serving = useServing(id, file, ingredients);
  const [view, setView] = useTyped<View>('view', 'plate', keysOf(VIEWS));
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <div className="no-print">
        <TopBar
          title={
            <span className="min-w-0 truncate px-2 text-[1.05rem]">
              {file.name}
              {serving && <span className="text-[#a9b6ba]"> · makes {weight(Math.round(serving.batchG))}</span>}
            </span>
          }
          steps={<Steps at="serve" id={id} />}
        />
        <nav aria-label="Serve" className="thin-scroll flex gap-1 overflow-x-auto border-rule border-b bg-sheet px-4">
          {(Object.keys(VIEWS) as View[]).map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={view === each}
              onClick={() => setView(each)}
              className="min-h-12 shrink-0 border-transparent border-b-3 px-3 text-mute hover:text-ink aria-pressed:border-enamel aria-pressed:font-semibold aria-pressed:text-ink"
            >
              {VIEWS[each]}
            </button>
          ))}
        </nav>
      </div>
      {serving && serving.unknown.length > 0 && (
        <p role="alert" className="bg-near-wash px-6 py-2">
          Not in the larder, and left out here: {serving.unknown.join(', ')}.
        </p>
      )}
      <main className="flex-1 px-6 py-5">
        {serving ? (
          <Shown view={view} id={id} serving={serving} variants={variants} />
        ) : (
          <p className="text-mute">The pan is empty: put something into it on the bench first.</p>
        )}
      </main>
      <footer className="no-print flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
        <span>Worked out for this formula; what hands, plates and guests do differs.</span>
        <PoursSwitch />
        <Link
          href={`/practice?formula=${id}`}
          className="ml-auto inline-flex min-h-11 items-center text-enamel underline"
        >
          Practise this one
        </Link>
      </footer>
    </div>
  );
}
