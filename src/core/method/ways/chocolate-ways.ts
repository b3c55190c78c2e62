import { nth } from '../../nth';
import { type MethodRows, whole } from '../rows';
import type { MethodStep, StepAddition } from '../step';
import { anyHolds, type RowGroups } from './groups';
import {
  blend,
  butterMelted,
  cookCustard,
  coolTo,
  dissolveAndBoil,
  finish,
  offTheHeat,
  pinchOf,
  pourOverAndStir,
  STIR_S,
  step,
  strain,
} from './parts';

/** °C a blender works an emulsion at, without air and without breaking it. */
const BLEND_FROM_C = 44;
/** °C a bowl from the microwave is brought to. */
const BURSTS_TO_C = 40;
const BURSTS_FOR_BUTTER_C = 46;
/** °C cream is brought to in the microwave: hot, and short of rising over. */
const CREAM_TO_C = 60;
/** °C the liquid is brought to over the bath before the chocolate goes in. */
const BATH_LIQUID_C = 60;
/** h a whipped ganache rests in the cold. */
const WHIP_REST_H = 12;
/** Part of the cream that is kept cold for a whipped ganache. */
const KEPT_COLD = 0.6;
/** °C condensed milk is warmed to, well below where it scorches. */
const CONDENSED_TO_C = 75;
/** °C the milk is warmed to before the egg goes in. */
const CUSTARD_FROM_C = 70;
/** °C cultured dairy is warmed to before the chocolate goes in. */
const CULTURED_FROM_C = 30;

const isGanache = ({ chocolate, liquids, starch, gelatin, jellies }: RowGroups) =>
  chocolate.length > 0 && liquids.length > 0 && starch.length === 0 && gelatin.length === 0 && jellies.length === 0;

/** Whether all of its liquids may boil: condensed milk would scorch. */
const isBoiledGanache = (groups: RowGroups) => isGanache(groups) && groups.condensed.length === 0;

/** A rolling boil poured over and waited on. */
export function pouredOver(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isBoiledGanache(groups)) return undefined;
  const { liquids, chocolate, cocoa, oils } = groups;
  return [
    ...dissolveAndBoil(groups, whole(liquids)),
    ...pourOverAndStir(whole([...chocolate, ...cocoa, ...oils])),
    ...finish(groups, pourC),
  ];
}

/** A gentle simmer, the chocolate melted in it off the heat. */
export function simmered(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isBoiledGanache(groups)) return undefined;
  const { liquids, chocolate, cocoa, oils } = groups;
  return [
    ...dissolveAndBoil(groups, whole([...liquids, ...cocoa]), 'medium'),
    step('melt', 'pan', { kind: 'melted' }, { adds: whole([...chocolate, ...oils]), stir: 0.4, tool: 'spatula' }),
    ...finish(groups, pourC, 'pan'),
  ];
}

/** Everything in a bowl, in bursts, stirred between. */
export function microwave(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isGanache(groups)) return undefined;
  const { liquids, sugars, chocolate, cocoa, oils } = groups;
  const all = whole([...liquids, ...sugars, ...chocolate, ...cocoa, ...oils]);
  return [
    step(
      'bursts',
      'bowl',
      { kind: 'bursts', toC: groups.butter.length > 0 ? BURSTS_FOR_BUTTER_C : BURSTS_TO_C },
      { adds: all, stir: 0.6, tool: 'whisk' },
    ),
    ...finish(groups, pourC),
  ];
}

/** Everything in a bowl over simmering water: no flame that scorches, and heat enough where there is little cream. */
export function waterBath(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isGanache(groups)) return undefined;
  const { liquids, sugars, chocolate, cocoa, oils } = groups;
  const warmed = { heat: 'bath', stir: 0.4, tool: 'spatula' } as const;
  return [
    step(
      'warm',
      'bowl',
      sugars.length > 0 ? { kind: 'dissolved' } : { kind: 'temperature', temperatureC: BATH_LIQUID_C },
      { adds: whole([...liquids, ...sugars]), ...warmed },
    ),
    step('melt', 'bowl', { kind: 'melted' }, { adds: whole([...chocolate, ...cocoa, ...oils]), ...warmed }),
    step('stir', 'bowl', { kind: 'seconds', seconds: STIR_S }, { stir: 0.5, tool: 'whisk' }),
    ...finish(groups, pourC),
  ];
}

/** The cream heated in the microwave, the chocolate into it, and what is left to melt in bursts. */
export function creamInMicrowave(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, chocolate, cocoa, oils } = groups;
  if (!isGanache(groups) || sugars.length > 0) return undefined;
  return [
    step(
      'bursts',
      'bowl',
      { kind: 'bursts', toC: CREAM_TO_C },
      { adds: whole([...liquids, ...cocoa]), stir: 0.6, tool: 'whisk' },
    ),
    step('pourOver', 'bowl', { kind: 'seconds', seconds: 60 }, { adds: whole([...chocolate, ...oils]) }),
    step('bursts', 'bowl', { kind: 'bursts', toC: BURSTS_TO_C }, { stir: 0.6, tool: 'whisk' }),
    ...finish(groups, pourC),
  ];
}

/** Poured over, then emulsified under the head of a stick blender. */
export function stickBlender(_: MethodRows, all: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isBoiledGanache(all)) return undefined;
  const groups = butterMelted(all);
  const { liquids, chocolate, cocoa, oils } = groups;
  return [
    ...dissolveAndBoil(groups, whole(liquids)),
    ...pourOverAndStir(whole([...chocolate, ...cocoa, ...oils]), 'spatula'),
    ...offTheHeat(groups),
    coolTo(BLEND_FROM_C),
    blend(),
    coolTo(pourC),
    ...pinchOf(groups),
  ];
}

/** Poured over chocolate, sifted cocoa and condensed milk. */
export function overCondensed(rows: MethodRows, all: RowGroups, pourC: number): MethodStep[] | undefined {
  if (!isGanache(all)) return undefined;
  const groups = butterMelted(all);
  const { condensed } = groups;
  const hot = groups.liquids.filter((row) => !condensed.includes(row));
  if (condensed.length === 0 || rows.gramsOf(hot) === 0) return undefined;
  const { chocolate, cocoa, oils } = groups;
  return [
    ...dissolveAndBoil(groups, whole(hot)),
    ...pourOverAndStir(whole([...chocolate, ...cocoa, ...condensed, ...oils])),
    ...finish(groups, pourC),
  ];
}

/** Condensed milk as the liquid it is: warmed gently with the rest, stirred, and the chocolate melted in it. */
export function condensedWarmed(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, chocolate, cocoa, oils, condensed } = groups;
  if (!isGanache(groups) || condensed.length === 0) return undefined;
  const gentle = { heat: 'low', stir: 0.8, tool: 'spatula' } as const;
  const end = { kind: 'temperature', temperatureC: CONDENSED_TO_C } as const;
  return [
    step('warm', 'pan', end, { adds: whole([...liquids, ...sugars, ...cocoa]), ...gentle }),
    step('melt', 'pan', { kind: 'melted' }, { adds: whole([...chocolate, ...oils]), stir: 0.6, tool: 'spatula' }),
    step('stir', 'pan', { kind: 'seconds', seconds: STIR_S }, { stir: 0.5, tool: 'whisk' }),
    ...finish(groups, pourC, 'pan'),
  ];
}

/** Egg cooked to a custard that never boils, strained onto the chocolate. */
export function custard(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, chocolate, cocoa, oils, eggs, starch, gelatin } = groups;
  const milk = liquids.filter((row) => !eggs.includes(row));
  if (eggs.length === 0 || milk.length === 0 || starch.length + gelatin.length > 0) return undefined;
  const melts = whole([...chocolate, ...oils]);
  const first = { adds: whole([...milk, ...sugars, ...cocoa]), heat: 'medium', stir: 0.4, tool: 'whisk' } as const;
  return [
    step('warm', 'pan', { kind: 'temperature', temperatureC: CUSTARD_FROM_C }, first),
    cookCustard(whole(eggs)),
    strain(),
    ...(melts.length > 0 ? pourOverAndStir(melts) : []),
    ...finish(groups, pourC),
  ];
}

/** Cultured dairy, kept cool: warmed a little over the bath, and the chocolate melted in it. */
export function keptCool(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, chocolate, cocoa, oils, cultured, late, starch, gelatin } = groups;
  if (cultured.length === 0 || chocolate.length === 0 || starch.length + gelatin.length > 0) return undefined;
  const gentle = { heat: 'bath', stir: 0.8, tool: 'spatula' } as const;
  const end = { kind: 'temperature', temperatureC: CULTURED_FROM_C } as const;
  // Grated it melts before the rest gets too warm.
  const fine = whole([...chocolate, ...oils]).map((each) => ({ ...each, size: 'grated' as const }));
  return [
    step('warm', 'bowl', end, { adds: whole([...liquids, ...cultured, ...sugars, ...cocoa]), ...gentle }),
    step('melt', 'bowl', { kind: 'melted' }, { adds: fine, ...gentle }),
    step('stir', 'bowl', { kind: 'seconds', seconds: STIR_S }, { stir: 0.5, tool: 'whisk' }),
    ...finish({ ...groups, late: late.filter((row) => !cultured.includes(row)) }, pourC),
  ];
}

/** Fat and chocolate first, the sweetener into them, then the cream. */
export function fatFirst(_: MethodRows, groups: RowGroups, pourC: number): MethodStep[] | undefined {
  const { liquids, sugars, chocolate, cocoa, oils, butter } = groups;
  if (!isGanache(groups) || sugars.length === 0 || butter.length + oils.length === 0) return undefined;
  return [
    step(
      'melt',
      'pan',
      { kind: 'melted' },
      { adds: whole([...butter, ...oils, ...chocolate]), heat: 'low', stir: 0.8 },
    ),
    step(
      'stir',
      'pan',
      { kind: 'seconds', seconds: 60 },
      { adds: whole([...sugars, ...cocoa]), stir: 0.5, tool: 'whisk' },
    ),
    step('warm', 'pan', { kind: 'dissolved' }, { adds: whole(liquids), heat: 'medium', stir: 0.6, tool: 'whisk' }),
    ...finish({ ...groups, butter: [] }, pourC, 'pan'),
  ];
}

/** So much of each of some rows. */
const part = (rows: readonly number[], share: number): StepAddition[] => rows.map((row) => ({ row, share }));

/** Made, loosened with cold cream, rested a night, whipped. */
export function whipped(rows: MethodRows, all: RowGroups, _pourC: number): MethodStep[] | undefined {
  const groups = butterMelted(all);
  const { liquids, chocolate, cocoa, oils } = groups;
  const cream = rows.of('liquid').filter((row) => liquids.includes(row) && anyHolds(rows, [row], 'milk_fat', 0.2));
  if (!isBoiledGanache(groups) || cream.length === 0 || rows.gramsOf(cream) < rows.gramsOf(chocolate)) return undefined;
  // Of two creams one is heated, the other stays cold; one alone is parted.
  const cold = cream.filter((row) => nth(rows.hints, row).stage === 'coldAtEnd');
  const kept = cold.length > 0 ? cold : cream.slice(1);
  const isParted = kept.length === 0 || kept.length === cream.length;
  const hot = isParted ? part(cream, 1 - KEPT_COLD) : whole(cream.filter((row) => !kept.includes(row)));
  const others = liquids.filter((row) => !cream.includes(row));
  return [
    ...dissolveAndBoil(groups, [...hot, ...whole(others)]),
    ...pourOverAndStir(whole([...chocolate, ...cocoa, ...oils])),
    ...offTheHeat(groups),
    ...pinchOf(groups),
    step(
      'stir',
      'bowl',
      { kind: 'seconds', seconds: 60 },
      { adds: isParted ? part(cream, KEPT_COLD) : whole(kept), stir: 0.5, tool: 'spatula' },
    ),
    step('chill', 'bowl', { kind: 'stand', hours: WHIP_REST_H }, { cover: 1 }),
    step('whip', 'bowl', { kind: 'seconds', seconds: 90 }, { stir: 0.8, tool: 'whisk' }),
  ];
}
