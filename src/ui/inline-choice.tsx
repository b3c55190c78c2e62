/** A choice as a word in a sentence: underlined, as wide as what is chosen. */
export function InlineChoice<T extends string>({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
}) {
  return (
    <select
      aria-label={label}
      className="field-sizing-content h-9 leading-none max-w-full appearance-none rounded-t-md border-enamel border-b-2 bg-transparent px-1 text-enamel hover:bg-enamel-wash [&>option]:bg-field [&>option]:text-[15px] [&>option]:text-ink"
      value={value}
      onChange={(event) => onChoose(event.target.value as T)}
    >
      {options.map(([each, words]) => (
        <option key={each} value={each}>
          {words}
        </option>
      ))}
    </select>
  );
}
