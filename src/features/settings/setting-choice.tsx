import { useId } from 'react';

/** One setting: its name, what may be chosen, and an example of what that does. */
export function SettingChoice<Value extends string>({
  label,
  example,
  value,
  options,
  onChoose,
}: {
  label: string;
  example: string;
  value: Value;
  options: readonly (readonly [value: Value, words: string])[];
  onChoose: (value: Value) => void;
}) {
  const id = useId();
  return (
    <div className="grid items-center gap-x-6 py-2 sm:grid-cols-[14rem_16rem_1fr]">
      <label htmlFor={id} className="font-medium">
        {label}
      </label>
      <select
        id={id}
        className="h-11 w-full rounded-lg border border-rule bg-field px-2"
        value={value}
        onChange={(event) => {
          const chosen = options.find(([each]) => each === event.target.value);
          if (chosen) onChoose(chosen[0]);
        }}
      >
        {options.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
      <span className="text-mute">{example}</span>
    </div>
  );
}
