import { gridFilm } from '../src/core/film/grid-film';
import { pickThrough, roundDot } from '../src/core/film/pick';
import { roundFilm } from '../src/core/film/round-film';
import { drawSpoonAcross, dropOnPlate, flowFor, layerInPan } from '../src/core/film/scenes';
import { cutSurface, emptySurface } from '../src/core/film/surface';
import { report } from './report';

const RIGHT = { plasticViscosityPaS: 1, yieldStressPa: 6, densityKgM3: 1150 };
const FRAME_S = 1 / 60;

/** Median of many runs, ms. */
function median(times: number, work: () => void): number {
  const taken = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  });
  return taken.toSorted((a, b) => a - b)[Math.floor(times / 2)] ?? Number.NaN;
}

const drop = dropOnPlate(RIGHT, 30);
const dropStep = median(600, () => drop.step(FRAME_S));
const full = gridFilm(RIGHT, 96, 0.2);
full.depthM.forEach((_, k) => {
  full.depthM[k] = 0.004 + 0.002 * Math.sin(k / 300);
});
full.touch();
const fullStep = median(120, () => full.step(FRAME_S, 0.05));
const surface = emptySurface(96);
const cut = median(200, () => cutSurface(drop, surface));

report('The film, 96 x 96 cells', [
  { name: 'a step of a drop, 1/60 s', ms: dropStep, aimMs: 1.5 },
  { name: 'a step of a tilted layer that covers all of it', ms: fullStep, aimMs: 6 },
  { name: 'its surface cut into triangles', ms: cut, aimMs: 3 },
  { name: 'a drop for 30 s, in the round', ms: median(5, () => roundFilm(RIGHT, 20, 0.025, 30).runTo(30)), aimMs: 150 },
  {
    name: 'a drop for 30 s, shown at once',
    ms: median(3, () => flowFor(dropOnPlate(RIGHT, 30), 30, 0, 1 / 10)),
    aimMs: 600,
  },
  {
    name: 'a still of a spoon’s line after 3 s',
    ms: median(3, () => {
      const film = layerInPan(RIGHT, 72);
      drawSpoonAcross(film);
      flowFor(film, 3, 0, 1 / 15);
    }),
    aimMs: 300,
  },
  {
    name: 'a pick through eight dots',
    ms: median(3, () => {
      const at = (angle: number) => ({ x: 0.04 * Math.cos(angle), y: 0.04 * Math.sin(angle) });
      const dots = Array.from({ length: 8 }, (_, i) => roundDot(at((Math.PI * i) / 4), 0.005));
      pickThrough(
        dots,
        Array.from({ length: 240 }, (_, i) => at((6.5 * i) / 240)),
      );
    }),
    aimMs: 1000,
  },
]);
