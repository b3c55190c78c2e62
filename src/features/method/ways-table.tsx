import { keysOf } from '@/core/keys-of';
import type { WayId } from '@/core/method/step';
import type { WaySummary } from '@/core/method/way-summary';
import { capital } from '@/formats/capital';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { WAY_WORDS, WOULD_WORDS } from '@/kitchen/words/method-words';
import { RISK_WORDS, UTENSIL_WORDS } from '@/kitchen/words/utensil-words';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { millimetres } from '@/ui/format';
import type { Ways } from './use-ways';

const HEADS = {
  time: 'all',
  hands: 'hands-on',
  vessels: 'pans, bowls',
  spreads: 'spreads',
  shine: 'shine',
} as const;

/** What a way leaves wrong, or asks care for. */
function Care({ summary: { faults, risk } }: { summary: WaySummary }) {
  const [first] = faults;
  if (first) {
    return (
      <span className="text-off">
        ▲ Would {WOULD_WORDS[first.kind]}
        {faults.length > 1 && `, and ${faults.length - 1} more`}.
      </span>
    );
  }
  return <span className="text-ink">{risk ? RISK_WORDS[risk] : 'Little to watch.'}</span>;
}

/** The figures of a way, in the order of the heads. */
function figuresOf({ seconds, handsS, vessels, plateDiameterMm, shine }: WaySummary) {
  return {
    time: duration(seconds),
    hands: duration(handsS),
    vessels: String(vessels.length),
    spreads: plateDiameterMm === undefined ? '–' : millimetres(Math.round(plateDiameterMm)),
    shine: shine === undefined ? '–' : String(Math.round(shine)),
  };
}

function WayRow({
  summary,
  method,
  onWay,
}: {
  summary: WaySummary;
  method: WorkedMethod;
  onWay: (way: WayId) => void;
}) {
  const { way, vessels } = summary;
  const isTaken = way === method.way;
  const figures = figuresOf(summary);
  const used = vessels.map((each) => UTENSIL_WORDS[each]).join(', ');
  const wash = isTaken ? 'bg-enamel-wash' : '';
  return (
    <>
      <tr className={`border-rule-soft border-t ${wash}`} data-way={way}>
        <th scope="row" className="px-3 pt-2 text-left font-semibold leading-tight">
          {capital(WAY_WORDS[way].name)}
        </th>
        {keysOf(HEADS).map((each) => (
          <td key={each} className="read whitespace-nowrap px-2 pt-2 text-right text-[13px]">
            {figures[each]}
          </td>
        ))}
        <td rowSpan={2} className="w-24 px-2 py-1 text-right align-middle">
          {isTaken ? (
            <span className="text-[13px] text-enamel">✓ {method.proposal ? 'proposed' : 'chosen'}</span>
          ) : (
            <Button aria-label={`Take this way: ${WAY_WORDS[way].name}`} className="!px-3" onClick={() => onWay(way)}>
              Take
            </Button>
          )}
        </td>
      </tr>
      <tr className={wash}>
        <td colSpan={1 + keysOf(HEADS).length} className="px-3 pb-2 text-[13px] text-mute leading-snug">
          <Care summary={summary} /> {WAY_WORDS[way].for}
          {vessels.length > 0 && ` Washing up: ${used}.`}
        </td>
      </tr>
    </>
  );
}

/** The ways that suit this formula side by side: what each takes, asks care for, and makes of flow and shine. */
export function WaysTable({
  method,
  ways,
  carried,
  onWay,
}: {
  method: WorkedMethod;
  ways: Ways;
  /** changes that went along with the way that was chosen last */
  carried: { readonly kept: number; readonly dropped: number } | undefined;
  onWay: (way: WayId) => void;
}) {
  const { tried, isWhole, isLost, again } = ways;
  return (
    <section aria-label="Ways side by side" aria-busy={!isWhole && !isLost} className="mt-5">
      <h2 className="mb-1 text-[1.1rem]">Ways side by side</h2>
      {carried && <p role="status">{carriedWords(carried)}</p>}
      {isLost ? (
        <p role="alert">
          The ways could not be compared: the server cannot be reached.{' '}
          <button type="button" className="min-h-11 font-medium text-enamel underline" onClick={again}>
            Try again
          </button>
        </p>
      ) : (
        <div className="relative overflow-x-auto rounded-xl border border-rule bg-sheet">
          <table className="w-full text-[14px]">
            <thead>
              <tr className="text-[13px] text-mute">
                <th className="px-3 py-1.5 text-left font-medium">{isWhole ? 'way' : 'trying the ways…'}</th>
                {keysOf(HEADS).map((each) => (
                  <th key={each} className="px-2 text-right font-medium">
                    {HEADS[each]}
                  </th>
                ))}
                <td />
              </tr>
            </thead>
            <tbody>
              {tried.map((summary) => (
                <WayRow key={summary.way} summary={summary} method={method} onWay={onWay} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-1 text-[13px] text-mute">
        Hands-on time counts weighing and chopping. Spreads: 20 ml at the pour, after 30 s. Shine: 0 to 100.
      </p>
    </section>
  );
}

const changes = (n: number) => (n === 1 ? '1 change' : `${n} changes`);

/** What became of a cook's own changes. */
function carriedWords({ kept, dropped }: { readonly kept: number; readonly dropped: number }): string {
  const went = kept > 0 ? `${changes(kept)} of yours went along.` : '';
  const stayed = dropped > 0 ? `${changes(dropped)} of yours did not fit this way. Undo brings them back.` : '';
  return `${went} ${stayed}`.trim();
}
