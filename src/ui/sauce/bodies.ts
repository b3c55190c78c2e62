import {
  BoxGeometry,
  CanvasTexture,
  CapsuleGeometry,
  CircleGeometry,
  CylinderGeometry,
  DoubleSide,
  Group,
  LatheGeometry,
  Mesh,
  MeshBasicMaterial,
  MeshPhysicalMaterial,
  MeshStandardMaterial,
  SphereGeometry,
  TorusGeometry,
  Vector2,
} from 'three';
import { DROP, PAN_RADIUS_M } from '@/core/film/scenes';

/** What a sauce lies on or in. */
export type Ground = 'plate' | 'pan';

export const GROUND_WHITE = '#e4e2de';
const STEEL = { color: '#b9c1c4', metalness: 0.85, roughness: 0.32 } as const;

/** A plate of 27 cm, flat in its middle; m from its axis, and height. */
const PLATE = [
  [0, 0],
  [0.082, 0],
  [0.092, 0.0015],
  [0.104, 0.007],
  [0.131, 0.0135],
  [0.135, 0.0145],
  [0.1345, 0.0128],
  [0.105, 0.003],
  [0.07, -0.004],
  [0, -0.004],
] as const;

/** Its wall stands a little inside of where the film ends, so that the cells of its edge are never seen. */
const PAN = [
  [0, -0.0005],
  [PAN_RADIUS_M - 0.0012, -0.0005],
  [PAN_RADIUS_M - 0.0006, 0.001],
  [PAN_RADIUS_M + 0.0004, 0.014],
  [PAN_RADIUS_M + 0.006, 0.015],
  [PAN_RADIUS_M + 0.0055, 0.013],
  [PAN_RADIUS_M + 0.004, -0.002],
  [0, -0.003],
] as const;

/** Radius on which each ground rests when it is tilted, m. */
export const REST_M: Readonly<Record<Ground, number>> = { plate: 0.135, pan: PAN_RADIUS_M };

/** A plate or a pan, turned from its outline. */
export function groundBody(ground: Ground): Mesh {
  const profile = (ground === 'plate' ? PLATE : PAN).map(([radius, height]) => new Vector2(radius, height));
  const material = new MeshPhysicalMaterial({
    color: GROUND_WHITE,
    roughness: 0.6,
    clearcoat: 0.12,
    clearcoatRoughness: 0.3,
    side: DoubleSide,
  });
  return new Mesh(new LatheGeometry(profile, 96), material);
}

/** A soft shadow on the table under a round body. */
export function shadowUnder(radiusM: number): Mesh {
  const canvas = document.createElement('canvas');
  canvas.width = 128;
  canvas.height = 128;
  const context = canvas.getContext('2d');
  if (context) {
    const fade = context.createRadialGradient(64, 64, 34, 64, 64, 64);
    fade.addColorStop(0, 'rgb(30 40 44 / 0.34)');
    fade.addColorStop(1, 'rgb(30 40 44 / 0)');
    context.fillStyle = fade;
    context.fillRect(0, 0, 128, 128);
  }
  const material = new MeshBasicMaterial({ map: new CanvasTexture(canvas), transparent: true, depthWrite: false });
  const shadow = new Mesh(new CircleGeometry(1.35 * radiusM, 48), material);
  shadow.rotation.x = -Math.PI / 2;
  shadow.position.set(0.008, -0.0055, 0.006);
  return shadow;
}

/** A rim that has dried on to the wall of a pan, above the sauce. */
export function driedRim(): Mesh {
  const rim = new Mesh(
    new TorusGeometry(PAN_RADIUS_M - 0.0002, 0.0009, 6, 96),
    new MeshStandardMaterial({ roughness: 1 }),
  );
  rim.rotation.x = Math.PI / 2;
  rim.position.y = 0.0115;
  return rim;
}

/** The ring a drop is poured into, open above and below. */
export function pouringRing(): Mesh {
  const radiusM = DROP.ringMm / 2000;
  const material = new MeshStandardMaterial({ ...STEEL, side: DoubleSide });
  return new Mesh(new CylinderGeometry(radiusM, radiusM, 0.02, 48, 1, true), material);
}

/** Centimetres on a ruler. */
const RULER_CM = 24;
const RULER_PX = 40;

/** A clear ruler, laid over the middle of a plate: its near edge is read, its left end is 0. */
export function clearRuler(): Mesh {
  const canvas = document.createElement('canvas');
  canvas.width = RULER_CM * RULER_PX;
  canvas.height = 2.5 * RULER_PX;
  const context = canvas.getContext('2d');
  if (context) {
    context.fillStyle = 'rgb(235 242 244 / 0.42)';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.fillStyle = '#1d2426';
    context.font = `${0.62 * RULER_PX}px sans-serif`;
    context.textAlign = 'center';
    for (let mm = 0; mm <= 10 * RULER_CM; mm += 5) {
      const isWhole = mm % 10 === 0;
      const high = (isWhole ? 0.9 : 0.5) * RULER_PX;
      context.fillRect((mm / 10) * RULER_PX - 1.5, canvas.height - high, 3, high);
      if (mm % 20 === 0 && mm > 0) context.fillText(`${mm / 10}`, (mm / 10) * RULER_PX, canvas.height - 1.1 * RULER_PX);
    }
  }
  const material = new MeshBasicMaterial({
    map: new CanvasTexture(canvas),
    transparent: true,
    // Its far end is above the rim of the plate.
    depthTest: false,
  });
  const bare = new MeshBasicMaterial({ transparent: true, opacity: 0, depthWrite: false });
  const box = new BoxGeometry(RULER_CM / 100, 0.001, 0.025).translate(RULER_CM / 200, 0, 0);
  const ruler = new Mesh(box, [bare, bare, material, bare, bare, bare]);
  ruler.position.set(0, 0.004, -0.0125);
  ruler.renderOrder = 2;
  return ruler;
}

/** A spoon standing in the sauce, its handle up and to the right; its tip where the group stands. */
export function standingSpoon(): { readonly spoon: Group; readonly meshes: readonly Mesh[] } {
  const material = () => new MeshStandardMaterial(STEEL);
  const bowl = new Mesh(new SphereGeometry(0.007, 24, 16), material());
  bowl.scale.set(0.5, 1.5, 1);
  bowl.position.y = 0.01;
  const handle = new Mesh(new CapsuleGeometry(0.0022, 0.07, 4, 12), material());
  handle.position.y = 0.055;
  const spoon = new Group();
  spoon.add(bowl, handle);
  spoon.rotation.z = -0.42;
  return { spoon, meshes: [bowl, handle] };
}
