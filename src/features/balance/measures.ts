import type { GateReading } from '@/core/balance/gates';
import { modelDoubt } from '@/core/predict/doubt';
import type { MomentReading, Prediction } from '@/core/predict/formula';
import { celsius, grams, type Quantity, significant, stress, viscosity, waterActivity } from '@/ui/format';
import { type FormulaDraft, totalGrams } from './formula-draft';

/** One measure of the verdict: value, unit and target, ready to show. */
export interface Measure {
  readonly key: string;
  readonly title: string;
  readonly shown: Quantity;
  readonly value: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly target: string;
  readonly side: -1 | 0 | 1;
  /** word beside a missed target */
  readonly sideWord: string;
  /** factor (logarithmic track) or amount (plain) of one standard deviation */
  readonly doubt: number | undefined;
  readonly plain: boolean;
  readonly range: readonly [number, number];
  /** place among the measures */
  readonly rank: number;
}

const POUR_ABOVE_C = 28;
/** A yield that comes within this share of the amount wanted is as wanted. */
const YIELD_WITHIN = 0.03;

function band(low: number | undefined, high: number | undefined, show: (value: number) => Quantity): string {
  const text = (value: number) => {
    const { number, unit } = show(value);
    return unit ? `${number}\u202f${unit}` : number;
  };
  if (low && high !== undefined) {
    const [a, b] = [show(low), show(high)];
    return a.unit === b.unit
      ? `${a.number}–${b.number}${b.unit ? `\u202f${b.unit}` : ''}`
      : `${text(low)}–${text(high)}`;
  }
  if (high !== undefined) return `at most ${text(high)}`;
  return low ? `at least ${text(low)}` : 'no target';
}

/** Track of a logarithmic gauge: the band and the value with room on both sides. */
function logRange(value: number, low: number | undefined, high: number | undefined): readonly [number, number] {
  const marks = [value, low || undefined, high].filter((mark): mark is number => mark !== undefined && mark > 0);
  return [Math.min(...marks) / 2.5, Math.max(...marks) * 2.5];
}

function sideOf(value: number, low: number | undefined, high: number | undefined): -1 | 0 | 1 {
  return value < (low ?? 0) ? -1 : value > (high ?? Number.POSITIVE_INFINITY) ? 1 : 0;
}

interface Kind {
  readonly title: (reading: MomentReading) => string;
  readonly show: (value: number) => Quantity;
  readonly words: readonly [low: string, high: string];
}

/** Order of the measures. */
const ORDER: readonly GateReading['quantity'][] = [
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
  'shine',
  'waterActivity',
];

const shine = (value: number): Quantity => ({ number: String(Math.round(value)), unit: '' });

const KINDS: Record<GateReading['quantity'], Kind> = {
  apparentViscosityPaS: {
    title: ({ moment }) => `Fluidity at ${celsius(moment.temperatureC)}`,
    show: viscosity,
    words: ['too thin', 'too thick'],
  },
  yieldStressPa: {
    title: ({ moment }) =>
      `${moment.temperatureC >= POUR_ABOVE_C ? 'Cling' : 'Set'} at ${celsius(moment.temperatureC)}`,
    show: stress,
    words: ['too loose', 'too stiff'],
  },
  resistancePa: {
    title: ({ moment }) => `Resistance at ${celsius(moment.temperatureC)}`,
    show: stress,
    words: ['too loose', 'too stiff'],
  },
  shine: {
    title: ({ moment }) => `Shine at ${celsius(moment.temperatureC)}`,
    show: shine,
    words: ['too dull', 'too shiny'],
  },
  waterActivity: {
    title: () => 'Water activity',
    show: waterActivity,
    words: ['too dry', 'too wet to keep'],
  },
};

function doubtOf(
  quantity: GateReading['quantity'],
  prediction: Prediction,
): { doubt: number | undefined; plain: boolean } {
  const model = modelDoubt(prediction.batch.mixture);
  if (quantity === 'apparentViscosityPaS') return { doubt: Math.exp(model.lnViscosity), plain: false };
  if (quantity === 'waterActivity') return { doubt: model.lnYield > 0.8 ? 0.015 : 0.01, plain: true };
  if (quantity === 'shine') return { doubt: undefined, plain: true };
  return { doubt: Math.exp(model.lnYield), plain: false };
}

function measureOf(
  prediction: Prediction,
  at: MomentReading,
  quantity: GateReading['quantity'],
  value: number,
  limits: { low?: number | undefined; high?: number | undefined },
  key: string,
): Measure {
  const { low, high } = limits;
  const kind = KINDS[quantity];
  const { doubt, plain } = doubtOf(quantity, prediction);
  const side = sideOf(value, low, high);
  const none = (quantity === 'yieldStressPa' || quantity === 'resistancePa') && value < 0.05;
  return {
    key,
    title: kind.title(at),
    shown: kind.show(value),
    value,
    low: low || undefined,
    high,
    target: band(low, high, kind.show),
    side,
    sideWord: side === 0 ? '' : kind.words[side < 0 ? 0 : 1],
    doubt: none ? undefined : doubt,
    plain,
    range:
      quantity === 'shine'
        ? [0, 100]
        : quantity === 'waterActivity'
          ? [0.7, 1]
          : logRange(Math.max(value, 0.05), low, high),
    rank: ORDER.indexOf(quantity),
  };
}

/** Amount on the table: the pan less what stays in pan and bowl. */
function yieldMeasure(draft: FormulaDraft, prediction: Prediction): Measure {
  const value = Math.max(totalGrams(draft) - (draft.yield?.bowlLossGrams ?? 0), 0);
  const wanted = draft.yield?.targetGrams;
  const low = wanted === undefined ? undefined : wanted * (1 - YIELD_WITHIN);
  const high = wanted === undefined ? undefined : wanted * (1 + YIELD_WITHIN);
  const side = sideOf(value, low, high);
  const ml = (1000 * value) / prediction.densityKgM3;
  return {
    key: 'yield',
    title: 'Yield',
    shown: { number: grams(value), unit: 'g' },
    value,
    low,
    high,
    target: `${wanted === undefined ? 'no target' : `${grams(wanted)}\u202fg ±3\u202f%`}, ${significant(ml, 3)}\u202fml`,
    side,
    sideWord: side < 0 ? 'too little' : side > 0 ? 'too much' : '',
    doubt: undefined,
    plain: true,
    range: wanted === undefined ? [0, 2 * value] : [Math.min(0.8 * wanted, value), Math.max(1.2 * wanted, value)],
    rank: ORDER.length,
  };
}

/**
 * The measures of the verdict: every gate, and beside them always the fluidity at the pour, the set when cold, shine, water activity and
 * yield, with no target where none is set.
 */
export function measures(draft: FormulaDraft, prediction: Prediction): Measure[] {
  const reading = (name: string) => prediction.moments.find(({ moment }) => moment.name === name);
  const warm = prediction.moments.filter(({ moment }) => moment.temperatureC >= POUR_ABOVE_C);
  const cold = prediction.moments.filter(({ moment }) => moment.temperatureC < POUR_ABOVE_C);
  const gated = prediction.gates.flatMap((gate, index) => {
    const at = reading(gate.moment);
    return at ? [measureOf(prediction, at, gate.quantity, gate.value, gate, `gate-${index}`)] : [];
  });
  const has = (quantity: GateReading['quantity'], among: readonly MomentReading[]) =>
    prediction.gates.some(
      (gate) => gate.quantity === quantity && among.some(({ moment }) => moment.name === gate.moment),
    );

  const extra: Measure[] = [];
  const pour = reading('pour') ?? warm.at(-1);
  if (pour && !has('apparentViscosityPaS', warm)) {
    extra.push(
      measureOf(prediction, pour, 'apparentViscosityPaS', pour.state.flow.apparentViscosityPaS, {}, 'fluidity'),
    );
  }
  const set = reading('fridge') ?? cold.at(-1);
  if (set && !has('yieldStressPa', cold)) {
    extra.push(measureOf(prediction, set, 'yieldStressPa', set.state.flow.yieldStressPa, {}, 'set'));
  }
  const shown = pour ?? set;
  if (shown && !has('shine', prediction.moments)) {
    extra.push(measureOf(prediction, shown, 'shine', shown.state.shine, {}, 'shine'));
  }
  if (shown && !has('waterActivity', prediction.moments)) {
    extra.push(measureOf(prediction, shown, 'waterActivity', prediction.asKept.waterActivity, {}, 'water-activity'));
  }
  return [...gated, ...extra].sort((a, b) => a.rank - b.rank).concat(yieldMeasure(draft, prediction));
}
