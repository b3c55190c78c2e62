import { type RefObject, useCallback, useEffect, useState } from 'react';
import type { Ground } from './bodies';
import type { SauceLook, SauceScene } from './scene';

/** Whether a picture can be drawn: it is being fetched, stands, or there are no graphics here. */
export type PictureState<Scene> =
  | { readonly kind: 'coming' | 'none' }
  | { readonly kind: 'there'; readonly scene: Scene };

export type SceneState = PictureState<SauceScene>;

/** What every picture can do. */
interface Resized {
  readonly resize: (width: number, height: number) => void;
  readonly release: () => void;
}

/**
 * A picture on a canvas: fetched when it is shown, given back when it leaves.
 *
 * @param open fetches and opens it; the same function as long as it is the same picture
 */
export function usePicture<Scene extends Resized>(
  canvas: RefObject<HTMLCanvasElement | null>,
  open: (element: HTMLCanvasElement) => Promise<Scene>,
): PictureState<Scene> {
  const [state, setState] = useState<PictureState<Scene>>({ kind: 'coming' });
  useEffect(() => {
    let scene: Scene | undefined;
    let here = true;
    const resize = () => {
      const box = canvas.current?.getBoundingClientRect();
      if (box && box.width > 0) scene?.resize(box.width, box.height);
    };
    const lost = () => here && setState({ kind: 'none' });
    const element = canvas.current;
    if (element) {
      open(element)
        .then((opened) => {
          if (!here) return opened.release();
          scene = opened;
          element.addEventListener('webglcontextlost', lost);
          resize();
          setState({ kind: 'there', scene });
        })
        .catch(lost);
    }
    const watcher = new ResizeObserver(resize);
    if (element) watcher.observe(element);
    return () => {
      here = false;
      watcher.disconnect();
      element?.removeEventListener('webglcontextlost', lost);
      scene?.release();
    };
  }, [canvas, open]);
  return state;
}

/**
 * A picture of sauce on its ground.
 *
 * @param cells on a side of the films it draws
 */
export function useScene(
  canvas: RefObject<HTMLCanvasElement | null>,
  ground: Ground,
  cells: number,
  look: SauceLook,
): SceneState {
  const open = useCallback(
    async (element: HTMLCanvasElement) => (await import('./scene')).sauceScene(element, ground, cells),
    [ground, cells],
  );
  const state = usePicture(canvas, open);
  useEffect(() => {
    if (state.kind === 'there') state.scene.look(look);
  }, [state, look]);
  return state;
}
