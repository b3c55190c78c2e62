import { type ReactNode, useState } from 'react';
import { bandOfPart } from '@/core/cook/weigh-band';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { OffWeightChoices } from './off-weight-choices';
import { ScaleLine } from './scale-reading';
import type { Cook } from './use-cook';
import { WeighBandBar } from './weigh-band-bar';

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

/** One row that is weighed: how much, what the scale says, the band within which it does not matter, and what to do outside it. */
export function WeighRow({
  cook,
  row,
  wanted,
  weighed,
  elsewhere,
  press,
  isNext,
  canSpoonOut,
  note,
  onWeigh,
}: {
  cook: Cook;
  row: number;
  /** g that are to be weighed here */
  wanted: number;
  weighed: number | undefined;
  /** g of the row that go in at other times */
  elsewhere: number;
  /** what the press is called that takes the weight */
  press: string;
  /** the scale is for this row */
  isNext: boolean;
  /** it still lies apart from the rest */
  canSpoonOut: boolean;
  note?: ReactNode;
  onWeigh: (grams: number, by: 'hand' | 'scale') => void;
}) {
  const name = cook.cooked.names[row] ?? '';
  const whole = cook.bands.get(row);
  const [typed, setTyped] = useState<number | undefined>();
  const take = (grams: number | undefined) => {
    if (grams !== undefined && grams !== weighed) onWeigh(grams, 'hand');
    setTyped(undefined);
  };
  const scale = cook.devices.reading?.scale;
  return (
    <li className="rounded-xl border border-rule bg-sheet px-5 py-2">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <span className="min-w-40 flex-1 font-semibold text-[20px] leading-tight">
          {name}
          {note && <span className="block font-normal text-[15px] text-mute">{note}</span>}
        </span>
        <span className="read text-[30px]">{weight(wanted)}</span>
        <WeighedField name={name} value={weighed} onTyped={setTyped} onTake={() => take(typed)} />
        <Button
          className="ml-auto min-h-14 !px-5 text-[18px]"
          look={weighed === undefined ? 'primary' : 'quiet'}
          aria-label={`${weighed === undefined ? press : 'As written'}: ${name}`}
          // The field is not left for it: what is typed there is what was weighed.
          onMouseDown={(event) => weighed === undefined && event.preventDefault()}
          onClick={() => (weighed === undefined ? take(typed ?? wanted) : onWeigh(wanted, 'hand'))}
        >
          {weighed === undefined ? press : 'As written'}
        </Button>
      </div>
      <WeighBandBar band={whole && bandOfPart(whole, elsewhere)} planned={wanted} now={weighed} />
      {scale && isNext && (
        <ScaleLine
          scale={scale}
          name={name}
          isTaken={weighed !== undefined}
          onTare={() => cook.devices.order({ order: 'tare' })}
          onTake={(grams) => {
            onWeigh(grams, 'scale');
            cook.devices.order({ order: 'tare' });
          }}
        />
      )}
      {weighed !== undefined && (
        <OffWeightChoices
          cook={cook}
          row={row}
          name={name}
          grams={weighed}
          elsewhere={elsewhere}
          wanted={wanted}
          canSpoonOut={canSpoonOut}
          onSpoonedOut={() => onWeigh(wanted, 'hand')}
        />
      )}
    </li>
  );
}
