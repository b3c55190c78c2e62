import { GATE_QUANTITIES, type GateQuantity } from '@/core/formula/gate-quantities';
import type { GateReading } from '@/core/formula/gates';
import { atThePour, onceSet } from '@/core/formula/moment-role';
import type { Moment } from '@/core/formula/moments';
import { firstDoubt } from '@/core/predict/first-doubt';
import type { Doubt, MomentQuantity } from '@/core/predict/monte-carlo';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import { flowWords } from '@/ui/flow-words';
import { grams, type Quantity, significant, weight } from '@/ui/format';
import { POUR_ABOVE_C, QUANTITY_WORDS } from '@/ui/quantity-words';
import { unitName } from '@/ui/settings/shown-units';
import type { FormulaDraft } from '../draft/edit';
import { yieldGrams } from '../draft/formula-draft';

/** One measure of the verdict: value, unit, target and doubt, ready to show. */
export interface Measure {
  readonly key: string;
  readonly title: string;
  readonly shown: Quantity;
  /** a flow, a cling or a set in words: what is said first */
  readonly words: string | undefined;
  readonly value: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly target: string;
  readonly side: -1 | 0 | 1;
  /** word beside a missed target */
  readonly sideWord: string;
  /** between what eight batches in ten fall */
  readonly spread: readonly [number, number] | undefined;
  readonly spreadWords: string;
  /** a plain track; a logarithmic one otherwise */
  readonly plain: boolean;
  readonly range: readonly [number, number];
  /** the moment of a flow or a set, which can be asked to be another there */
  readonly flowAt: Moment | undefined;
}

/** A yield that comes within this share of the amount wanted is as wanted. */
const YIELD_WITHIN = 0.03;
/** A yield stress below this is none: no doubt about it is worth saying, Pa. */
const NO_YIELD_PA = 0.05;

function bandWords(low: number | undefined, high: number | undefined, show: (value: number) => Quantity): string {
  const text = ({ number, unit }: Quantity) => (unit ? `${number}\u202f${unit}` : number);
  if (low && high !== undefined) {
    const [a, b] = [show(low), show(high)];
    return a.unit === b.unit ? `${a.number}–${b.number}${b.unit ? `\u202f${b.unit}` : ''}` : `${text(a)}–${text(b)}`;
  }
  if (high !== undefined) return `at most ${text(show(high))}`;
  return low ? `at least ${text(show(low))}` : 'no target';
}

/** Track of a logarithmic gauge: the band, the value and its doubt with room on both sides. */
function logRange(marks: readonly (number | undefined)[]): readonly [number, number] {
  const known = marks.filter((mark): mark is number => mark !== undefined && mark > 0);
  return [Math.min(...known) / 2, Math.max(...known) * 2];
}

function sideOf(value: number, low: number | undefined, high: number | undefined): -1 | 0 | 1 {
  return value < (low ?? 0) ? -1 : value > (high ?? Number.POSITIVE_INFINITY) ? 1 : 0;
}

const DRAWN: ReadonlySet<string> = new Set<MomentQuantity>([
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
  'shine',
  'waterActivity',
]);

const IS_FLOW: ReadonlySet<GateQuantity> = new Set(['apparentViscosityPaS', 'yieldStressPa', 'resistancePa']);

/** What the measures are made from. */
interface Standing {
  readonly prediction: Prediction;
  /** the full drawing, once it is there */
  readonly doubt: Doubt | undefined;
}

function spreadOf(
  { prediction, doubt }: Standing,
  at: MomentReading,
  quantity: GateQuantity,
  value: number,
  gate: number | undefined,
): readonly [number, number] | undefined {
  const hasYield = quantity === 'yieldStressPa' || quantity === 'resistancePa';
  if (hasYield && value < NO_YIELD_PA) return undefined;
  const drawn =
    gate !== undefined
      ? doubt?.gates[gate]
      : DRAWN.has(quantity)
        ? doubt?.moments[prediction.moments.indexOf(at)]?.[quantity as MomentQuantity]
        : undefined;
  const band = drawn ?? firstDoubt(prediction, at, quantity, value);
  return band && [band.low, band.high];
}

function measureOf(
  standing: Standing,
  at: MomentReading,
  reading: { quantity: GateQuantity; value: number; low?: number | undefined; high?: number | undefined },
  key: string,
  gate?: number,
): Measure {
  const { quantity, value, low, high } = reading;
  const words = QUANTITY_WORDS[quantity];
  const spread = spreadOf(standing, at, quantity, value, gate);
  const side = sideOf(value, low, high);
  const [from, to] = spread ? [words.show(spread[0]), words.show(spread[1])] : [];
  return {
    key,
    title: words.title(at.moment),
    shown: words.show(value),
    words: flowWords(quantity, at, standing.prediction.densityKgM3),
    value,
    low: low || undefined,
    high,
    target: bandWords(low, high, words.show),
    side,
    sideWord: side === 0 ? '' : side < 0 ? words.tooLow : words.tooHigh,
    spread,
    spreadWords:
      !from || !to || from.number === to.number
        ? ''
        : `8 in 10: ${from.number}${from.unit === to.unit ? '' : `\u202f${from.unit}`}–${to.number}${
            from.unit === to.unit ? '' : `\u202f${to.unit}`
          }`,
    plain: words.track !== undefined,
    flowAt: IS_FLOW.has(quantity) ? at.moment : undefined,
    range: words.track ?? logRange([Math.max(value, NO_YIELD_PA), low, high, spread?.[0], spread?.[1]]),
  };
}

/** Amount on the table: the pan less what stays in pan and bowl. */
function yieldMeasure(draft: FormulaDraft, prediction: Prediction): Measure {
  const value = yieldGrams(draft);
  const wanted = draft.yield?.targetGrams;
  const low = wanted === undefined ? undefined : wanted * (1 - YIELD_WITHIN);
  const high = wanted === undefined ? undefined : wanted * (1 + YIELD_WITHIN);
  const side = sideOf(value, low, high);
  const ml = (1000 * value) / prediction.densityKgM3;
  return {
    key: 'yield',
    title: 'Yield',
    shown: { number: grams(value), unit: unitName('g') },
    words: undefined,
    value,
    low,
    high,
    target: `${wanted === undefined ? 'no target' : `${weight(wanted)} ±3\u202f%`}, ${significant(ml, 3)}\u202fml`,
    side,
    sideWord: side < 0 ? 'too little' : side > 0 ? 'too much' : '',
    spread: undefined,
    spreadWords: '',
    plain: true,
    flowAt: undefined,
    range:
      wanted === undefined
        ? [0, Math.max(2 * value, 1)]
        : [Math.min(0.8 * wanted, value), Math.max(1.2 * wanted, value)],
  };
}

/** Measures that are shown even where no gate asks for them: which, and at which of the moments. */
const ALWAYS: readonly { readonly quantity: MomentQuantity; readonly warm: boolean | undefined }[] = [
  { quantity: 'apparentViscosityPaS', warm: true },
  { quantity: 'yieldStressPa', warm: false },
  { quantity: 'shine', warm: undefined },
  { quantity: 'waterActivity', warm: undefined },
];

const rank = ({ quantity }: { quantity: GateQuantity }) => GATE_QUANTITIES.indexOf(quantity);

/**
 * The measures of the verdict: every gate, and beside them always the flow at the pour, the set when cold, shine, water activity and
 * yield, with no target where none is set.
 */
export function measures(draft: FormulaDraft, prediction: Prediction, doubt: Doubt | undefined): Measure[] {
  const standing = { prediction, doubt };
  const isWarm = ({ moment }: MomentReading) => moment.temperatureC >= POUR_ABOVE_C;
  const named = (name: string) => prediction.moments.find(({ moment }) => moment.name === name);
  const asked = prediction.gates.flatMap((gate: GateReading, index) => {
    const at = named(gate.moment);
    return at ? [{ quantity: gate.quantity, at, gate, index }] : [];
  });
  const extra = ALWAYS.flatMap(({ quantity, warm }) => {
    const among = prediction.moments.filter((reading) => warm === undefined || isWarm(reading) === warm);
    if (asked.some((each) => each.quantity === quantity && among.includes(each.at))) return [];
    const at = warm === false ? (onceSet(among) ?? among.at(-1)) : atThePour(among);
    if (!at) return [];
    const value =
      quantity === 'waterActivity'
        ? prediction.asKept.waterActivity
        : quantity === 'shine'
          ? at.state.shine
          : at.state.flow[quantity as 'yieldStressPa'];
    return [{ quantity: quantity as GateQuantity, at, value }];
  });
  return [
    ...[...asked, ...extra]
      .sort((a, b) => rank(a) - rank(b))
      .map((each) =>
        'gate' in each
          ? measureOf(standing, each.at, each.gate, `gate-${each.index}`, each.index)
          : measureOf(standing, each.at, each, each.quantity),
      ),
    yieldMeasure(draft, prediction),
  ];
}
