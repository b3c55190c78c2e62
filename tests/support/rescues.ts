import { compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { normalNumbers, seededNumbers } from '@/core/random';
import { lnOf, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import {
  afterSeeing,
  type Band,
  EYE_SD,
  priorBelief,
  SEEN,
  type Seen,
  seenEdges,
  sideSeen,
} from '@/core/rescue/belief';
import { nextPortion } from '@/core/rescue/portion';
import { perGram } from './pan';

const MOST_LOOKS = 20;
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
function hiddenPan(gauss: () => number, uniform: () => number, temperatureC: number) {
  const cream = 120 + 180 * uniform();
  const chocolate = 200;
  const of = (c: number, d: number): RescuePan => ({
    components: compositionVector({}).map(
      (_, i) => c * (perGram('cream-35')[i] ?? 0) + d * (perGram('dark-couverture-60')[i] ?? 0),
    ),
    process: DEFAULT_PROCESS,
    temperatureC,
    history: usualHistory(temperatureC),
    read: ({ flow }) => flow.resistancePa,
  });
  const truth = of(cream * Math.exp(WEIGHT_SD * gauss()), chocolate * Math.exp(WEIGHT_SD * gauss()));
  return { believed: of(cream, chocolate), truth, offset: MODEL_SD * gauss() };
}

/** What hidden pans are tried at: how warm, and how wide their band is either way, times. */
export interface RescueTrial {
  readonly temperatureC?: number;
  readonly bandTimes?: number;
}

/** One hidden pan mended by the rules of the screen: portions that went in, and where it ended. */
function mendHidden(gauss: () => number, uniform: () => number, { temperatureC = 36, bandTimes = 1.5 }: RescueTrial) {
  const { believed, truth, offset } = hiddenPan(gauss, uniform, temperatureC);
  const start = lnOf(truth) + offset;
  const middle = start + (uniform() - 0.5) * 2.4;
  const half = Math.log(bandTimes);
  const band = { low: Math.exp(middle - half), high: Math.exp(middle + half) };
  let [there, thought] = [truth, believed];
  let belief = priorBelief(0, Math.hypot(MODEL_SD, 0.3));
  let [portions, timesRight, went] = [0, 0, 0];
  for (let looks = 0; looks < MOST_LOOKS; looks++) {
    const seen = called(lnOf(there) + offset, band, gauss());
    timesRight = seen === 'right' ? timesRight + 1 : 0;
    belief = afterSeeing(belief, seen, lnOf(thought), band);
    // What is in the pan already helps: cream where it is too thick, chocolate where it is too thin.
    const side = sideSeen(seen) ?? 'thick';
    const additive = perGram(side === 'thick' ? 'cream-35' : 'dark-couverture-60');
    const next = nextPortion(thought, additive, belief, band, { seen, timesRight });
    if (next.kind === 'mended' || next.kind === 'cannot') break;
    if (next.kind !== 'add') continue;
    portions += 1;
    went += side === 'thick' ? -1 : 1;
    timesRight = 0;
    there = panWith(there, additive, next.grams);
    thought = panWith(thought, additive, next.grams);
  }
  const end = lnOf(there) + offset;
  const isIn = Math.abs(end - middle) <= half;
  return { portions, isIn, isPast: !isIn && went !== 0 && (end - middle) * went > 0 };
}

/** Rescues of hidden pans: how many end in their band, in how many portions, and how many past it. */
export function simulateRescues(pans: number, seed: number, trial: RescueTrial = {}) {
  const uniform = seededNumbers(seed);
  const gauss = normalNumbers(seededNumbers(seed + 1));
  const ends = Array.from({ length: pans }, () => mendHidden(gauss, uniform, trial));
  const sorted = ends.map(({ portions }) => portions).toSorted((a, b) => a - b);
  return {
    inBand: ends.filter(({ isIn }) => isIn).length / pans,
    overshot: ends.filter(({ isPast }) => isPast).length / pans,
    medianPortions: sorted[Math.floor(sorted.length / 2)] ?? 0,
  };
}
