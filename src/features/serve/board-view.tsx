import { keysOf } from '@/core/keys-of';
import { holdWarm } from '@/core/pan/hold-warm';
import { type BoardItem, CUT_LAST, type Dipped, dippingBoard, FRYING } from '@/core/serve/dipping-board';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Fact } from './asked';
import { Contains } from './contains';
import type { Serving } from './use-serving';

const DIPPED_WORDS: Readonly<Record<Dipped, string>> = {
  crisp: 'crisp: wafers, biscuits',
  salty: 'salty: sticks, crackers',
  fruit: 'fruit',
  cake: 'cake and bread',
  fried: 'fried dough',
};
/** Pieces each guest takes of each to begin with (J). */
const USUAL: Readonly<Record<Dipped, number>> = { crisp: 3, salty: 2, fruit: 5, cake: 3, fried: 0 };

/** A board to dip from: pieces, sauce, how long it may stand, what is cut last. */
export function BoardView({ serving }: { serving: Serving }) {
  const [guests, setGuests] = useTyped('guests', 12);
  const [each, setEach] = useTyped('pieces', USUAL);
  const { method, pour, batchG } = serving;
  const items: BoardItem[] = keysOf(each).flatMap((kind) => (each[kind] > 0 ? [{ kind, piecesEach: each[kind] }] : []));
  const need = dippingBoard(guests, items);
  const allG = need.dippedG + need.standingG;
  const end = method?.followed.at(-1)?.end;
  const held = end && holdWarm(end, pour.temperatureC);
  const batches = batchG > 0 ? allG / batchG : 0;
  const fried = need.items.find(({ kind }) => kind === 'fried');
  return (
    <AskedAnswered
      name="A board to dip from"
      asked={
        <>
          <Amount
            label="Guests"
            unit=""
            reach={[1, 500]}
            value={guests}
            onValue={(value) => setGuests(Math.round(value))}
          />
          <p className="mt-2 text-mute">Pieces for each guest</p>
          {keysOf(DIPPED_WORDS).map((kind) => (
            <Amount
              key={kind}
              label={DIPPED_WORDS[kind]}
              unit=""
              reach={[0, 50]}
              value={each[kind]}
              onValue={(value) => setEach({ ...each, [kind]: value })}
            />
          ))}
        </>
      }
    >
      {items.length === 0 ? (
        <p className="text-mute">Nothing is dipped yet.</p>
      ) : (
        <>
          <dl className="max-w-2xl">
            {need.items.map(({ kind, pieces, grams }) => (
              <Fact
                key={kind}
                name={DIPPED_WORDS[kind]}
                note={CUT_LAST.has(kind) ? 'cut last; it browns or dries' : undefined}
              >
                {pieces} pieces, {weight(Math.round(grams))}
              </Fact>
            ))}
            <Fact name="Sauce that is eaten" note={`${weight(Math.round(need.portionG))} a guest, one dip a piece`}>
              {weight(Math.round(need.dippedG))}
            </Fact>
            <Fact name="Sauce that must stand ready" note="the last pieces must still go under">
              {weight(Math.round(allG))}
            </Fact>
            <Fact name="Times this batch">{Number(batches.toPrecision(2))}</Fact>
          </dl>
          <ul className="mt-3 max-w-2xl list-disc space-y-1 pl-5">
            <li>
              Warm gate: {celsius(Math.round(pour.temperatureC))}.{' '}
              {held?.skinMinutes !== undefined &&
                `Left alone it skins in about ${duration(60 * held.skinMinutes)}: stir.`}{' '}
              {CAUTION_WORDS.holdWarm}
            </li>
            <li>Cut everything to one bite: a piece that is bitten is not dipped again.</li>
            {fried && (
              <li>
                Oil between {celsius(FRYING.leastC)} and {celsius(FRYING.mostC)}, {FRYING.piecesALitre} pieces in a
                litre at a time ({Math.ceil(fried.pieces / FRYING.piecesALitre)} rounds), drained on a rack.{' '}
                {CAUTION_WORDS.fryer} If it lights: heat off, lid on, never water.
              </li>
            )}
            <li>The bowl and what is in it are hot: out of children’s reach, in the middle of the board.</li>
          </ul>
          <p className="mt-3 max-w-2xl rounded-lg bg-near-wash px-3 py-2">
            <Contains serving={serving} />
            Put a sign to it, and a spoon of its own to each bowl. {CAUTION_WORDS.code}
          </p>
        </>
      )}
    </AskedAnswered>
  );
}
