import type { ReactNode } from 'react';

/** A box to tick, with its words beside it. */
export function Tick({
  label,
  isOn,
  onTick,
  className = '',
}: {
  label: ReactNode;
  isOn: boolean;
  onTick: (isOn: boolean) => void;
  className?: string;
}) {
  return (
    <label className={`flex min-h-11 items-center gap-3 ${className}`}>
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
