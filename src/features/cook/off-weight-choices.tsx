import type { Outlook } from '@/core/cook/off-weight';
import { type BandEdge, bandOfPart, type WeighBand } from '@/core/cook/weigh-band';
import { roundToScale } from '@/core/matter/scale-rounding';
import { Button } from '@/ui/button';
import { percent, weight } from '@/ui/format';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import type { Cook } from './use-cook';
import { useMakingUp } from './use-making-up';

/** What is noticed beyond an edge of a band. */
function edgeWords({ reason, gate, risk }: BandEdge): string {
  if (gate) {
    const { short, tooHigh, tooLow } = QUANTITY_WORDS[gate.quantity];
    return `It misses ${short}, ${gate.moment}: ${gate.side > 0 ? tooHigh : tooLow}.`;
  }
  switch (reason) {
    case 'chance':
      return 'It would work clearly less often.';
    case 'flow':
      return 'It pours differently, and you would notice.';
    case 'set':
      return 'It sets differently, and you would notice.';
    case 'sweetness':
      return 'You would taste it in the sweetness.';
    case 'yield':
      return 'The batch is clearly larger or smaller.';
    case 'keeping':
      return 'It keeps for another time.';
    case 'risk':
      return risk ? `New: ${QUANTITY_WORDS[`${risk}Risk`].short}.` : 'A new risk.';
    case 'reach':
      return 'That is far from what is written.';
  }
}

/** The edge a weight lies beyond; nothing inside the band. */
function edgeBeyond(band: WeighBand | undefined, grams: number): BandEdge | undefined {
  if (!band) return undefined;
  const slack = 0.05;
  if (grams > band.high.grams + slack) return band.high;
  return grams < band.low.grams - slack ? band.low : undefined;
}

/** What a batch will be, in one line. */
function outlookWords(planned: Outlook, { chance, missed, resistancePa, yieldG }: Outlook): string {
  const times = planned.resistancePa && resistancePa ? resistancePa / planned.resistancePa : 1;
  const by = Math.round(Math.abs(times - 1) * 100);
  const flow = by < 3 ? 'pours as planned' : `pours ${by}\u202f% ${times > 1 ? 'thicker' : 'thinner'}`;
  const gate = missed[0];
  const misses = gate ? `, misses ${QUANTITY_WORDS[gate.quantity].short}, ${gate.moment}` : '';
  return `${weight(Math.round(yieldG))} in all, ${flow}${misses}; would work ${percent(chance)} of the time (planned ${percent(planned.chance)}).`;
}

/** A weight outside its band: what that does, and three choices, each with what it comes to. */
export function OffWeightChoices({
  cook,
  row,
  name,
  grams,
  elsewhere,
  wanted,
  canSpoonOut,
  onSpoonedOut,
}: {
  cook: Cook;
  row: number;
  name: string;
  /** g that were weighed here */
  grams: number;
  /** g of the row that go in at other times */
  elsewhere: number;
  wanted: number;
  /** it still lies apart from the rest */
  canSpoonOut: boolean;
  onSpoonedOut: () => void;
}) {
  const whole = cook.bands.get(row);
  const band = whole && bandOfPart(whole, elsewhere);
  const edge = edgeBeyond(band, grams);
  const { found, isLost, makeUp } = useMakingUp(cook, row, edge !== undefined);
  if (!edge || !band) return null;
  const over = roundToScale(grams - wanted);
  return (
    <div role="alert" className="mt-2 rounded-lg bg-off-wash px-3 py-2">
      <p className="text-[17px] text-off">
        {weight(Math.abs(over))} {over > 0 ? 'too much' : 'too little'} {name}. {edgeWords(edge)}
      </p>
      {found && (
        <ul className="mt-2 grid gap-2">
          {over > 0 && canSpoonOut && (
            <Choice press={`Spoon out ${weight(over)}`} says="Then it is as planned." onPress={onSpoonedOut} />
          )}
          {over < 0 && (
            <Choice press={`Add ${weight(-over)} more`} says="Then it is as planned." onPress={onSpoonedOut} />
          )}
          {found.makeUp ? (
            <Choice
              press="Make up for it with the rest"
              says={`${changesWords(cook, row, found.makeUp.grams)} Then ${outlookWords(found.planned, found.makeUp.outlook)}`}
              onPress={makeUp}
            />
          ) : (
            <li className="text-[15px]">Nothing that is not in yet can make up for it.</li>
          )}
          <li className="text-[15px]">
            <strong>Leave it:</strong> {outlookWords(found.planned, found.leave)}
          </li>
        </ul>
      )}
      {isLost && <p>What to do could not be worked out: the server cannot be reached.</p>}
    </div>
  );
}

function Choice({ press, says, onPress }: { press: string; says: string; onPress: () => void }) {
  return (
    <li className="flex flex-wrap items-center gap-3">
      <Button className="min-h-14" onClick={onPress}>
        {press}
      </Button>
      <span className="min-w-40 flex-1 text-[15px]">{says}</span>
    </li>
  );
}

/** Which rows beside the one that was weighed are wanted in other amounts. */
function changesWords({ cooked, state }: Cook, weighed: number, grams: readonly number[]): string {
  const isIn = new Set([...state.weighed.keys()].map((key) => Number(key.split(':')[1])));
  const changed = grams.flatMap((each, row) => {
    const now = cooked.formula.lines[row]?.grams ?? 0;
    const isOther = row !== weighed && !isIn.has(row) && Math.abs(each - now) > Math.max(0.5, 0.005 * now);
    return isOther ? [`${cooked.names[row]} ${weight(roundToScale(each))}`] : [];
  });
  return changed.length > 0 ? `${changed.join(', ')}.` : '';
}
