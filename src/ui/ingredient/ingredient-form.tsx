'use client';

import { Wand2 } from 'lucide-react';
import { useState } from 'react';
import { type FieldPath, type UseFormReturn, useForm } from 'react-hook-form';
import { keysOf } from '@/core/keys-of';
import { COMPONENT_NAMES, type ComponentName } from '@/core/matter/components';
import { compositionFromLabel, type FromLabel } from '@/core/matter/from-label';
import { INGREDIENT_GROUPS, type Ingredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { RefusedError } from '@/kitchen/client/ask-server';
import { Button } from '@/ui/button';
import { CompositionStrip, stripAmounts } from '@/ui/composition-strip';
import { fixed } from '../settings/numerals';
import { COMPONENT_WORDS } from './component-words';
import { Field } from './form-field';
import { type FieldFault, type IngredientValues, readLabel, readValues, valuesOf } from './ingredient-values';
import { LABEL_WORDS } from './label-words';
import { MeasuresAndRest } from './measures-and-rest';
import { PackDeclares } from './pack-declares';

type Form = UseFormReturn<IngredientValues>;

/** Points at every field with a fault; the first gets the focus. */
function showFaults(form: Form, faults: readonly FieldFault[]) {
  form.clearErrors();
  faults.forEach(({ field, message }, i) => {
    form.setError(field as FieldPath<IngredientValues>, { message }, { shouldFocus: i === 0 });
  });
}

/** Writes an ingredient of the kitchen's own: from a pack label, or part by part. */
export function IngredientForm({
  id,
  start,
  typical,
  onKeep,
  onCancel,
}: {
  /** '' for a new one */
  id: string;
  start: Omit<Ingredient, 'id' | 'origin'>;
  /** the larder, to start from the nearest typical kind */
  typical: readonly Ingredient[];
  /** rejects with the reason when it could not be kept */
  onKeep: (ingredient: Ingredient) => Promise<void>;
  onCancel: () => void;
}) {
  const form = useForm<IngredientValues>({ defaultValues: valuesOf(start) });
  const [failure, setFailure] = useState<string | undefined>();
  const [worked, setWorked] = useState<FromLabel | undefined>();
  const { register, watch, formState } = form;

  const keep = form.handleSubmit(async (values) => {
    setFailure(undefined);
    const { ingredient, faults } = readValues(values, { ...start, id: id || 'new', origin: 'own' });
    showFaults(form, faults);
    if (!ingredient) {
      setFailure(faults.length === 1 ? faults[0]?.message : `${faults.length} fields need another look.`);
      return;
    }
    try {
      await onKeep(ingredient);
    } catch (error) {
      const refused = error instanceof RefusedError ? error : undefined;
      showFaults(
        form,
        (refused?.issues ?? []).map(({ path, message }) => ({ field: path.replace(/^ingredient\./, ''), message })),
      );
      setFailure(messageOf(error));
    }
  });

  const workOut = () => {
    const values = form.getValues();
    const { label, faults } = readLabel(values);
    showFaults(form, faults);
    if (faults.length > 0) return;
    if (Object.keys(label).length === 0) {
      form.setError('label.fat', { message: 'Type what the pack says first.' }, { shouldFocus: true });
      return;
    }
    const kinds = typical
      .filter(({ group, id: kind }) => group === values.group && kind !== id)
      .map(({ id: kind, components }) => ({ id: kind, composition: components }));
    const found = compositionFromLabel(label, kinds);
    for (const name of COMPONENT_NAMES) {
      form.setValue(`components.${name}`, found.composition[name] ? String(found.composition[name]) : '');
    }
    if (label.cocoaPercent !== undefined) form.setValue('cocoaPercent', String(label.cocoaPercent));
    setWorked(found);
  };

  return (
    <form
      onSubmit={(event) => {
        // Messages set by hand would keep the form from being sent again.
        form.clearErrors();
        void keep(event);
      }}
      noValidate
      className="space-y-5"
    >
      <div className="grid gap-3 sm:grid-cols-[1fr_180px]">
        <Field form={form} name="name" label="Name" />
        <label className="block">
          <span className="mb-1 block text-[0.86rem] text-mute">Group</span>
          <select className="h-11 w-full rounded-lg border border-rule bg-field px-2" {...register('group')}>
            {INGREDIENT_GROUPS.map((group) => (
              <option key={group}>{group}</option>
            ))}
          </select>
        </label>
      </div>

      <fieldset className="rounded-xl border border-rule p-4">
        <legend className="px-1 font-semibold">From the pack’s label, per 100 g</legend>
        <p className="mb-3 text-[13.5px] text-mute">
          Type what the pack says; the rest is taken from the nearest typical {watch('group')} and shown as assumed.
        </p>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5">
          {keysOf(LABEL_WORDS).map((field) => (
            <Field
              key={field}
              form={form}
              name={`label.${field}`}
              label={LABEL_WORDS[field][0]}
              unit={LABEL_WORDS[field][1]}
            />
          ))}
        </div>
        <Button className="mt-3" onClick={workOut}>
          <Wand2 size={16} aria-hidden="true" /> Work out the composition
        </Button>
        {worked && <Worked worked={worked} typical={typical} />}
      </fieldset>

      <Components form={form} assumed={worked?.assumed ?? []} />

      <PackDeclares value={watch('declares')} onChange={(declares) => form.setValue('declares', declares)} />

      <MeasuresAndRest form={form} />

      {failure && (
        <p role="alert" className="rounded-lg bg-off-wash px-4 py-3 text-off">
          {failure}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="primary" type="submit" disabled={formState.isSubmitting}>
          {id ? 'Keep the changes' : 'Add to the larder'}
        </Button>
        <Button onClick={onCancel}>Leave it</Button>
      </div>
    </form>
  );
}

/** Where the composition came from, and what the label asks that it cannot meet. */
function Worked({ worked, typical }: { worked: FromLabel; typical: readonly Ingredient[] }) {
  const kind = typical.find(({ id }) => id === worked.kind)?.name ?? worked.kind;
  return (
    <div role="status" className="mt-3 rounded-lg bg-enamel-wash px-3 py-2 text-[13.5px]">
      <p>
        Worked out from <strong>{kind}</strong>, bent to the label.
        {worked.assumed.length > 0 && (
          <> Assumed as there: {worked.assumed.map((name) => COMPONENT_WORDS[name].toLowerCase()).join(', ')}.</>
        )}
      </p>
      {worked.unmet.map(({ field, wanted, got }) => (
        <p key={field} className="text-off">
          {LABEL_WORDS[field][0]}: the pack says {wanted}, nothing of this group comes to that; here {fixed(got, 1)}.
        </p>
      ))}
    </div>
  );
}

/** Parts of 100 g: those there are, and one to add. */
function Components({ form, assumed }: { form: Form; assumed: readonly ComponentName[] }) {
  const values = form.watch('components');
  const [added, setAdded] = useState<readonly ComponentName[]>([]);
  const shown = COMPONENT_NAMES.filter((name) => values[name] !== '' || added.includes(name));
  const grams = Object.fromEntries(
    COMPONENT_NAMES.map((name) => [name, Number(values[name].replace(',', '.')) || 0]),
  ) as Record<ComponentName, number>;
  const sum = Object.values(grams).reduce((total, value) => total + value, 0);
  const fault = form.formState.errors.components as { message?: string } | undefined;
  return (
    <fieldset className="rounded-xl border border-rule p-4">
      <legend className="px-1 font-semibold">What 100 g is made of</legend>
      {sum > 0 && (
        <div className="max-w-md">
          <CompositionStrip amounts={stripAmounts(grams)} total={Math.max(sum, 100)} />
        </div>
      )}
      <p className={`mt-1 mb-3 text-[13.5px] ${sum > 100.5 ? 'text-off' : 'text-mute'}`}>
        {sum > 100.5
          ? `The parts add up to ${fixed(sum, 1)} g: take some away.`
          : `${fixed(sum, 1)} g named; what is missing to 100 g counts as inert.`}
      </p>
      {fault?.message && (
        <p role="alert" className="mb-2 text-off">
          {fault.message}
        </p>
      )}
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {shown.map((name) => (
          <Field
            key={name}
            form={form}
            name={`components.${name}`}
            label={`${COMPONENT_WORDS[name]}${assumed.includes(name) ? ' (assumed)' : ''}`}
            unit="g"
          />
        ))}
      </div>
      <label className="mt-3 block max-w-xs">
        <span className="mb-1 block text-[0.86rem] text-mute">Add a part</span>
        <select
          className="h-11 w-full rounded-lg border border-rule bg-field px-2"
          value=""
          onChange={(event) => setAdded([...added, event.target.value as ComponentName])}
        >
          <option value="">choose…</option>
          {COMPONENT_NAMES.filter((name) => !shown.includes(name)).map((name) => (
            <option key={name} value={name}>
              {COMPONENT_WORDS[name]}
            </option>
          ))}
        </select>
      </label>
    </fieldset>
  );
}
