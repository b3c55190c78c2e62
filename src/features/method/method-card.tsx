'use client';

import { Printer } from 'lucide-react';
import Link from 'next/link';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { STEP_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { Button } from '@/ui/button';
import { celsius, weight } from '@/ui/format';
import { cautionOf } from './step-caution';
import { duration } from './step-facts';
import { useMethodOf } from './use-method-of';

/** The method on paper: one page, black on white, on screen as on paper. */
export function MethodCard({
  id,
  file,
  ingredients,
}: {
  id: string;
  file: FormulaFile;
  ingredients: readonly Ingredient[];
}) {
  const { pan, work } = useMethodOf(file, ingredients);
  const method = work(file.method?.way);
  const cautions = new Set(method?.followed.flatMap((followed) => cautionOf(followed) ?? []));
  return (
    <main className="mx-auto max-w-[760px] bg-white px-8 py-6 text-black">
      <div className="no-print mb-6 flex flex-wrap gap-2 text-ink">
        <Button look="primary" onClick={() => window.print()}>
          <Printer size={17} aria-hidden="true" /> Print
        </Button>
        <Link
          href={`/formulas/${id}/method`}
          className="inline-flex min-h-11 items-center rounded-lg border border-[#c9d2d4] px-4 font-medium text-black"
        >
          Back to the method
        </Link>
      </div>
      <h1 className="text-[1.8rem]">{file.name}</h1>
      {pan.unknown.length > 0 && (
        <p className="font-semibold">Left out, since nobody knows it: {pan.unknown.join(', ')}.</p>
      )}
      {!method ? (
        <p>No way of working suits what is in this pan yet.</p>
      ) : (
        <>
          <p>
            {WAY_WORDS[method.way].name}; about {duration(method.seconds)}.
          </p>
          <ol className="mt-4">
            {method.followed
              .filter(({ seconds }) => seconds > 0)
              .map((followed, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
                <li key={i} className="grid grid-cols-[28px_1fr_auto] gap-x-3 border-[#999] border-b py-2">
                  <span className="read">{i + 1}</span>
                  <span>
                    <strong>{STEP_WORDS[followed.step.kind].name}</strong>
                    {followed.additions.length > 0 && (
                      <>
                        :{' '}
                        {followed.additions
                          .map(({ key, grams }) => `${pan.names[Number(key)]} ${weight(Math.round(grams * 10) / 10)}`)
                          .join(', ')}
                      </>
                    )}
                    <span className="block text-[14px]">{STEP_WORDS[followed.step.kind].looks}.</span>
                  </span>
                  <span className="read text-right">
                    {duration(followed.seconds)}
                    {followed.step.where !== 'aside' && (
                      <span className="block">{celsius(Math.round(followed.end.temperatureC))}</span>
                    )}
                  </span>
                </li>
              ))}
          </ol>
          <ul className="mt-4 text-[13px]">
            {[...cautions, CAUTION_WORDS.code].map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
    </main>
  );
}
