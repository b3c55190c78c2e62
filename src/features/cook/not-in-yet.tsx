import { useEffect } from 'react';
import { canPutOff, openRows } from '@/kitchen/cook/rows-open';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { Sheet } from '@/ui/sheet';
import type { Cook } from './use-cook';

/** A step is to be left while nobody said of some of its rows that they are in: asked of each, then it goes on by itself. */
export function NotInYet({ cook }: { cook: Cook }) {
  const { cooked, state, asksToLeave, stay, leave, putIn, putOff } = cook;
  const open = asksToLeave ? openRows(cooked, state, asksToLeave.place) : [];
  const isAnswered = asksToLeave !== undefined && open.length === 0;
  useEffect(() => {
    if (!isAnswered || !asksToLeave) return;
    stay();
    leave(asksToLeave.place, asksToLeave.as);
  });
  if (!asksToLeave || isAnswered) return null;
  const { place } = asksToLeave;
  return (
    <Sheet title="Not in yet?" onClose={stay}>
      <ul className="grid gap-3 px-5 py-4">
        {open.map((part) => {
          const name = cooked.names[part.row] ?? '';
          return (
            <li key={`${part.step} ${part.row}`} className="rounded-xl border border-rule px-4 py-3">
              <p className="text-[20px]">
                <strong>{name}</strong>, <span className="read">{weight(part.wantedG)}</span>, is not in yet?
              </p>
              <div className="mt-2 flex flex-wrap gap-2">
                <Button
                  look="primary"
                  className="min-h-14"
                  aria-label={`It is in after all: ${name}`}
                  onClick={() => putIn(place, part, part.wantedG)}
                >
                  It is in
                </Button>
                <Button className="min-h-14" aria-label={`Left out: ${name}`} onClick={() => putIn(place, part, 0)}>
                  Left out
                </Button>
                {canPutOff(cooked, place) && (
                  <Button className="min-h-14" aria-label={`Later: ${name}`} onClick={() => putOff(place, part)}>
                    Later
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
