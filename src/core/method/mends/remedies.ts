import { changedStep, withStepAt } from '../edit-steps';
import type { MethodFault } from '../fault';
import type { MethodKitchen } from '../kitchen';
import type { MethodRows } from '../rows';
import type { Method } from '../step';
import { boil } from '../ways/parts';
import { belowScrambling, boilAMinute, chillFirst, cookTheEgg, hotFirst, slakeFirst } from './heat-remedies';
import { afterBoil, cooking, wetterAside } from './helper-remedies';
import { cocoaElsewhere, sourLast, spiritLast } from './ingredient-remedies';
import { dissolving, melting, seizing } from './lump-remedies';
import { before, gentler, putOff, reaching, warmedAgain } from './pan-remedies';
import type { Case, Remedy } from './remedy';
import { belonging, onlyOnce } from './row-remedies';

/** °C gone to before something goes in (J): within the checks' own windows. */
const BEFORE = { butter: 48, warmButter: 45, gelatinHot: 75, gelatinCold: 62, spirit: 60, blender: 42, cultured: 36 };
/** Where condensed milk is warm enough and does not scorch (J). */
const BELOW_SCORCHING = { kind: 'temperature', temperatureC: 80 } as const;

/** Remedies of what gets too hot at a step, or not hot enough. */
function atWarmth(kind: MethodFault['kind'], which: Case): readonly Remedy[] {
  switch (kind) {
    case 'eggScrambles':
      return belowScrambling(which);
    case 'eggUncooked':
      return cookTheEgg(which);
    case 'culturedWarm':
      return [before(which, 'coolFirst', BEFORE.cultured), ...putOff(which)];
    case 'condensedHot':
      return [['lowerHeat', changedStep(which.steps, which.at, { heat: 'low', end: BELOW_SCORCHING, stir: 0.8 })]];
    case 'gelNotBoiled':
      return boilAMinute(which);
    case 'starchLumps':
      return slakeFirst(which);
    case 'whipWarm':
      return chillFirst(which);
    case 'nothingPoured':
      return hotFirst(which);
    default:
      return [];
  }
}

/** Remedies of a fault at a step. */
function atStep(kind: MethodFault['kind'], which: Case, pourC: number): readonly Remedy[] {
  const { steps, at } = which;
  switch (kind) {
    case 'undissolved':
      return dissolving(which);
    case 'unmelted':
      return melting(which);
    case 'seizes':
      return seizing(which);
    case 'chocolateTooHot':
      return [
        ['offTheHeat', changedStep(steps, at, { heat: undefined })],
        ['lowerHeat', changedStep(steps, at, { heat: 'low', end: { kind: 'melted' }, stir: 0.6 })],
      ];
    case 'slurryThick':
      return wetterAside(which, 'starch');
    case 'gelatinDry':
      return wetterAside(which, 'gelatin');
    case 'slurryNotBoiling':
      return [['boilFirst', withStepAt(steps, at, boil([], 'medium'))]];
    case 'floury':
      return cooking(which);
    case 'butterTooWarm':
      return [before(which, 'coolFirst', BEFORE.butter), ...putOff(which)];
    case 'butterTooCold':
      return [before(which, 'warmFirst', BEFORE.warmButter)];
    case 'gelatinCold':
      return [before(which, 'warmFirst', BEFORE.gelatinCold)];
    case 'gelatinHot':
      return [before(which, 'coolFirst', BEFORE.gelatinHot)];
    case 'gelatinBoiled':
      return afterBoil(which);
    case 'mayCurdle':
      return sourLast(which);
    case 'cocoaLumps':
      return cocoaElsewhere(which);
    case 'spiritHot':
      return [before(which, 'coolFirst', BEFORE.spirit), ...putOff(which), ...spiritLast(which)];
    case 'blenderTemperature':
      return [before(which, 'coolFirst', BEFORE.blender), before(which, 'warmFirst', BEFORE.blender)];
    case 'stirredWhileSetting':
      return [['stopStirring', changedStep(steps, at, { stir: 0.2 })]];
    case 'belowPour':
      return [warmedAgain(which, pourC)];
    case 'catches':
    case 'nearlyCatches':
    case 'boilsDry':
      return gentler(which);
    case 'neverEnds':
    case 'neverBoils':
      return reaching(which);
    default:
      return atWarmth(kind, which);
  }
}

/** The usual remedies of a fault, the mildest first; whether one helps is for the pan to say. */
export function mendSteps(
  fault: MethodFault,
  { rows, method, kitchen, pourC }: { rows: MethodRows; method: Method; kitchen: MethodKitchen; pourC: number },
): readonly Remedy[] {
  const { steps, way } = method;
  if (fault.kind === 'rowInNoStep') return belonging({ rows, steps, kitchen }, way, fault.row, pourC);
  if (fault.kind === 'rowTooOften') return onlyOnce(steps, fault.row, fault.share);
  return 'step' in fault ? atStep(fault.kind, { rows, steps, at: fault.step, kitchen }, pourC) : [];
}
