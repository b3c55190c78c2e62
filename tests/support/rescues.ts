import { compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { normalNumbers, seededNumbers } from '@/core/random';
import { lnOf, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import { afterSeeing, type Band, EYE_SD, priorBelief, SEEN, type Seen, seenEdges } from '@/core/rescue/belief';
import { nextPortion } from '@/core/rescue/portion';
import { perGram } from './pan';

const MOST_PORTIONS = 10;
/** ln by which a hidden pan is off, and by which its weights are: model in a dairy ganache, and cups. */
const MODEL_SD = 0.5;
const WEIGHT_SD = 0.1;

/** How a cook calls a pan: by its true ln, with the eye's own doubt. */
function called(lnTrue: number, band: Band, noise: number): Seen {
  const seen = lnTrue + EYE_SD * noise;
  const above = seenEdges(band).filter((edge) => seen > edge).length;
  return SEEN[above] as Seen;
}

/** A hidden pan: what the recipe says, and what is truly in it. */
function hiddenPan(gauss: () => number, uniform: () => number) {
  const cream = 120 + 180 * uniform();
  const chocolate = 200;
  const of = (c: number, d: number): RescuePan => ({
    components: compositionVector({}).map(
      (_, i) => c * (perGram('cream-35')[i] ?? 0) + d * (perGram('dark-couverture-60')[i] ?? 0),
    ),
    process: DEFAULT_PROCESS,
    temperatureC: 36,
    history: [[0.3, 36]],
    read: ({ flow }) => flow.resistancePa,
  });
  const truth = of(cream * Math.exp(WEIGHT_SD * gauss()), chocolate * Math.exp(WEIGHT_SD * gauss()));
  return { believed: of(cream, chocolate), truth, offset: MODEL_SD * gauss() };
}

/** Rescues of hidden pans: how many end in their band, in how many portions, and how many past it. */
export function simulateRescues(pans: number, seed: number) {
  const uniform = seededNumbers(seed);
  const gauss = normalNumbers(seededNumbers(seed + 1));
  const ends = { inBand: 0, overshot: 0, portions: [] as number[] };
  for (let k = 0; k < pans; k++) {
    const { believed, truth, offset } = hiddenPan(gauss, uniform);
    const middle = lnOf(truth) + offset + (uniform() - 0.5) * 2.4;
    const band = { low: Math.exp(middle - 0.45), high: Math.exp(middle + 0.45) };
    const start = lnOf(truth) + offset;
    const isThick = start > middle;
    // The cook takes what helps: milk where it is too thick, chocolate where it is too thin.
    const additive = perGram(isThick ? 'milk-whole' : 'dark-couverture-60');
    let [there, thought] = [truth, believed];
    let belief = priorBelief(0, Math.hypot(MODEL_SD, 0.3));
    let portions = 0;
    for (; portions < MOST_PORTIONS; portions++) {
      const seen = called(lnOf(there) + offset, band, gauss());
      belief = afterSeeing(belief, seen, lnOf(thought), band);
      const next = nextPortion(thought, additive, belief, band);
      if (next.kind !== 'add') break;
      there = panWith(there, additive, next.grams);
      thought = panWith(thought, additive, next.grams);
    }
    const end = lnOf(there) + offset;
    const [low, high] = [Math.log(band.low), Math.log(band.high)];
    if (end >= low && end <= high) ends.inBand += 1;
    else if (isThick ? end < low : end > high) ends.overshot += 1;
    ends.portions.push(portions);
  }
  const sorted = ends.portions.toSorted((a, b) => a - b);
  return {
    inBand: ends.inBand / pans,
    overshot: ends.overshot / pans,
    medianPortions: sorted[Math.floor(sorted.length / 2)] ?? 0,
  };
}
