import { useEffect, useState } from 'react';
import { messageOf } from '@/formats/message-of';
import {
  type BackupSource,
  type Kept,
  listBackups,
  type Preview,
  previewBackup,
  restoreBackup,
} from '@/kitchen/client/backups';
import { useSettings } from '@/ui/settings/settings-provider';

/** A backup that was opened, and what putting it back would change. */
export interface Opened {
  readonly name: string;
  readonly from: BackupSource;
  readonly preview: Preview;
}

/** The backups that are kept, the one that is looked at, and what became of the last press. */
export function useBackups() {
  const [kept, setKept] = useState<readonly Kept[]>([]);
  const [opened, setOpened] = useState<Opened | undefined>();
  const [said, setSaid] = useState<{ text: string; bad: boolean } | undefined>();
  const [isBusy, setBusy] = useState(false);
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
  const open = (name: string, source: () => Promise<BackupSource>) =>
    attempt(async () => {
      setOpened(undefined);
      const from = await source();
      setOpened({ name, from, preview: await previewBackup(from) });
    });
  const putBack = () =>
    void attempt(async () => {
      if (!opened) return;
      await restoreBackup(opened.from);
      setOpened(undefined);
      setSaid({ text: 'It is put back. What was here before is in the list below.', bad: false });
      // The settings are those of the backup, too.
      await change({});
      setKept(await listBackups());
    });
  return { kept, opened, said, isBusy, open, putBack, leave: () => setOpened(undefined) };
}
