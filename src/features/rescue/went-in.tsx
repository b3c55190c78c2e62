import { roundToScale } from '@/core/matter/scale-rounding';
import type { PutIn } from '@/kitchen/cook/rescue';
import { weight } from '@/ui/format';
import { FoldBack } from './fold-back';

/** What a rescue has put in so far, and whether it is to stand in the formula from now on. */
export function WentIn({
  putIn,
  wholeG,
  formulaId,
}: {
  putIn: readonly PutIn[];
  /** g in the pan now, with all of it */
  wholeG: number;
  /** the formula it may be written into; nothing where there is none */
  formulaId: string | undefined;
}) {
  if (putIn.length === 0) return null;
  return (
    <section aria-label="What went in" className="mt-4">
      <h2 className="text-[1.15rem]">What went in</h2>
      <ul>
        {putIn.map(({ ingredient, grams }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: portions stand in the order they went in; two may be alike
          <li key={i}>
            {ingredient.name} <span className="read">{weight(roundToScale(grams))}</span>
          </li>
        ))}
      </ul>
      <p className="text-mute">With this it is {weight(Math.round(wholeG))}.</p>
      {formulaId && <FoldBack formulaId={formulaId} putIn={putIn} wholeG={wholeG} />}
    </section>
  );
}
