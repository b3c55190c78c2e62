import { type DBSchema, openDB } from 'idb';
import { STILL_CELLS } from '@/core/film/scenes';
import type { FilmQuestion } from '@/workers/film.worker';
import type { Ground } from './bodies';
import { films } from './films';
import type { SauceLook, SauceScene } from './scene';

/** What a still shows: a drop on a plate, or a spoon's line in a pan, some seconds later. */
export interface StillOf extends FilmQuestion {
  readonly look: SauceLook;
}

/** px of a still; it is shown smaller. */
const SIZE = { width: 480, height: 320 } as const;
/** Pictures that are kept on the tablet. */
const MOST_KEPT = 400;
/** A scene nobody has asked for so long is given back, ms. */
const REST_MS = 8_000;

const GROUND: Readonly<Record<StillOf['kind'], Ground>> = { drop: 'plate', line: 'pan', ribbon: 'pan', level: 'pan' };

/** Names a still by its figures: what is drawn the same is drawn once. */
export function stillKey({ kind, fluid, look, seconds }: StillOf): string {
  const short = (value: number) => value.toPrecision(2);
  const { yieldStressPa, plasticViscosityPaS, densityKgM3 } = fluid;
  return [
    ...[kind, short(yieldStressPa), short(plasticViscosityPaS), Math.round(densityKgM3 / 50)],
    ...[look.colour, Math.round(look.shine / 5), seconds, Object.entries(look.marks ?? {}).join()],
  ].join(' ');
}

interface Album extends DBSchema {
  stills: { key: string; value: { key: string; url: string; at: number }; indexes: { at: number } };
}

const album = () =>
  openDB<Album>('dark-pour-stills', 1, {
    upgrade: (database) => {
      database.createObjectStore('stills', { keyPath: 'key' }).createIndex('at', 'at');
    },
  });

async function findKept(key: string): Promise<string | undefined> {
  try {
    return (await (await album()).get('stills', key))?.url;
  } catch {
    // Storage is barred: it is drawn each time.
    return undefined;
  }
}

async function keep(key: string, url: string): Promise<void> {
  try {
    const database = await album();
    await database.put('stills', { key, url, at: Date.now() });
    const over = (await database.count('stills')) - MOST_KEPT;
    if (over <= 0) return;
    const oldest = await database.getAllKeysFromIndex('stills', 'at', undefined, over);
    for (const each of oldest) await database.delete('stills', each);
  } catch {
    // Storage is full or barred.
  }
}

const scenes = new Map<Ground, { readonly scene: SauceScene; readonly canvas: HTMLCanvasElement; timer: number }>();

/** Why there are no graphics here: forty pictures do not each try. */
let noGraphics: unknown;

/** A scene that draws stills, kept for a while after each. */
async function sceneFor(ground: Ground) {
  const there = scenes.get(ground);
  if (there) return there;
  if (noGraphics) throw noGraphics;
  const { sauceScene } = await import('./scene');
  const canvas = document.createElement('canvas');
  let scene: SauceScene;
  try {
    scene = sauceScene(canvas, ground, STILL_CELLS);
  } catch (error) {
    noGraphics = error;
    throw error;
  }
  scene.resize(SIZE.width, SIZE.height);
  const made = { scene, canvas, timer: 0 };
  scenes.set(ground, made);
  return made;
}

/** Draws a still on the canvas of its ground's scene, which rests some seconds later. */
async function drawn(of: FilmQuestion & StillOf): Promise<HTMLCanvasElement> {
  const ground = GROUND[of.kind];
  // Without graphics nothing flows for nobody.
  await sceneFor(ground);
  const { kind, fluid, seconds, isQuick = false } = of;
  const film = await films.ask((door) => door.flowed({ kind, fluid, seconds, isQuick }));
  const drawing = await sceneFor(ground);
  drawing.scene.look(of.look);
  drawing.scene.draw(film);
  clearTimeout(drawing.timer);
  drawing.timer = window.setTimeout(() => {
    scenes.delete(ground);
    drawing.scene.release();
  }, REST_MS);
  return drawing.canvas;
}

/** One after the other: forty pictures do not draw at once. */
let last: Promise<unknown> = Promise.resolve();
const wanted = new Map<string, Promise<string>>();

/**
 * Draws a sauce on a canvas of the page: what is changed while one looks is not kept.
 *
 * @param isQuick coarsely, a frame's work
 * @throws where there are no graphics to draw with
 */
export function drawOn(target: HTMLCanvasElement, of: StillOf, isQuick: boolean): Promise<void> {
  const made = last.then(async () => {
    const canvas = await drawn({ ...of, isQuick });
    [target.width, target.height] = [canvas.width, canvas.height];
    target.getContext('2d')?.drawImage(canvas, 0, 0);
  });
  last = made.catch(() => undefined);
  return made;
}

/** How many on the page wait for a still. */
const asking = new Map<string, number>();

/**
 * A still of a sauce, from the tablet's album or drawn now.
 *
 * @returns its picture as a data URL, which fails where there are no graphics to draw with; and how to wait for it no longer: what nobody waits for
 * when its turn comes is not drawn
 */
export function stillOf(of: StillOf): { readonly url: Promise<string>; readonly leave: () => void } {
  const key = stillKey(of);
  asking.set(key, (asking.get(key) ?? 0) + 1);
  const leave = () => asking.set(key, (asking.get(key) ?? 1) - 1);
  const there = wanted.get(key);
  if (there) return { url: there, leave };
  const url = (async () => {
    const kept = await findKept(key);
    if (kept !== undefined) return kept;
    const made = last.then(async () => {
      if ((asking.get(key) ?? 0) <= 0) throw new Error('Nobody waits for this picture any more.');
      return (await drawn(of)).toDataURL('image/webp', 0.86);
    });
    last = made.catch(() => undefined);
    const picture = await made;
    void keep(key, picture);
    return picture;
  })();
  wanted.set(key, url);
  url.catch(() => wanted.delete(key));
  return { url, leave };
}
