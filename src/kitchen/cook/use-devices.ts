import { useCallback, useEffect, useState } from 'react';
import { type DeviceOrder, type DevicesReading, devicesReadingSchema } from '@/formats/device';
import { askServer } from '../client/ask-server';

/** A line that says nothing for so long is lost, ms. */
const SILENT_MS = 3_000;
const LOST: DevicesReading = { scale: { kind: 'lost' }, probe: { kind: 'lost' } };

/** What scale and probe beside a batch say, as it comes; nothing while they are not used. */
export function useDevices(batch: string, isUsed: boolean) {
  const [reading, setReading] = useState<DevicesReading | undefined>();
  useEffect(() => {
    if (!isUsed) {
      setReading(undefined);
      return;
    }
    let line: EventSource | undefined;
    let silence: ReturnType<typeof setTimeout> | undefined;
    const waitFor = () => {
      clearTimeout(silence);
      silence = setTimeout(() => setReading(LOST), SILENT_MS);
    };
    const close = () => {
      clearTimeout(silence);
      line?.close();
      line = undefined;
    };
    // A page behind others gives its line back: a browser has few of them.
    const followSight = () => {
      if (document.visibilityState !== 'visible') close();
      else if (!line) {
        line = new EventSource(`/api/batches/${batch}/devices`);
        waitFor();
        line.onmessage = ({ data }) => {
          waitFor();
          const read = devicesReadingSchema.safeParse(JSON.parse(data));
          if (read.success) setReading(read.data);
        };
      }
    };
    followSight();
    document.addEventListener('visibilitychange', followSight);
    return () => {
      document.removeEventListener('visibilitychange', followSight);
      close();
    };
  }, [batch, isUsed]);
  const order = useCallback(
    (what: DeviceOrder) => void askServer(`/api/batches/${batch}/devices`, 'POST', what).catch(() => setReading(LOST)),
    [batch],
  );
  return { reading, order };
}

export type Devices = ReturnType<typeof useDevices>;
