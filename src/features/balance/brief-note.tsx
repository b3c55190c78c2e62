import Link from 'next/link';
import type { PanContents } from '@/kitchen/pan-contents';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { RESTRICTION_WORDS } from '@/ui/restriction-words';
import type { Edit, FormulaDraft } from './draft/edit';
import { totalGrams, yieldGrams } from './draft/formula-draft';

/** Part of the amount by which a pan may differ from its brief without a word. */
const NEAR_ENOUGH = 0.02;

/** Rows of the pan times a factor; the amount the brief asks for stays. */
export function scaledToBrief(draft: FormulaDraft): FormulaDraft['lines'] {
  const { targetGrams = 0, bowlLossGrams = 0, evaporationGrams = 0 } = draft.yield ?? {};
  const factor = (targetGrams + bowlLossGrams + evaporationGrams) / totalGrams(draft);
  const scaled = (g: number | undefined) => (g === undefined ? undefined : Math.round(g * factor * 10) / 10);
  return draft.lines.map((line) => ({
    ...line,
    grams: scaled(line.grams) ?? 0,
    minGrams: scaled(line.minGrams),
    maxGrams: scaled(line.maxGrams),
  }));
}

/** Where the pan is not what its brief asks: another amount, or a row that goes against a wish. Nothing is changed without the cook. */
export function BriefNote({
  id,
  draft,
  contents,
  edit,
}: {
  id: string;
  draft: FormulaDraft;
  contents: PanContents;
  edit: (edit: Edit) => void;
}) {
  const { brief } = draft;
  if (!brief) return null;
  const target = draft.yield?.targetGrams ?? 0;
  const differs = target > 0 && totalGrams(draft) > 0 && Math.abs(yieldGrams(draft) / target - 1) > NEAR_ENOUGH;
  const against = brief.wishes.without.flatMap((wish) => {
    const standing = contents.standing(wish);
    const namesOf = (which: 'against' | 'unknown') =>
      standing.filter((each) => each.standing === which).map(({ name }) => name);
    return standing.length > 0 ? [{ wish, against: namesOf('against'), unknown: namesOf('unknown') }] : [];
  });
  if (!differs && against.length === 0) return null;
  return (
    <section
      aria-label="The brief"
      className="mx-4 mt-2 rounded-lg border border-near/30 bg-near-wash px-3 py-2 text-[13.5px]"
      data-testid="brief-note"
    >
      {against.map(({ wish, against: names, unknown }) => (
        <p key={wish}>
          The brief says <strong>{RESTRICTION_WORDS[wish]}</strong>:{' '}
          {names.length > 0 && `${names.join(', ')} ${names.length === 1 ? 'goes' : 'go'} against it. `}
          {unknown.length > 0 && `${unknown.join(', ')} may go against it: the pack says traces, or nobody has said.`}
        </p>
      ))}
      {differs && (
        <p className="flex flex-wrap items-center gap-2">
          <span>
            The brief asks for {weight(target)} on the table; this pan gives {weight(Math.round(yieldGrams(draft)))}.
          </span>
          <Button className="!min-h-11 !px-3" onClick={() => edit({ type: 'lines', lines: scaledToBrief(draft) })}>
            Scale the pan
          </Button>
        </p>
      )}
      <Link className="inline-flex min-h-9 items-center font-medium text-enamel" href={`/formulas/${id}/brief`}>
        Look at the brief
      </Link>
    </section>
  );
}
