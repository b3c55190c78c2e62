'use client';

import { BALANCE_GOALS, type BalanceGoal } from '@/core/balance/goal';
import { standingOf } from '@/core/balance/standing';
import type { Doubt } from '@/core/predict/monte-carlo';
import type { Prediction } from '@/core/predict/predict-formula';
import { Button, Key } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { STANDING_WORDS } from '@/ui/standing-words';
import { Tick } from '@/ui/tick';
import { READ_ALOUD_AFTER_MS, useSettled } from '@/ui/use-settled';
import type { FormulaDraft } from '../draft/edit';
import { ProposalCard } from './proposal-card';
import type { Balancing } from './use-balancing';
import { verdict, verdictText } from './verdict';

const GOAL_WORDS: Record<BalanceGoal, string> = {
  close: 'keep close',
  cheapest: 'cheapest',
  leastSugar: 'least sugar',
  bestShine: 'best shine',
  mostRobust: 'most robust',
};

/** A balance that lasts longer can be stopped, ms. */
const STOP_AFTER_MS = 700;

/** Does it land, how likely, what to press, and what is proposed. */
export function VerdictHead({
  draft,
  prediction,
  proposed,
  doubt,
  balancing,
  justBalanced,
  nameOf,
  household,
  onHousehold,
  canKeepFlow,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  /** with the grams of the proposal */
  proposed: Prediction | undefined;
  doubt: Doubt | undefined;
  balancing: Balancing;
  /** the last step put a proposal into the pan */
  justBalanced: boolean;
  nameOf: (ingredient: string) => string;
  /** whether to round to cups and spoons; nothing where the cook shows none */
  household: boolean | undefined;
  onHousehold: (household: boolean) => void;
  /** the pan flows otherwise than it did before these edits */
  canKeepFlow: boolean;
}) {
  const { goal, setGoal, proposal, busy, fault } = balancing;
  const parts = verdict(prediction, draft.use);
  const said = useSettled(verdictText(parts), READ_ALOUD_AFTER_MS);
  // A second tap right after the first is no wish to stop.
  const lasting = useSettled(busy, STOP_AFTER_MS) && busy;
  return (
    <section aria-label="Verdict" className="px-4 pt-3 pb-2">
      {/* Read aloud once the grams stand still, not with each key. */}
      <p role="status" className="sr-only">
        {said}
      </p>
      <p className="font-head text-[1.3rem] leading-[1.25] font-semibold text-pretty" data-testid="verdict">
        {parts.map((part, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a sentence is known by its place alone
          <span key={i} className={part.off ? 'text-off' : ''}>
            {part.text}
            {part.text.endsWith(' ') ? '' : ' '}
          </span>
        ))}
      </p>
      {prediction.gates.length > 0 && <Chance lands={prediction.lands} doubt={doubt} />}
      <div className="mt-2 mb-1 flex gap-1.5">
        <Button
          look="primary"
          className="min-h-12 flex-1 !px-2 text-[1.05rem]"
          onClick={lasting ? balancing.stop : balancing.balance}
          disabled={lasting ? false : busy || prediction.gates.length === 0}
        >
          <span className="whitespace-nowrap">{lasting ? 'Balancing… Stop' : busy ? 'Balancing…' : 'Balance it'}</span>{' '}
          {!lasting && <Key>B</Key>}
        </Button>
        <select
          aria-label="What the balance is after"
          className="min-h-12 max-w-[104px] rounded-lg border border-rule bg-field px-1 text-[13.5px]"
          value={goal}
          onChange={(event) => setGoal(choiceOf(BALANCE_GOALS, event.target.value) ?? goal)}
        >
          {BALANCE_GOALS.map((each) => (
            <option key={each} value={each}>
              {GOAL_WORDS[each]}
            </option>
          ))}
        </select>
      </div>
      {household !== undefined && goal === 'close' && (
        <Tick
          label="round to whole spoons and quarter cups"
          isOn={household}
          onTick={onHousehold}
          className="text-[13.5px]"
        />
      )}
      {canKeepFlow && !proposal && (
        <Button className="mb-1 w-full" disabled={busy} onClick={() => void balancing.keepFlow()}>
          Keep the flow as it was
        </Button>
      )}
      {fault && (
        <p role="alert" className="mb-1 rounded-lg bg-off-wash px-3 py-2 text-[13.5px] text-off">
          {fault}
        </p>
      )}
      {proposal ? (
        <ProposalCard
          proposal={proposal}
          draft={draft}
          now={prediction}
          then={proposed}
          nameOf={nameOf}
          onAccept={balancing.accept}
          onRefuse={balancing.refuse}
          onAgain={() => void balancing.another()}
          onLoosen={balancing.loosen}
        />
      ) : justBalanced ? (
        <p role="status" className="mb-1 text-[13px] text-mute" data-testid="outcome">
          Balanced. Undo brings the old grams back.
        </p>
      ) : (
        <p className="mb-1 text-[13px] text-mute">{whatMoves(draft, prediction, nameOf)}</p>
      )}
    </section>
  );
}

/** What pressing Balance would move. */
function whatMoves(draft: FormulaDraft, prediction: Prediction, nameOf: (ingredient: string) => string): string {
  if (prediction.gates.length === 0) return 'There is no gate to bring it through yet.';
  const free = draft.lines.filter((line) => !line.locked).length;
  if (free === 0) return 'Every row is locked: unlock one to let it move.';
  const locked = draft.lines.filter((line) => line.locked).map((line) => nameOf(line.ingredient));
  return `Moves ${free === 1 ? 'one row' : `${free} rows`} as little as possible.${
    locked.length > 0 ? ` Locked: ${locked.join(', ')}.` : ''
  }`;
}

/** How many of a hundred such batches would land, all doubts together. */
function Chance({ lands, doubt }: { lands: boolean; doubt: Doubt | undefined }) {
  return (
    <p className="mt-2 flex items-baseline gap-2" data-testid="chance">
      <span className={`read text-[1.35rem] ${doubt ? '' : 'text-mute'}`}>
        {doubt ? `${Math.round(100 * doubt.chance)}\u202f%` : '…'}
      </span>
      <span className="text-[13px] leading-tight text-mute">
        {doubt && <strong className="text-ink">{STANDING_WORDS[standingOf(lands, doubt.chance)]}</strong>} · chance to
        land: scale, packs, probe and the model in doubt
      </span>
    </p>
  );
}
