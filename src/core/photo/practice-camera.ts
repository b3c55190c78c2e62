import { drawnDrop } from '../film/scenes';
import { cutSurface, diameterMm, emptySurface } from '../film/surface';
import { seededNumbers } from '../random';
import { LIGHTS, type PhotoScene, PLATE_PAINTS } from './made-photo';
import { USUAL_PLATE } from './plate';

/** Sauces as they look: dark, milk, white, red, and caramel. */
const COLOURS = ['#4a2318', '#2e1610', '#7a4a30', '#e9d9b4', '#f0e3c4', '#8c2b2b', '#b9782f'] as const;
const TABLES = ['#5a5048', '#2b2f31', '#8a5a3a', '#7d8386', '#3c4a3f'] as const;

/** Cells on a side of a drop that is photographed. */
const CELLS = 120;

/** How wide the drop of a photo is, mm. */
export function trueDiameterMm({ film }: PhotoScene): number {
  const surface = emptySurface(film.cells);
  cutSurface(film, surface);
  return diameterMm(surface);
}

/**
 * A photo as a hand takes it: any sauce, light, table and slant up to 45 degrees.
 *
 * @param seed the same one is the same photo
 */
export function photoScene(seed: number): PhotoScene {
  const random = seededNumbers(1000 + seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const one = <Thing>(of: readonly Thing[]): Thing => of[Math.floor(random() * of.length)] as Thing;
  const fluid = {
    yieldStressPa: Math.exp(between(Math.log(0.8), Math.log(60))),
    plasticViscosityPaS: Math.exp(between(Math.log(0.2), Math.log(4))),
    densityKgM3: 1150,
  };
  return {
    film: drawnDrop(fluid, 30, CELLS),
    colour: one(COLOURS),
    shine: between(20, 90),
    plate: USUAL_PLATE,
    pattern: one(PLATE_PAINTS),
    light: one(Object.keys(LIGHTS) as (keyof typeof LIGHTS)[]),
    bright: between(0.5, 1),
    table: one(TABLES),
    slantDeg: between(0, 45),
    rollDeg: between(-8, 8),
    fills: between(0.5, 0.66),
    off: [between(-0.05, 0.05), between(-0.04, 0.04)],
    focalMm: between(24, 30),
    width: 720,
    height: 540,
    shadow: between(0, 0.5),
    shadowDeg: between(0, 360),
    shadowAt: between(-0.6, 0.9),
    noise: between(0.5, 3),
    blurPx: between(0, 1.6),
    seed,
  };
}
