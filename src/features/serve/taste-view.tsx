import { useMemo } from 'react';
import { nth } from '@/core/nth';
import { predictFormula } from '@/core/predict/predict-formula';
import { moreOf, spiceHeat, tiresAt } from '@/core/serve/eating';
import type { FormulaFile } from '@/formats/formula-file';
import { itemOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { percent, significant, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Fact } from './asked';
import { TasteMap } from './taste-map';
import type { Serving } from './use-serving';

const MORE_G = 10;
/** Shares of the chalky risk from which it is worth a word. */
const CHALKY = 0.3;

/** Sweetness against cocoa, where it tires, what ten grams more of a row do, and how hot a spice makes it. */
export function TasteView({ serving, variants }: { serving: Serving; variants: readonly FormulaFile[] }) {
  const [portionG, setPortionG] = useTyped('portion', 30);
  const [spiceG, setSpiceG] = useTyped('spice', 0);
  const { prediction, batchG, file, larder } = serving;
  const tires = tiresAt(prediction.taste.sweetness);
  const stands = useMemo(
    () =>
      variants.flatMap((variant) => {
        const found = predictFormula(knownPan(keyed(variant), larder, 'standard').formula);
        return found ? [{ name: variant.name, ...found.taste }] : [];
      }),
    [variants, larder],
  );
  const perKg = (1000 * spiceG) / Math.max(batchG + spiceG, 1);
  return (
    <AskedAnswered
      name="Taste"
      asked={
        <>
          <Amount label="A portion" unit="g" reach={[1, 1000]} value={portionG} onValue={setPortionG} />
          <Amount label="Ground chilli in it" unit="g" reach={[0, 500]} value={spiceG} onValue={setSpiceG} />
        </>
      }
    >
      <TasteMap here={{ name: file.name, ...prediction.taste }} others={stands} />
      <dl className="mt-3 max-w-2xl">
        <Fact name="A guest has had enough sweetness at about">
          {tires === undefined ? 'no amount' : weight(Math.round(tires))}
        </Fact>
        <Fact
          name={`${weight(portionG)} are as sweet as`}
          note={tires !== undefined && portionG > tires ? 'more than most finish' : undefined}
        >
          {weight(Number(((prediction.taste.sweetness * portionG) / 100).toPrecision(2)))} of sugar
        </Fact>
        {spiceG > 0 && (
          <Fact name="Spice" note={`${significant(perKg)} g in a kilogram; taste it, chillies differ tenfold`}>
            {spiceHeat(perKg)}
          </Fact>
        )}
      </dl>
      <Rows serving={serving} />
    </AskedAnswered>
  );
}

/** What ten grams more of each row do. */
function Rows({ serving: { file, formula, larder, prediction, pour } }: { serving: Serving }) {
  const rows = useMemo(
    () =>
      formula.lines.map((line, i) => {
        const id = nth(file.lines, Math.min(i, file.lines.length - 1)).ingredient;
        const more = moreOf(prediction.components, formula.process, line.perGram, MORE_G, pour);
        return { name: itemOf(file, larder, id)?.name ?? id, ...more };
      }),
    [file, formula, larder, prediction.components, pour],
  );
  return (
    <table className="mt-5 w-full max-w-2xl text-[15px]">
      <caption className="text-left font-semibold">{weight(MORE_G)} more of a row</caption>
      <thead>
        <tr className="text-left text-mute">
          <th className="py-1 font-medium">row</th>
          <th className="text-right font-medium">sweeter</th>
          <th className="text-right font-medium">flow</th>
          <th className="text-right font-medium">chalk</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, sweetness, flowTimes, chalky }, i) => {
          const sweeter = sweetness / Math.max(prediction.taste.sweetness, 1e-9) - 1;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows stand in their order; two may be of one ingredient
            <tr key={i} className="border-rule-soft border-t">
              <th className="py-1 text-left font-medium break-words">{name}</th>
              <td className="read text-right">
                {sweeter >= 0 ? '+' : '−'}
                {percent(Math.abs(sweeter))}
              </td>
              <td className="read text-right">
                {percent(Math.abs(flowTimes - 1))} {flowTimes >= 1 ? 'thicker' : 'thinner'}
              </td>
              <td className="read text-right">{chalky > CHALKY ? 'chalky' : 'no'}</td>
            </tr>
          );
        })}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={4} className="pt-2 text-[13.5px] text-mute">
            Milk rounds, cocoa bites; a little salt does both. From {percent(CHALKY)} on it is called chalky.
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
