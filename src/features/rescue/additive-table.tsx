import type { Formula } from '@/core/formula/formula';
import { nth } from '@/core/nth';
import type { AdditiveOutcome } from '@/core/rescue/compare';
import type { Ingredient } from '@/formats/ingredient';
import { Button } from '@/ui/button';
import { money, significant, waterActivity, weight } from '@/ui/format';
import { momentPhrase } from '@/ui/moment-words';
import { QUANTITY_WORDS } from '@/ui/quantity-words';

/** What could go in, side by side: how much of it, and what it does to everything else. */
export function AdditiveTable({
  options,
  additives,
  formula,
  chosen,
  onChoose,
}: {
  options: readonly AdditiveOutcome[];
  additives: readonly Ingredient[];
  formula: Formula;
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const gates = (places: readonly number[]) =>
    places.map((g) => {
      const { quantity, moment } = nth(formula.gates, g);
      return `${QUANTITY_WORDS[quantity].short} ${momentPhrase(moment)}`;
    });
  return (
    <div className="thin-scroll mt-3 overflow-x-auto">
      <table className="w-full min-w-[720px] text-[14.5px]">
        <thead>
          <tr className="text-left text-mute [&>th]:pr-3">
            <th className="py-1 font-medium">in all</th>
            <th className="font-medium">makes then</th>
            <th className="font-medium">set, cold</th>
            <th className="font-medium">sweetness</th>
            <th className="font-medium">keeps (aw)</th>
            <th className="font-medium">alcohol</th>
            <th className="font-medium">cost</th>
            <th className="font-medium">what else</th>
            <th />
          </tr>
        </thead>
        {options.map((option) => {
          const item = additives.find(({ id }) => id === option.id);
          const [loses, wins] = [gates(option.loses), gates(option.wins)];
          return (
            <tbody key={option.id} className={`border-rule border-t ${option.id === chosen ? 'bg-enamel-wash' : ''}`}>
              <tr>
                <th colSpan={8} className="pt-1.5 text-left font-semibold">
                  {item?.name}
                </th>
                <td rowSpan={2} className="pl-2 text-right">
                  <Button
                    className="whitespace-nowrap"
                    aria-pressed={option.id === chosen}
                    onClick={() => onChoose(option.id)}
                  >
                    Take it
                  </Button>
                </td>
              </tr>
              <tr className="read whitespace-nowrap [&>td]:pr-3">
                <td className="pb-1.5">{weight(Math.round(option.inAll))}</td>
                <td>{weight(Math.round(option.massG))}</td>
                <td>×{significant(option.coldTimes)}</td>
                <td>{significant(option.sweetness)}</td>
                <td>{waterActivity(option.waterActivity).number}</td>
                <td>{option.alcoholPercentVol < 0.05 ? '–' : `${significant(option.alcoholPercentVol)} %`}</td>
                <td>{money(option.cost)}</td>
                <td className="font-sans text-[13.5px] whitespace-normal [&>span+span]:before:text-ink [&>span+span]:before:content-['·_']">
                  {loses.length > 0 && <span className="text-off">misses {loses.join('; ')} </span>}
                  {wins.length > 0 && <span>lands {wins.join('; ')} </span>}
                  {!option.isSmooth && <span className="text-off">near breaking </span>}
                  {(item?.allergens ?? []).length > 0 && <span>with {item?.allergens?.join(', ')}</span>}
                </td>
              </tr>
            </tbody>
          );
        })}
      </table>
    </div>
  );
}
