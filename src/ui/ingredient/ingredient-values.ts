import { COMPONENT_NAMES, type ComponentName } from '@/core/matter/components';
import { LABEL_FIELDS, type LabelField, labelFaults, type PackLabel } from '@/core/matter/from-label';
import { type Ingredient, ingredientSchema } from '@/formats/ingredient';
import { type AmountRules, GRAMS, parseAmount } from '@/ui/parse-amount';
import { forTyping } from '../settings/numerals';
import { shownField } from '../settings/shown-rules';
import { BY_WEIGHT } from '../settings/shown-units';
import { labelFaultWords } from './label-words';
import type { Declares } from './pack-declares';

/** The fields of the ingredient form, as typed. */
export interface IngredientValues {
  name: string;
  group: string;
  components: Record<ComponentName, string>;
  label: Record<LabelField, string>;
  measures: string;
  pieces: string;
  densityGPerMl: string;
  cocoaPercent: string;
  gelatinBloomG: string;
  ph: string;
  transFatG: string;
  cholesterolMg: string;
  declares: Declares;
  vegan: boolean;
  pricePerKg: string;
  stockG: string;
  keeps: string;
  caution: string;
  note: string;
  madeOf: string;
  source: string;
}

/** A field of the form and what is wrong with what stands there. */
export interface FieldFault {
  readonly field: string;
  readonly message: string;
}

const text = (value: number | null | undefined) =>
  value === null || value === undefined ? '' : forTyping(String(value));

const plain = (value: number) => String(Math.round(value * 1e4) / 1e4);

/** A kept figure in the units of the kitchen. */
const shownText = (value: number | null, rules: AmountRules) =>
  value === null ? '' : shownField(rules, plain).text(value);

const pairsText = (pairs: Readonly<Record<string, number>>) =>
  Object.entries(pairs)
    .map(([name, value]) => `${name}=${text(value)}`)
    .join('; ');

/** The form filled with an ingredient. */
export function valuesOf(ingredient: Omit<Ingredient, 'id' | 'origin'>): IngredientValues {
  return {
    ...ingredient,
    components: Object.fromEntries(COMPONENT_NAMES.map((name) => [name, text(ingredient.components[name])])) as Record<
      ComponentName,
      string
    >,
    label: Object.fromEntries(LABEL_FIELDS.map((field) => [field, ''])) as Record<LabelField, string>,
    measures: pairsText(ingredient.measures),
    pieces: pairsText(ingredient.pieces),
    densityGPerMl: text(ingredient.densityGPerMl),
    cocoaPercent: text(ingredient.cocoaPercent),
    gelatinBloomG: text(ingredient.gelatinBloomG),
    ph: text(ingredient.ph),
    transFatG: text(ingredient.transFatG),
    cholesterolMg: text(ingredient.cholesterolMg),
    declares: {
      contains: ingredient.allergens ?? [],
      mayContain: ingredient.mayContain,
      isRead: ingredient.allergens !== null,
    },
    pricePerKg: shownText(ingredient.pricePerKg, PRICE),
    stockG: shownText(ingredient.stockG, STOCK),
  };
}

/** An ingredient that is nothing yet. */
export const BLANK: Omit<Ingredient, 'id' | 'origin'> = {
  name: '',
  group: 'chocolate',
  components: {},
  measures: {},
  pieces: {},
  densityGPerMl: null,
  cocoaPercent: null,
  gelatinBloomG: null,
  ph: null,
  transFatG: null,
  cholesterolMg: null,
  allergens: null,
  mayContain: [],
  vegan: false,
  pricePerKg: null,
  stockG: null,
  keeps: '',
  caution: '',
  note: '',
  madeOf: '',
  source: '',
};

const NUMBER: AmountRules = { least: 0, most: 1e9, unit: '', units: {}, example: '12.5' };
export const PRICE: AmountRules = { least: 0, most: 1e6, unit: BY_WEIGHT, units: {}, example: '9.50' };
export const STOCK: AmountRules = { ...GRAMS, most: 1e9 };

class Reader {
  readonly faults: FieldFault[] = [];

  /** A number, or nothing when the field is empty. */
  number(field: string, typed: string): number | null {
    if (typed.trim() === '') return null;
    const parsed = parseAmount(typed, NUMBER);
    if (parsed.ok) return parsed.value;
    this.faults.push({ field, message: parsed.message });
    return null;
  }

  /** A figure in the units of the kitchen; what was not touched stays to the last digit. */
  shown(field: string, typed: string, rules: AmountRules, was: number | null): number | null {
    if (typed.trim() === '') return null;
    if (typed === shownText(was, rules)) return was;
    const shown = shownField(rules, plain);
    const parsed = parseAmount(typed, shown.rules);
    if (parsed.ok) return shown.toKept(parsed.value);
    this.faults.push({ field, message: parsed.message });
    return null;
  }

  pairs(field: string, typed: string): Record<string, number> {
    const found: Record<string, number> = {};
    for (const pair of typed.split(/[;\n]/).filter((each) => each.trim() !== '')) {
      const [name = '', value = ''] = pair.split('=').map((part) => part.trim());
      const parsed = parseAmount(value, NUMBER);
      if (name === '' || !parsed.ok) {
        this.faults.push({ field, message: `“${pair.trim()}” is not like chopped=0.55.` });
      } else found[name] = parsed.value;
    }
    return found;
  }
}

const sentence = (message: string) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`.replace('..', '.');

/** Reads the label section. Nothing is filled in yet. */
export function readLabel(values: IngredientValues): { label: PackLabel; faults: readonly FieldFault[] } {
  const reader = new Reader();
  const label = Object.fromEntries(
    LABEL_FIELDS.flatMap((field) => {
      const value = reader.number(`label.${field}`, values.label[field]);
      return value === null ? [] : [[field, value]];
    }),
  ) as PackLabel;
  const faults =
    reader.faults.length > 0
      ? reader.faults
      : labelFaults(label).map((fault) => ({ field: `label.${fault.field}`, message: labelFaultWords(fault) }));
  return { label, faults };
}

/**
 * Reads the form: an ingredient, or what is wrong at which field.
 *
 * @param before the form was filled with it
 */
export function readValues(
  values: IngredientValues,
  before: Pick<Ingredient, 'id' | 'origin' | 'pricePerKg' | 'stockG'>,
): { ingredient: Ingredient | undefined; faults: readonly FieldFault[] } {
  const reader = new Reader();
  const components = Object.fromEntries(
    COMPONENT_NAMES.flatMap((name) => {
      const value = reader.number(`components.${name}`, values.components[name]);
      return value ? [[name, value]] : [];
    }),
  );
  const parsed = ingredientSchema.safeParse({
    id: before.id,
    origin: before.origin,
    name: values.name,
    group: values.group,
    components,
    measures: reader.pairs('measures', values.measures),
    pieces: reader.pairs('pieces', values.pieces),
    densityGPerMl: reader.number('densityGPerMl', values.densityGPerMl),
    cocoaPercent: reader.number('cocoaPercent', values.cocoaPercent),
    gelatinBloomG: reader.number('gelatinBloomG', values.gelatinBloomG),
    ph: reader.number('ph', values.ph),
    transFatG: reader.number('transFatG', values.transFatG),
    cholesterolMg: reader.number('cholesterolMg', values.cholesterolMg),
    allergens: values.declares.isRead || values.declares.contains.length > 0 ? [...values.declares.contains] : null,
    mayContain: [...values.declares.mayContain],
    vegan: values.vegan,
    pricePerKg: reader.shown('pricePerKg', values.pricePerKg, PRICE, before.pricePerKg),
    stockG: reader.shown('stockG', values.stockG, STOCK, before.stockG),
    keeps: values.keeps,
    caution: values.caution,
    note: values.note,
    madeOf: values.madeOf,
    source: values.source,
  });
  const faults = [
    ...reader.faults,
    ...(parsed.success
      ? []
      : parsed.error.issues.map(({ path, message }) => ({
          field: path[0] === 'measures' || path[0] === 'pieces' ? String(path[0]) : path.join('.'),
          message: sentence(message),
        }))),
  ];
  if (faults.length === 0 && Object.keys(components).length === 0) {
    faults.push({ field: 'components', message: 'Say what it is made of, or work it out from the pack’s label.' });
  }
  return { ingredient: faults.length === 0 && parsed.success ? parsed.data : undefined, faults };
}
