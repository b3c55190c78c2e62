import { whole } from '../rows';
import type { HeatWord, MethodStep, StepAddition, StepKind } from '../step';
import type { RowGroups } from './groups';

/** °C at the most at which cold butter does not oil out (J). */
const BUTTER_WARMEST_C = 58;
/** °C under which a spirit goes in, flame out. */
const SPIRIT_FROM_C = 60;
/** s poured chocolate is waited on before anything is stirred. */
const WAIT_S = 120;
/** s of stirring that make an emulsion, even when all is melted. */
export const STIR_S = 60;
const SOAK_S = 600;
/** °C at which egg coats the spoon, below where it scrambles. */
const COATS_THE_SPOON_C = 83;

type Rest = Partial<Omit<MethodStep, 'kind' | 'where' | 'end'>>;

/** A step with what is usual: nothing goes in, no heat, left alone, open. */
export function step(kind: StepKind, where: MethodStep['where'], end: MethodStep['end'], rest: Rest = {}): MethodStep {
  return { kind, where, adds: [], stir: 0, cover: 0, ...rest, end };
}

/** Brings rows to the boil in the pan, stirred. */
export const boil = (adds: readonly StepAddition[], heat: HeatWord = 'high'): MethodStep =>
  step('boil', 'pan', { kind: 'boil' }, { adds, heat, stir: 0.6, tool: 'spatula' });

/** Kept at the boil: agar and pectin set only once they have boiled through. */
export const boiledOn = step(
  'simmer',
  'pan',
  { kind: 'seconds', seconds: 60 },
  { heat: 'medium', stir: 0.6, tool: 'whisk' },
);

/** Grains dissolve on a medium heat before anything boils. */
const dissolve = (adds: readonly StepAddition[]): MethodStep =>
  step('warm', 'pan', { kind: 'dissolved' }, { adds, heat: 'medium', stir: 0.5, tool: 'whisk' });

/**
 * Brings rows to the boil. Sugar is dissolved in the thin ones first, before anything boils away or thickens: syrups slow its grains down.
 *
 * @param rest of the rows, besides the sugars
 */
export function dissolveAndBoil(
  { sugars, thin, cocoa, mustBoil }: RowGroups,
  rest: readonly StepAddition[],
  heat: HeatWord = 'high',
): MethodStep[] {
  const held = mustBoil ? [boiledOn] : [];
  if (sugars.length === 0) return [boil(rest, heat), ...held];
  // Cocoa between grains of sugar makes no lumps.
  const first = rest.filter(({ row }) => thin.includes(row) || cocoa.includes(row));
  const then = rest.filter(({ row }) => !first.some((each) => each.row === row));
  return [dissolve([...first, ...whole(sugars)]), boil(then, heat), ...held];
}

/** The hot liquid over what lies in the bowl, left to itself, then stirred from the middle outwards. */
export function pourOverAndStir(adds: readonly StepAddition[], tool: 'whisk' | 'spatula' = 'whisk'): MethodStep[] {
  return [
    step('pourOver', 'bowl', { kind: 'seconds', seconds: WAIT_S }, { adds }),
    step('stir', 'bowl', { kind: 'melted' }, { stir: 0.5, tool, leastSeconds: STIR_S }),
  ];
}

/** Egg cooked until it coats the spoon, stirred to the base, never boiled. */
export const cookCustard = (
  adds: readonly StepAddition[],
  heat: HeatWord = 'medium',
  where: MethodStep['where'] = 'pan',
): MethodStep =>
  step(
    'custard',
    where,
    { kind: 'temperature', temperatureC: COATS_THE_SPOON_C },
    { adds, heat, stir: 0.8, tool: 'spatula' },
  );

/** Cools, stirred now and then, to a temperature. */
export const coolTo = (temperatureC: number, where: MethodStep['where'] = 'bowl'): MethodStep =>
  step('cool', where, { kind: 'cooled', temperatureC }, { stir: 0.2, tool: 'spatula' });

/** Cold butter whisked in once it is cool enough, if there is any. */
function coldButter({ butter, butterFromC }: RowGroups, where: MethodStep['where'] = 'bowl'): MethodStep[] {
  if (butter.length === 0) return [];
  return [
    coolTo(butterFromC, where),
    step(
      'butter',
      where,
      { kind: 'melted' },
      { adds: whole(butter).map((each) => ({ ...each, size: 'choppedFine' as const })), stir: 0.6, tool: 'whisk' },
    ),
  ];
}

/** Spirits and whatever else goes in off the heat, if there is any. */
export function offTheHeat(groups: RowGroups, where: MethodStep['where'] = 'bowl'): MethodStep[] {
  return groups.isLatePinch ? [] : [coolTo(SPIRIT_FROM_C, where), ...stirredIn(groups, where)];
}

/** A pinch that goes in late, once it has cooled anyway. */
export const pinchOf = (groups: RowGroups, where: MethodStep['where'] = 'bowl'): MethodStep[] =>
  groups.isLatePinch ? stirredIn(groups, where) : [];

/** What goes in late, stirred in. */
function stirredIn({ late }: RowGroups, where: MethodStep['where']): MethodStep[] {
  if (late.length === 0) return [];
  return [step('spirit', where, { kind: 'seconds', seconds: 20 }, { adds: whole(late), stir: 0.5, tool: 'spatula' })];
}

/** The rows with the butter whisked in as warm as it may be: for what is poured warm. */
export const butterWarm = (groups: RowGroups): RowGroups => ({ ...groups, butterFromC: BUTTER_WARMEST_C });

/** The rows with the butter melted among the liquids: for ways that keep no heat to melt it later. */
export const butterMelted = (groups: RowGroups): RowGroups => ({
  ...groups,
  liquids: [...groups.liquids, ...groups.butter],
  butter: [],
});

/** The rows with the cocoa beside the chocolate, for what boils too thick with it. */
export const cocoaWithChocolate = (groups: RowGroups): RowGroups => ({
  ...groups,
  chocolate: [...groups.cocoa, ...groups.chocolate],
  cocoa: [],
});

/** What ends most ways: butter cold, spirits off the heat, then cooled to where it pours; the warmer of the two first, a pinch of extract last. */
export function finish(groups: RowGroups, pourC: number, where: MethodStep['where'] = 'bowl'): MethodStep[] {
  return [...offTheHeat(groups, where), ...coldButter(groups, where), coolTo(pourC, where), ...pinchOf(groups, where)];
}

/** Gelatin soaked beside the pan. */
export const soak = ({ gelatin }: RowGroups, water: readonly StepAddition[]): MethodStep =>
  step('soak', 'aside', { kind: 'seconds', seconds: SOAK_S }, { adds: [...whole(gelatin), ...water] });

/** Blends without air, the head kept under. */
export const blend = (where: MethodStep['where'] = 'bowl'): MethodStep =>
  step('blend', where, { kind: 'seconds', seconds: 60 }, { stir: 1, tool: 'stickBlender' });

export const strain = (where: MethodStep['where'] = 'bowl'): MethodStep =>
  step('strain', where, { kind: 'seconds', seconds: 40 }, { stir: 0.3 });
