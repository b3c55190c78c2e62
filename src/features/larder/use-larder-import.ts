'use client';

import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { StoredIngredient } from '@/formats/ingredient';
import { LARGEST_CSV_BYTES } from '@/formats/larder-csv';
import type { PlannedRow } from '@/formats/larder-import';
import { messageOf } from '@/formats/message-of';
import { followLines } from '@/kitchen/client/follow-lines';
import type { LarderImportDoor } from '@/workers/larder-import.worker';
import { StoppedError, threadOf } from '@/workers/thread';

/** Where an import stands. */
export type ImportState =
  | { readonly step: 'none' }
  | { readonly step: 'reading'; readonly file: string; readonly share: number }
  | { readonly step: 'planned'; readonly file: string; readonly rows: readonly PlannedRow[] }
  | { readonly step: 'saving'; readonly file: string; readonly done: number; readonly total: number }
  | { readonly step: 'done'; readonly file: string; readonly added: number; readonly changed: number }
  | { readonly step: 'failed'; readonly file: string; readonly message: string };

const startThread = () =>
  threadOf<LarderImportDoor>(
    () => new Worker(new URL('../../workers/larder-import.worker.ts', import.meta.url), { type: 'module' }),
  );

/** Reads a CSV in a worker, shows what will happen, and does it at once or not at all. */
export function useLarderImport(existing: readonly StoredIngredient[], onChanged: () => void) {
  const [state, setState] = useState<ImportState>({ step: 'none' });
  const [thread] = useState(startThread);
  useEffect(() => thread.close, [thread]);

  const read = async (file: File) => {
    thread.close();
    if (file.size > LARGEST_CSV_BYTES) {
      setState({ step: 'failed', file: file.name, message: 'The file is over 10 MB; a larder is a few at most.' });
      return;
    }
    setState({ step: 'reading', file: file.name, share: 0 });
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const known = existing.map(({ revision: _, ...ingredient }) => ingredient);
      const told = proxy((share: number) => setState({ step: 'reading', file: file.name, share }));
      const rows = await thread.ask((door) => door.plan(bytes, known, told));
      setState({ step: 'planned', file: file.name, rows });
    } catch (error) {
      // Another file was chosen meanwhile, or the sheet was closed.
      if (error instanceof StoppedError) return;
      setState({ step: 'failed', file: file.name, message: messageOf(error) });
    }
    thread.close();
  };

  const apply = async (file: string, rows: readonly PlannedRow[]) => {
    const of = (what: 'add' | 'change') => rows.flatMap((row) => (row.what === what ? [row.ingredient] : []));
    const plan = { add: of('add'), change: of('change') };
    const total = plan.add.length + plan.change.length;
    setState({ step: 'saving', file, done: 0, total });
    try {
      const answer = await fetch('/api/larder/import', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(plan),
      });
      await followLines(answer, (done) => setState({ step: 'saving', file, done, total }));
      setState({ step: 'done', file, added: plan.add.length, changed: plan.change.length });
      onChanged();
    } catch (error) {
      setState({ step: 'failed', file, message: messageOf(error) });
    }
  };

  const close = () => {
    thread.close();
    setState({ step: 'none' });
  };
  return { state, read, apply, close };
}

export type LarderImport = ReturnType<typeof useLarderImport>;
