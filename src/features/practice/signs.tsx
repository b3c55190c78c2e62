import { nth } from '@/core/nth';
import type { Seen } from '@/core/practice/observe';
import { RIBBON_WORDS } from '@/kitchen/words/pan-sign-words';
import { GRIT_WORDS, shineWord } from '@/kitchen/words/practice-words';
import { TASTED_WORDS } from '@/kitchen/words/test-words';
import { Button } from '@/ui/button';
import { celsius, millimetres } from '@/ui/format';

/** What can be done with a pan to see more of it. */
export const SIGNS = ['look', 'spoon', 'ribbon', 'tilt', 'plate', 'probe', 'taste'] as const;
export type Sign = (typeof SIGNS)[number];

const PRESS: Readonly<Record<Exclude<Sign, 'look'>, string>> = {
  spoon: 'Draw the spoon through',
  ribbon: 'Lift the spoon',
  tilt: 'Tilt it',
  plate: '20 ml on a plate',
  probe: 'Take its temperature',
  taste: 'Taste it',
};

/** What a sign says, in words: the pan can be judged without seeing it. */
export function signWords(sign: Sign, seen: Seen): string {
  switch (sign) {
    case 'look':
      return `${shineWord(seen.shine)}${seen.driedRim ? ' A rim has dried on above it.' : ''}${seen.grit === 'flecks' ? ' There are flecks in it.' : ''}${seen.hasSkin ? ' A skin has formed while it stood; stirred, it is gone.' : ''}${seen.hasBubbles ? ' Bubbles of the whisk stand in it.' : ''}`;
    case 'spoon':
      return seen.lineStays ? 'The spoon’s line stays.' : 'The spoon’s line runs shut.';
    case 'ribbon':
      return RIBBON_WORDS[seen.ribbon];
    case 'tilt':
      return seen.yieldStressPa > 60
        ? 'Tilted, it stays where it is.'
        : seen.plasticViscosityPaS > 3
          ? 'Tilted, it creeps.'
          : 'Tilted, it runs.';
    case 'plate':
      return `20 ml spread to ${millimetres(Math.round(seen.ringMm))} in half a minute.`;
    case 'probe':
      return `It is at ${celsius(Math.round(seen.temperatureC))}.`;
    default:
      return `It tastes ${TASTED_WORDS[seen.taste]}, and ${GRIT_WORDS[seen.grit]}.`;
  }
}

/** Letters of two pans that are compared. */
export const PAN_NAMES = ['A', 'B'] as const;

/** Presses for what a cook may do, and what came of it in words. */
export function Signs({
  read,
  without,
  onSign,
}: {
  /** what each sign showed when it was read, of one pan or of two */
  read: ReadonlyMap<Sign, readonly Seen[]>;
  /** what would give the answer away */
  without: readonly Sign[];
  onSign: (sign: Exclude<Sign, 'look'>) => void;
}) {
  const presses = SIGNS.filter((sign): sign is Exclude<Sign, 'look'> => sign !== 'look' && !without.includes(sign));
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-2">
        {presses.map((sign) => (
          <Button
            key={sign}
            aria-pressed={read.has(sign)}
            onClick={() => onSign(sign)}
            className="!px-3 aria-pressed:border-enamel aria-pressed:bg-enamel-wash"
          >
            {PRESS[sign]}
          </Button>
        ))}
      </div>
      <ul aria-label="What is seen" aria-live="polite" className="mt-3 space-y-1">
        {SIGNS.map((sign) => {
          const pans = read.get(sign);
          return (
            pans && (
              <li key={sign}>
                {pans.map((seen, i) => (
                  <span key={nth(PAN_NAMES, i)} className="block">
                    {pans.length > 1 && <strong>{nth(PAN_NAMES, i)}: </strong>}
                    {signWords(sign, seen)}
                  </span>
                ))}
              </li>
            )
          );
        })}
      </ul>
    </>
  );
}
