import { weight } from '@/ui/format';
import { READ_ALOUD_AFTER_MS, useSettled } from '@/ui/use-settled';
import type { PanLine } from '../draft/edit';

/** Says aloud which row the keys act on, what is in it, and whether it is locked. */
export function RowStatus({ line, name, place, count }: { line: PanLine; name: string; place: number; count: number }) {
  const said = useSettled(
    `Row ${place + 1} of ${count}: ${name}, ${weight(line.grams)}, ${line.locked ? 'locked' : 'free to move'}.`,
    READ_ALOUD_AFTER_MS,
  );
  return (
    <p role="status" className="sr-only">
      {said}
    </p>
  );
}
