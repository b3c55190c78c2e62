'use client';

import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { larderOf } from '@/kitchen/known-item';
import { PaperHead } from '@/ui/paper/paper-head';
import { useCalibration } from '@/ui/pours/pours-provider';
import { useMeasures } from '@/ui/use-measure-system';
import { benchCard } from './bench-card';

/** The bench card: one page, black on white, on screen as on paper. */
export function CardPage({
  id,
  file,
  ingredients,
}: {
  id: string;
  file: FormulaFile;
  ingredients: readonly Ingredient[];
}) {
  const { system, cups } = useMeasures();
  const calibration = useCalibration(id);
  const card = benchCard(file, larderOf(ingredients), calibration, system, cups);
  return (
    <main className="mx-auto max-w-[760px] bg-white px-8 py-6 text-black">
      <PaperHead
        pdf={`/api/formulas/${id}/card?cups=${cups}&figures=${calibration === 'standard' ? 'standard' : 'kitchen'}`}
        back="Back to the bench"
        to={`/formulas/${id}/balance`}
      />
      <h1 className="text-[1.8rem]">{card.name}</h1>
      {card.job && <p className="font-semibold">{card.job}</p>}
      {card.note && <p className="mb-2">{card.note}</p>}
      <table className="mt-3 w-full">
        {card.stages.map(({ title, rows }) => (
          <tbody key={`${title} ${rows[0]?.name}`}>
            {title && (
              <tr>
                <th colSpan={4} className="border-black border-b pt-3 text-left font-semibold">
                  {title}
                </th>
              </tr>
            )}
            {rows.map((row) => (
              <tr key={`${row.name} ${row.grams} ${row.how}`} className="border-[#999] border-b">
                <td className="read w-24 py-1.5 text-right text-[1.1rem]">{row.grams}</td>
                <td className="read w-24 px-3 text-[0.9rem]">{row.measure}</td>
                <td className="font-semibold">{row.name}</td>
                <td>{row.how}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
      <p className="mt-2 font-semibold">{card.total}</p>
      <h2 className="mt-5 text-[1.15rem]">What it will be like</h2>
      <ul>
        {card.moments.map(({ name, at, like }) => (
          <li key={name}>
            <strong>{name}</strong> ({at}): {like}
          </li>
        ))}
      </ul>
      <p className="text-[13px]">{card.figures}</p>
      <h2 className="mt-4 text-[1.15rem]">Gates</h2>
      <ul>
        {card.gates.map((gate) => (
          <li key={gate}>{gate}</li>
        ))}
      </ul>
      <p className="mt-4">
        Contains <strong>{card.allergens}</strong>.
        {card.mayContain && (
          <>
            {' '}
            May contain <strong>{card.mayContain}</strong>.
          </>
        )}
      </p>
      {card.notKnown.map((sentence) => (
        <p key={sentence} className="font-semibold">
          {sentence}
        </p>
      ))}
      <ul className="mt-2 text-[13px]">
        {card.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </main>
  );
}
