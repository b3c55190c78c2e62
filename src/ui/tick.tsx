/** A box to tick, with its words beside it. */
export function Tick({ label, isOn, onTick }: { label: string; isOn: boolean; onTick: (isOn: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 accent-enamel"
        checked={isOn}
        onChange={(event) => onTick(event.target.checked)}
      />
      {label}
    </label>
  );
}
