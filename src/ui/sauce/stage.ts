import {
  DirectionalLight,
  type Material,
  type Mesh,
  MeshBasicMaterial,
  MeshStandardMaterial,
  NeutralToneMapping,
  PerspectiveCamera,
  PMREMGenerator,
  Scene,
  SRGBColorSpace,
  WebGLRenderer,
} from 'three';
import { RoomEnvironment } from 'three/addons/environments/RoomEnvironment.js';

/** Height of the view above the ground, radians, where nothing else is asked. */
const VIEW_DOWN = Math.PI / 4;

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

/** Gives a body back to the graphics. */
export function releaseMesh(mesh: Mesh): void {
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
  {
    heightM,
    turned,
    aspect,
    spanM,
    down,
  }: { heightM: number; turned: number; aspect: number; spanM: number; down: number },
): void {
  const half = Math.tan((camera.fov * Math.PI) / 360);
  const away = spanM / (2 * half * Math.min(aspect, 1 / Math.sin(down)));
  camera.aspect = aspect;
  camera.position.set(
    away * Math.cos(down) * Math.sin(turned),
    away * Math.sin(down) + heightM,
    away * Math.cos(down) * Math.cos(turned),
  );
  camera.lookAt(0, heightM, 0);
  camera.updateProjectionMatrix();
}

/** What a picture stands on: light, a view, and what draws it. */
export interface Stage {
  readonly scene: Scene;
  readonly camera: PerspectiveCamera;
  /** so high above the table is looked at, and so wide, m */
  readonly lookAt: (heightM: number, spanM?: number) => void;
  /** turns the view, radians from the front */
  readonly turn: (radians: number) => void;
  readonly resize: (width: number, height: number) => void;
  readonly render: () => void;
  readonly release: () => void;
}

/**
 * An empty stage on a canvas.
 *
 * @param spanM how wide the picture reaches, m
 * @param down how steeply it is looked down upon, rad
 * @throws where there are no graphics to draw with
 */
export function stageOn(canvas: HTMLCanvasElement, spanM: number, down = VIEW_DOWN): Stage {
  const renderer = rendererOn(canvas);
  const scene = new Scene();
  const room = lit(scene, renderer);
  const camera = new PerspectiveCamera(26, 1, 0.01, 5);
  let [turned, aspect, heightM, wideM] = [0, 1, 0, spanM];
  const aim = () => aimAt(camera, { heightM, turned, aspect, spanM: wideM, down });
  aim();
  return {
    scene,
    camera,
    lookAt: (height, span = wideM) => {
      [heightM, wideM] = [height, span];
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
    render: () => renderer.render(scene, camera),
    release: () => {
      room.dispose();
      renderer.dispose();
      renderer.forceContextLoss();
    },
  };
}
