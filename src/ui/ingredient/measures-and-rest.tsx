import type { UseFormReturn } from 'react-hook-form';
import { BY_WEIGHT, unitName } from '../settings/shown-units';
import { Field } from './form-field';
import type { IngredientValues } from './ingredient-values';

/** What is measured, paid and noted of an ingredient. */
export function MeasuresAndRest({ form }: { form: UseFormReturn<IngredientValues> }) {
  return (
    <fieldset className="rounded-xl border border-rule p-4">
      <legend className="px-1 font-semibold">Measures and the rest</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field form={form} name="measures" label="g per ml, by form" hint="chopped=0.55; melted=1.25" />
        <Field form={form} name="pieces" label="g a piece" hint="stick=113; leaf=2" />
        <Field form={form} name="densityGPerMl" label="Density" unit="g/ml" />
        <Field form={form} name="cocoaPercent" label="Cocoa as labelled" unit="%" />
        <Field form={form} name="gelatinBloomG" label="Gelatin strength" unit="g bloom" />
        <Field form={form} name="ph" label="pH, where known" />
        <Field form={form} name="transFatG" label="Trans fat in 100 g" unit="g" />
        <Field form={form} name="cholesterolMg" label="Cholesterol in 100 g" unit="mg" />
        <Field form={form} name="pricePerKg" label="Price" unit={unitName(BY_WEIGHT)} />
        <Field form={form} name="stockG" label="In hand" unit={unitName('g')} />
        <label className="flex min-h-11 items-center gap-3 self-end">
          <input type="checkbox" className="size-5 accent-enamel" {...form.register('vegan')} /> Vegan
        </label>
        <Field form={form} name="keeps" label="How it keeps" />
        <Field form={form} name="note" label="Note" />
        <Field form={form} name="madeOf" label="Made of, as its pack lists it" hint="cocoa mass, sugar, cocoa butter" />
      </div>
    </fieldset>
  );
}
