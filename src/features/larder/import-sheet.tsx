'use client';

import { useState } from 'react';
import { keysOf } from '@/core/keys-of';
import type { PlannedRow } from '@/formats/larder-import';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import type { LarderImport } from './use-larder-import';

const WHAT = {
  add: { name: 'added', mark: '＋', look: 'text-enamel' },
  change: { name: 'changed', mark: '↻', look: 'text-near' },
  same: { name: 'the same', mark: '＝', look: 'text-mute' },
  refuse: { name: 'left out', mark: '✕', look: 'text-off' },
} as const;

/** Rows drawn at once; the counts speak for the rest. */
const MOST_DRAWN = 300;

/** What an import will do, row by row, before anything happens; then how far it is. */
export function ImportSheet({ importing }: { importing: LarderImport }) {
  const { state, apply, close } = importing;
  if (state.step === 'none') return null;
  const title = `Import ${state.file}`;
  if (state.step === 'reading') {
    return (
      <Sheet title={title} onClose={close} width="narrow">
        <p className="mb-2">Reading the rows…</p>
        <progress className="h-3 w-full accent-enamel" value={state.share} aria-label="Reading" />
        <Button className="mt-4" onClick={close}>
          Stop
        </Button>
      </Sheet>
    );
  }
  if (state.step === 'saving') {
    return (
      <Sheet title={title} onClose={() => undefined} width="narrow">
        <p className="mb-2" role="status">
          {state.done} of {state.total} written. It counts only when all are.
        </p>
        <progress className="h-3 w-full accent-enamel" value={state.done} max={state.total} aria-label="Writing" />
      </Sheet>
    );
  }
  if (state.step === 'done') {
    return (
      <Sheet title={title} onClose={close} width="narrow">
        <p role="status">
          {state.added} added, {state.changed} changed.
        </p>
        <Button look="primary" className="mt-4" onClick={close}>
          Good
        </Button>
      </Sheet>
    );
  }
  if (state.step === 'failed') {
    return (
      <Sheet title={title} onClose={close} width="narrow">
        <p role="alert" className="text-off">
          {state.message}
        </p>
        <Button className="mt-4" onClick={close}>
          Close
        </Button>
      </Sheet>
    );
  }
  return (
    <Preview file={state.file} rows={state.rows} onApply={() => void apply(state.file, state.rows)} onClose={close} />
  );
}

function Preview({
  file,
  rows,
  onApply,
  onClose,
}: {
  file: string;
  rows: readonly PlannedRow[];
  onApply: () => void;
  onClose: () => void;
}) {
  const [only, setOnly] = useState<PlannedRow['what'] | undefined>();
  const count = (what: PlannedRow['what']) => rows.filter((row) => row.what === what).length;
  const writes = count('add') + count('change');
  const shown = rows.filter((row) => only === undefined || row.what === only);
  return (
    <Sheet
      title={`Import ${file}`}
      onClose={onClose}
      width="wide"
      footer={
        <>
          <Button look="primary" disabled={writes === 0} onClick={onApply}>
            {writes === 0 ? 'Nothing to write' : `Write ${writes} ${writes === 1 ? 'ingredient' : 'ingredients'}`}
          </Button>
          <Button onClick={onClose}>Leave it</Button>
          {count('refuse') > 0 && (
            <p className="self-center text-[13.5px] text-mute">
              Rows left out stay in your file: mend them there and import it again.
            </p>
          )}
        </>
      }
    >
      <p className="mb-3 text-mute">Nothing has happened yet. All rows are written together, or none.</p>
      <ul className="mb-3 flex flex-wrap gap-2">
        {keysOf(WHAT).map((what) => (
          <li key={what}>
            <Button
              aria-pressed={only === what}
              className={only === what ? '!border-ink' : ''}
              disabled={count(what) === 0}
              onClick={() => setOnly(only === what ? undefined : what)}
            >
              <span className={WHAT[what].look} aria-hidden="true">
                {WHAT[what].mark}
              </span>
              {count(what)} {WHAT[what].name}
            </Button>
          </li>
        ))}
      </ul>
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-rule border-b text-left text-mute">
            <th className="w-16 py-1 font-medium">row</th>
            <th className="font-medium">ingredient</th>
            <th className="font-medium">what happens</th>
          </tr>
        </thead>
        <tbody>
          {shown.slice(0, MOST_DRAWN).map((row) => (
            <tr key={row.row} className="border-rule-soft border-b align-top">
              <td className="read py-1.5">{row.row}</td>
              <td className="pr-4">{row.name}</td>
              <td>
                <span className={`font-semibold ${WHAT[row.what].look}`}>{WHAT[row.what].name}</span>
                {row.what === 'refuse' ? (
                  <ul>
                    {row.faults.map(({ field, message }) => (
                      <li key={`${field} ${message}`}>
                        <span className="read text-[0.85rem]">{field}</span>: {message}
                      </li>
                    ))}
                  </ul>
                ) : (
                  row.what !== 'same' && <span className="text-mute">: {row.words}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length > MOST_DRAWN && (
        <p className="mt-2 text-mute">and {shown.length - MOST_DRAWN} more rows of the same kinds.</p>
      )}
    </Sheet>
  );
}
