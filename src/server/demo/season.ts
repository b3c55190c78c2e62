import { spreadDiameter } from '@/core/flow/ring-spread';
import { keysOf } from '@/core/keys-of';
import { LAMP_SHINE, type LampSeen } from '@/core/learn/lamp';
import { type Batch, prepareBatch, stateAt } from '@/core/predict/state';
import { normalNumbers, seededNumbers } from '@/core/random';
import { ballDepth } from '@/core/set/indentation';
import type { Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import type { FormulaFile } from '@/formats/formula-file';
import type { FileTest } from '@/formats/kitchen-test';
import { type CookedBatch, cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import type { Larder } from '@/kitchen/known-item';
import { panByTheBook } from '@/kitchen/record/tests-of';
import type { PastBatch, PastHappening } from '../repositories/past-batches';

/** How Lantern Mill differs from the book, in ln: what its tests are there to find. */
const MILL = { warm: -0.2, cold: -0.36, shine: -0.45 } as const;
const BATCHES = 34;
const DAYS = 72;
const DAY_MS = 86_400_000;
const SEED = 20_260;
const STOVE = { panCm: 24, powerW: 2000, hob: 'induction', microwaveW: 800, altitudeM: 240, dampPercent: 55 } as const;
const COOKS = ['Ines', 'Tomas', 'Wren'] as const;
const USES = [
  'buckwheat éclairs',
  'pear tart slabs',
  'jars for the shop',
  'the tearoom boat',
  'plated sponge',
] as const;
const NOTES = [
  'The new crate of couverture.',
  'Kitchen warm from the ovens.',
  'Stirred by two, as it was rushed.',
  'Left under film until noon.',
] as const;
/** A ring of 20 ml read after half a minute; what a hand reads wrong, ln. */
const RING = { volumeMl: 20, seconds: 30, misread: 0.2 };
const SPOON = { weightG: 22, radiusMm: 19, misread: 0.3 };
const CHILLED = { temperatureC: 4, hours: 18 };

/** Chance with a seed: the same season every time. */
function chance(seed: number) {
  const random = seededNumbers(seed);
  const normal = normalNumbers(random);
  return {
    normal,
    is: (share: number) => random() < share,
    of: <T>(list: readonly [T, ...T[]] | readonly T[]): T => list[Math.floor(random() * list.length)] as T,
    between: (least: number, most: number) => least + (most - least) * random(),
  };
}
type Chance = ReturnType<typeof chance>;

/** The batch as it really is in this kitchen: all that went into it so far, off the book as the mill is. */
function truth(cooked: CookedBatch, startMs: number, log: readonly PastHappening[]): Batch | undefined {
  const events = log.map(({ ms, what }, i) => ({
    ...{ seq: i + 1, key: `event-${i}`, tablet: 'book', tabletMs: ms, serverMs: ms },
    what,
  }));
  const pan = panByTheBook(cooked, foldBatch(cooked.method.followed.length, startMs, events));
  if (!pan) return undefined;
  return prepareBatch(pan.components, {
    ...pan.process,
    warmOffset: MILL.warm,
    coldOffset: MILL.cold,
    learnt: { warmSd: 0, coldSd: 0, gelSd: 0, shine: { mean: MILL.shine, sd: 0 } },
  });
}

/** A ring read warm, a spoon laid on it cold, a lamp held over it: what they give in this kitchen, read by a hand. */
function tests(
  batch: Batch,
  pourC: number,
  dice: Chance,
): { readonly ring: Happening; readonly cold: readonly FileTest[] } {
  const warm = stateAt(batch, pourC, [[0.3, pourC]]).flow;
  const factor = Math.exp(RING.misread * dice.normal());
  const diameterMm = spreadDiameter(
    {
      plasticViscosityPaS: factor * warm.plasticViscosityPaS,
      yieldStressPa: factor * warm.yieldStressPa,
      densityKgM3: warm.phases.densityKgM3,
    },
    RING.volumeMl,
    RING.seconds,
  );
  const { temperatureC, hours } = CHILLED;
  const set = stateAt(batch, temperatureC, [[hours, temperatureC]]);
  const depthMm = ballDepth(
    set.flow.yieldStressPa * Math.exp(SPOON.misread * dice.normal()),
    SPOON.weightG,
    SPOON.radiusMm,
  );
  const seen = keysOf(LAMP_SHINE).reduce<LampSeen>(
    (near, each) => (Math.abs(LAMP_SHINE[each] - set.shine) < Math.abs(LAMP_SHINE[near] - set.shine) ? each : near),
    'glow',
  );
  return {
    ring: { kind: 'ring', diameterMm: Math.round(Math.max(diameterMm, 51)), temperatureC: pourC },
    cold: [
      ...(depthMm > 0.6 && depthMm < SPOON.radiusMm - 1
        ? [{ test: 'spoonRest', depthMm: Math.round(depthMm * 2) / 2, temperatureC, hours } as const]
        : []),
      ...(dice.is(0.5) ? [{ test: 'lamp', seen, temperatureC, hours } as const] : []),
    ],
  };
}

/** All that happened to one batch, from the weighing to the morning after. */
function story(cooked: CookedBatch, startMs: number, dice: Chance): PastHappening[] {
  const log: PastHappening[] = [];
  let ms = startMs;
  const tell = (what: Happening) => log.push({ ms: Math.round(ms), what });
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const slip = dice.is(0.25);
  for (const [step, { step: method, end, seconds }] of cooked.method.followed.entries()) {
    for (const { row, share } of method.adds) {
      const planned = (cooked.formula.lines[row]?.grams ?? 0) * share;
      const off = slip && step === 0 ? 1 + dice.between(0.02, 0.05) : 1 + 0.004 * dice.normal();
      ms += 1000 * dice.between(15, 40);
      tell({ kind: 'weigh', step, row, grams: tenth(planned * off), by: 'scale' });
    }
    ms += 1000 * Math.max(seconds, 20) * Math.exp(0.15 * dice.normal());
    if (end.temperatureC > 35 && dice.is(0.7)) {
      const temperatureC = Math.min(Math.round(end.temperatureC + 1.2 * dice.normal()), 110);
      tell({ kind: 'temperature', temperatureC, by: 'probe' });
    }
    tell({ kind: 'done', step });
  }
  const reckoned = cooked.method.followed.at(-1)?.end.liquid.reduce((sum, grams) => sum + grams, 0) ?? 0;
  if (dice.is(0.12)) {
    tell({ kind: 'check', step: 0, check: 'smooth', isGood: false });
    const grams = tenth(reckoned * dice.between(0.015, 0.035));
    tell({
      kind: 'add',
      name: 'Whipping cream 35 %',
      components: { water: 59, milk_fat: 35, milk_protein: 2.1, lactose: 3.1 },
      grams,
    });
    ms += 90_000;
  }
  const batch = truth(cooked, startMs, log);
  const found = batch && tests(batch, Math.round(cooked.method.pourC), dice);
  if (found && dice.is(0.5)) tell(found.ring);
  const bowl = Math.round(reckoned * dice.between(0.955, 0.99));
  tell({ kind: 'poured', grams: bowl });
  tell({ kind: 'finish' });
  ms += 60_000 * dice.between(8, 40);
  const used = Math.round(bowl * dice.between(0.6, 0.98));
  tell({ kind: 'used', what: dice.of(USES), grams: used });
  tell({ kind: 'leftover', fate: dice.is(0.75) ? 'putAway' : 'thrown', grams: bowl - used });
  if (dice.is(0.85)) tell({ kind: 'verdict', hasLanded: dice.is(0.78) });
  if (dice.is(0.3)) tell({ kind: 'note', text: dice.of(NOTES) });
  ms += CHILLED.hours * 3_600_000;
  for (const result of found && dice.is(0.6) ? found.cold : []) tell({ kind: 'test', result });
  return log;
}

/**
 * A season of Lantern Mill's batches, made by the engine in a kitchen that differs from the book.
 *
 * @param formulas kept formulas, with their ids
 * @param now the season ends the day before
 */
export function* season(
  formulas: readonly { readonly id: string; readonly file: FormulaFile }[],
  larder: Larder,
  now: Date,
): Generator<PastBatch> {
  const dice = chance(SEED);
  for (let i = 0; i < BATCHES; i++) {
    const { id, file } = dice.of(formulas);
    const kitchenC = Math.round(dice.between(20, 25));
    const frozen = freezeBatch(file, larder, 'standard', { times: dice.of([1, 1, 1, 2]), stove: STOVE, kitchenC });
    if (!frozen) continue;
    const daysAgo = DAYS - ((DAYS - 2) * i) / (BATCHES - 1);
    const day = new Date(now.getTime() - daysAgo * DAY_MS);
    day.setHours(Math.round(dice.between(7, 14)), Math.round(dice.between(0, 59)), 0, 0);
    yield {
      formulaId: id,
      frozen,
      madeAt: day,
      by: dice.of(COOKS),
      log: story(cookedBatch(frozen), day.getTime(), dice),
    };
  }
}
