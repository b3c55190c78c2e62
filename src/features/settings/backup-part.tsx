'use client';

import { FileDown, FileUp } from 'lucide-react';
import { type ChangeEvent, useEffect, useRef, useState } from 'react';
import type { BackupTable } from '@/formats/backup-file';
import { messageOf } from '@/formats/message-of';
import {
  type Kept,
  listBackups,
  type Preview,
  previewBackup,
  readBase64,
  restoreBackup,
} from '@/kitchen/client/backups';
import { Button } from '@/ui/button';
import { numeral } from '@/ui/settings/numerals';
import { useSettings } from '@/ui/settings/settings-provider';

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

/** `3 new, 1 changed, 2 gone`; nothing where all is the same. */
function changeWords({ added, changed, removed }: Preview['changes'][number]): string {
  return [added > 0 && `${added} new`, changed > 0 && `${changed} changed`, removed > 0 && `${removed} gone`]
    .filter(Boolean)
    .join(', ');
}

interface Opened {
  readonly name: string;
  readonly text: string;
  readonly preview: Preview;
}

/** Backups: one now, those made by themselves, and putting one back after a look at what it changes. */
export function BackupPart() {
  const [kept, setKept] = useState<Kept>([]);
  const [opened, setOpened] = useState<Opened | undefined>();
  const [said, setSaid] = useState<{ text: string; bad: boolean } | undefined>();
  const [isBusy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const { change } = useSettings();

  useEffect(() => {
    listBackups().then(setKept, () => undefined);
  }, []);

  const attempt = async (work: () => Promise<void>) => {
    setBusy(true);
    setSaid(undefined);
    try {
      await work();
    } catch (error) {
      setSaid({ text: messageOf(error), bad: true });
    } finally {
      setBusy(false);
    }
  };
  const read = (event: ChangeEvent<HTMLInputElement>) => {
    const [file] = event.target.files ?? [];
    event.target.value = '';
    setOpened(undefined);
    if (!file) return;
    void attempt(async () => {
      if (file.size > LARGEST) throw new Error('That is over 28 MB: put it back with npm run restore.');
      const text = await readBase64(file);
      setOpened({ name: file.name, text, preview: await previewBackup(text) });
    });
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
        {isBusy && <span className="text-mute">working…</span>}
      </div>
      {said && (
        <p
          role={said.bad ? 'alert' : 'status'}
          className={`mt-3 rounded-lg px-3 py-2 ${said.bad ? 'bg-off-wash text-off' : 'bg-enamel-wash'}`}
        >
          {said.text}
        </p>
      )}
      {opened && (
        <PutBack
          opened={opened}
          isBusy={isBusy}
          onPutBack={() =>
            void attempt(async () => {
              await restoreBackup(opened.text);
              setOpened(undefined);
              setSaid({ text: 'It is put back.', bad: false });
              // The settings are those of the backup, too.
              await change({});
              setKept(await listBackups());
            })
          }
          onLeave={() => setOpened(undefined)}
        />
      )}
      <MadeByThemselves kept={kept} />
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
  opened: Opened;
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
          <p>All of it or nothing. What is here now is kept first, as today’s backup.</p>
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

function MadeByThemselves({ kept }: { kept: Kept }) {
  return (
    <>
      <p className="mt-3 max-w-prose text-mute">
        Photos are in it. Those made by themselves have one copy of each photo beside them.
      </p>
      <h3 className="mt-4 mb-1 font-sans font-semibold">Made by themselves</h3>
      {kept.length === 0 ? (
        <p className="text-mute">The first one is made within the hour.</p>
      ) : (
        <ul className="flex flex-wrap gap-x-5">
          {kept.map(({ day, bytes }) => (
            <li key={day}>
              <a href={`/api/backup?day=${day}`} className="inline-flex min-h-11 items-center text-enamel underline">
                {day}
              </a>{' '}
              <span className="read text-[0.85rem] text-mute">{numeral(Math.max(bytes / 1024, 1), 0)} kB</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
