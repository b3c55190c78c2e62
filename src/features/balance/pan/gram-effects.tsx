import type { Moment } from '@/core/formula/moments';
import type { MomentChange } from '@/core/predict/sensitivity';
import { celsius, significant, weight } from '@/ui/format';
import { POUR_ABOVE_C } from '@/ui/quantity-words';
import { fixed } from '@/ui/settings/numerals';
import { TRIED_G } from './more-of-row';

/** Changes smaller than this are not worth a word: a factor's logarithm, and steps of the other quantities. */
const FELT_LN = 0.004;
const FELT_SWEETNESS = 0.05;
const FELT_SHINE = 0.1;
const FELT_AW = 0.0004;

/** What a little more of a row would do, in words. */
function effects(moments: readonly Moment[], changes: readonly MomentChange[]): string[] {
  const flow = moments.flatMap(({ temperatureC }, m) => {
    const ln = changes[m]?.byQuantity.resistancePa ?? 0;
    if (Math.abs(ln) < FELT_LN) return [];
    const warm = temperatureC >= POUR_ABOVE_C;
    const word = ln > 0 ? (warm ? 'thicker' : 'stiffer') : warm ? 'thinner' : 'softer';
    return [`${word} at ${celsius(temperatureC)} ×${significant(Math.exp(ln), 3)}`];
  });
  const at = changes[0]?.byQuantity;
  if (!at) return flow;
  const step = (value: number, felt: number, more: string, less: string, digits: number) =>
    Math.abs(value) < felt ? [] : [`${value > 0 ? more : less} ${fixed(Math.abs(value), digits)}`];
  return [
    ...flow,
    ...step(at.sweetness, FELT_SWEETNESS, 'sweeter +', 'less sweet −', 1),
    ...step(at.shine, FELT_SHINE, 'shinier +', 'duller −', 1),
    ...step(at.waterActivity, FELT_AW, 'wetter aw +', 'keeps longer, aw −', 3),
  ];
}

/** What a little more of the open row would do. */
export function GramEffects({ moments, changes }: { moments: readonly Moment[]; changes: readonly MomentChange[] }) {
  const words = effects(moments, changes);
  return (
    <p className="text-[13px] text-mute" data-testid="effects">
      <span className="font-semibold text-ink">{weight(TRIED_G)} more</span>:{' '}
      {words.length > 0 ? words.join(', ') : 'next to nothing'}.
    </p>
  );
}
