import { describe, expect, it } from 'vitest';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { predictFormula } from '@/core/predict/predict-formula';
import { lnOf, panMass, type RescuePan } from '@/core/rescue/addition-curve';
import { becomes } from '@/core/rescue/becomes';
import { priorBelief } from '@/core/rescue/belief';
import { causesOf, seenAs } from '@/core/rescue/causes';
import { type AdditiveQuestion, compareAdditives } from '@/core/rescue/compare';
import { gramsPastSeizing } from '@/core/rescue/past-seizing';
import { USES } from '@/core/uses/ready-gates';
import { resolveFormula } from '@/formats/resolve-formula';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';
import { perGram } from '../../support/pan';

const BAND = { low: 8, high: 16 };
const panOf = (...lines: readonly (readonly [string, number])[]): RescuePan => ({
  components: perGram('water').map((_, i) =>
    lines.reduce((sum, [id, grams]) => sum + grams * (perGram(id)[i] ?? 0), 0),
  ),
  process: DEFAULT_PROCESS,
  temperatureC: 36,
  history: [[0.3, 36]],
  read: ({ flow }) => flow.resistancePa,
});

describe('a pan that has seized', () => {
  it('takes liquid past its window, not a splash', () => {
    const seized = panOf(['dark-couverture-70', 300], ['water', 12]);
    const grams = gramsPastSeizing(seized, perGram('milk-whole'));
    expect(grams).toBeGreaterThan(15);
    expect(grams).toBeLessThan(180);
    expect(gramsPastSeizing(panOf(['dark-couverture-60', 200], ['cream-35', 200]), perGram('water'))).toBeUndefined();
  });
});

describe('why', () => {
  it('the cold first, where it would be right at the pour', () => {
    const causes = causesOf('farTooThick', { lnNow: Math.log(60), lnAtPour: Math.log(12) }, BAND, 0.5);
    expect(causes[0]).toEqual({ cause: 'cooler', share: 0.75 });
    expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('the formula, where it is off at the pour as well; weights and boil, where nothing foretold it', () => {
    expect(causesOf('bitThick', { lnNow: Math.log(25), lnAtPour: Math.log(24) }, BAND, 0.5)[0]?.cause).toBe('formula');
    const odd = causesOf('farTooThick', { lnNow: Math.log(11), lnAtPour: Math.log(11) }, BAND, 0.5);
    expect(odd.map(({ cause }) => cause).sort()).toEqual(['boiledLong', 'model', 'weights']);
    expect(
      causesOf('bitThin', { lnNow: Math.log(11), lnAtPour: Math.log(11) }, BAND, 0.5).map(({ cause }) => cause),
    ).not.toContain('boiledLong');
  });

  it('a pan is called by the edges of its band', () => {
    expect([2, 5, 11, 20, 60].map((pa) => seenAs(Math.log(pa), BAND))).toEqual([
      'farTooThin',
      'bitThin',
      'right',
      'bitThick',
      'farTooThick',
    ]);
  });
});

const compared = (some: Pick<AdditiveQuestion, 'pan' | 'band' | 'belief' | 'additives'>): AdditiveQuestion => ({
  ...some,
  kind: 'ganache',
  costPerKg: 5,
  about: 'warm',
});

describe('what could go in, side by side', () => {
  const file = lanternMillFormulas().find(({ name }) => name === 'Feast day gloss');
  if (!file) throw new Error('no formula');
  const formula = resolveFormula(file, larder, 'standard');
  const prediction = predictFormula(formula);
  if (!prediction) throw new Error('nothing predicted');
  const pan: RescuePan = { ...panOf(), components: prediction.components, temperatureC: 40, history: [[0.3, 40]] };
  const now = Math.exp(lnOf(pan));
  const additives = ['water', 'milk-whole', 'cream-35', 'rum-40', 'dark-couverture-60', 'sugar-caster'].map((id) => ({
    id,
    perGram: perGram(id),
    pricePerKg: larder.get(id)?.pricePerKg ?? 0,
  }));

  it('thins with liquids alone; water takes least, rum brings alcohol, cream more batch', () => {
    const thick = { low: now / 4, high: now / 2 };
    const found = compareAdditives(formula, compared({ pan, band: thick, belief: priorBelief(0, 0.5), additives }));
    const of = (id: string) => found.find((each) => each.id === id);
    expect(of('dark-couverture-60')).toBeUndefined();
    expect(of('water')?.inAll).toBeLessThan(of('cream-35')?.inAll ?? 0);
    expect(of('rum-40')?.alcoholPercentVol).toBeGreaterThan(of('water')?.alcoholPercentVol ?? 9);
    for (const { massG, inAll, grams } of found) {
      expect(massG).toBeCloseTo(panMass(pan.components) + inAll, 6);
      expect(grams).toBeLessThanOrEqual(inAll + 1e-9);
    }
  });

  it('never thins with spirit where water or milk does it, whatever the formula', () => {
    for (const file of lanternMillFormulas()) {
      const other = resolveFormula(file, larder, 'standard');
      const components = predictFormula(other)?.components;
      if (!components) continue;
      const its: RescuePan = { ...pan, components, process: other.process };
      const pours = Math.exp(lnOf(its));
      const order = compareAdditives(
        other,
        compared({ pan: its, band: { low: pours / 2, high: pours / 1.5 }, belief: priorBelief(0, 0.4), additives }),
      );
      const at = (id: string) => order.findIndex((each) => each.id === id);
      if (at('rum-40') < 0) continue;
      expect([file.name, at('water') >= 0 && at('water') < at('rum-40')]).toEqual([file.name, true]);
    }
  });

  it('thickens with chocolate', () => {
    const thin = { low: now * 2, high: now * 3 };
    const found = compareAdditives(formula, compared({ pan, band: thin, belief: priorBelief(0, 0.3), additives })).map(
      ({ id }) => id,
    );
    expect(found).toContain('dark-couverture-60');
    expect(found).not.toContain('water');
  });
});

it('a pan can still become every use whose gates it passes, and no other', () => {
  const formulas = lanternMillFormulas().map((file) => predictFormula(resolveFormula(file, larder, 'standard')));
  const found = formulas.flatMap((each) => (each ? becomes(each.components, DEFAULT_PROCESS) : []));
  const ids = USES.map(({ id }) => id);
  for (const id of found) expect(ids).toContain(id);
  expect(new Set(found).size).toBeGreaterThan(3);
});
