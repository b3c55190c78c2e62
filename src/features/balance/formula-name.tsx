'use client';

import { useState } from 'react';

/** The formula's name, edited in place; a name that cannot be kept stays in the field with the reason. */
export function FormulaName({
  name,
  onName,
  onLeave,
}: {
  name: string;
  onName: (name: string) => void;
  onLeave: () => void;
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const fault = typed === undefined ? undefined : typed.trim() === '' ? 'A formula needs a name.' : undefined;
  return (
    <div className="relative min-w-0 flex-1">
      <h1 className="sr-only">{name}</h1>
      <input
        aria-label="Name of the formula"
        aria-invalid={fault !== undefined}
        className="h-11 w-full max-w-[520px] truncate rounded-md border border-transparent bg-transparent px-2 text-[1.05rem] hover:border-white/30 focus:border-enamel-light"
        value={typed ?? name}
        maxLength={120}
        onChange={(event) => {
          setTyped(event.target.value);
          if (event.target.value.trim() !== '') onName(event.target.value.trim());
        }}
        onBlur={() => {
          if (!fault) setTyped(undefined);
          onLeave();
        }}
      />
      {fault && (
        <p role="alert" className="absolute top-full left-0 z-20 rounded-md bg-off-wash px-2 py-1 text-[13px] text-off">
          {fault}
        </p>
      )}
    </div>
  );
}
