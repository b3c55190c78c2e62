import type { DrawnFilm } from '../film/surface';
import { normalNumbers, seededNumbers } from '../random';
import { cross, lensOf, times, unit, type Vec, vectorSum } from './camera';
import { linear, type Pixels, srgbCode } from './pixels';
import type { PhotoPlate } from './plate';

/** Light by its colour: red, green and blue of white in it. */
export const LIGHTS = { warm: [1, 0.82, 0.58], day: [1, 1, 1], cold: [0.84, 0.95, 1.12] } as const;
/** What is painted on the rim of a plate. */
export const PLATE_PAINTS = ['plain', 'line', 'dots'] as const;

/** A photo to be made: what lies there, and how it is taken. */
export interface PhotoScene {
  readonly film: DrawnFilm;
  /** `#4a2318` */
  readonly colour: string;
  /** 0-100 */
  readonly shine: number;
  readonly plate: PhotoPlate;
  readonly pattern: (typeof PLATE_PAINTS)[number];
  readonly light: keyof typeof LIGHTS;
  /** how bright it is, 1 as in a kitchen */
  readonly bright: number;
  /** `#5a5048`, of the table */
  readonly table: string;
  /** degrees from straight above, 0-60 */
  readonly slantDeg: number;
  /** degrees the camera is turned about its axis */
  readonly rollDeg: number;
  /** how much of the picture's width the plate takes, and how far its middle is from the picture's, parts of the picture */
  readonly fills: number;
  readonly off: readonly [x: number, y: number];
  /** mm as on small film */
  readonly focalMm: number;
  readonly width: number;
  readonly height: number;
  /** how dark the shadow of the one who takes it is, 0-1, and where its edge runs: degrees, and parts of the plate from its middle */
  readonly shadow: number;
  readonly shadowDeg: number;
  readonly shadowAt: number;
  /** codes of noise, and px of blur */
  readonly noise: number;
  readonly blurPx: number;
  readonly seed: number;
}

/** Depth at which sauce hides what is under it, m. */
const COVERS_M = 0.000_35;
/** A surface is looked for again so often: slopes are small. */
const ROUNDS = 5;
/** The table is so far below the plate's flat middle, m. */
const UNDER_M = -0.004;
const LAMP: Vec = unit([-0.5, 0.35, 0.8]);

const lightOf = (hex: string): Vec =>
  [1, 3, 5].map((at) => linear(Number.parseInt(hex.slice(at, at + 2), 16))) as unknown as Vec;

/** Height of a plate's upper side so far from its middle, m. */
function plateHeight({ acrossMm, flatMm, rimMm }: PhotoPlate, radiusM: number): number {
  const [flat, rim] = [flatMm / 2000, acrossMm / 2000];
  const out = Math.min(Math.max((radiusM - flat) / (rim - flat), 0), 1);
  return (rimMm / 1000) * out * out * (3 - 2 * out);
}

/** Depth of a film at a place, m from its middle. */
function depthAt({ cells, cellM, depthM }: DrawnFilm, x: number, y: number): number {
  const px = x / cellM + cells / 2 - 0.5;
  const py = y / cellM + cells / 2 - 0.5;
  const i = Math.floor(px);
  const j = Math.floor(py);
  if (i < 0 || j < 0 || i >= cells - 1 || j >= cells - 1) return 0;
  const fx = px - i;
  const fy = py - j;
  const k = j * cells + i;
  const top = (depthM[k] as number) * (1 - fx) + (depthM[k + 1] as number) * fx;
  const bottom = (depthM[k + cells] as number) * (1 - fx) + (depthM[k + cells + 1] as number) * fx;
  return top * (1 - fy) + bottom * fy;
}

/** Where a camera stands, and how it looks. */
function cameraOf(scene: PhotoScene) {
  const lens = lensOf(scene.width, scene.height, scene.focalMm);
  const slant = (scene.slantDeg * Math.PI) / 180;
  const across = scene.plate.acrossMm / 1000;
  const far = (across * lens.focalPx) / (scene.fills * scene.width);
  const eye: Vec = [0, -far * Math.sin(slant), far * Math.cos(slant)];
  const forward = unit(times(eye, -1));
  const right: Vec = [1, 0, 0];
  const down = cross(forward, right);
  const roll = (scene.rollDeg * Math.PI) / 180;
  const u = vectorSum(times(right, Math.cos(roll)), times(down, Math.sin(roll)));
  const v = vectorSum(times(down, Math.cos(roll)), times(right, -Math.sin(roll)));
  return { eye, forward, u, v, focalPx: lens.focalPx };
}

/** How much of the light there is at a place is left by the shadow. */
function shadeAt({ shadow, shadowDeg, shadowAt, plate }: PhotoScene, x: number, y: number): number {
  if (shadow === 0) return 1;
  const turn = (shadowDeg * Math.PI) / 180;
  const along = (x * Math.cos(turn) + y * Math.sin(turn)) / (plate.acrossMm / 2000) - shadowAt;
  return 1 - shadow / (1 + Math.exp(-along / 0.06));
}

/** Whether a place of the plate is painted. */
function isPainted({ pattern, plate }: PhotoScene, x: number, y: number, radius: number): boolean {
  const part = radius / (plate.acrossMm / 2000);
  if (pattern === 'line') return Math.abs(part - 0.93) < 0.012;
  return pattern === 'dots' && Math.abs(part - 0.88) < 0.02 && Math.sin(18 * Math.atan2(y, x)) > 0.55;
}

/** Colour of light that comes from a place, and how it is lit. */
function lookAt(scene: PhotoScene, colours: { readonly sauce: Vec; readonly table: Vec }, eye: Vec, at: Vec): Vec {
  const [x, y] = at;
  const radius = Math.hypot(x, y);
  const onPlate = at[2] > UNDER_M / 2;
  const depth = onPlate ? depthAt(scene.film, x, y) : 0;
  const step = 0.0004;
  const high = (px: number, py: number) => plateHeight(scene.plate, Math.hypot(px, py)) + depthAt(scene.film, px, py);
  const normal: Vec = onPlate
    ? unit([
        (high(x - step, y) - high(x + step, y)) / (2 * step),
        (high(x, y - step) - high(x, y + step)) / (2 * step),
        1,
      ])
    : [0, 0, 1];
  const ground: Vec = onPlate
    ? isPainted(scene, x, y, radius)
      ? [0.12, 0.2, 0.5]
      : [0.78, 0.78, 0.76]
    : colours.table;
  const covers = 1 - Math.exp(-depth / COVERS_M);
  const own = vectorSum(times(ground, 1 - covers), times(colours.sauce, covers));
  const facing = Math.max(normal[0] * LAMP[0] + normal[1] * LAMP[1] + normal[2] * LAMP[2], 0);
  const lit = (0.45 + 0.62 * facing) * shadeAt(scene, x, y) * scene.bright;
  const half = unit(vectorSum(LAMP, unit(vectorSum(eye, times(at, -1)))));
  const glint = Math.max(normal[0] * half[0] + normal[1] * half[1] + normal[2] * half[2], 0);
  const gloss = covers * (scene.shine / 100) * 0.8 * glint ** (20 + 3 * scene.shine) * scene.bright;
  return vectorSum(times(own, lit), [gloss, gloss, gloss]);
}

/** Blurs a picture in the light of each channel: three boxes make a bell. */
function blurred(
  light: Float32Array<ArrayBuffer>,
  width: number,
  height: number,
  px: number,
): Float32Array<ArrayBuffer> {
  const reach = Math.round(px);
  if (reach < 1) return light;
  let [from, into] = [light, new Float32Array(light.length)];
  for (let pass = 0; pass < 4; pass++) {
    const [count, lines, along, between] =
      pass % 2 === 0 ? [width, height, 3, 3 * width] : [height, width, 3 * width, 3];
    for (let line = 0; line < lines; line++) {
      for (let channel = 0; channel < 3; channel++) {
        const base = line * between + channel;
        const at = (i: number) => from[base + Math.min(Math.max(i, 0), count - 1) * along] as number;
        let sum = 0;
        for (let i = -reach; i <= reach; i++) sum += at(i);
        for (let i = 0; i < count; i++) {
          into[base + i * along] = sum / (2 * reach + 1);
          sum += at(i + reach + 1) - at(i - reach);
        }
      }
    }
    [from, into] = [into, from];
  }
  return from;
}

/**
 * A photo of a drop on a plate, made by the film, light and a camera: the stand-in for a tablet's camera, with its truth known.
 *
 * @returns the picture, 8 bits a channel
 */
export function madePhoto(scene: PhotoScene): Pixels {
  const { width, height } = scene;
  const { eye, forward, u, v, focalPx } = cameraOf(scene);
  const colours = { sauce: lightOf(scene.colour), table: lightOf(scene.table) };
  const light = new Float32Array(3 * width * height);
  const [red, green, blue] = LIGHTS[scene.light];
  const rim = scene.plate.acrossMm / 2000;
  for (let py = 0; py < height; py++) {
    for (let px = 0; px < width; px++) {
      const a = (px + 0.5 - width * (0.5 + scene.off[0])) / focalPx;
      const b = (py + 0.5 - height * (0.5 + scene.off[1])) / focalPx;
      const ray = vectorSum(vectorSum(forward, times(u, a)), times(v, b));
      const on = (z: number): Vec => vectorSum(eye, times(ray, (z - eye[2]) / ray[2]));
      // Within the circle of the rim a way goes down into the plate; beside it, past it on to the table.
      let at = on(scene.plate.rimMm / 1000);
      if (Math.hypot(at[0], at[1]) > rim) at = on(UNDER_M);
      else {
        for (let round = 0; round < ROUNDS; round++) {
          at = on(plateHeight(scene.plate, Math.hypot(at[0], at[1])) + depthAt(scene.film, at[0], at[1]));
        }
      }
      const seen = lookAt(scene, colours, eye, at);
      const k = 3 * (py * width + px);
      light[k] = seen[0] * red;
      light[k + 1] = seen[1] * green;
      light[k + 2] = seen[2] * blue;
    }
  }
  const soft = blurred(light, width, height, scene.blurPx);
  const noise = normalNumbers(seededNumbers(scene.seed));
  const data = new Uint8ClampedArray(4 * width * height);
  for (let k = 0; k < width * height; k++) {
    for (let channel = 0; channel < 3; channel++) {
      data[4 * k + channel] = srgbCode(Math.min(soft[3 * k + channel] as number, 1)) + scene.noise * noise();
    }
    data[4 * k + 3] = 255;
  }
  return { width, height, data };
}
