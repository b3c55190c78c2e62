import type { Keeping } from '@/formats/shelf';
import { keepingLines } from '@/kitchen/words/keeping-words';
import { numeral } from './settings/numerals';

/** How long something may be planned with, and why no longer. */
export function KeepingList({ keeping }: { keeping: Keeping }) {
  return (
    <ul className="mt-1 list-disc pl-5 text-[13.5px]">
      {keepingLines(keeping, numeral).map((band) => (
        <li key={band}>{band}</li>
      ))}
    </ul>
  );
}
