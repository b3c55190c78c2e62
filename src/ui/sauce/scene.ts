import {
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  CircleGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  DynamicDrawUsage,
  LatheGeometry,
  type Material,
  Mesh,
  MeshBasicMaterial,
  MeshPhysicalMaterial,
  MeshStandardMaterial,
  NeutralToneMapping,
  PerspectiveCamera,
  Plane,
  PMREMGenerator,
  Raycaster,
  Scene,
  SRGBColorSpace,
  TorusGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { RoomEnvironment } from 'three/addons/environments/RoomEnvironment.js';
import { PAN_RADIUS_M } from '@/core/film/scenes';
import { cutSurface, type DrawnFilm, emptySurface, type Surface } from '@/core/film/surface';
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

/** What it lies on or in. */
export type Ground = 'plate' | 'pan';

/** A picture that is drawn when it is asked to be. */
export interface SauceScene {
  readonly look: (look: SauceLook) => void;
  /** tilts ground and sauce together, radians; right side down positive */
  readonly tilt: (radians: number) => void;
  /** turns the view, radians from the front */
  readonly turn: (radians: number) => void;
  readonly resize: (width: number, height: number) => void;
  readonly draw: (film: DrawnFilm) => void;
  /** where on the ground a point of the picture lies, m from its middle to the right and to the front; parts of the picture from its upper left */
  readonly groundAt: (x: number, y: number) => { readonly x: number; readonly y: number } | undefined;
  /** gives everything back to the graphics */
  readonly release: () => void;
}

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

/** Depth at which sauce hides what is under it, m. */
const COVERS_M = 0.000_35;
/** Height of the view above the ground, radians. */
const VIEW_DOWN = Math.PI / 4;
const GROUND_WHITE = '#e4e2de';

/** Whether pictures are drawn here even where the processor has to do it: seconds each. */
function isSlowAllowed(): boolean {
  try {
    return localStorage.getItem('dark-pour:slow-pictures') === 'on';
  } catch {
    return false;
  }
}

/** Names of what draws without graphics of its own. */
const BY_PROCESSOR = /swiftshader|llvmpipe|software|basic render/i;

function isByProcessor(context: WebGL2RenderingContext): boolean {
  const names = context.getExtension('WEBGL_debug_renderer_info');
  const name = context.getParameter(names ? names.UNMASKED_RENDERER_WEBGL : context.RENDERER);
  return BY_PROCESSOR.test(String(name));
}

/** What draws on a canvas. @throws where there are no graphics */
function rendererOn(canvas: HTMLCanvasElement): WebGLRenderer {
  const context = canvas.getContext('webgl2', {
    alpha: true,
    antialias: true,
    preserveDrawingBuffer: true,
  });
  if (!context) throw new Error('There are no graphics here.');
  if (isByProcessor(context) && !isSlowAllowed()) {
    context.getExtension('WEBGL_lose_context')?.loseContext();
    throw new Error('There are no graphics here but the processor.');
  }
  const renderer = new WebGLRenderer({ canvas, context });
  renderer.outputColorSpace = SRGBColorSpace;
  renderer.toneMapping = NeutralToneMapping;
  return renderer;
}

/** How wide each ground is drawn, m. */
const SPAN_M: Readonly<Record<Ground, number>> = { plate: 0.3, pan: 0.145 };

/** Radius on which each ground rests when it is tilted, m. */
const REST_M: Readonly<Record<Ground, number>> = { plate: 0.135, pan: PAN_RADIUS_M };

function bodyOf(ground: Ground): Mesh {
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
function shadowUnder(radiusM: number): Mesh {
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

/** A rim that has dried on to the wall of a pan, above the sauce. */
function driedRim(): Mesh {
  const rim = new Mesh(
    new TorusGeometry(PAN_RADIUS_M - 0.0002, 0.0009, 6, 96),
    new MeshStandardMaterial({ roughness: 1 }),
  );
  rim.rotation.x = Math.PI / 2;
  rim.position.y = 0.0115;
  return rim;
}

function releaseMesh(mesh: Mesh): void {
  mesh.geometry.dispose();
  for (const material of [mesh.material].flat() as Material[]) {
    if (material instanceof MeshBasicMaterial || material instanceof MeshStandardMaterial) material.map?.dispose();
    material.dispose();
  }
}

/** Light from a room and one soft lamp on the left. */
function lit(scene: Scene, renderer: WebGLRenderer) {
  const generator = new PMREMGenerator(renderer);
  const room = generator.fromScene(new RoomEnvironment(), 0.05);
  generator.dispose();
  scene.environment = room.texture;
  scene.environmentIntensity = 0.5;
  const lamp = new DirectionalLight('#fff6ea', 1.1);
  lamp.position.set(-0.5, 0.8, 0.25);
  scene.add(lamp);
  return room;
}

/** Sets a view as far away as lets the ground fill the picture, whichever way round it is. */
function aimAt(
  camera: PerspectiveCamera,
  { heightM, turned, aspect, spanM }: { heightM: number; turned: number; aspect: number; spanM: number },
): void {
  const half = Math.tan((camera.fov * Math.PI) / 360);
  const away = spanM / (2 * half * Math.min(aspect, 1 / Math.sin(VIEW_DOWN)));
  camera.aspect = aspect;
  camera.position.set(
    away * Math.cos(VIEW_DOWN) * Math.sin(turned),
    away * Math.sin(VIEW_DOWN) + heightM,
    away * Math.cos(VIEW_DOWN) * Math.cos(turned),
  );
  camera.lookAt(0, heightM, 0);
  camera.updateProjectionMatrix();
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

/**
 * A picture of sauce on its ground, in true proportions.
 *
 * @param canvas it is drawn on
 * @param cells on a side of the film it draws
 * @throws where there are no graphics to draw with
 */
export function sauceScene(canvas: HTMLCanvasElement, ground: Ground, cells: number): SauceScene {
  const renderer = rendererOn(canvas);
  const scene = new Scene();
  const room = lit(scene, renderer);
  const body = bodyOf(ground);
  const shadow = shadowUnder(REST_M[ground]);
  const sauce = sauceMesh(cells);
  const rim = driedRim();
  rim.visible = false;
  body.add(sauce.mesh, rim);
  scene.add(shadow, body);
  const camera = new PerspectiveCamera(26, 1, 0.01, 5);
  const sauceColour = new Color('#4a2318');
  const groundColour = new Color(GROUND_WHITE);
  let [turned, aspect] = [0, 1];
  let marks: SurfaceMarks | undefined;

  const aim = () => aimAt(camera, { heightM: body.position.y, turned, aspect, spanM: SPAN_M[ground] });
  aim();

  return {
    look: ({ colour, shine, marks: shown }) => {
      marks = shown;
      sauceColour.set(colour);
      (rim.material as MeshStandardMaterial).color.set(colour);
      rim.visible = shown?.hasDriedRim ?? false;
      sauce.material.clearcoat = shine / 100;
      sauce.material.clearcoatRoughness = 0.25 * (1 - shine / 100);
      sauce.material.roughness = 0.55 - (0.4 * shine) / 100;
    },
    tilt: (radians) => {
      body.rotation.z = -radians;
      // Its lower rim stays on the table.
      body.position.y = REST_M[ground] * Math.abs(Math.sin(radians));
      aim();
    },
    turn: (radians) => {
      turned = radians;
      aim();
    },
    resize: (width, height) => {
      renderer.setPixelRatio(Math.min(devicePixelRatio, 2));
      renderer.setSize(width, height, false);
      aspect = width / Math.max(height, 1);
      aim();
    },
    draw: (film) => {
      cutSurface(film, sauce.surface);
      colourCorners(sauce.surface, sauce.colours, { sauce: sauceColour, ground: groundColour, marks });
      for (const name of ['position', 'normal', 'color']) {
        (sauce.geometry.attributes[name] as BufferAttribute).needsUpdate = true;
      }
      sauce.geometry.setDrawRange(0, sauce.surface.corners);
      renderer.render(scene, camera);
    },
    groundAt: (x, y) => pointOn(body, camera, REST_M[ground], x, y),
    release: () => {
      for (const mesh of [body, shadow, rim, sauce.mesh]) releaseMesh(mesh);
      room.dispose();
      renderer.dispose();
      renderer.forceContextLoss();
    },
  };
}
