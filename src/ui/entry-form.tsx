import type { ReactNode } from 'react';

/** A short form that is taken by its button or with Enter in any of its fields; a number field leaves itself with Enter, before a browser would submit. */
export function EntryForm({
  onEntry,
  className = '',
  children,
}: {
  onEntry: () => void;
  className?: string;
  children: ReactNode;
}) {
  return (
    <form
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        onEntry();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
        event.preventDefault();
        onEntry();
      }}
    >
      {children}
    </form>
  );
}
