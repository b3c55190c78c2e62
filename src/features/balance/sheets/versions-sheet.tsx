'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import { addVersion, listVersions, removeVersion } from '@/kitchen/client/versions';
import type { Larder } from '@/kitchen/known-item';
import { useFetched } from '@/kitchen/use-fetched';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import type { FormulaDraft } from '../draft/edit';
import { fileOf } from '../draft/formula-draft';
import { SideBySide } from './side-by-side';

/** Named states of the formula: kept, compared side by side with the pan, drawn on the chart, brought back, let go. */
export function VersionsSheet({
  id,
  draft,
  larder,
  onClose,
  onRestore,
  onCompare,
}: {
  id: string;
  draft: FormulaDraft;
  larder: Larder;
  onClose: () => void;
  onRestore: (file: FormulaFile) => void;
  /** draws a version beside the curve */
  onCompare: (name: string, file: FormulaFile) => void;
}) {
  const { data: versions, fault, again } = useFetched(() => listVersions(id));
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [said, setSaid] = useState<string | undefined>();
  const [opened, setOpened] = useState<string | undefined>();
  const compared = versions?.find((version) => version.id === opened);

  const attempt = async (work: () => Promise<void>) => {
    try {
      await work();
      setSaid(undefined);
      await again();
    } catch (error) {
      setSaid(messageOf(error));
    }
  };
  const keep = () => {
    if (name.trim() === '') {
      setSaid('Give the version a name first.');
      return;
    }
    void attempt(async () => {
      await addVersion(id, name.trim(), note.trim(), fileOf(draft));
      setName('');
      setNote('');
    });
  };

  return (
    <Sheet title="Versions" width="wide" onClose={onClose}>
      <form
        className="mb-4 grid gap-2 sm:grid-cols-[200px_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <input
          aria-label="Name of the version"
          placeholder="Name, like: before the fair"
          maxLength={80}
          className="h-11 rounded-lg border border-rule bg-field px-3"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <input
          aria-label="Note on the version"
          placeholder="What was it like?"
          maxLength={1000}
          className="h-11 rounded-lg border border-rule bg-field px-3"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button look="primary" type="submit">
          Keep the pan as it is now
        </Button>
      </form>
      {(said ?? fault) && (
        <p role="alert" className="mb-3 text-off">
          {said ?? fault}
        </p>
      )}
      {versions?.length === 0 && <p className="text-mute">No version yet. Keep one before you try something bold.</p>}
      <ul className="space-y-2">
        {versions?.map((version) => (
          <li key={version.id} className="rounded-lg border border-rule bg-field px-4 py-2">
            <div className="flex flex-wrap items-center gap-2">
              <p className="mr-auto">
                <strong>{version.name}</strong>{' '}
                <span className="text-[13px] text-mute">
                  {format(new Date(version.createdAt), 'd MMM yyyy, HH:mm')}
                  {version.automatic && ', kept by itself for a while'}
                </span>
                {version.note && <span className="block text-[13.5px] text-mute">{version.note}</span>}
              </p>
              <Button
                className="!px-3"
                aria-pressed={opened === version.id}
                onClick={() => setOpened(opened === version.id ? undefined : version.id)}
              >
                Side by side
              </Button>
              <Button className="!px-3" onClick={() => onCompare(version.name, version.file)}>
                On the chart
              </Button>
              <Button className="!px-3" onClick={() => onRestore(version.file)}>
                Bring it back
              </Button>
              <Button look="bare" className="!px-3" onClick={() => void attempt(() => removeVersion(id, version.id))}>
                Let it go
              </Button>
            </div>
            {compared?.id === version.id && (
              <SideBySide id={id} name={compared.name} file={compared.file} draft={draft} larder={larder} />
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
