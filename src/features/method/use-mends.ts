import { useEffect, useRef, useState } from 'react';
import type { MethodFault } from '@/core/method/fault';
import type { MendPreview } from '@/kitchen/method/mend-preview';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import type { MendDoor } from '@/workers/mend.worker';
import { type Thread, threadOf } from '@/workers/thread';

/** What mends the faults that are looked at, worked out beside the screen; until it is known there is none. */
export function useMends(method: WorkedMethod, faults: readonly MethodFault[]): readonly (MendPreview | undefined)[] {
  const thread = useRef<Thread<MendDoor> | undefined>(undefined);
  const [mends, setMends] = useState<readonly (MendPreview | undefined)[]>([]);
  const asked = JSON.stringify(faults);

  useEffect(() => () => thread.current?.close(), []);
  useEffect(() => {
    const wanted: MethodFault[] = JSON.parse(asked);
    setMends([]);
    if (wanted.length === 0) return;
    let isHere = true;
    // Whatever it still works on is of a method that is no more.
    thread.current?.close();
    thread.current ??= threadOf<MendDoor>(
      () => new Worker(new URL('../../workers/mend.worker.ts', import.meta.url), { type: 'module' }),
    );
    const { rows, followed, way, kitchen, pourC } = method;
    const question = {
      lines: rows.lines,
      hints: rows.hints,
      method: { way, steps: followed.map(({ step }) => step) },
      kitchen,
      pourC,
    };
    thread.current
      .ask((door) => door.mends(question, wanted))
      .then(
        (found) => isHere && setMends(found),
        // Without its worker a fault is told all the same; only the press is missing.
        () => undefined,
      );
    return () => {
      isHere = false;
    };
  }, [asked, method]);
  return mends;
}
