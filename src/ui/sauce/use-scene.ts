import { type RefObject, useEffect, useState } from 'react';
import type { Ground, SauceLook, SauceScene } from './scene';

/** Whether a picture can be drawn: it is being fetched, stands, or there are no graphics here. */
export type SceneState = { readonly kind: 'coming' | 'none' } | { readonly kind: 'there'; readonly scene: SauceScene };

/**
 * A picture of sauce on a canvas: fetched when it is shown, given back when it leaves.
 *
 * @param cells on a side of the films it draws
 */
export function useScene(
  canvas: RefObject<HTMLCanvasElement | null>,
  ground: Ground,
  cells: number,
  look: SauceLook,
): SceneState {
  const [state, setState] = useState<SceneState>({ kind: 'coming' });
  useEffect(() => {
    let scene: SauceScene | undefined;
    let here = true;
    const resize = () => {
      const box = canvas.current?.getBoundingClientRect();
      if (box && box.width > 0) scene?.resize(box.width, box.height);
    };
    const lost = () => here && setState({ kind: 'none' });
    const element = canvas.current;
    import('./scene')
      .then(({ sauceScene }) => {
        if (!here || !element) return;
        scene = sauceScene(element, ground, cells);
        element.addEventListener('webglcontextlost', lost);
        resize();
        setState({ kind: 'there', scene });
      })
      .catch(lost);
    const watcher = new ResizeObserver(resize);
    if (element) watcher.observe(element);
    return () => {
      here = false;
      watcher.disconnect();
      element?.removeEventListener('webglcontextlost', lost);
      scene?.release();
    };
  }, [canvas, ground, cells]);
  useEffect(() => {
    if (state.kind === 'there') state.scene.look(look);
  }, [state, look]);
  return state;
}
