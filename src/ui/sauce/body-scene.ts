import {
  Box3,
  BoxGeometry,
  BufferGeometry,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  LatheGeometry,
  Mesh,
  MeshPhysicalMaterial,
  Shape,
  ShapeGeometry,
  Vector2,
} from 'three';
import { GROUND_WHITE, shadowUnder } from './bodies';
import { type SauceLook, setShine } from './scene';
import { releaseMesh, stageOn } from './stage';
import type { BodyPart, Stuff, TurnedOutline } from './use-bodies';

/** A picture of a piece with its sauce. */
export interface BodyScene {
  readonly show: (parts: readonly BodyPart[], look: SauceLook) => void;
  readonly resize: (width: number, height: number) => void;
  readonly release: () => void;
}

/** How steeply it is looked down upon, rad. */
const LOOK_DOWN = 0.52;
/** Room about the piece, and beside it for what is written there; it is fitted anew once it needs less than this part of the picture, or more than all. */
const [MARGIN, BESIDE, FITS] = [1.12, 1.55, 0.6];
/** The picture is so much wider than it is high. */
const WIDE_OVER_HIGH = 1.75;
/** The piece that is cut out of what is round, so that its inside is seen: where it begins and how much of it is left, rad. */
const CUT = { from: 1.15, kept: 2 * Math.PI - 1.35 } as const;
const AROUND = 72;
/** A corner is drawn this sharp: a part of its sides. */
const CORNER = 0.02;

const COLOURS: Readonly<Record<Exclude<Stuff, 'sauce'>, string>> = {
  baked: '#c49a63',
  cream: '#efe4cd',
  china: GROUND_WHITE,
  glass: '#dfe8ea',
};

function materialOf(stuff: Stuff, { colour, shine }: SauceLook): MeshPhysicalMaterial {
  const material = new MeshPhysicalMaterial({
    color: stuff === 'sauce' ? colour : COLOURS[stuff],
    roughness: stuff === 'baked' ? 0.9 : 0.5,
    side: DoubleSide,
  });
  if (stuff === 'sauce') setShine(material, shine);
  if (stuff === 'glass') {
    material.transparent = true;
    material.opacity = 0.28;
    material.roughness = 0.05;
    material.depthWrite = false;
  }
  return material;
}

/** The same outline with each corner as two points close to it: a turned body is smooth along its outline otherwise. */
function sharpened(outline: TurnedOutline): Vector2[] {
  const points = outline.map(([radius, along]) => new Vector2(radius, along));
  return [...points, points[0] as Vector2].flatMap((point, i) => {
    const before = points[(i + points.length - 1) % points.length] as Vector2;
    const after = points[(i + 1) % points.length] as Vector2;
    return [point.clone().lerp(before, CORNER), point.clone(), point.clone().lerp(after, CORNER)];
  });
}

/** A body turned about its axis, with the faces of what is cut out of it. */
function turnedMeshes({ outline, isCut }: Extract<BodyPart, { kind: 'turned' }>, material: MeshPhysicalMaterial) {
  const kept = isCut ? CUT.kept : 2 * Math.PI;
  const round = new Mesh(new LatheGeometry(sharpened(outline), AROUND, CUT.from, kept), material);
  if (!isCut) return [round];
  const flat = new ShapeGeometry(new Shape(outline.map(([radius, along]) => new Vector2(radius, along))));
  const faces = [CUT.from, CUT.from + kept].map((angle) => {
    const face = new Mesh(flat.clone(), material);
    face.rotation.y = angle - Math.PI / 2;
    return face;
  });
  flat.dispose();
  return [round, ...faces];
}

/** A body that lies along the table: all of it, or what covers its upper side. */
function lyingMesh(
  { outline, axisM, stuff }: Extract<BodyPart, { kind: 'lying' }>,
  material: MeshPhysicalMaterial,
): Mesh {
  const [from, around] = stuff === 'sauce' ? [Math.PI - 0.25, Math.PI + 0.5] : [0, 2 * Math.PI];
  const mesh = new Mesh(new LatheGeometry(sharpened(outline), AROUND, from, around), material);
  // Its axis from upright to lying, its cut end to the right and towards the eye.
  mesh.rotation.set(0, -0.6, -Math.PI / 2);
  mesh.position.y = axisM;
  return mesh;
}

/** A drip is about so wide, m, and its head stands out so far over what it leaves (J). */
const DRIP = { wideM: 0.009, headM: 0.0022, leavesM: 0.0011, apart: 0.34 } as const;
const [DRIP_ACROSS, DRIP_DOWN] = [8, 18];

/** A number of 0-1 that belongs to a place in a row. */
const hashOf = (i: number) => Math.abs(Math.sin(i * 12.9898) * 43_758.5453) % 1;

/** One drip down an upright side. */
function dripGeometry(radiusM: number, topM: number, lengthM: number, angle: number): BufferGeometry {
  const points: number[] = [];
  const half = DRIP.wideM / 2;
  const body = Math.max(lengthM - half, 0);
  for (let j = 0; j <= DRIP_DOWN; j++) {
    const down = (lengthM * j) / DRIP_DOWN;
    const past = Math.max(down - body, 0) / half;
    const wide =
      half * Math.sqrt(Math.max(1 - past * past, 0)) * (0.75 + 0.25 * Math.min(down / Math.max(body, half), 1));
    const head = Math.exp(-(((down - lengthM + half) / half) ** 2));
    for (let i = 0; i <= DRIP_ACROSS; i++) {
      const across = (2 * i) / DRIP_ACROSS - 1;
      const out = (DRIP.leavesM + (DRIP.headM - DRIP.leavesM) * head) * Math.sqrt(Math.max(1 - across * across, 0));
      const around = angle + (across * wide) / radiusM;
      const from = radiusM + out;
      points.push(from * Math.sin(around), topM - down, from * Math.cos(around));
    }
  }
  const index: number[] = [];
  for (let j = 0; j < DRIP_DOWN; j++) {
    for (let i = 0; i < DRIP_ACROSS; i++) {
      const k = j * (DRIP_ACROSS + 1) + i;
      index.push(k, k + DRIP_ACROSS + 1, k + 1, k + 1, k + DRIP_ACROSS + 1, k + DRIP_ACROSS + 2);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(points, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}

/** Drips all round, but for what is cut out: between the two lengths as a hand lets them go. */
function dripMeshes(
  { radiusM, topM, shortestM, longestM }: Extract<BodyPart, { kind: 'drips' }>,
  material: MeshPhysicalMaterial,
): Mesh[] {
  const count = Math.floor((CUT.kept - DRIP.apart) / DRIP.apart);
  return Array.from({ length: count }, (_, i) => {
    const length = Math.min(shortestM + (longestM - shortestM) * hashOf(i + 1), topM);
    const angle = CUT.from + DRIP.apart * (i + 0.9);
    return new Mesh(dripGeometry(radiusM, topM, length, angle), material);
  });
}

function meshesOf(part: BodyPart, look: SauceLook): Mesh[] {
  const material = materialOf(part.kind === 'drips' ? 'sauce' : part.stuff, look);
  switch (part.kind) {
    case 'turned':
      return turnedMeshes(part, material);
    case 'lying':
      return [lyingMesh(part, material)];
    case 'drips':
      return dripMeshes(part, material);
    case 'block': {
      const mesh = new Mesh(new BoxGeometry(...part.size), material);
      mesh.position.set(part.x, part.size[1] / 2, 0);
      return [mesh];
    }
  }
}

/**
 * A picture of a piece with its sauce, in true proportions, cut open where it is round.
 *
 * @throws where there are no graphics to draw with
 */
export function bodyScene(canvas: HTMLCanvasElement): BodyScene {
  const stage = stageOn(canvas, 0, LOOK_DOWN);
  const shadow = shadowUnder(1);
  const piece = new Group();
  stage.scene.add(shadow, piece);
  const empty = () => {
    for (const mesh of [...piece.children] as Mesh[]) {
      releaseMesh(mesh);
      piece.remove(mesh);
    }
  };
  let spanM = 0;
  /** So that the picture holds all of it, and does not follow each change of its size. */
  const aim = () => {
    const { min, max } = new Box3().setFromObject(piece);
    const [wide, high] = [Math.max(max.x - min.x, max.z - min.z), max.y - min.y];
    const seenHigh = high * Math.cos(LOOK_DOWN) + wide * Math.sin(LOOK_DOWN);
    const needed = MARGIN * Math.max(BESIDE * wide, WIDE_OVER_HIGH * seenHigh);
    if (needed > spanM || needed < FITS * spanM) spanM = needed;
    stage.lookAt((min.y + max.y) / 2, spanM);
    shadow.scale.setScalar(0.55 * wide);
    shadow.position.set(0.04 * wide, min.y - 0.0002, 0.03 * wide);
  };
  return {
    show: (parts, look) => {
      empty();
      for (const part of parts) piece.add(...meshesOf(part, look));
      aim();
      stage.render();
    },
    resize: stage.resize,
    release: () => {
      empty();
      releaseMesh(shadow);
      stage.release();
    },
  };
}
