import type { DayResource, Overlap } from '@/core/method/day-plan';
import { capital } from '@/formats/capital';
import { Button } from '@/ui/button';
import { clockOf } from '@/ui/time-of-day';
import type { DayWork } from './use-day';

const NUMBERS = ['no', 'one pair', 'two pairs', 'three pairs', 'four pairs'];
const WANTED: Readonly<Record<DayResource, string>> = {
  hands: 'More hands are wanted than there are',
  hob: 'More than two rings are wanted',
  fridge: 'More than four shelves of the fridge are wanted',
};
const MOST_TOLD = 5;
/** Overlaps of one thing no further apart are told as one, min. */
const TOLD_AS_ONE = 10;

/** Overlaps as they are told: what lies close together in one sentence, with all that want it. */
function told(overlaps: readonly Overlap[]): Overlap[] {
  const found: Overlap[] = [];
  for (const each of overlaps) {
    const last = found.at(-1);
    const isNear = last?.what === each.what && each.from - last.to <= TOLD_AS_ONE;
    if (isNear) found[found.length - 1] = { ...last, to: each.to, ids: [...new Set([...last.ids, ...each.ids])] };
    else found.push(each);
  }
  return found;
}

/** Where the day gets in its own way, and one press that spreads it. */
export function DayOverlaps({
  overlaps,
  works,
  canSpread,
  people,
  onSpread,
}: {
  overlaps: readonly Overlap[];
  works: readonly DayWork[];
  canSpread: boolean;
  people: number;
  onSpread: () => void;
}) {
  if (overlaps.length === 0) {
    return (
      <p className="mt-3">{capital(NUMBERS[people] ?? '')} of hands, two rings and four shelves are enough for it.</p>
    );
  }
  const sentences = told(overlaps);
  const nameOf = (id: string) => works.find((work) => work.id === id)?.formula.file.name ?? '';
  return (
    <div role="alert" className="mt-3 rounded-xl bg-off-wash px-4 py-3">
      <ul>
        {sentences.slice(0, MOST_TOLD).map(({ what, from, to, ids }) => (
          <li key={`${what}-${from}`} className="text-off">
            {WANTED[what]} at once between {clockOf(from)} and {clockOf(Math.max(to, from + 1))}:{' '}
            {ids.map(nameOf).join(' · ')}.
          </li>
        ))}
      </ul>
      {sentences.length > MOST_TOLD && <p className="text-off">And {sentences.length - MOST_TOLD} times more.</p>}
      {canSpread ? (
        <Button look="primary" className="mt-2" onClick={onSpread}>
          Spread them: some begin earlier
        </Button>
      ) : (
        <p className="mt-1">No earlier start helps: take one off, or another day.</p>
      )}
    </div>
  );
}
