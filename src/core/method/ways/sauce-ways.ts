import { nth } from '../../nth';
import { type MethodRows, whole } from '../rows';
import type { HeatWord, MethodStep, StepAddition } from '../step';
import { anyHolds, type RowGroups } from './groups';
import { blend, boil, coolTo, dissolveAndBoil, finish, pourOverAndStir, soak, step, strain } from './parts';

/** g of cold liquid a gram of starch is slaked in. */
const SLURRY = 5;
/** g of cold water a gram of gelatin takes up. */
const SOAK = 5;
/** Share of the starch that must have gelatinised before it is called cooked. */
const COOKED = 0.9;
/** s it boils at least once the starch is in. */
const COOK_OUT_S = 60;
/** °C at which soaked gelatin melts in, and is not hurt. */
const GELATIN_C = 79;
const BLEND_C = 42;
/** s cocoa swells at the boil (J). */
const SIMMER_S = 60;
/** Part of the glaze's weight from which what stands beside it is boiled by itself (J). */
const BESIDE_GLAZE = 0.15;

/** The cold liquid a starch is slaked in: noted, or a part of the thinnest that is boiled. */
function slurryLiquid(rows: MethodRows, { starch, liquids }: RowGroups): StepAddition[] {
  const noted = liquids.filter((row) => nth(rows.hints, row).slakes);
  if (noted.length > 0) return whole(noted);
  const wanted = SLURRY * rows.gramsOf(starch);
  const thin = rows.of('liquid').filter((row) => liquids.includes(row) && anyHolds(rows, [row], 'water', 0.8));
  const from = (thin.length > 0 ? thin : liquids).toSorted((a, b) => rows.gramsOf([b]) - rows.gramsOf([a]))[0];
  return from === undefined ? [] : [{ row: from, share: Math.min(wanted / rows.gramsOf([from]), 0.9) }];
}

/** Water gelatin soaks in: noted, or so much of the wettest that is boiled as it takes up. */
function soakWater(rows: MethodRows, { gelatin, soak: noted, liquids }: RowGroups): StepAddition[] {
  if (noted.length > 0) return whole(noted);
  const thin = rows.of('liquid').filter((row) => liquids.includes(row) && anyHolds(rows, [row], 'water', 0.8));
  const from = thin.toSorted((a, b) => rows.gramsOf([b]) - rows.gramsOf([a]))[0];
  if (from === undefined) return [];
  return [{ row: from, share: Math.min((SOAK * rows.gramsOf(gelatin)) / rows.gramsOf([from]), 0.9) }];
}

/** What is left of rows once a part of them is used elsewhere. */
function without(rows: readonly number[], used: readonly StepAddition[]): StepAddition[] {
  return rows.flatMap((row) => {
    const share = 1 - (used.find((each) => each.row === row)?.share ?? 0);
    return share > 1e-9 ? [{ row, share }] : [];
  });
}

/** Slaked, boiled, cooked out, and the chocolate melted in it off the heat: a thick pan is never boiled. */
export function starchSauce(rows: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { starch, liquids, cocoa, chocolate, oils, gelatin } = groups;
  if (starch.length === 0 || liquids.length === 0 || gelatin.length > 0) return undefined;
  const cold = slurryLiquid(rows, groups);
  const melts = whole([...chocolate, ...oils]);
  return [
    step('soak', 'aside', { kind: 'seconds', seconds: 30 }, { adds: [...whole(starch), ...cold], stir: 0.6 }),
    ...dissolveAndBoil(groups, [...without(liquids, cold), ...whole(cocoa)]),
    ...cookedOut('medium'),
    ...(melts.length > 0 ? [step('melt', 'pan', { kind: 'melted' }, { adds: melts, stir: 0.6, tool: 'whisk' })] : []),
    strain(),
    ...finish(groups, pourC),
  ];
}

/** Slurry in, back to the boil, cooked out. */
const cookedOut = (heat: HeatWord): MethodStep[] => [
  step('slurry', 'pan', { kind: 'boil' }, { heat, stir: 0.8, tool: 'whisk' }),
  step(
    'cookOut',
    'pan',
    { kind: 'cooked', share: COOKED },
    { heat, stir: 0.8, tool: 'whisk', leastSeconds: COOK_OUT_S },
  ),
];

/** Boil, chocolate off the heat, boil again on a gentle flame, slurry in last, cooked out, strained: some like its body better. */
export function starchLast(rows: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { starch, liquids, cocoa, chocolate, oils, gelatin } = groups;
  if (starch.length === 0 || liquids.length === 0 || gelatin.length > 0) return undefined;
  const melts = whole([...chocolate, ...oils]);
  if (melts.length === 0) return undefined;
  const cold = slurryLiquid(rows, groups);
  return [
    step('soak', 'aside', { kind: 'seconds', seconds: 30 }, { adds: [...whole(starch), ...cold], stir: 0.6 }),
    ...dissolveAndBoil(groups, [...without(liquids, cold), ...whole(cocoa)]),
    step('melt', 'pan', { kind: 'melted' }, { adds: melts, stir: 0.6, tool: 'whisk' }),
    boil([], 'medium'),
    ...cookedOut('medium'),
    strain(),
    ...finish(groups, pourC),
  ];
}

/** Cocoa and sugar boiled with the milk, butter cold at the end. */
export function cocoaSyrup(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { cocoa, liquids, chocolate, starch, gelatin, oils } = groups;
  if (cocoa.length === 0 || liquids.length === 0 || starch.length > 0 || gelatin.length > 0) return undefined;
  if (chocolate.length > 0) return undefined;
  return [
    ...dissolveAndBoil(groups, whole([...cocoa, ...liquids, ...oils]), 'medium'),
    step('simmer', 'pan', { kind: 'seconds', seconds: SIMMER_S }, { heat: 'medium', stir: 0.6, tool: 'whisk' }),
    ...finish(groups, pourC, 'pan'),
  ];
}

/** A mirror glaze: gelatin soaked, the syrup boiled, all of it melted, blended without air, sieved, tempered down. */
export function gelatinMirror(rows: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { gelatin, liquids, cocoa, chocolate, oils, starch, condensed } = groups;
  if (gelatin.length === 0 || liquids.length === 0 || starch.length > 0) return undefined;
  // Condensed milk would catch at the boil: it waits in the bowl.
  const over = whole([...chocolate, ...condensed, ...oils]);
  const boiled = liquids.filter((row) => !condensed.includes(row));
  const water = soakWater(rows, groups);
  return [
    soak(groups, water),
    ...dissolveAndBoil(groups, [...without(boiled, water), ...whole(cocoa)], 'medium'),
    coolTo(GELATIN_C, 'pan'),
    step('gelatin', 'pan', { kind: 'seconds', seconds: 60 }, { stir: 0.4, tool: 'spatula' }),
    ...(over.length > 0 ? pourOverAndStir(over, 'spatula') : []),
    coolTo(BLEND_C),
    blend(),
    strain(),
    ...finish(groups, pourC),
  ];
}

/** s cream, butter and syrup of a shine glaze take to their boil at least (J). */
const GLAZE_BOIL_S = 300;

/** A shine glaze: cream, butter and syrup boiled, the chocolate melted in it off the heat, the neutral glaze last; a neutral glaze alone is warmed. */
export function neutralGlaze(rows: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, cocoa, chocolate, oils, starch, gelatin, jellies } = groups;
  const glaze = liquids.filter((row) => jellies.includes(row));
  if (glaze.length === 0 || starch.length > 0 || gelatin.length > 0) return undefined;
  const melts = whole([...chocolate, ...oils]);
  const rest = liquids.filter((row) => !glaze.includes(row));
  const melted = melts.length > 0 ? pourOverAndStir(melts, 'spatula') : [];
  const smooth = [coolTo(BLEND_C), blend(), ...finish(groups, pourC)];
  if (rows.gramsOf(rest) < rows.gramsOf(glaze) * BESIDE_GLAZE) {
    const adds = whole([...liquids, ...sugars, ...cocoa]);
    const end = { kind: 'temperature', temperatureC: 70 } as const;
    return [step('warm', 'pan', end, { adds, heat: 'medium', stir: 0.4, tool: 'spatula' }), ...melted, ...smooth];
  }
  const [first, ...boiled] = dissolveAndBoil(groups, whole([...rest, ...cocoa]), 'medium').toReversed();
  return [
    ...boiled.toReversed(),
    ...(first ? [{ ...first, leastSeconds: Math.max(GLAZE_BOIL_S, first.leastSeconds ?? 0) }] : []),
    ...melted,
    step('stir', 'bowl', { kind: 'seconds', seconds: 60 }, { adds: whole(glaze), stir: 0.4, tool: 'spatula' }),
    ...smooth,
  ];
}

/** Warmed again from the jar in bursts, stirred between, until it pours. */
export function reheated(rows: MethodRows, _groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const all = rows.lines.flatMap(({ grams }, row) => (grams > 0 ? [row] : []));
  if (all.length === 0) return undefined;
  return [step('bursts', 'jar', { kind: 'bursts', toC: pourC }, { adds: whole(all), stir: 0.6, tool: 'spatula' })];
}
