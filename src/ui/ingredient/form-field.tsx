import type { FieldPath, UseFormReturn } from 'react-hook-form';
import type { IngredientValues } from './ingredient-values';

/** One field with its message beside it; what was typed stays. */
export function Field({
  form,
  name,
  label,
  unit,
  hint,
}: {
  form: UseFormReturn<IngredientValues>;
  name: FieldPath<IngredientValues>;
  label: string;
  unit?: string;
  hint?: string;
}) {
  const { error } = form.getFieldState(name, form.formState);
  const id = `ingredient-${name.replaceAll('.', '-')}`;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-[0.86rem] text-mute">
        {label}
        {unit && `, ${unit}`}
      </label>
      <input
        id={id}
        autoComplete="off"
        className={`h-11 w-full rounded-lg border bg-field px-3 ${unit ? 'read text-right' : ''} ${error ? 'border-off' : 'border-rule'}`}
        placeholder={hint}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-message` : undefined}
        {...form.register(name)}
      />
      {error?.message && (
        <p id={`${id}-message`} role="alert" className="mt-1 text-[13.5px] text-off">
          {error.message}
        </p>
      )}
    </div>
  );
}
