'use client';

import { Scale, SlidersHorizontal } from 'lucide-react';
import type { Prediction } from '@/core/predict/formula';
import type { Doubt } from '@/core/predict/monte-carlo';
import { Button, Key } from '@/ui/button';
import { Gauge } from '@/ui/gauge';
import { BalanceNote } from './balance-note';
import type { FormulaDraft } from './formula-draft';
import { type Measure, measures } from './measures';
import type { BalanceOutcome } from './use-balance';
import { riskNotes, verdict } from './verdict';

/** Does it land, why not, and what to press. */
export function VerdictHead({
  draft,
  prediction,
  doubt,
  outcome,
  busy,
  nameOf,
  onBalance,
  onTakeNearest,
  onUnlock,
  household,
  onHousehold,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  doubt: Doubt | undefined;
  outcome: BalanceOutcome | undefined;
  busy: boolean;
  nameOf: (ingredient: string) => string;
  onBalance: () => void;
  onTakeNearest: () => void;
  onUnlock: (line: number) => void;
  /** whether to round to cups and spoons; nothing where the cook shows none */
  household: boolean | undefined;
  onHousehold: (household: boolean) => void;
}) {
  return (
    <section aria-label="Verdict" className="px-4 pt-3 pb-2">
      <p
        aria-live="polite"
        className="font-head text-[1.3rem] leading-[1.25] font-semibold text-pretty"
        data-testid="verdict"
      >
        {verdict(prediction, draft.use).map((part) => (
          <span key={part.text} className={part.off ? 'text-off' : ''}>
            {part.text}
            {part.text.endsWith(' ') ? '' : ' '}
          </span>
        ))}
      </p>
      {prediction.gates.length > 0 && <Chance doubt={doubt} />}
      <Button
        look="primary"
        className="mt-2 mb-1 min-h-12 w-full text-[1.05rem]"
        onClick={onBalance}
        disabled={busy || prediction.gates.length === 0}
      >
        <Scale size={19} aria-hidden="true" /> {busy ? 'Balancing…' : 'Balance it'} <Key>B</Key>
      </Button>
      {household !== undefined && (
        <label className="flex min-h-11 items-center gap-2 text-[13.5px]">
          <input
            type="checkbox"
            className="size-5 accent-enamel"
            checked={household}
            onChange={(event) => onHousehold(event.target.checked)}
          />
          round to whole spoons and quarter cups
        </label>
      )}
      <p className="text-[13px] text-mute">{whatMoves(draft, prediction, nameOf)}</p>
      {outcome && (
        <BalanceNote
          outcome={outcome}
          draft={draft}
          nameOf={nameOf}
          onTakeNearest={onTakeNearest}
          onUnlock={onUnlock}
        />
      )}
    </section>
  );
}

/** What pressing Balance would move. */
function whatMoves(draft: FormulaDraft, prediction: Prediction, nameOf: (ingredient: string) => string): string {
  if (prediction.gates.length === 0) return 'There is no gate to bring it through yet.';
  if (prediction.lands) return 'It lands: there is nothing to move.';
  const free = draft.lines.filter((line) => !line.locked).length;
  if (free === 0) return 'Every row is locked: unlock one to let it move.';
  const locked = draft.lines.filter((line) => line.locked).map((line) => nameOf(line.ingredient));
  return `Moves ${free === 1 ? 'one row' : `${free} rows`} as little as possible.${
    locked.length > 0 ? ` Locked: ${locked.join(', ')}.` : ''
  }`;
}

/** The measures with band and doubt, the way to the targets, what to watch, and the cautions. */
export function VerdictDetails({
  draft,
  prediction,
  doubt,
  cautions,
  onTargets,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  doubt: Doubt | undefined;
  cautions: readonly string[];
  onTargets: () => void;
}) {
  const risks = riskNotes(prediction);
  return (
    <section aria-label="Measures" className="px-4 pt-1 pb-6">
      <ul>
        {measures(draft, prediction, doubt).map((measure) => (
          <MeasureRow key={measure.key} measure={measure} />
        ))}
      </ul>
      <Button className="mt-3 w-full" onClick={onTargets}>
        <SlidersHorizontal size={16} aria-hidden="true" /> Change what it must do
      </Button>
      {risks.length > 0 && (
        <div className="mt-4">
          <h3 className="mb-1 font-sans font-semibold text-[0.95rem]">Watch</h3>
          <ul className="space-y-1.5 text-[13.5px]">
            {risks.map((risk) => (
              <li key={risk.name}>
                <span className={`font-semibold ${risk.likely ? 'text-off' : 'text-near'}`}>
                  {risk.likely ? '▲ ' : '△ '}
                  {risk.name}
                </span>{' '}
                <span className="text-mute">
                  ({risk.likely ? 'likely' : 'possible'}, {risk.risk.toFixed(2)}, {risk.at}): {risk.reason}.
                </span>{' '}
                <span>Helps: {risk.cure}.</span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-4 rounded-lg border border-near/30 bg-near-wash px-3 py-2 text-[13.5px]">
        <ul className="space-y-1">
          {cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
          <li className="text-mute">Your local food code and practice decide.</li>
        </ul>
      </div>
    </section>
  );
}

/** How many of a hundred such batches would land, all doubts together. */
function Chance({ doubt }: { doubt: Doubt | undefined }) {
  return (
    <p className="mt-2 flex items-baseline gap-2" data-testid="chance">
      <span className={`read text-[1.35rem] ${doubt ? '' : 'text-mute'}`}>
        {doubt ? `${Math.round(100 * doubt.chance)}\u202f%` : '…'}
      </span>
      <span className="text-[13px] leading-tight text-mute">chance to land: scale, packs and the model in doubt</span>
    </p>
  );
}

const MARK = { '-1': '▼', 0: '✓', 1: '▲' } as const;

function MeasureRow({ measure }: { measure: Measure }) {
  const { title, shown, side, sideWord, target, value, low, high, spread, spreadWords, plain, range } = measure;
  const hasTarget = low !== undefined || high !== undefined;
  return (
    <li className="border-rule border-t pt-1 pb-0.5" data-measure={measure.key}>
      <div className="flex items-baseline justify-between gap-2">
        <span className="font-medium">{title}</span>
        <span className={`read text-[1.06rem] whitespace-nowrap ${side === 0 ? '' : 'text-off'}`}>
          {hasTarget && (
            <span className={side === 0 ? 'text-enamel' : ''} aria-hidden="true">
              {MARK[side]}{' '}
            </span>
          )}
          {shown.number}
          {shown.unit && <span className="text-[0.86rem]"> {shown.unit}</span>}
        </span>
      </div>
      <Gauge value={value} low={low} high={high} spread={spread} plain={plain} range={range} />
      <p className="flex justify-between gap-2 text-[12.5px] text-mute">
        <span>
          {sideWord && <span className="font-semibold text-off">{sideWord}: </span>}
          {target}
        </span>
        {spreadWords && <span className="whitespace-nowrap">{spreadWords}</span>}
      </p>
    </li>
  );
}
