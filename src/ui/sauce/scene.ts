import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  DynamicDrawUsage,
  Mesh,
  MeshPhysicalMaterial,
  type MeshStandardMaterial,
  type PerspectiveCamera,
  Plane,
  Raycaster,
  Vector2,
  Vector3,
} from 'three';
import { cutSurface, type DrawnFilm, emptySurface, type Surface } from '@/core/film/surface';
import {
  clearRuler,
  driedRim,
  GROUND_WHITE,
  type Ground,
  groundBody,
  pouringRing,
  REST_M,
  shadowUnder,
  standingSpoon,
} from './bodies';
import { releaseMesh, stageOn } from './stage';
import { markedAt, type SurfaceMarks } from './surface-marks';

/** What a sauce looks like, whatever it does. */
export interface SauceLook {
  /** `#4a2318` */
  readonly colour: string;
  /** 0-100 */
  readonly shine: number;
  /** what lies on it, where anything does */
  readonly marks?: SurfaceMarks | undefined;
}

/** What stands or lies beside the sauce, m from the middle; what is left out is not there. */
export interface Tools {
  /** so high over the ground */
  readonly ringAt?: number | undefined;
  /** its left end there */
  readonly rulerFrom?: number | undefined;
  readonly spoonAt?: { readonly x: number; readonly y: number } | undefined;
}

/** A picture that is drawn when it is asked to be. */
export interface SauceScene {
  readonly look: (look: SauceLook) => void;
  /** tilts ground and sauce together, radians; right side down positive */
  readonly tilt: (radians: number) => void;
  /** turns the view, radians from the front */
  readonly turn: (radians: number) => void;
  readonly resize: (width: number, height: number) => void;
  readonly tools: (tools: Tools) => void;
  readonly draw: (film: DrawnFilm) => void;
  /** where on the ground a point of the picture lies, m from its middle to the right and to the front; parts of the picture from its upper left */
  readonly groundAt: (x: number, y: number) => { readonly x: number; readonly y: number } | undefined;
  /** gives everything back to the graphics */
  readonly release: () => void;
}

/** Depth at which sauce hides what is under it, m. */
const COVERS_M = 0.000_35;

/** How wide each ground is drawn, m. */
const SPAN_M: Readonly<Record<Ground, number>> = { plate: 0.3, pan: 0.145 };

/** The sauce as triangles that are cut anew for each picture. */
function sauceMesh(cells: number) {
  const surface: Surface = emptySurface(cells);
  const geometry = new BufferGeometry();
  const colours = new Float32Array(surface.positions.length);
  const attribute = (values: Float32Array) => new BufferAttribute(values, 3).setUsage(DynamicDrawUsage);
  geometry.setAttribute('position', attribute(surface.positions));
  geometry.setAttribute('normal', attribute(surface.normals));
  geometry.setAttribute('color', attribute(colours));
  const material = new MeshPhysicalMaterial({ vertexColors: true, side: DoubleSide });
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  return { surface, geometry, colours, material, mesh };
}

/** Colours each corner: the sauce's own where it is deep, the ground through it where it is thin, and what lies on it. */
function colourCorners(
  { depths, corners, positions }: Surface,
  colours: Float32Array,
  { sauce, ground, marks }: { sauce: Color; ground: Color; marks: SurfaceMarks | undefined },
): void {
  for (let i = 0; i < corners; i++) {
    const covers = 1 - Math.exp(-(depths[i] as number) / COVERS_M);
    const shade = marks ? markedAt(marks, positions[3 * i] as number, positions[3 * i + 2] as number) : 0;
    // Above nothing a mark is lighter than the sauce, below it darker.
    const [to, part] = shade >= 0 ? [1, shade] : [0, -shade];
    const own = (channel: number) => channel + part * (to - channel);
    colours[3 * i] = ground.r + covers * (own(sauce.r) - ground.r);
    colours[3 * i + 1] = ground.g + covers * (own(sauce.g) - ground.g);
    colours[3 * i + 2] = ground.b + covers * (own(sauce.b) - ground.b);
  }
}

/** Where on a ground a point of the picture lies, m from its middle; nothing beside it. */
function pointOn(body: Mesh, camera: PerspectiveCamera, radiusM: number, x: number, y: number) {
  const ray = new Raycaster();
  ray.setFromCamera(new Vector2(2 * x - 1, 1 - 2 * y), camera);
  const level = new Plane(new Vector3(0, 1, 0), -body.position.y);
  const hit = ray.ray.intersectPlane(level, new Vector3());
  if (!hit) return undefined;
  const there = body.worldToLocal(hit);
  return Math.hypot(there.x, there.z) <= radiusM ? { x: there.x, y: there.z } : undefined;
}

/** Sets how a sauce shines. */
export function setShine(material: MeshPhysicalMaterial, shine: number): void {
  material.clearcoat = shine / 100;
  material.clearcoatRoughness = 0.25 * (1 - shine / 100);
  material.roughness = 0.55 - (0.4 * shine) / 100;
}

/** Ring, ruler and spoon on a ground, each hidden until it is used. */
function toolsOn(body: Mesh) {
  const [ring, ruler] = [pouringRing(), clearRuler()];
  const { spoon, meshes } = standingSpoon();
  body.add(ring, ruler, spoon);
  const show = ({ ringAt, rulerFrom, spoonAt }: Tools) => {
    ring.visible = ringAt !== undefined;
    ring.position.y = 0.01 + (ringAt ?? 0);
    ruler.visible = rulerFrom !== undefined;
    ruler.position.x = rulerFrom ?? 0;
    spoon.visible = spoonAt !== undefined;
    if (spoonAt) spoon.position.set(spoonAt.x, 0, spoonAt.y);
  };
  show({});
  return { show, meshes: [ring, ruler, ...meshes] };
}

/**
 * A picture of sauce on its ground, in true proportions.
 *
 * @param canvas it is drawn on
 * @param cells on a side of the largest film it draws
 * @throws where there are no graphics to draw with
 */
export function sauceScene(canvas: HTMLCanvasElement, ground: Ground, cells: number): SauceScene {
  const stage = stageOn(canvas, SPAN_M[ground]);
  const body = groundBody(ground);
  const shadow = shadowUnder(REST_M[ground]);
  const sauce = sauceMesh(cells);
  const tools = toolsOn(body);
  const rim = driedRim();
  rim.visible = false;
  body.add(sauce.mesh, rim);
  stage.scene.add(shadow, body);
  const sauceColour = new Color('#4a2318');
  const groundColour = new Color(GROUND_WHITE);
  let marks: SurfaceMarks | undefined;

  return {
    look: ({ colour, shine, marks: shown }) => {
      marks = shown;
      sauceColour.set(colour);
      (rim.material as MeshStandardMaterial).color.set(colour);
      rim.visible = shown?.hasDriedRim ?? false;
      setShine(sauce.material, shine);
    },
    tilt: (radians) => {
      body.rotation.z = -radians;
      // Its lower rim stays on the table.
      body.position.y = REST_M[ground] * Math.abs(Math.sin(radians));
      stage.lookAt(body.position.y);
    },
    turn: stage.turn,
    resize: stage.resize,
    tools: tools.show,
    draw: (film) => {
      cutSurface(film, sauce.surface);
      colourCorners(sauce.surface, sauce.colours, { sauce: sauceColour, ground: groundColour, marks });
      for (const name of ['position', 'normal', 'color']) {
        (sauce.geometry.attributes[name] as BufferAttribute).needsUpdate = true;
      }
      sauce.geometry.setDrawRange(0, sauce.surface.corners);
      stage.render();
    },
    groundAt: (x, y) => pointOn(body, stage.camera, REST_M[ground], x, y),
    release: () => {
      for (const mesh of [body, shadow, rim, sauce.mesh, ...tools.meshes]) releaseMesh(mesh);
      stage.release();
    },
  };
}
