import { useEffect, useMemo, useState } from 'react';
import type { Pixels } from '@/core/photo/pixels';
import type { PhotoPlate } from '@/core/photo/plate';
import type { PhotoAnswer } from '@/core/photo/read-drop';
import { messageOf } from '@/formats/message-of';
import type { PhotoDoor } from '@/workers/photo.worker';
import { threadOf } from '@/workers/thread';
import { decodePhoto, urlOf } from './decode-photo';

/** A photo that is looked at. */
export interface ShownPhoto {
  readonly url: string;
  readonly width: number;
  readonly height: number;
  readonly focalMm: number | undefined;
  /** as it was chosen; none of the practice camera */
  readonly file: File | undefined;
  /** what is true of it, by the practice camera */
  readonly truthMm: number | undefined;
}

type State =
  | { readonly kind: 'none'; readonly fault?: string }
  | { readonly kind: 'reading'; readonly photo?: ShownPhoto }
  | { readonly kind: 'answered'; readonly photo: ShownPhoto; readonly answer: PhotoAnswer };

/** Photos read in a worker, one at a time. */
export function usePhotoReading() {
  const [state, setState] = useState<State>({ kind: 'none' });
  const thread = useMemo(
    () =>
      threadOf<PhotoDoor>(
        () => new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
      ),
    [],
  );
  useEffect(() => () => thread.close(), [thread]);
  const read = async (photo: ShownPhoto, pixels: Pixels, plate: PhotoPlate) => {
    setState({ kind: 'reading', photo });
    const answer = await thread.ask(async (door): Promise<PhotoAnswer> => door.read(pixels, plate, photo.focalMm));
    setState({ kind: 'answered', photo, answer });
  };
  const trying = async (work: () => Promise<void>) => {
    setState({ kind: 'reading' });
    try {
      await work();
    } catch (error) {
      setState({ kind: 'none', fault: messageOf(error) });
    }
  };
  return {
    state,
    choose: (file: File, plate: PhotoPlate) =>
      trying(async () => {
        const { pixels, focalMm, url } = await decodePhoto(file);
        const { width, height } = pixels;
        await read({ url, width, height, focalMm, file, truthMm: undefined }, pixels, plate);
      }),
    /** a photo by the practice camera, of its own plate */
    practise: () =>
      trying(async () => {
        const seed = Math.floor(Math.random() * 1e6);
        const { pixels, plate, focalMm, truthMm } = await thread.ask((door) => door.practise(seed));
        const { width, height } = pixels;
        await read({ url: urlOf(pixels), width, height, focalMm, file: undefined, truthMm }, pixels, plate);
      }),
    clear: () => setState({ kind: 'none' }),
  };
}
