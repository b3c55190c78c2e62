/** A few words of the cook's own in a sentence: underlined, as wide as what stands there. */
export function InlineText({
  label,
  value,
  placeholder,
  longest,
  onText,
}: {
  label: string;
  value: string;
  placeholder: string;
  longest: number;
  onText: (text: string) => void;
}) {
  return (
    <span className="inline-flex h-9 max-w-full items-center rounded-t-md border-enamel border-b-2 hover:bg-enamel-wash">
      <input
        aria-label={label}
        className="field-sizing-content -my-1 h-11 leading-none min-w-[3ch] max-w-full bg-transparent px-1 text-enamel placeholder:text-enamel"
        // For browsers that do not size a field by what stands in it.
        size={Math.max((value || placeholder).length, 3)}
        value={value}
        placeholder={placeholder}
        maxLength={longest}
        autoComplete="off"
        onChange={(event) => onText(event.target.value.replace(/[\r\n]+/g, ' '))}
      />
    </span>
  );
}
