import { useEffect, useRef, useState } from 'react';
import { messageOf } from '@/formats/message-of';
import {
  type BackupSource,
  type BackupWatching,
  type Kept,
  listBackups,
  type Preview,
  previewBackup,
  restoreBackup,
} from '@/kitchen/client/backups';
import { useSettings } from '@/ui/settings/settings-provider';

/** A backup that was opened, and what putting it back would change. */
export interface OpenedBackup {
  readonly name: string;
  readonly from: BackupSource;
  readonly preview: Preview;
}

/** The backups that are kept, the one that is looked at, and what became of the last press. */
export function useBackups() {
  const [kept, setKept] = useState<readonly Kept[]>([]);
  const [opened, setOpened] = useState<OpenedBackup | undefined>();
  const [said, setSaid] = useState<{ text: string; bad: boolean } | undefined>();
  /** how much of the work under way is done, 0-1; nothing where there is none */
  const [share, setShare] = useState<number | undefined>();
  const stopping = useRef<AbortController>(undefined);
  const { change } = useSettings();

  useEffect(() => {
    listBackups().then(setKept, () => undefined);
  }, []);

  const attempt = async (work: (watching: BackupWatching) => Promise<void>) => {
    const controller = new AbortController();
    stopping.current = controller;
    setShare(0);
    setSaid(undefined);
    try {
      await work({ signal: controller.signal, onProgress: setShare });
    } catch (error) {
      // What is stopped while its answer comes breaks off.
      setSaid({ text: controller.signal.aborted ? 'Stopped. Nothing was changed.' : messageOf(error), bad: true });
    } finally {
      setShare(undefined);
    }
  };
  const open = (name: string, source: () => Promise<BackupSource>) =>
    attempt(async (watching) => {
      setOpened(undefined);
      const from = await source();
      setOpened({ name, from, preview: await previewBackup(from, watching) });
    });
  const putBack = () =>
    void attempt(async (watching) => {
      if (!opened) return;
      await restoreBackup(opened.from, watching);
      setOpened(undefined);
      setSaid({ text: 'The backup is put back. What was here before is in the list below.', bad: false });
      // The settings are those of the backup, too.
      await change({});
      setKept(await listBackups());
    });
  return {
    ...{ kept, opened, said, share, open, putBack },
    leave: () => setOpened(undefined),
    stop: () => stopping.current?.abort(),
  };
}
