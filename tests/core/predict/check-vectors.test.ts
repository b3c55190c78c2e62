import { describe, expect, it } from 'vitest';
import { cocoaButterShare } from '@/core/fat/solid-fat';
import { cassonViscosity } from '@/core/flow/casson';
import { shelfIndex } from '@/core/keep/shelf';
import { COMPONENT_COUNT, COMPONENT_INDEX, type ComponentName } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { K } from '@/core/model-constants';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { bloomRisk } from '@/core/shine/shine-index';
import { alcoholPercentVol, taste } from '@/core/taste/taste';
import reference from '../../support/check-vectors.json';

/** Short names of the check figures for components of the larder. */
const LARDER_NAME: Record<string, ComponentName> = {
  ffs: 'cocoa_solids',
  hs: 'higher_saccharides',
  ash: 'milk_ash',
  polyol: 'sorbitol',
  xanthan: 'gums',
  inert: 'other',
};

type Vector = {
  name: string;
  components: Record<string, number>;
  proc: Record<string, number | number[][]>;
  outputs: Record<string, number>;
};

/** All outputs of one check figure, under the short names of the reference. */
function outputsOf(vector: Vector): Record<string, number> {
  const grams = new Float64Array(COMPONENT_COUNT);
  for (const [short, amount] of Object.entries(vector.components)) {
    grams[COMPONENT_INDEX[LARDER_NAME[short] ?? (short as ComponentName)]] = amount;
  }
  const given = vector.proc as Record<string, number>;
  const batch = prepareBatch(grams, {
    ...DEFAULT_PROCESS,
    cook: given.cook ?? 0,
    mix: given.mix ?? 0.6,
    temper: given.temper ?? 0,
    worked: given.worked ?? 0,
    overwork: given.overwork ?? 0,
    mixTemperatureC: given.T_mix ?? 38,
    coldCream: given.cold_cream ?? 0,
    swingC: given.swing ?? 1,
    covered: given.covered ?? 1,
    bloomG: given.bloom ?? 200,
    warmOffset: given.b_warm ?? 0,
    coldOffset: given.b_cold ?? 0,
    gelOffset: given.b_gel ?? 0,
    timeOffset: given.b_time ?? 0,
  });
  const { mixture } = batch;
  const state = stateAt(batch, given.T ?? 20, vector.proc.history as unknown as [number, number][]);
  const s = { ...state.flow, ...state };
  const tasted = taste(mixture);
  const shelf = shelfIndex(s.waterActivity, alcoholPercentVol(mixture.ethanolG, s.phases.serumMl));
  const eta = (rate: number) => cassonViscosity(s.yieldStressPa, s.plasticViscosityPaS, rate);
  return {
    mass: mixture.massG,
    volume: s.phases.volumeMl,
    rho: s.phases.densityKgM3,
    phi_f: s.phases.fat,
    phi_p: s.phases.particles,
    phi_c: s.phases.cocoa,
    phi_fs: s.phases.fatCrowding,
    w_ow: s.phases.waterContinuous,
    brix: s.dissolved.brix,
    eta_s: s.serum.viscosityPaS,
    P1: s.phases.particlePacking,
    P2: s.phases.dropletPacking,
    eta_inf: s.plasticViscosityPaS,
    tau_coc: s.cocoaYieldPa,
    tau_gels: s.gelYieldPa,
    tau_fat: s.fatYieldPa,
    tau_y: s.yieldStressPa,
    eta5: eta(5),
    eta10: s.apparentViscosityPaS,
    eta50: eta(50),
    sfc: s.solidFatFraction,
    phi_sf: s.networkFat,
    X: s.crystallised,
    crystals: (100 * s.dissolved.crystalsG) / mixture.massG,
    aw: s.waterActivity,
    abv: alcoholPercentVol(mixture.ethanolG, s.phases.volumeMl),
    shelf_fridge: shelf.fridgeDays,
    shelf_room: shelf.roomDays,
    sweet: tasted.sweetness,
    cocoa: tasted.cocoa,
    balance: tasted.balance,
    shine: s.shine,
    bloom_risk: bloomRisk(mixture, s.solidFatFraction, s.phases.fat),
    x_cb: cocoaButterShare(mixture),
    risk_broken: s.risks.broken,
    risk_seized: s.risks.seized,
    risk_grainy: s.risks.grainy,
    risk_chalky: s.risks.chalky,
    risk_gummy: s.risks.gummy,
    risk_weeping: s.risks.weeping,
    risk_skin: s.risks.skin,
  };
}

describe('check vectors', () => {
  for (const vector of reference.vectors as unknown as Vector[]) {
    it(`${vector.name} at ${vector.proc.T} °C: every output within 0.5 %`, () => {
      const outputs = outputsOf(vector);
      for (const [name, expected] of Object.entries(vector.outputs)) {
        const got = outputs[name];
        expect(got, `${name} is computed`).toBeTypeOf('number');
        expect(Math.abs((got as number) - expected), `${name}: ${got} against ${expected}`).toBeLessThanOrEqual(
          0.005 * Math.abs(expected) + 1e-6,
        );
      }
    });
  }
});

describe('the table of constants', () => {
  it('holds the reference values', () => {
    const c = reference.constants;
    expect([K.fatYield, K.fatYieldPower, K.meltCocoaButter, K.maxPackingParticles, K.gelatinYield]).toEqual([
      c.A_fat,
      c.n_fat,
      c.Tm_cb,
      c.phim_p,
      c.A_gel,
    ]);
  });
});
