import { expose, transfer } from 'comlink';
import { madePhoto } from '@/core/photo/made-photo';
import type { Pixels } from '@/core/photo/pixels';
import type { PhotoPlate } from '@/core/photo/plate';
import { photoScene, trueDiameterMm } from '@/core/photo/practice-camera';
import { type PhotoAnswer, readDrop } from '@/core/photo/read-drop';

/** A photo by the practice camera, with what is true of it. */
export interface PracticePhoto {
  readonly pixels: Pixels;
  readonly plate: PhotoPlate;
  readonly focalMm: number;
  readonly truthMm: number;
}

const door = {
  /** Reads a photo; its pixels are the worker's from then on. */
  async read(pixels: Pixels, plate: PhotoPlate, focalMm: number | undefined): Promise<PhotoAnswer> {
    return readDrop(pixels, plate, focalMm);
  },

  async practise(seed: number): Promise<PracticePhoto> {
    const scene = photoScene(seed);
    const pixels = madePhoto(scene);
    const { plate, focalMm } = scene;
    return transfer({ pixels, plate, focalMm, truthMm: trueDiameterMm(scene) }, [pixels.data.buffer]);
  },
};

export type PhotoDoor = typeof door;

expose(door);
