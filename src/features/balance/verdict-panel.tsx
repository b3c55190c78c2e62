'use client';

import { Scale, SlidersHorizontal } from 'lucide-react';
import type { Obstacle } from '@/core/balance/obstacles';
import type { Prediction } from '@/core/predict/formula';
import { Button, Key } from '@/ui/button';
import { Gauge } from '@/ui/gauge';
import { grams, significant } from '@/ui/format';
import type { FormulaDraft } from './formula-draft';
import { type Measure, measures } from './measures';
import type { BalanceOutcome } from './use-balance';
import { momentTitle } from './use-words';
import { riskNotes, verdict } from './verdict';

/** Does it land, why not, and what to press. */
export function VerdictPanel({
  draft,
  prediction,
  outcome,
  busy,
  cautions,
  nameOf,
  onBalance,
  onTargets,
  onTakeNearest,
  onUnlock,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  outcome: BalanceOutcome | undefined;
  busy: boolean;
  cautions: readonly string[];
  nameOf: (ingredient: string) => string;
  onBalance: () => void;
  onTargets: () => void;
  onTakeNearest: () => void;
  onUnlock: (line: number) => void;
}) {
  const risks = riskNotes(prediction);
  const free = draft.lines.filter((line) => !line.locked).length;
  const locked = draft.lines.filter((line) => line.locked).map((line) => nameOf(line.ingredient));
  return (
    <section aria-label="Verdict" className="px-4 pt-3 pb-6">
      <p aria-live="polite" className="font-head text-[1.3rem] leading-[1.25] font-semibold" data-testid="verdict">
        {verdict(prediction, draft.use).map((part, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one sentence have no other name
          <span key={index} className={part.off ? 'text-off' : ''}>
            {part.text}
            {part.text.endsWith(' ') ? '' : ' '}
          </span>
        ))}
      </p>
      <div className="mt-3 mb-1 grid grid-cols-1 gap-2">
        <Button look="primary" className="min-h-12 text-[1.05rem]" onClick={onBalance} disabled={busy}>
          <Scale size={19} aria-hidden="true" /> {busy ? 'Balancing…' : 'Balance it'} <Key>B</Key>
        </Button>
      </div>
      <p className="mb-2 text-[13px] text-mute">
        {prediction.lands
          ? 'It lands: there is nothing to move.'
          : free === 0
            ? 'Every row is locked: unlock one to let it move.'
            : `Moves ${free === 1 ? 'one row' : `${free} rows`} as little as possible.${locked.length > 0 ? ` Locked: ${locked.join(', ')}.` : ''}`}
      </p>
      {outcome && <OutcomeCard outcome={outcome} draft={draft} nameOf={nameOf} onTakeNearest={onTakeNearest} onUnlock={onUnlock} />}
      <ul>
        {measures(draft, prediction).map((measure) => (
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
                  ({risk.likely ? 'likely' : 'possible'}, {risk.at}): {risk.cure}
                </span>
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

const MARK = { '-1': '▼', 0: '✓', 1: '▲' } as const;

function MeasureRow({ measure }: { measure: Measure }) {
  const { title, shown, side, sideWord, target, value, low, high, doubt, plain, range } = measure;
  const hasTarget = low !== undefined || high !== undefined;
  return (
    <li className="border-rule border-t py-1.5" data-measure={measure.key}>
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
      <Gauge value={value} low={low} high={high} doubt={doubt} plain={plain} range={range} />
      <p className="flex justify-between gap-2 text-[12.5px] text-mute">
        <span className={side === 0 ? '' : 'font-semibold text-off'}>{sideWord || (hasTarget ? 'as wanted' : '')}</span>
        <span>
          {target}
          {doubt !== undefined && ` · doubt ${plain ? `±${doubt}` : `×÷${significant(doubt)}`}`}
        </span>
      </p>
    </li>
  );
}

const QUANTITY_WORDS: Readonly<Record<string, string>> = {
  apparentViscosityPaS: 'fluidity',
  yieldStressPa: 'set or cling',
  resistancePa: 'resistance',
  shine: 'shine',
  waterActivity: 'water activity',
};

/** An obstacle as a cook would say it. */
function obstacleWords(obstacle: Obstacle, nameOf: (ingredient: string) => string): string {
  switch (obstacle.kind) {
    case 'lock':
      return `${nameOf(obstacle.ingredient)} is locked`;
    case 'least':
      return `${nameOf(obstacle.ingredient)} may not go lower`;
    case 'most':
      return `${nameOf(obstacle.ingredient)} may not go higher`;
    case 'gate':
      return `${momentTitle(obstacle.moment)}: the target for ${QUANTITY_WORDS[obstacle.quantity] ?? obstacle.quantity}`;
    case 'total':
      return 'The batch total is kept';
  }
}

/** What the last balance did, or why it could not. */
function OutcomeCard({
  outcome,
  draft,
  nameOf,
  onTakeNearest,
  onUnlock,
}: {
  outcome: BalanceOutcome;
  draft: FormulaDraft;
  nameOf: (ingredient: string) => string;
  onTakeNearest: () => void;
  onUnlock: (line: number) => void;
}) {
  const { answer, before } = outcome;
  if (answer.status === 'lands') {
    const moved = before.lines.filter((line, i) => line.grams !== answer.grams[i]).length;
    return (
      <div role="status" className="mb-3 rounded-lg bg-enamel-wash px-3 py-2 text-[13.5px]" data-testid="outcome">
        {moved === 0 ? 'It lands already; nothing was moved.' : `Balanced: ${moved === 1 ? 'one row' : `${moved} rows`} moved, total kept. Undo brings the old grams back.`}
      </div>
    );
  }
  const enough = answer.inTheWay.some((obstacle) => obstacle.enough);
  const taken = draft.lines.every((line, i) => line.grams === answer.grams[i]);
  return (
    <div role="status" className="mb-3 rounded-lg border border-off/40 bg-off-wash px-3 py-2 text-[13.5px]" data-testid="outcome">
      <p className="font-semibold">It cannot land as things stand.</p>
      {answer.inTheWay.length > 0 && (
        <>
          <p className="mt-1">{enough ? 'Loosening any one of these is enough:' : 'No single one of these is enough; together they stand in the way:'}</p>
          <ul className="mt-1 space-y-1">
            {answer.inTheWay.map((obstacle) => (
              <li key={`${obstacle.kind}${'line' in obstacle ? obstacle.line : 'gate' in obstacle ? obstacle.gate : ''}`} className="flex items-center justify-between gap-2">
                <span>• {obstacleWords(obstacle, nameOf)}</span>
                {obstacle.kind === 'lock' && (
                  <Button className="shrink-0 !px-3" onClick={() => onUnlock(obstacle.line)} aria-label={`Unlock ${nameOf(obstacle.ingredient)} and balance`}>
                    Unlock
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {answer.change > 0 && (
        <>
          <p className="mt-2">{taken ? 'The nearest is in the pan now.' : 'The nearest it can come:'}</p>
          <ul className="read text-[0.85rem]">
            {before.lines.flatMap((line, i) =>
              line.grams === answer.grams[i]
                ? []
                : [
                    <li key={line.key}>
                      {nameOf(line.ingredient)} {grams(line.grams)} → {grams(answer.grams[i] ?? line.grams)} g
                    </li>,
                  ],
            )}
          </ul>
          {!taken && (
            <Button className="mt-2 w-full" onClick={onTakeNearest}>
              Take the nearest
            </Button>
          )}
        </>
      )}
    </div>
  );
}
