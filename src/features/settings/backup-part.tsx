'use client';

import { FileDown, FileUp } from 'lucide-react';
import { type ChangeEvent, useRef } from 'react';
import type { BackupTable } from '@/formats/backup-file';
import { type Preview, readBase64 } from '@/kitchen/client/backups';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings/settings-provider';
import { KeptBackups } from './kept-backups';
import { type OpenedBackup, useBackups } from './use-backups';

/** Larger files are refused before they are read, bytes. */
const LARGEST = 28_000_000;

const TABLE_WORDS: Readonly<Record<BackupTable, string>> = {
  settings: 'settings',
  ingredients: 'ingredients',
  formulas: 'formulas',
  formula_lines: 'rows of formulas',
  formula_versions: 'versions',
  day_tasks: 'pieces of work on a day',
  batches: 'batches',
  batch_events: 'events of batches',
  kitchen_tests: 'kitchen tests',
  shelf_items: 'what stands on the shelf',
  practice_tries: 'exercises of practice',
};

/** Rows that are named at most; of more their number is told. */
const MOST_LEFT_OUT = 12;

/** `3 new, 1 changed, 2 gone`; nothing where all is the same. */
function changeWords({ added, changed, removed }: Preview['changes'][number]): string {
  return [added > 0 && `${added} new`, changed > 0 && `${changed} changed`, removed > 0 && `${removed} gone`]
    .filter(Boolean)
    .join(', ');
}

function base64Of(file: File): Promise<string> {
  if (file.size > LARGEST) throw new Error('That is over 28 MB: put it back with npm run restore.');
  return readBase64(file);
}

/** Backups: one now, those that are kept, and putting one back after a look at what it changes. */
export function BackupPart() {
  const { kept, opened, said, share, open, putBack, leave, stop } = useBackups();
  const isBusy = share !== undefined;
  const input = useRef<HTMLInputElement>(null);
  const read = (event: ChangeEvent<HTMLInputElement>) => {
    const [file] = event.target.files ?? [];
    event.target.value = '';
    if (file) void open(file.name, async () => ({ file: await base64Of(file) }));
  };
  return (
    <div className="py-3">
      <div className="flex flex-wrap items-center gap-2">
        <a
          href="/api/backup"
          className="inline-flex min-h-11 items-center gap-2 rounded-lg border border-rule bg-sheet px-4 font-medium hover:border-mute"
        >
          <FileDown size={17} aria-hidden="true" /> Back up now
        </a>
        <Button onClick={() => input.current?.click()} disabled={isBusy}>
          <FileUp size={17} aria-hidden="true" /> Put one back…
        </Button>
        <input
          ref={input}
          type="file"
          accept=".backup"
          className="sr-only"
          tabIndex={-1}
          aria-label="Backup file"
          data-testid="backup-file"
          onChange={read}
        />
        {isBusy && (
          <>
            <progress aria-label="Backup" value={share} max={1} className="w-32" />
            {!opened && <Button onClick={stop}>Stop</Button>}
          </>
        )}
      </div>
      {said && (
        <p
          role={said.bad ? 'alert' : 'status'}
          className={`mt-3 rounded-lg px-3 py-2 ${said.bad ? 'bg-off-wash text-off' : 'bg-enamel-wash'}`}
        >
          {said.text}
        </p>
      )}
      {opened && <PutBack opened={opened} isBusy={isBusy} onPutBack={putBack} onLeave={leave} />}
      <KeptBackups kept={kept} onOpen={(name) => void open(name, async () => ({ kept: name }))} />
    </div>
  );
}

/** A backup that was opened: what putting it back would change, before anything is changed. */
function PutBack({
  opened,
  isBusy,
  onPutBack,
  onLeave,
}: {
  opened: OpenedBackup;
  isBusy: boolean;
  onPutBack: () => void;
  onLeave: () => void;
}) {
  const { settings } = useSettings();
  const changes = opened.preview.changes.filter((change) => changeWords(change) !== '');
  return (
    <section
      className="mt-3 rounded-xl border border-near/40 bg-near-wash px-4 py-3"
      aria-label="Putting a backup back"
    >
      <p className="font-semibold">
        “{opened.name}”, made {new Date(opened.preview.madeAt).toLocaleString(settings.numbers)}
      </p>
      {changes.length === 0 ? (
        <p>It is what is here: nothing would change.</p>
      ) : (
        <>
          <ul className="my-1 list-disc pl-5">
            {changes.map((change) => (
              <li key={change.table}>
                {TABLE_WORDS[change.table]}: {changeWords(change)}
              </li>
            ))}
          </ul>
          <p>All of it or nothing. What is here now is kept first, for 30 days.</p>
        </>
      )}
      {opened.preview.leftOut.length > 0 && (
        <>
          <p className="mt-1 font-semibold text-off">These cannot be read and are left out:</p>
          <ul className="my-1 list-disc pl-5">
            {opened.preview.leftOut.slice(0, MOST_LEFT_OUT).map(({ table, name, reason }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the list never changes
              <li key={i}>
                {TABLE_WORDS[table]}: {name ? `“${name}”, ` : ''}
                {reason}
              </li>
            ))}
            {opened.preview.leftOut.length > MOST_LEFT_OUT && (
              <li>and {opened.preview.leftOut.length - MOST_LEFT_OUT} more</li>
            )}
          </ul>
        </>
      )}
      <div className="mt-2 flex gap-2">
        {changes.length > 0 && (
          <Button look="primary" disabled={isBusy} onClick={onPutBack}>
            Put it back
          </Button>
        )}
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </section>
  );
}
