import type { ButtonHTMLAttributes } from 'react';

const LOOK = {
  primary: 'bg-enamel text-sheet hover:bg-enamel-deep disabled:bg-rule disabled:text-mute font-semibold',
  quiet: 'border border-rule bg-sheet hover:border-mute disabled:text-mute disabled:hover:border-rule font-medium',
  bare: 'hover:bg-rule-soft text-mute hover:text-ink disabled:opacity-40 font-medium',
  danger: 'border border-off text-off hover:bg-off-wash font-medium',
} as const;

/** A button at least 44 px high; `bare` for quiet ones in rows. */
export function Button({
  look = 'quiet',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof LOOK }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-lg px-4 transition-colors ${LOOK[look]} ${className}`}
      {...rest}
    />
  );
}

/** A key of the keyboard, as on the cap. */
export function Key({ children }: { children: string }) {
  return <kbd className="read rounded border border-current/40 px-1.5 py-px text-[0.78rem]">{children}</kbd>;
}
