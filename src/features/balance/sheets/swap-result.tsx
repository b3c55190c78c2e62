import { swapLosses } from '@/core/swap/swap-losses';
import { itemOf, type Larder } from '@/kitchen/known-item';
import type { Predicted } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { swapSentences } from '@/kitchen/words/keep-words';
import { grams, percent, significant, weight } from '@/ui/format';
import { momentPhrase } from '@/ui/moment-words';
import type { FormulaDraft, PanLine } from '../draft/edit';
import { BeforeAfterCurve } from '../material/before-after-curve';
import { swapChanges } from './swap-changes';

/** The curve before and after, the rows, and all that changed. */
export function SwapResult({
  before,
  after,
  draft,
  lines,
  larder,
  within,
}: {
  before: Predicted;
  after: Predicted;
  draft: FormulaDraft;
  lines: readonly PanLine[];
  larder: Larder;
  within: number | undefined;
}) {
  const nameOf = (id: string) => itemOf(draft, larder, id)?.name ?? id;
  const changes = swapChanges(
    panContents(draft, larder),
    panContents({ ...draft, lines: [...lines] }, larder),
    before.prediction,
    after.prediction,
  );
  const losses = swapLosses(before.prediction, after.prediction);
  const isWhole = losses.flows.length === 0 && losses.sweetness === undefined;
  return (
    <div data-testid="swap-result">
      <p className={`mb-2 font-head text-[1.1rem] font-semibold ${isWhole ? '' : 'text-near'}`}>
        {swapSentences(within, losses, { percent, amount: significant, moment: momentPhrase }).join(' ')}
      </p>
      <BeforeAfterCurve before={before} after={after} />
      <ul className="read mb-3 text-[0.9rem]">
        {lines.map((line, i) => {
          const old = draft.lines[i];
          if (!old || (old.grams === line.grams && old.ingredient === line.ingredient)) return null;
          return (
            <li key={line.key}>
              {old.ingredient === line.ingredient
                ? nameOf(line.ingredient)
                : `${nameOf(old.ingredient)} → ${nameOf(line.ingredient)}`}
              : {grams(old.grams)} → {weight(line.grams)}
            </li>
          );
        })}
      </ul>
      <table className="w-full text-[13.5px]">
        <tbody>
          {changes.map(({ name, before: was, after: is, off }) => (
            <tr key={name} className="border-rule-soft border-b">
              <th className="py-1 text-left font-medium">{name}</th>
              <td className="read text-right text-mute">{was}</td>
              <td className={`read pl-3 text-right ${off ? 'text-off' : ''}`}>→ {is}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
