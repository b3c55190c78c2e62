import { keysOf } from '@/core/keys-of';
import { COATING_ORDER, COATINGS, type Coating, rolledPieces } from '@/core/serve/finishing';
import { ballRadiusM, HANDS, softAt, staysFirmHours } from '@/core/serve/staying-firm';
import { COOLING_PLACES } from '@/core/set/cooling';
import { duration } from '@/ui/duration';
import { celsius, listed, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, Choice, Fact } from './asked';
import type { Serving } from './use-serving';

const COATING_WORDS: Readonly<Record<Coating, string>> = {
  chocolate: 'tempered chocolate',
  flakes: 'chocolate flakes',
  nuts: 'chopped nuts',
  sugar: 'icing sugar',
  cocoa: 'cocoa powder',
};
const FRIDGE_C = 4;
/** Pa a piece must hold so that it can be rolled and does not smear (J). */
const ROLLS_PA = 1500;

/** Truffles: how many, in which order, and how long a tray stays rollable. */
export function Truffles({ serving: { prediction, batchG, kitchenC } }: { serving: Serving }) {
  const [eachG, setEachG] = useTyped('truffle', 12);
  const [coating, setCoating] = useTyped<Coating>('coating', 'cocoa', keysOf(COATING_WORDS));
  const { pieces, leftG, coatingG } = rolledPieces(batchG, eachG, coating);
  const body = { shape: 'sphere', lengthM: ballRadiusM(eachG, prediction.densityKgM3) } as const;
  const softC = softAt(prediction.batch, FRIDGE_C, ROLLS_PA);
  const stays = (warm: { aroundC: number; surface: number }) =>
    staysFirmHours(prediction.batch, body, FRIDGE_C, ROLLS_PA, warm);
  const onTray = stays({ aroundC: kitchenC, surface: COOLING_PLACES.room });
  const inHand = stays(HANDS);
  const { allergens } = COATINGS[coating];
  return (
    <>
      <div className="no-print grid max-w-sm gap-2">
        <Amount label="By the scoop" unit="g" reach={[3, 100]} value={eachG} onValue={setEachG} />
        <Choice label="Rolled in" value={coating} words={COATING_WORDS} onChoose={setCoating} />
      </div>
      <dl className="mt-3 max-w-2xl">
        <Fact name="Pieces" note={`${weight(Math.round(leftG))} is left`}>
          {pieces}
        </Fact>
        <Fact name={`${COATING_WORDS[coating]} to put out`} note="what the bowl keeps is in it">
          {weight(Math.round(coatingG))}
        </Fact>
        <Fact
          name="A tray stays rollable"
          note={
            softC === undefined
              ? 'from the fridge it is too soft to be rolled: less cream, or more cocoa butter'
              : `its skin softens at ${celsius(Math.round(softC))}, and it is ${celsius(Math.round(kitchenC))} here`
          }
        >
          {softC === undefined ? '–' : onTray === undefined ? 'as long as it stands' : duration(3600 * onTray)}
        </Fact>
        {softC !== undefined && inHand !== undefined && (
          <Fact name="One piece in a warm hand">{duration(Math.max(3600 * inHand, 1))}</Fact>
        )}
      </dl>
      <ol className="mt-3 max-w-2xl list-decimal space-y-1 pl-5">
        <li>Scoop onto a tray, chill until firm, roll with cool hands, chill again.</li>
        <li>
          Bowls in this order: {listed(COATING_ORDER.map((each) => COATING_WORDS[each]))}. What dusts comes last, so
          that cocoa does not go into the nuts.
        </li>
        {allergens.length > 0 && <li>The coating adds {listed([...allergens])} to what they contain.</li>}
      </ol>
    </>
  );
}
