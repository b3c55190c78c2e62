import type { Keeping } from '@/formats/shelf';
import { keepingBands } from '@/kitchen/words/keeping-words';
import { numeral } from './settings/numerals';

/** How long something may be planned with, by each school, with the reasons. */
export function KeepingList({ keeping }: { keeping: Keeping }) {
  return (
    <ul className="mt-1 list-disc pl-5 text-[13.5px]">
      {keepingBands(keeping, numeral).map((band) => (
        <li key={band}>{band}</li>
      ))}
    </ul>
  );
}
