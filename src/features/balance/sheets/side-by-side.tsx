import type { FormulaFile } from '@/formats/formula-file';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import { weight } from '@/ui/format';
import { useCalibration } from '@/ui/pours/pours-provider';
import type { FormulaDraft } from '../draft/edit';
import { measures } from '../verdict/measures';

/** Rows and measures of another state of the formula and of the pan now. */
export function SideBySide({
  id,
  name,
  file,
  draft,
  larder,
}: {
  /** of the formula */
  id: string;
  name: string;
  file: FormulaFile;
  draft: FormulaDraft;
  larder: Larder;
}) {
  const calibration = useCalibration(id);
  const then = keyed(file);
  const names = [...new Set([...then.lines, ...draft.lines].map(({ ingredient }) => ingredient))];
  const sum = (lines: FormulaDraft['lines'], ingredient: string) =>
    lines.filter((line) => line.ingredient === ingredient).reduce((total, line) => total + line.grams, 0);
  const [was, is] = [
    predictPan(then, larder, calibration)?.prediction,
    predictPan(draft, larder, calibration)?.prediction,
  ];
  const shown = (file: FormulaDraft, prediction: typeof was) =>
    new Map((prediction ? measures(file, prediction, undefined) : []).map(({ title, shown: text }) => [title, text]));
  const [before, now] = [shown(then, was), shown(draft, is)];
  const text = (quantity: { number: string; unit: string } | undefined) =>
    quantity ? `${quantity.number} ${quantity.unit}`.trim() : '–';
  return (
    <table className="mt-2 w-full text-[13.5px]" data-testid="side-by-side">
      <thead>
        <tr className="border-rule border-b text-right text-mute">
          <th />
          <th className="font-medium">{name}</th>
          <th className="font-medium">now</th>
        </tr>
      </thead>
      <tbody>
        {names.map((ingredient) => {
          const [a, b] = [sum(then.lines, ingredient), sum(draft.lines, ingredient)];
          return (
            <tr key={ingredient} className="border-rule-soft border-b text-right">
              <th className="py-1 text-left font-medium">
                {(itemOf(draft, larder, ingredient) ?? itemOf(then, larder, ingredient))?.name ?? ingredient}
              </th>
              <td className="read">{weight(a)}</td>
              <td className={`read ${a === b ? '' : 'font-semibold text-enamel'}`}>{weight(b)}</td>
            </tr>
          );
        })}
        {[...new Set([...before.keys(), ...now.keys()])].map((title) => (
          <tr key={title} className="border-rule-soft border-b text-right">
            <th className="py-1 text-left font-normal text-mute">{title}</th>
            <td className="read">{text(before.get(title))}</td>
            <td className="read">{text(now.get(title))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
