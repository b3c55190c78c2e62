'use client';

import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { planText } from '@/kitchen/method/plan';
import { stoveQuery } from '@/kitchen/method/stove-query';
import { PaperHead } from '@/ui/paper/paper-head';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';
import { methodPaper } from './method-paper';
import { useMethodOf } from './use-method-of';
import { usePlan } from './use-plan';

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
  const { plan } = usePlan(id);
  const paper = method && methodPaper(file.name, method, pan.names, plan);
  return (
    <main className="mx-auto max-w-[760px] bg-white px-8 py-6 text-black">
      <PaperHead
        pdf={`/api/formulas/${id}/method/card?${stoveQuery(stove, kitchenC)}${plan ? `&start=${planText(plan)}` : ''}`}
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
          <p>
            {paper.about} <strong>{paper.pours}</strong>
          </p>
          <p className="text-[14px]">{paper.needs}</p>
          <table className="mt-3 w-full max-w-[420px] text-[14px]" aria-label="Weigh">
            <tbody>
              {paper.weigh.map(([name, weight], i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: rows of a formula may be alike
                <tr key={i} className="border-[#ccc] border-b">
                  <th className="py-0.5 text-left font-normal">{name}</th>
                  <td className="read text-right">{weight}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <ol className="mt-4">
            {paper.steps.map(({ name, rows, how, looks, note, time, at, warmth, caution }, i) => (
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
                  {caution !== '' && <span className="block text-[13px]">{caution}</span>}
                </span>
                <span className="read text-right">
                  {at !== '' && <strong className="block">{at}</strong>}
                  {time}
                  <span className="block">{warmth}</span>
                </span>
              </li>
            ))}
          </ol>
          <p className="mt-4 text-[13px]">{paper.code}</p>
        </>
      )}
    </main>
  );
}
