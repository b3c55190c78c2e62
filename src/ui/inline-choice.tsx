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
    <span className="inline-flex h-9 max-w-full items-center rounded-t-md border-enamel border-b-2 hover:bg-enamel-wash">
      <select
        aria-label={label}
        className="field-sizing-content -my-1 h-11 leading-none max-w-full appearance-none bg-transparent px-1 text-enamel [&>option]:bg-field [&>option]:text-[15px] [&>option]:text-ink"
        value={value}
        onChange={(event) => onChoose(event.target.value as T)}
      >
        {options.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}
