import type { MethodFault } from '@/core/method/fault';
import type { ProposedWay, WayReason } from '@/core/method/propose';
import type { StepKind, WayId } from '@/core/method/step';
import type { Tool } from '@/core/pan/pan';
import { capital } from '@/formats/capital';

/** What each way of working is called, and why a cook takes it. */
export const WAY_WORDS: Readonly<Record<WayId, { readonly name: string; readonly for: string }>> = {
  pouredOver: {
    name: 'rolling boil, poured over, waited on',
    for: 'The cream’s heat alone melts the chocolate. Nothing scorches.',
  },
  simmered: {
    name: 'gentle simmer, chocolate melted in it',
    for: 'One pan, and heat to spare where there is much liquid to little chocolate.',
  },
  microwave: {
    name: 'bursts in the microwave',
    for: 'One bowl, no flame. Short bursts: the middle scorches before the rest is warm.',
  },
  waterBath: {
    name: 'in a bowl over simmering water',
    for: 'Steam warms gently and does not catch at the base. For much chocolate to little cream.',
  },
  creamInMicrowave: {
    name: 'cream heated in the microwave, chocolate into it',
    for: 'No pan to wash. Stir the cream before you lift it out: it can boil over late.',
  },
  starchSauce: {
    name: 'starch sauce, cooked out before the chocolate',
    for: 'Starch thickens only once it has boiled. The chocolate goes in last, off the heat. So a thick pan never boils.',
  },
  starchLast: {
    name: 'starch sauce, chocolate first, starch last',
    for: 'Some like its body better. A thick pan catches easily: gentle flame, and stir to the base.',
  },
  condensedWarmed: {
    name: 'condensed milk warmed, chocolate melted in it',
    for: 'Condensed milk is the liquid here, and it scorches early. Warm it gently, never to the boil.',
  },
  custard: {
    name: 'custard of egg, never boiled',
    for: 'Egg gives body a few degrees below where it scrambles. The custard then melts the chocolate.',
  },
  keptCool: {
    name: 'cultured dairy kept cool, chocolate melted in it',
    for: 'Yoghurt and soured cream turn grainy when hot. Warm them only a little, over simmering water.',
  },
  cocoaSyrup: {
    name: 'cocoa and sugar boiled with the milk',
    for: 'Boiling wets the cocoa through and rounds it; the butter stays cold until the end for gloss.',
  },
  overCondensed: {
    name: 'poured over chocolate, cocoa and condensed milk',
    for: 'Condensed milk catches at the boil, so that it waits in the bowl.',
  },
  fatFirst: {
    name: 'fat and chocolate first, sweetener, then cream',
    for: 'How many begin; but a sweetener finds no water in fat. Cream first, sweetener into it, is quicker and smoother.',
  },
  gelatinMirror: {
    name: 'mirror glaze with gelatin',
    for: 'Gelatin melts in well below the boil, which would weaken it; no air may be stirred in.',
  },
  neutralGlaze: {
    name: 'shine glaze on neutral glaze',
    for: 'The neutral glaze brings the shine: it is only warmed until all of it is smooth.',
  },
  stickBlender: {
    name: 'poured over, then the stick blender',
    for: 'The finest emulsion and the longest shine; the head stays under, so that no air comes in.',
  },
  whipped: {
    name: 'made, rested cold, whipped',
    for: 'A night in the cold sets the fat that the whisk then holds air with.',
  },
  reheated: {
    name: 'warmed again from the jar',
    for: 'What is made already only has to pour again: short bursts, stirred, and no hotter than it must be.',
  },
};

/** Why a way is the usual one. */
const REASON_WORDS: Readonly<Record<WayReason, string>> = {
  gelatinMustMelt: 'there is gelatin in it',
  starchMustBoil: 'its starch must boil',
  glazeIsWarmed: 'it is built on a neutral glaze',
  noChocolate: 'cocoa alone colours it',
  notedSo: 'your rows say so',
  whippedUse: 'it is to be whipped',
  fineEmulsion: 'it is meant to be very fine',
  condensedScorches: 'condensed milk must not boil',
  eggMustNotBoil: 'egg must not boil',
  culturedKeptCool: 'cultured dairy is kept cool',
  muchLiquid: 'there is much liquid to little chocolate',
  enoughHeat: 'the cream’s heat melts all of it',
  cleanest: 'nothing goes wrong in it',
  leastWrong: 'each way that was tried leaves something wrong, this one least',
};

/** What a way would leave wrong, after “would”. */
export const WOULD_WORDS: Readonly<Record<MethodFault['kind'] | 'abovePour', string>> = {
  overflows: 'not fit the pan',
  boilsOver: 'boil over',
  undissolved: 'leave sugar undissolved',
  unmelted: 'leave pieces unmelted',
  seizes: 'seize the chocolate',
  chocolateTooHot: 'scorch the chocolate',
  slurryThick: 'make the starch lumpy',
  slurryNotBoiling: 'not boil the starch',
  floury: 'leave it floury',
  butterTooWarm: 'oil out the butter',
  butterTooCold: 'leave lumps of butter',
  gelatinDry: 'leave the gelatin dry',
  gelatinCold: 'not melt the gelatin',
  gelatinHot: 'weaken the gelatin',
  gelatinBoiled: 'boil the gelatin',
  mayCurdle: 'risk curdling',
  cocoaLumps: 'make lumps of cocoa',
  spiritHot: 'lose the spirit',
  eggScrambles: 'scramble the egg',
  eggUncooked: 'leave the egg uncooked',
  culturedWarm: 'turn the cultured dairy grainy',
  condensedHot: 'scorch the condensed milk',
  gelNotBoiled: 'not boil what must set',
  starchLumps: 'make lumps of starch',
  whipWarm: 'whip it too warm',
  nothingPoured: 'have nothing to pour',
  blenderTemperature: 'blend it too warm or too cold',
  stirredWhileSetting: 'stir it while it sets',
  belowPour: 'end too cool to pour',
  abovePour: 'end too warm to pour',
  catches: 'catch at the base',
  nearlyCatches: 'nearly catch at the base',
  neverEnds: 'never come to its end',
  neverBoils: 'never boil',
  boilsDry: 'boil dry',
  rowInNoStep: 'leave a row out',
  rowTooOften: 'use a row twice',
};

/** Why a way is proposed, read off the run. */
export function proposalSentence(
  { why, togetherC, instead }: Pick<ProposedWay, 'why' | 'togetherC' | 'instead'>,
  celsius: (temperatureC: number) => string,
): string {
  const warm = why === 'enoughHeat' && togetherC !== undefined ? `, ${celsius(Math.round(togetherC))} together` : '';
  const other = instead ? ` ${capital(WAY_WORDS[instead.way].name)} would ${WOULD_WORDS[instead.fault]}.` : '';
  return `Proposed: ${REASON_WORDS[why]}${warm}.${other}`;
}

/** What is in the hand. */
export const TOOL_WORDS: Readonly<Record<Tool, string>> = {
  careless: 'spoon',
  spatula: 'spatula',
  whisk: 'whisk',
  stickBlender: 'stick blender',
};

/** A step: what it is called, how it looks at its end, why it is done so, and what can go wrong. */
export interface StepWords {
  readonly name: string;
  readonly looks: string;
  readonly why: string;
  readonly wrong: string;
}

export const STEP_WORDS: Readonly<Record<StepKind, StepWords>> = {
  soak: {
    name: 'Soak or mix beside the pan',
    looks: 'No dry lump is left',
    why: 'Gelatin must swell before it melts, starch must be wet before it meets heat: both make lumps otherwise.',
    wrong: 'Dry lumps stay lumps: press them through a sieve now, not later.',
  },
  warm: {
    name: 'Warm until no grain is felt',
    looks: 'Nothing grits under the spatula',
    why: 'Grains dissolve in thin, warm liquid; once it is thick or boiling away they hardly do.',
    wrong: 'Still gritty: a little more liquid, and wait before it boils.',
  },
  boil: {
    name: 'To a rolling boil',
    looks: 'Bubbles rise all over and do not stir down',
    why: 'A full boil is the same every time, and carries the most heat.',
    wrong: 'Rising to the rim: off the heat at once, then lower.',
  },
  simmer: {
    name: 'Simmer',
    looks: 'Bubbles at the rim only',
    why: 'Cocoa swells and thickens; more would only boil water away.',
    wrong: 'Too thick: a splash of hot water.',
  },
  custard: {
    name: 'Cook the custard, never boiling',
    looks: 'It coats the spoon; a finger leaves a clear line',
    why: 'Egg thickens just before it scrambles. Go slowly, and stir to the base.',
    wrong: 'Grainy: off the heat, into a cold bowl, blend it and strain it.',
  },
  melt: {
    name: 'Off the heat, melt the chocolate in it',
    looks: 'No piece knocks against the spatula',
    why: 'What is in the pan holds heat enough; a flame would scorch it at the base.',
    wrong: 'Pieces left: warm it gently, 20 seconds at a time.',
  },
  pourOver: {
    name: 'Pour over, leave it',
    looks: 'No lump stands out',
    why: 'Stirring cold lumps chills the liquid before their middle melts.',
    wrong: 'Lumps left and it is lukewarm: over steam, 20 seconds at a time.',
  },
  wait: {
    name: 'Wait',
    looks: 'Still',
    why: 'Heat goes on into the middle.',
    wrong: 'Nothing, as long as it is covered.',
  },
  stir: {
    name: 'Stir from the middle outwards',
    looks: 'Dull at first, then it suddenly shines',
    why: 'A small tight middle draws the rest in; stirring everywhere at once lets the fat stay apart.',
    wrong: 'Oily at the rim: a spoon of cold cream, from the middle again.',
  },
  bursts: {
    name: 'Bursts in the microwave, stirred between',
    looks: 'Smooth and just warm',
    why: 'The hottest place is far hotter than the rest: stirring spreads it before it scorches.',
    wrong: 'A scorched spot: lift it out, do not stir it in.',
  },
  slurry: {
    name: 'Slurry in, back to the boil',
    looks: 'It thickens as the bubbles come back',
    why: 'Starch swells only near the boil.',
    wrong: 'Lumps: whisk hard now, and strain.',
  },
  cookOut: {
    name: 'Cook it out',
    looks: 'Glossy, no floury taste',
    why: 'Half-cooked starch tastes of flour and weeps in the fridge.',
    wrong: 'Gluey: it cannot be undone, only thinned.',
  },
  butter: {
    name: 'Cold butter, whisked in',
    looks: 'Each piece is gone before the next',
    why: 'Cool enough, butter goes in as an emulsion: body and gloss, no oil.',
    wrong: 'Oil on top: cool it, a spoon of cold cream, whisk from the middle.',
  },
  spirit: {
    name: 'Spirit and flavour, off the heat',
    looks: 'Taken up, no streak',
    why: 'In the heat aroma and alcohol go; near a flame it can light.',
    wrong: 'Thin: cool it before you judge it.',
  },
  gelatin: {
    name: 'Melt the soaked gelatin in it',
    looks: 'No string, no clear speck',
    why: 'Well below the boil it melts at once; boiled it sets weaker.',
    wrong: 'Specks: warm it gently and stir, far from the boil.',
  },
  blend: {
    name: 'Stick blender, no air',
    looks: 'Even and mirror-smooth',
    why: 'Warm enough to flow, cool enough not to part; the head stays under the surface.',
    wrong: 'Bubbles: let it stand, tap it, strain it once more.',
  },
  strain: {
    name: 'Through a sieve',
    looks: 'Nothing left on the mesh but foam',
    why: 'Lumps and foam show on whatever it is poured over.',
    wrong: 'It will not pass: it is too cold, warm it a little.',
  },
  cool: {
    name: 'Let it cool, stirred now and then',
    looks: 'It coats the spoon and falls slower',
    why: 'Warm it lies thin and runs off; it thickens long before it sets.',
    wrong: 'A skin: whisk it in while it is warm, or cover the surface.',
  },
  chill: {
    name: 'Into the fridge',
    looks: 'Set through, no shine of liquid',
    why: 'Its fat needs hours to set, not minutes.',
    wrong: 'Soft in the middle: it needs longer, or a flatter dish.',
  },
  whip: {
    name: 'Whip',
    looks: 'Pale, holds a soft peak',
    why: 'Set fat holds the air; one turn too many and it grains.',
    wrong: 'Grainy: a splash of cold cream, folded in.',
  },
};
