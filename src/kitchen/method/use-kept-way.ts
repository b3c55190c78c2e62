import { useRef, useState } from 'react';
import type { WayId } from '@/core/method/step';
import type { FormulaFile } from '@/formats/formula-file';
import { noteSave } from '../saving/saves-under-way';
import { sendSave } from '../saving/send-save';

/** Where keeping the chosen way stands. */
export type KeptWay =
  | { readonly kind: 'kept' | 'keeping' }
  /** not kept, and why; the choice stays on the screen */
  | { readonly kind: 'failed'; readonly message: string };

const STALE = 'Another tablet saved this formula meanwhile. Open it again, then choose: nothing was overwritten.';
const GONE = 'This formula was deleted on another tablet.';

/**
 * The way of working chosen for a formula, kept with it and with what it does to the batch. What another tablet saved is never overwritten.
 *
 * @param opened as the page was given it
 * @param made a formula as it is made by a way
 */
export function useKeptWay(
  id: string,
  opened: { readonly revision: number; readonly file: FormulaFile },
  made: (way: WayId, file: FormulaFile) => FormulaFile,
) {
  const [way, setWay] = useState(opened.file.method?.way);
  const [state, setState] = useState<KeptWay>({ kind: 'kept' });
  const revision = useRef(opened.revision);
  /** as it was kept last: being warmed again keeps what its making did */
  const last = useRef(opened.file);
  const wanted = useRef(way);
  const isSending = useRef(false);

  const send = async () => {
    if (isSending.current) return;
    isSending.current = true;
    try {
      // A choice made while one is under way is sent after it.
      for (let sent: WayId | undefined | null = null; sent !== wanted.current; ) {
        sent = wanted.current;
        setState({ kind: 'keeping' });
        if (sent === undefined) break;
        const file = made(sent, last.current);
        const answer = await noteSave(sendSave(id, revision.current, JSON.stringify(file)));
        if (answer.kind !== 'kept') {
          const message = answer.kind === 'stale' ? STALE : answer.kind === 'gone' ? GONE : answer.message;
          setState({ kind: 'failed', message });
          return;
        }
        revision.current = answer.revision;
        last.current = file;
      }
      setState({ kind: 'kept' });
    } finally {
      isSending.current = false;
    }
  };

  return {
    way,
    state,
    choose: (next: WayId) => {
      setWay(next);
      wanted.current = next;
      void send();
    },
    again: () => void send(),
  };
}
