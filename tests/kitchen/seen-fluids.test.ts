import { describe, expect, it } from 'vitest';
import type { FilmFluid } from '@/core/film/mobility';
import { resistance } from '@/core/flow/casson';
import { compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { prepareBatch, type State, stateAt } from '@/core/predict/state';
import { beliefMean, priorBelief, SEEN, seenEdges } from '@/core/rescue/belief';
import { portionFluids, seenFluids } from '@/kitchen/cook/seen-fluids';
import { fluidOf, thicker } from '@/kitchen/method/pan-fluid';
import { stillKey } from '@/ui/sauce/stills';
import { larder } from '../support/kitchen';

const grams = (id: string, g: number) => compositionVector(larder.get(id)?.components ?? {}).map((part) => part * g);
const components = grams('dark-couverture-60', 200).map((part, i) => part + (grams('cream-35', 220)[i] ?? 0));
const pan = {
  components,
  process: DEFAULT_PROCESS,
  temperatureC: 36,
  history: usualHistory(36),
  read: ({ flow }: State) => flow.resistancePa,
};

describe('how a pan would flow if it were as it is said to be', () => {
  const band = { low: 8, high: 30 };
  const fluids = seenFluids(pan, band);
  const pa = SEEN.map((seen) => resistance(fluids[seen].yieldStressPa, fluids[seen].plasticViscosityPaS));

  it('each lies between its own edges, thin before thick', () => {
    const edges = seenEdges(band).map(Math.exp);
    expect(pa).toEqual(pa.toSorted((a, b) => a - b));
    expect(pa[0]).toBeLessThan(edges[0] ?? 0);
    expect(pa[1]).toBeGreaterThan(edges[0] ?? 0);
    expect(pa[1]).toBeLessThan(band.low);
    expect(pa[2]).toBeGreaterThan(band.low);
    expect(pa[2]).toBeLessThan(band.high);
    expect(pa[3]).toBeGreaterThan(band.high);
    expect(pa[4]).toBeGreaterThan(edges[3] ?? 0);
  });

  it('is the pan itself but for how thick it is', () => {
    const own = fluidOf(stateAt(prepareBatch(components, DEFAULT_PROCESS), 36, usualHistory(36)));
    const ratio = own.yieldStressPa / own.plasticViscosityPaS;
    for (const seen of SEEN) {
      expect(fluids[seen].densityKgM3).toBe(own.densityKgM3);
      expect(fluids[seen].yieldStressPa / fluids[seen].plasticViscosityPaS).toBeCloseTo(ratio, 6);
    }
  });

  it('stills of what looks the same have one name, of what does not have another', () => {
    const of = (times: number, colour = '#4a2318') =>
      stillKey({ kind: 'line', fluid: thicker(fluids.right, times), look: { colour, shine: 60 }, seconds: 3 });
    expect(of(1.0001)).toBe(of(1));
    expect(of(1.5)).not.toBe(of(1));
    expect(of(1, '#eeddcc')).not.toBe(of(1));
  });
});

describe('a portion before and after', () => {
  const band = { low: 8, high: 30 };
  const cream = compositionVector(larder.get('cream-35')?.components ?? {});
  const pa = ({ yieldStressPa, plasticViscosityPaS }: FilmFluid) => resistance(yieldStressPa, plasticViscosityPaS);

  it('shows the pan as it is believed to be, as it was to be, and thinner with cream in it', () => {
    const believed = priorBelief(Math.log(3), 0.3);
    const { wanted, now, after } = portionFluids(pan, believed, band, { perGram: cream, grams: 40 });
    const own = pa(fluidOf(stateAt(prepareBatch(components, DEFAULT_PROCESS), 36, usualHistory(36))));
    expect(pa(now) / own).toBeCloseTo(Math.exp(beliefMean(believed)), 6);
    expect(pa(wanted)).toBeGreaterThan(band.low);
    expect(pa(wanted)).toBeLessThan(band.high);
    expect(pa(after)).toBeLessThan(0.9 * pa(now));
  });

  it('with nothing put in nothing changes', () => {
    const { now, after } = portionFluids(pan, priorBelief(0.4, 0.2), band, { perGram: cream, grams: 0 });
    expect(pa(after)).toBeCloseTo(pa(now), 9);
  });
});
