import type { GateReading } from '@/core/formula/gates';
import { keysOf } from '@/core/keys-of';
import { K } from '@/core/model-constants';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import type { Risks } from '@/core/stability/risks';
import { capital } from '@/formats/capital';
import { type UseVerdict, verdictOfUse } from '@/kitchen/words/use-verdicts';
import { celsius, listed, percent, significant } from '@/ui/format';
import { momentPhrase } from '@/ui/moment-words';
import { POUR_ABOVE_C, QUANTITY_WORDS } from '@/ui/quantity-words';
import { fixed } from '@/ui/settings/numerals';

/** A piece of the verdict; `off` pieces say what is wrong. */
export interface VerdictPart {
  readonly text: string;
  readonly off: boolean;
}

const FLOW = new Set(['apparentViscosityPaS', 'yieldStressPa', 'resistancePa']);

const say = (text: string, off = false): VerdictPart => ({ text, off });

/** A sentence with its figures put in; what stands between asterisks is off. */
function fill(sentence: string, put: Readonly<Record<string, string>>): VerdictPart[] {
  const whole = capital(sentence.replace(/\{(\w+)\}/g, (slot, name: string) => put[name] ?? slot));
  return whole.split('*').flatMap((text, i) => (text === '' ? [] : [say(text, i % 2 === 1)]));
}

/** The gate that is missed by most, in logarithms. */
function worst(gates: readonly GateReading[]): GateReading | undefined {
  const miss = ({ value, low, high }: GateReading) =>
    Math.max(
      Math.log((low ?? 0) / Math.max(value, 1e-9)),
      Math.log(Math.max(value, 1e-9) / (high ?? Number.POSITIVE_INFINITY)),
    );
  return gates.filter((gate) => !gate.lands).sort((a, b) => miss(b) - miss(a))[0];
}

/** A gated moment and the flow gate it misses by most, if any. */
interface Judged {
  readonly name: string;
  readonly temperatureC: number;
  readonly missed: GateReading | undefined;
}

const isPour = ({ temperatureC }: Judged) => temperatureC >= POUR_ABOVE_C;
const where = ({ name, temperatureC }: Judged) => `${momentPhrase(name)} (${celsius(temperatureC)})`;

/** What is said of a warm moment. */
function sayPour({ temperatureC, missed }: Judged, said: UseVerdict): VerdictPart[] {
  const sentence = !missed ? said.pours : missed.side > 0 ? said.tooThick : said.tooThin;
  return fill(sentence, { at: celsius(temperatureC) });
}

/** What is said of the cold moments: the good ones in one sentence, then each that misses. */
function saySets(sets: readonly Judged[], said: UseVerdict): VerdictPart[][] {
  const good = sets.filter((judged) => !judged.missed).map(where);
  return [
    ...(good.length > 0 ? [fill(said.sets, { places: listed(good) })] : []),
    ...sets.flatMap((judged) => {
      if (!judged.missed) return [];
      return [fill(judged.missed.side > 0 ? said.tooStiff : said.tooSoft, { places: where(judged) })];
    }),
  ];
}

/** What is said of a missed gate that is no flow. */
function sayOther(gate: GateReading): VerdictPart {
  if (gate.quantity === 'shine') {
    return say(gate.side < 0 ? 'It will not shine enough.' : 'It shines more than wanted.', true);
  }
  if (gate.quantity === 'waterActivity') {
    return say(gate.side > 0 ? 'It will not keep as long as wanted.' : 'It is drier than wanted.', true);
  }
  const words = QUANTITY_WORDS[gate.quantity];
  return say(`It is ${gate.side > 0 ? words.tooHigh : words.tooLow}.`, true);
}

const whole = (sentence: readonly VerdictPart[]) => sentence.map(({ text }) => text).join('');

/** Each sentence once: two moments at one temperature may be said alike. */
const saidOnce = (sentences: readonly (readonly VerdictPart[])[]): VerdictPart[] =>
  sentences.filter((sentence, i) => sentences.findIndex((each) => whole(each) === whole(sentence)) === i).flat();

/** The verdict as plain text, as it is read aloud. */
export const verdictText = (parts: readonly VerdictPart[]) => parts.map(({ text }) => text.trim()).join(' ');

/**
 * The verdict as a cook would say it: the pours, the sets, then shine and keeping where they miss. No sentence is said twice.
 *
 * @example [{ text: 'Coats at 32 °C.', off: false }, …]
 */
export function verdict(prediction: Prediction, use: string | undefined): VerdictPart[] {
  if (prediction.gates.length === 0) {
    return [say('No gates yet: set what it must do, and it will be judged.')];
  }
  const said = verdictOfUse(use);
  const judged = prediction.moments.flatMap(({ moment }): Judged[] => {
    const gates = prediction.gates.filter((gate) => gate.moment === moment.name && FLOW.has(gate.quantity));
    return gates.length > 0 ? [{ name: moment.name, temperatureC: moment.temperatureC, missed: worst(gates) }] : [];
  });
  const flow = [
    ...judged.filter(isPour).map((each) => sayPour(each, said)),
    ...saySets(
      judged.filter((each) => !isPour(each)),
      said,
    ),
  ];
  const others = prediction.gates
    .filter((gate) => !FLOW.has(gate.quantity) && !gate.lands)
    .map((gate) => [sayOther(gate)]);
  return saidOnce([...flow, ...others]);
}

/** A risk in a cook's words: its name, the reason with the number behind it, and what would lower it. */
interface RiskWords {
  readonly name: string;
  readonly reason: (reading: MomentReading, prediction: Prediction) => string;
  readonly cure: string;
}

const per100 = (grams: number, massG: number) => `${significant((100 * grams) / massG)} g in 100 g`;

const RISK_WORDS: Readonly<Record<keyof Risks, RiskWords>> = {
  broken: {
    name: 'may split',
    reason: ({ state }) =>
      `fat takes ${percent(state.flow.phases.fatCrowding)} of the room it shares with free syrup; from about ${percent(K.breakingFat)} it breaks`,
    cure: 'more liquid without fat, or mix it better',
  },
  seized: {
    name: 'seizes',
    reason: (_, { batch: { mixture } }) =>
      `a little water (${per100(mixture.waterG, mixture.massG)}) glues the sugar of melted chocolate`,
    cure: 'more liquid: a little does not help',
  },
  grainy: {
    name: 'grainy',
    reason: ({ state }, { batch: { mixture } }) =>
      `${per100(state.flow.dissolved.crystalsG, mixture.massG)} of sugars find no water at ${celsius(state.flow.temperatureC)}`,
    cure: 'more water, or glucose or invert syrup for sugar',
  },
  chalky: {
    name: 'chalky from cocoa',
    reason: ({ state }) => `swollen cocoa fills ${percent(state.flow.phases.cocoa)} of what is not fat`,
    cure: 'less cocoa for the liquid',
  },
  gummy: {
    name: 'gluey',
    reason: ({ state }) =>
      `${significant(state.flow.serum.starchPercent)} % cooked starch and ${significant(state.flow.serum.gumsPercent)} % gum in the syrup`,
    cure: 'less starch or gum',
  },
  weeping: {
    name: 'gives off liquid',
    reason: ({ state }) => `${percent(state.flow.phases.freeSerum)} of it is syrup nothing holds`,
    cure: 'thicken it, or stir before serving',
  },
  skin: {
    name: 'forms a skin',
    reason: ({ state }) => `uncovered, wet (aw ${fixed(state.waterActivity, 2)}) and with protein or starch`,
    cure: 'cover its surface',
  },
  bloom: {
    name: 'may bloom',
    reason: ({ state }) => `${percent(state.flow.solidFatFraction)} of its fat is solid and not tempered`,
    cure: 'temper it, or keep it at a steady temperature',
  },
};

/** From here on a risk is worth watching. */
const WATCH = 0.2;
const LIKELY = 0.5;

/** A risk worth saying. */
export interface RiskNote {
  readonly name: string;
  readonly reason: string;
  readonly cure: string;
  readonly likely: boolean;
  readonly at: string;
  readonly risk: number;
}

/**
 * The risks worth saying, each at the moment where it is highest, the highest first. Weeping and skin are read where the sauce rests, not in
 * the hot pan where nobody leaves it.
 */
export function riskNotes(prediction: Prediction): RiskNote[] {
  const highest = new Map<string, RiskNote>();
  for (const reading of prediction.moments) {
    const { moment, state } = reading;
    for (const key of keysOf(state.risks)) {
      const risk = state.risks[key];
      if (risk < WATCH) continue;
      const { name, cure, reason } = RISK_WORDS[key];
      if (key === 'weeping' && moment.temperatureC >= POUR_ABOVE_C) continue;
      if ((highest.get(key)?.risk ?? 0) < risk) {
        highest.set(key, {
          name,
          cure,
          reason: reason(reading, prediction),
          risk,
          likely: risk >= LIKELY,
          at: momentPhrase(moment.name),
        });
      }
    }
  }
  return [...highest.values()].sort((a, b) => b.risk - a.risk);
}
