import type { MethodFault } from '@/core/method/fault';
import { capital } from '@/formats/capital';
import { HEAT_SENTENCES } from './step-words';

/** How numbers of a fault are written: the kitchen's own units. */
export interface FaultNumbers {
  readonly celsius: (temperatureC: number) => string;
  readonly weight: (grams: number) => string;
  readonly percent: (share: number) => string;
  readonly ratio: (value: number) => string;
  readonly duration: (seconds: number) => string;
  /** name of a row */
  readonly row: (row: number) => string;
}

/** s from which on it is told how long was waited. */
const LONG_S = 24 * 3600;

/** Why a step does not come to its end. */
function noEndSentence(
  fault: Extract<MethodFault, { kind: 'neverEnds' | 'neverBoils' | 'boilsDry' }>,
  n: FaultNumbers,
): string {
  switch (fault.kind) {
    case 'neverEnds':
      return fault.seconds > LONG_S
        ? `After ${n.duration(fault.seconds)} it is still at ${n.celsius(fault.temperatureC)}. More heat, less in the pan, or another end.`
        : `It never comes there: it stays at ${n.celsius(fault.temperatureC)}. More heat, less in the pan, or another end.`;
    case 'neverBoils':
      return `${capital(HEAT_SENTENCES[fault.heat])} it steams at ${n.celsius(fault.temperatureC)} and does not boil: more heat.`;
    case 'boilsDry':
      return `It boils dry after ${n.duration(fault.seconds)}: less heat, more liquid, or a shorter step.`;
  }
}

/** What gets too hot, or not hot enough. */
function warmthSentence(
  fault: Extract<
    MethodFault,
    {
      kind:
        | 'butterTooWarm'
        | 'butterTooCold'
        | 'eggScrambles'
        | 'eggUncooked'
        | 'culturedWarm'
        | 'condensedHot'
        | 'gelNotBoiled'
        | 'starchLumps'
        | 'whipWarm';
    }
  >,
  n: FaultNumbers,
): string {
  switch (fault.kind) {
    case 'butterTooWarm':
      return `At ${n.celsius(fault.temperatureC)} butter oils out: let it come below ${n.celsius(60)} first.`;
    case 'butterTooCold':
      return `At ${n.celsius(fault.temperatureC)} butter stays in lumps: put it in above ${n.celsius(35)}.`;
    case 'eggScrambles':
      return `Egg scrambles at ${n.celsius(fault.temperatureC)}. Cook it to between ${n.celsius(82)} and ${n.celsius(84)}, never over ${n.celsius(85)}.`;
    case 'eggUncooked':
      return `Egg only comes to ${n.celsius(fault.temperatureC)}: cook it to ${n.celsius(82)}, or take pasteurised egg.`;
    case 'culturedWarm':
      return `At ${n.celsius(fault.temperatureC)} cultured dairy turns grainy: keep it below ${n.celsius(40)}.`;
    case 'condensedHot':
      return `Condensed milk at ${n.celsius(fault.temperatureC)} over a flame scorches: below ${n.celsius(90)}, stirred all the time.`;
    case 'gelNotBoiled':
      return `${fault.gel === 'agar' ? 'Agar' : 'Pectin'} only comes to ${n.celsius(fault.temperatureC)}: without a minute’s boil it does not set.`;
    case 'starchLumps':
      return `Dry starch into ${n.celsius(fault.temperatureC)} makes lumps: mix it with cold liquid first.`;
    case 'whipWarm':
      return `At ${n.celsius(fault.temperatureC)} it takes no air: whip it below ${n.celsius(10)}, from the fridge.`;
  }
}

/** What is wrong, as a cook would say it: with what mends it. */
export function faultSentence(fault: MethodFault, n: FaultNumbers): string {
  switch (fault.kind) {
    case 'overflows':
      return 'The pan does not hold it: take a wider one, or two.';
    case 'boilsOver':
      return 'More than half full, it boils over: take a wider pan.';
    case 'undissolved':
      return `${n.weight(fault.grams)} of sugar do not dissolve here: more thin liquid before it, or longer before it boils.`;
    case 'unmelted':
      return fault.togetherC === undefined
        ? `${n.weight(fault.grams)} stay unmelted: warm it, or smaller pieces.`
        : `${n.weight(fault.grams)} stay unmelted: together they stand at only ${n.celsius(fault.togetherC)}. Hotter liquid, smaller pieces, or more of the liquid.`;
    case 'seizes':
      return `So little liquid seizes the chocolate: it stiffens before it loosens. All at once, and at least ${n.weight(fault.neededG)}.`;
    case 'chocolateTooHot':
      return `Chocolate without liquid around it at ${n.celsius(fault.temperatureC)}: over ${n.celsius(fault.mostC)} it scorches. Off the heat first.`;
    case 'slurryThick':
      return `A slurry of ${n.ratio(fault.perGram)} g to the gram is a paste: at least 4 g of cold liquid to each gram of starch.`;
    case 'slurryNotBoiling':
      return `The pot is only at ${n.celsius(fault.temperatureC)} when the slurry goes in: bring it to the boil first.`;
    case 'floury':
      return `Only ${n.percent(fault.cooked)} of the starch is cooked: floury. Another minute at the boil.`;
    case 'gelatinDry':
      return `Gelatin in ${n.ratio(fault.perGram)} times its weight of water does not swell through: five times is usual.`;
    case 'gelatinCold':
      return `At ${n.celsius(fault.temperatureC)} gelatin does not melt: ${n.celsius(50)} at least.`;
    case 'gelatinHot':
      return `At ${n.celsius(fault.temperatureC)} gelatin is weakened: let it come below ${n.celsius(80)}.`;
    case 'gelatinBoiled':
      return 'Gelatin is boiled here and sets weaker: boil first, then the gelatin.';
    case 'mayCurdle':
      return `At ${n.celsius(fault.temperatureC)} and a pH of about ${n.ratio(fault.ph)} milk may curdle: let it cool below ${n.celsius(60)} first, or put what is sour in last.`;
    case 'cocoaLumps':
      return `Cocoa dry onto liquid at ${n.celsius(fault.temperatureC)} makes lumps: sift it with the sugar, into the fat, or into cold liquid.`;
    case 'spiritHot':
      return `At ${n.celsius(fault.temperatureC)} the spirit loses ${n.percent(fault.lost)} of its alcohol, and its vapour can light: flame out, below ${n.celsius(70)}.`;
    case 'nothingPoured':
      return 'Nothing hot is there to pour over it: heat the liquid first.';
    case 'blenderTemperature':
      return `Blended at ${n.celsius(fault.temperatureC)} it takes air or parts: between ${n.celsius(32)} and ${n.celsius(45)}.`;
    case 'stirredWhileSetting':
      return `Stirred down to ${n.celsius(fault.temperatureC)} it grains and breaks: stop stirring at ${n.celsius(31)}.`;
    case 'belowPour':
      return `It is at ${n.celsius(fault.temperatureC)} in the end, and pours at ${n.celsius(fault.pourC)}: warm it again, gently.`;
    case 'catches':
      return 'It begins to catch at the base: turn it down, stir, or take a thicker pan.';
    case 'nearlyCatches':
      return 'It comes near to catching: scrape the base, turn it down.';
    case 'neverEnds':
    case 'neverBoils':
    case 'boilsDry':
      return noEndSentence(fault, n);
    case 'rowInNoStep':
      return `${n.weight(fault.grams)} of ${n.row(fault.row)} go in nowhere.`;
    case 'rowTooOften':
      return `${n.row(fault.row)} goes in more than once.`;
    default:
      return warmthSentence(fault, n);
  }
}
