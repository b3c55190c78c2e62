import { type DBSchema, openDB } from 'idb';
import type { FilmFluid } from '@/core/film/mobility';
import { drawSpoonAcross, dropOnPlate, flowFor, layerInPan } from '@/core/film/scenes';
import type { Ground, SauceLook, SauceScene } from './scene';

/** What a still shows: a drop on a plate, or a spoon's line in a pan, some seconds later. */
export interface StillOf {
  readonly kind: 'drop' | 'line';
  readonly fluid: FilmFluid;
  readonly look: SauceLook;
  readonly seconds: number;
}

/** px of a still; it is shown smaller. */
const SIZE = { width: 480, height: 320 } as const;
/** Cells on a side of a still. */
const CELLS = 72;
/** Pictures that are kept on the tablet. */
const MOST_KEPT = 400;
/** A scene nobody has asked for so long is given back, ms. */
const REST_MS = 8_000;

const GROUND: Readonly<Record<StillOf['kind'], Ground>> = { drop: 'plate', line: 'pan' };

/** Names a still by its figures: what is drawn the same is drawn once. */
export function stillKey({ kind, fluid, look, seconds }: StillOf): string {
  const short = (value: number) => value.toPrecision(2);
  const { yieldStressPa, plasticViscosityPaS, densityKgM3 } = fluid;
  return [
    ...[kind, short(yieldStressPa), short(plasticViscosityPaS), Math.round(densityKgM3 / 50)],
    ...[look.colour, Math.round(look.shine / 5), seconds],
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

/** A scene that draws stills, kept for a while after each. */
async function sceneFor(ground: Ground) {
  const there = scenes.get(ground);
  if (there) return there;
  const { sauceScene } = await import('./scene');
  const canvas = document.createElement('canvas');
  const scene = sauceScene(canvas, ground, CELLS);
  scene.resize(SIZE.width, SIZE.height);
  const made = { scene, canvas, timer: 0 };
  scenes.set(ground, made);
  return made;
}

function filmOf({ kind, fluid, seconds }: StillOf) {
  const film = kind === 'drop' ? dropOnPlate(fluid, seconds, CELLS) : layerInPan(fluid, CELLS);
  if (kind === 'line') drawSpoonAcross(film);
  flowFor(film, seconds, 0, 1 / 15);
  return film;
}

async function draw(of: StillOf): Promise<string> {
  const ground = GROUND[of.kind];
  const drawing = await sceneFor(ground);
  drawing.scene.look(of.look);
  drawing.scene.draw(filmOf(of));
  const url = drawing.canvas.toDataURL('image/webp', 0.86);
  clearTimeout(drawing.timer);
  drawing.timer = window.setTimeout(() => {
    scenes.delete(ground);
    drawing.scene.release();
  }, REST_MS);
  return url;
}

/** One after the other: forty pictures do not draw at once. */
let last: Promise<unknown> = Promise.resolve();
const wanted = new Map<string, Promise<string>>();

/**
 * A still of a sauce, from the tablet's album or drawn now.
 *
 * @returns its picture as a data URL
 * @throws where there are no graphics to draw with
 */
export function stillOf(of: StillOf): Promise<string> {
  const key = stillKey(of);
  const there = wanted.get(key);
  if (there) return there;
  const made = (async () => {
    const kept = await findKept(key);
    if (kept !== undefined) return kept;
    const drawn = last.then(() => draw(of));
    last = drawn.catch(() => undefined);
    const url = await drawn;
    void keep(key, url);
    return url;
  })();
  wanted.set(key, made);
  made.catch(() => wanted.delete(key));
  return made;
}
