import { useState } from 'react';
import { bandOfPart, type WeighBand } from '@/core/cook/weigh-band';
import { roundToScale } from '@/core/matter/scale-rounding';
import { weighedKey } from '@/formats/batch-state';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { ScaleLine } from './scale-reading';
import type { Cook } from './use-cook';
import { useMakingUp } from './use-making-up';
import { WeighBandBar } from './weigh-band-bar';

/** What too much or too little does, in words; nothing while it lies in its band. */
function outsideWords(band: WeighBand | undefined, weighed: number, name: string): string | undefined {
  if (!band) return undefined;
  const edge = weighed > band.high.grams + 0.05 ? band.high : weighed < band.low.grams - 0.05 ? band.low : undefined;
  if (!edge) return undefined;
  const past = `${edge === band.high ? 'Over' : 'Under'} ${weight(roundToScale(edge.grams))} of ${name}`;
  if (!edge.gate) return `${past} it is felt: the flow changes by a tenth or more.`;
  const { short, tooHigh, tooLow } = QUANTITY_WORDS[edge.gate.quantity];
  return `${past} it misses ${short}, ${edge.gate.moment}: ${edge.gate.side > 0 ? tooHigh : tooLow}.`;
}

/** What the scale shows, typed: taken when the field is left or with Enter, so that no half a number is written down. */
function WeighedField({
  name,
  value,
  onTyped,
  onTake,
}: {
  name: string;
  value: number | undefined;
  onTyped: (grams: number | undefined) => void;
  onTake: () => void;
}) {
  return (
    <NumberField
      label={`Weighed: ${name}`}
      value={value}
      optional
      rules={{ least: 0, most: 100_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '236' }}
      write={inlinePlain}
      placeholder="weighed"
      onValue={onTyped}
      onLeave={onTake}
      className="w-36"
    />
  );
}

/** g of a row that go in with other steps: as weighed there, or as they will be. */
const gramsElsewhere = ({ cooked, state }: Cook, place: number, row: number) =>
  cooked.method.followed.reduce((sum, { step }, other) => {
    const part = step.adds.find((each) => each.row === row);
    if (other === place || !part) return sum;
    return sum + (state.weighed.get(weighedKey(other, row)) ?? (cooked.formula.lines[row]?.grams ?? 0) * part.share);
  }, 0);

/** One row that goes in with this step: how much, what the scale says, and the band within which it does not matter. */
function WeighRow({
  cook,
  place,
  row,
  share,
  isNext,
}: {
  cook: Cook;
  place: number;
  row: number;
  share: number;
  /** the scale is for this row */
  isNext: boolean;
}) {
  const { cooked, state, log, bands } = cook;
  const wanted = roundToScale((cooked.formula.lines[row]?.grams ?? 0) * share);
  const name = cooked.names[row] ?? '';
  const weighed = state.weighed.get(weighedKey(place, row));
  const elsewhere = gramsElsewhere(cook, place, row);
  const whole = bands.get(row);
  const band = whole && bandOfPart(whole, elsewhere);
  const outside = weighed === undefined ? undefined : outsideWords(band, weighed, name);
  const weigh = (grams: number, by: 'hand' | 'scale' = 'hand') =>
    log.tell({ kind: 'weigh', step: place, row, grams, by });
  const [typed, setTyped] = useState<number | undefined>();
  const take = (grams: number | undefined) => {
    if (grams !== undefined && grams !== weighed) weigh(grams);
    setTyped(undefined);
  };
  const scale = cook.devices.reading?.scale;

  const { trouble, scaleRest, compensate } = useMakingUp(cook, row, elsewhere + (weighed ?? wanted));

  return (
    <li className="rounded-xl border border-rule bg-sheet px-5 py-2">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <span className="min-w-40 flex-1 font-semibold text-[20px] leading-tight">{name}</span>
        <span className="read text-[26px]">{weight(wanted)}</span>
        <WeighedField name={name} value={weighed} onTyped={setTyped} onTake={() => take(typed)} />
        <Button
          className="ml-auto min-h-14 !px-5 text-[18px]"
          look={weighed === undefined ? 'primary' : 'quiet'}
          aria-label={`${weighed === undefined ? 'It is in' : 'As written'}: ${name}`}
          // The field is not left for it: what is typed there is what went in.
          onMouseDown={(event) => weighed === undefined && event.preventDefault()}
          onClick={() => (weighed === undefined ? take(typed ?? wanted) : weigh(wanted))}
        >
          {weighed === undefined ? 'It is in' : 'As written'}
        </Button>
      </div>
      <WeighBandBar band={band} planned={wanted} now={weighed} />
      {scale && isNext && (
        <ScaleLine
          scale={scale}
          name={name}
          isTaken={weighed !== undefined}
          onTare={() => cook.devices.order({ order: 'tare' })}
          onTake={(grams) => {
            weigh(grams, 'scale');
            cook.devices.order({ order: 'tare' });
          }}
        />
      )}
      {outside && (
        <div role="alert" className="mt-2 text-off">
          <p className="text-[17px]">{outside}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button className="min-h-14" onClick={scaleRest}>
              Scale the rest
            </Button>
            <Button className="min-h-14" onClick={() => void compensate()}>
              Make up for it with another row
            </Button>
          </div>
        </div>
      )}
      {trouble && (
        <p role="alert" className="mt-2">
          {trouble}
        </p>
      )}
    </li>
  );
}

/** What goes in with this step, row by row. */
export function WeighIn({ cook, place }: { cook: Cook; place: number }) {
  const adds = cook.cooked.method.followed[place]?.step.adds ?? [];
  if (adds.length === 0) return null;
  const next = adds.find(({ row }) => !cook.state.weighed.has(weighedKey(place, row)))?.row;
  return (
    <ul aria-label="Weigh in" className="mt-4 grid gap-2">
      {adds.map(({ row, share }) => (
        <WeighRow key={row} cook={cook} place={place} row={row} share={share} isNext={row === next} />
      ))}
    </ul>
  );
}
