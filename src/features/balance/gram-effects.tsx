import { useMemo } from 'react';
import type { Formula, FormulaLine } from '@/core/predict/formula';
import { sensitivity } from '@/core/predict/sensitivity';
import { celsius, grams, significant } from '@/ui/format';
import { POUR_ABOVE_C } from '@/ui/quantity-words';

/** Changes smaller than this are not worth a word: a factor's logarithm, and steps of the other quantities. */
const FELT_LN = 0.004;
const FELT_SWEETNESS = 0.05;
const FELT_SHINE = 0.1;
const FELT_AW = 0.0004;

/** What one per cent of the batch more of this row would do, in words. */
function effects(formula: Formula, line: FormulaLine): string[] {
  const found = sensitivity(formula, line.perGram, line.priceEurPerKg);
  const flow = formula.moments.flatMap(({ temperatureC }, m) => {
    const ln = found[m]?.byQuantity.resistancePa ?? 0;
    if (Math.abs(ln) < FELT_LN) return [];
    const warm = temperatureC >= POUR_ABOVE_C;
    const word = ln > 0 ? (warm ? 'thicker' : 'stiffer') : warm ? 'thinner' : 'softer';
    return [`${word} at ${celsius(temperatureC)} ×${significant(Math.exp(ln), 3)}`];
  });
  const at = found[0]?.byQuantity;
  if (!at) return flow;
  const step = (value: number, felt: number, more: string, less: string, digits: number) =>
    Math.abs(value) < felt ? [] : [`${value > 0 ? more : less} ${Math.abs(value).toFixed(digits)}`];
  return [
    ...flow,
    ...step(at.sweetness, FELT_SWEETNESS, 'sweeter +', 'less sweet −', 1),
    ...step(at.shine, FELT_SHINE, 'shinier +', 'duller −', 1),
    ...step(at.waterActivity, FELT_AW, 'wetter aw +', 'keeps longer, aw −', 3),
  ];
}

/** What each gram of a row does: its effect for one per cent of the batch. */
export function GramEffects({ formula, line }: { formula: Formula; line: FormulaLine }) {
  const batchG = formula.lines.reduce((sum, each) => sum + each.grams, 0);
  const words = useMemo(() => effects(formula, line), [formula, line]);
  if (batchG === 0) return null;
  return (
    <p className="text-[13px] text-mute" data-testid="effects">
      <span className="font-semibold text-ink">{grams(batchG / 100)} g more (1 % of the batch)</span>:{' '}
      {words.length > 0 ? words.join(', ') : 'next to nothing'}.
    </p>
  );
}
