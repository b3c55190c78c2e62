'use client';

import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { stoveQuery } from '@/kitchen/method/stove-query';
import { PaperHead } from '@/ui/paper/paper-head';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';
import { methodPaper } from './method-paper';
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
  const { pan, work } = useMethodOf(id, file, ingredients);
  const [kitchenC] = useKitchenTemperature();
  const stove = useStove();
  const method = work(file.method);
  const paper = method && methodPaper(file.name, method, pan.names);
  return (
    <main className="mx-auto max-w-[760px] bg-white px-8 py-6 text-black">
      <PaperHead
        pdf={`/api/formulas/${id}/method/card?${stoveQuery(stove, kitchenC)}`}
        back="Back to the method"
        to={`/formulas/${id}/method`}
      />
      <h1 className="text-[1.8rem]">{file.name}</h1>
      {pan.unknown.length > 0 && (
        <p className="font-semibold">Left out, since nobody knows it: {pan.unknown.join(', ')}.</p>
      )}
      {!paper ? (
        <p>No way of working suits what is in this pan yet.</p>
      ) : (
        <>
          <p>{paper.about}</p>
          <ol className="mt-4">
            {paper.steps.map(({ name, rows, how, looks, note, time, warmth }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
              <li key={i} className="grid grid-cols-[28px_1fr_auto] gap-x-3 border-[#999] border-b py-2">
                <span className="read">{i + 1}</span>
                <span>
                  <strong>{name}</strong>
                  {rows !== '' && `: ${rows}`}
                  <span className="block text-[14px]">
                    {how !== '' && `${how}. `}
                    {looks} {note}
                  </span>
                </span>
                <span className="read text-right">
                  {time}
                  <span className="block">{warmth}</span>
                </span>
              </li>
            ))}
          </ol>
          <ul className="mt-4 text-[13px]">
            {paper.cautions.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
    </main>
  );
}
