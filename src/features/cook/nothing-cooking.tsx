'use client';

import { CookThis } from '@/ui/cook-this';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';

/** Nothing of a formula is on the stove: a batch can be begun. */
export function NothingCooking({ id, name, grams }: { id: string; name: string; grams: number }) {
  return (
    <div className="flex min-h-screen flex-col">
      <TopBar
        title={<span className="min-w-0 truncate px-2 text-[1.05rem]">{name}</span>}
        steps={<Steps at="cook" id={id} />}
      />
      <main className="px-6 py-8">
        <h1 className="text-[1.8rem]">Nothing of it is on the stove</h1>
        <p className="mt-2 max-w-prose text-mute">
          A batch is a copy of the formula and its method as they are now. Everything that happens is written down as it
          happens, and stays whatever becomes of the formula.
        </p>
        {grams > 0 ? (
          <CookThis id={id} grams={grams} />
        ) : (
          <p className="mt-3">The pan is empty: fill it on the bench first.</p>
        )}
      </main>
    </div>
  );
}
