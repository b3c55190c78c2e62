import { useRef } from 'react';
import type { BatchAnswer, Happening } from '@/formats/batch';
import { tellBatch } from '@/kitchen/client/batches';
import { keepSetAside, keepUntold, together, toldNow, untold } from '@/kitchen/cook/untold';

/** Writes what happens in a rescue into its batch, if it has one; what the server does not hear is told by the batch’s own page. */
export function useTell(batch: BatchAnswer | undefined) {
  const seq = useRef(batch?.events.at(-1)?.seq ?? 0);
  return (what: Happening) => {
    if (!batch) return;
    const { id } = batch.head;
    const own = toldNow(what);
    keepUntold(id, [own]);
    const sent = together([own], untold(id));
    void tellBatch(id, seq.current, sent).then(
      ({ events, refused }) => {
        seq.current = events.at(-1)?.seq ?? seq.current;
        keepSetAside(id, sent, refused);
        keepUntold(id, [], new Set(sent.map(({ key }) => key)));
      },
      () => undefined,
    );
  };
}
