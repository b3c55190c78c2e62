import type { Obstacle } from '@/core/balance/obstacles';
import { standingOf } from '@/core/balance/standing';
import type { Prediction } from '@/core/predict/predict-formula';
import type { OtherFlow } from '@/core/swap/keep-curve';
import { closenessWords } from '@/kitchen/words/keep-words';
import { Button, Key } from '@/ui/button';
import { grams, percent, weight } from '@/ui/format';
import { momentPhrase, momentTitle } from '@/ui/moment-words';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { STANDING_WORDS } from '@/ui/standing-words';
import type { FormulaDraft } from '../draft/edit';
import { GateMoves } from './gate-moves';
import type { BalanceOutcome } from './use-balance';

const LOOSEN_WORDS: Record<Obstacle['enough'], string> = {
  alone: 'Letting any one of these go is enough:',
  together: 'Letting all of these go is enough, nothing less is:',
  no: 'Even letting three at a time go is not enough; these stand in the way:',
};

/** What is said where no row would move; nothing where one does. */
function nothingMoves({ status, change, keeps, chance, other }: BalanceOutcome): string | undefined {
  if (other && keeps === 'no')
    return `Nothing in the pan makes it ${otherWords(other)} and keeps the rest. More liquid with more cocoa butter would, or less of both.`;
  if (change > 0) return undefined;
  if (keeps === 'no') return 'No other row can bring the flow back.';
  if (keeps !== undefined) return 'It flows as it did; nothing to move.';
  if (status !== 'lands') return undefined;
  const standing = standingOf(true, chance[0]);
  return `It ${standing === 'lands' ? 'lands' : `is ${STANDING_WORDS[standing]}`} already, ${percent(chance[0])} likely. No change is worth its grams.`;
}

/** The first line of a proposal. */
function headline({ status, keeps, chance, other }: BalanceOutcome): string {
  if (other && typeof keeps === 'number')
    return `This would make it ${otherWords(other)} and keep the rest ${closenessWords(keeps)}:`;
  if (keeps === 'no') return 'The flow cannot be kept with this; it comes no nearer.';
  if (keeps !== undefined) return `This would keep the flow ${closenessWords(keeps)} at every moment:`;
  if (status !== 'lands') return 'It cannot land as things stand.';
  return standingOf(true, chance[1]) === 'lands'
    ? 'This would land:'
    : `This would be borderline: fewer than half of the batches land.`;
}

/** `thinner at the pour`, what was asked of a flow. */
const otherWords = ({ moment, times }: OtherFlow) => `${times < 1 ? 'thinner' : 'thicker'} ${momentPhrase(moment)}`;

/** An obstacle as a cook would say it, and what letting it go is called. */
function obstacleWords(obstacle: Obstacle, nameOf: (ingredient: string) => string): readonly [string, string] {
  switch (obstacle.kind) {
    case 'lock':
      return [`${nameOf(obstacle.ingredient)} is locked`, 'Unlock'];
    case 'least':
      return [`${nameOf(obstacle.ingredient)} may not go lower`, 'Let it'];
    case 'most':
      return [`${nameOf(obstacle.ingredient)} may not go higher`, 'Let it'];
    case 'gate':
      return [`${momentTitle(obstacle.moment)}: the target for ${QUANTITY_WORDS[obstacle.quantity].short}`, 'Drop it'];
    case 'total':
      return ['The batch total is kept', 'Let it move'];
  }
}

const keyOf = (obstacle: Obstacle) =>
  `${obstacle.kind}${'line' in obstacle ? obstacle.line : 'gate' in obstacle ? obstacle.gate : ''}`;

interface ProposalProps {
  readonly proposal: BalanceOutcome;
  readonly draft: FormulaDraft;
  readonly now: Prediction;
  /** with the proposed grams */
  readonly then: Prediction | undefined;
  readonly nameOf: (ingredient: string) => string;
  readonly onAccept: () => void;
  readonly onRefuse: () => void;
  /** asks again with the next goal that wants other grams */
  readonly onAgain: () => void;
  readonly onLoosen: (obstacles: readonly Obstacle[]) => void;
}

/** What a balance proposes: each row from → to, the gates before → after; or why it cannot land. Nothing has changed yet. */
export function ProposalCard(props: ProposalProps) {
  const { proposal, onAccept, onRefuse, onAgain } = props;
  const still = nothingMoves(proposal);
  if (still) {
    return (
      <p role="status" className="mb-2 rounded-lg bg-enamel-wash px-3 py-2 text-[13.5px]" data-testid="outcome">
        {still}
      </p>
    );
  }
  const lands = proposal.status === 'lands';
  return (
    <div
      role="status"
      className={`mb-2 rounded-lg border px-3 py-2 text-[13.5px] ${
        lands ? 'border-enamel/40 bg-enamel-wash' : 'border-off/40 bg-off-wash'
      }`}
      data-testid="outcome"
    >
      <p className="font-semibold">{headline(proposal)}</p>
      {lands && (
        <p data-testid="chances">
          Chance to land {percent(proposal.chance[0])} → <strong>{percent(proposal.chance[1])}</strong>
        </p>
      )}
      {!lands && proposal.keeps === undefined && <InTheWay {...props} />}
      {proposal.change > 0 && (
        <>
          {!lands && <p className="mt-2">The nearest it can come:</p>}
          <Moves {...props} />
          <div className="mt-2 flex flex-wrap gap-1.5">
            <Button look={lands ? 'primary' : 'quiet'} className="flex-1 !px-2" onClick={onAccept}>
              {lands ? 'Accept' : 'Take the nearest'} {lands && <Key>↵</Key>}
            </Button>
            <Button className="!px-3" onClick={onRefuse}>
              Leave it
            </Button>
            {lands && proposal.keeps === undefined && (
              <Button className="w-full !px-2" onClick={onAgain}>
                Try another way
              </Button>
            )}
          </div>
          {props.then && <GateMoves now={props.now} then={props.then} />}
        </>
      )}
    </div>
  );
}

/** Rows, before and after. */
function Moves({ proposal, nameOf }: ProposalProps) {
  const { before, grams: proposed } = proposal;
  const change = before.lines.reduce((sum, { key, grams: g }) => sum + (proposed.get(key) ?? g) - g, 0);
  return (
    <>
      <ul className="mt-1 text-[13px]">
        {before.lines.flatMap((line) =>
          line.grams === (proposed.get(line.key) ?? line.grams)
            ? []
            : [
                <li key={line.key} className="flex justify-between gap-2">
                  <span className="truncate">{nameOf(line.ingredient)}</span>
                  <span className="read shrink-0 text-[0.84rem]">
                    {grams(line.grams)} → {weight(proposed.get(line.key) ?? line.grams)}
                  </span>
                </li>,
              ],
        )}
      </ul>
      {Math.abs(change) > 0.05 && (
        <p className="mt-1">
          The total becomes {change > 0 ? '+' : '−'}
          {weight(Math.abs(change))}.
        </p>
      )}
    </>
  );
}

/** What stands in the way, each with a button that lets just that go. */
function InTheWay({ proposal, nameOf, onLoosen }: ProposalProps) {
  const { inTheWay } = proposal;
  const [first] = inTheWay;
  if (!first) return null;
  return (
    <>
      <p className="mt-1">{LOOSEN_WORDS[first.enough]}</p>
      <ul className="mt-1 space-y-1">
        {inTheWay.map((obstacle) => {
          const [words, action] = obstacleWords(obstacle, nameOf);
          return (
            <li key={keyOf(obstacle)} className="flex items-center justify-between gap-2">
              <span>• {words}</span>
              <Button
                className="shrink-0 !px-3"
                onClick={() => onLoosen([obstacle])}
                aria-label={`${action}: ${words}, and balance again`}
              >
                {action}
              </Button>
            </li>
          );
        })}
      </ul>
      {first.enough === 'together' && (
        <Button className="mt-1.5 w-full" onClick={() => onLoosen(inTheWay)}>
          Let all of them go
        </Button>
      )}
    </>
  );
}
